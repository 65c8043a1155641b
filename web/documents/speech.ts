import { type Speech, speakIn, speechChoices, speechFields } from '#core/units/speaking';

const KEY = 'units';

/**
 * Words are made in the units of this profile from now on; the browser remembers them for its next first
 * look.
 */
export function speakFor(angler: { units: Speech } | null | undefined): void {
  if (!angler) return;
  speakIn(angler.units);
  localStorage.setItem(KEY, JSON.stringify(angler.units));
}

/** The units that were read in last, until the profile is here. */
export function speakAsBefore(): void {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? 'null');
    if (isSpeech(kept)) speakIn(kept);
  } catch {
    // What was kept there is none: metric, until the profile comes.
  }
}

function isSpeech(kept: unknown): kept is Speech {
  return (
    typeof kept === 'object' &&
    kept !== null &&
    speechFields.every((field) =>
      speechChoices[field].some((one) => one === (kept as Record<string, unknown>)[field]),
    )
  );
}
