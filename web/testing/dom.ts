import { builtinEnvironments } from 'vitest/runtime';
import { expect, vi } from 'vitest';

/**
 * The surroundings of a test file: a document for what is of the web, none for the rest. Making one takes
 * half a second of a core, and Vitest's own would be made anew for each file, with all modules read again:
 * one serves all files of a worker, and is left empty by each.
 */
interface Surroundings {
  teardown: (global: typeof globalThis) => unknown;
}
const held = globalThis as { surroundings?: Surroundings | undefined };
const ofTheWeb = /\/web\//.test(expect.getState().testPath ?? '');

vi.unstubAllGlobals();
if (ofTheWeb && !held.surroundings)
  held.surroundings = await builtinEnvironments['happy-dom'].setup(globalThis, {});
else if (ofTheWeb) {
  document.body.replaceChildren();
  localStorage.clear();
  sessionStorage.clear();
  history.replaceState(null, '', '/');
} else if (held.surroundings) {
  await held.surroundings.teardown(globalThis);
  held.surroundings = undefined;
}
