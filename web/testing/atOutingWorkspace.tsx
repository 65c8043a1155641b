import { configure, render } from '@testing-library/react';
import { type ReactNode, useMemo, useState, useSyncExternalStore } from 'react';
import { RouterProvider, createMemoryRouter } from 'react-router';
import { SWRConfig } from 'swr';
import { vi } from 'vitest';
import { demo } from '#core/demo/demo';
import type { Outing } from '#core/documents/outing';
import { type References, lookUp } from '#core/documents/references';
import { documentKinds } from '#core/documents/registry';
import { applyRepair, sayRepair } from '#core/editing/repair';
import { assess } from '#core/judgement/assess';
import { type Answers, noAnswers } from '#core/walkround/answers';
import { ThemeChoice } from '../app/themeChoice';
import { DocumentEditor } from '../documents/DocumentEditor';
import { type OutingWorkspace, OutingWorkspaceContext } from '../outing/outingWorkspace';
import { ToastProvider, useToast } from '../ui/Toast';

// Whether something is in sight is asked of a browser: here all style sheets would be gone through for each
// thing that is looked at, and for each that a name is made of. What is written on the thing itself stands.
configure({ defaultHidden: true });
window.getComputedStyle = (element) => (element as HTMLElement).style;

/** The evening before the demo outings. */
export const evening = Date.parse('2026-05-15T19:00:00Z');
export const world = demo(evening);
export function demoOuting(id: string): Outing {
  const found = world.outings.find((one) => one.id === id);
  if (!found) throw new Error(`The demo has no outing ${id}.`);
  return found;
}

interface AtDesk {
  references?: References;
  answers?: Answers;
  now?: number;
  /** Where the part stands, and the address it is opened at. */
  route?: string;
  path?: string;
  /** What stands at every other address. */
  elsewhere?: ReactNode;
  more?: Partial<OutingWorkspace>;
}
/**
 * Part of an outing's screen as it is on the desk: edits and repairs are carried out and judged anew, nothing
 * is sent anywhere.
 */
export function atDesk(outing: Outing, part: ReactNode, options: AtDesk = {}) {
  const { route = '/', path = route, elsewhere = <p>Elsewhere</p>, more = {} } = options;
  const editor = new DocumentEditor(
    documentKinds.outings,
    { version: 1, updatedAt: new Date(evening).toISOString(), doc: outing },
    {
      put: (doc, version) =>
        Promise.resolve({ version: version + 1, updatedAt: new Date(evening).toISOString(), doc }),
      drafts: { getItem: () => null, setItem: () => undefined, removeItem: () => undefined },
      now: () => options.now ?? evening,
      later: () => () => undefined,
    },
  );
  // Nothing is answered: what is asked of a server is on its way for good.
  vi.stubGlobal('fetch', () => new Promise(() => undefined));
  const element = (
    <Seated editor={editor} options={options} more={more}>
      {part}
    </Seated>
  );
  const router = createMemoryRouter(
    [
      { path: route, element },
      { path: '*', element: elsewhere },
    ],
    { initialEntries: [path] },
  );
  const shown = render(
    <ThemeChoice>
      <ToastProvider>
        <SWRConfig value={{ provider: () => new Map() }}>
          <RouterProvider router={router} />
        </SWRConfig>
      </ToastProvider>
    </ThemeChoice>,
  );
  return { ...shown, editor, router, doc: () => editor.getState().doc };
}

function Seated({
  editor,
  options: { references = world.references, answers = noAnswers, now = evening },
  more,
  children,
}: {
  editor: DocumentEditor<Outing>;
  options: AtDesk;
  more: Partial<OutingWorkspace>;
  children: ReactNode;
}) {
  const state = useSyncExternalStore(editor.subscribe, editor.getState);
  const { doc } = state;
  const say = useToast();
  const [dragging, setDragging] = useState(false);
  const assessment = useMemo(() => assess(doc, references, answers, now), [doc, references, answers, now]);
  const desk: OutingWorkspace = {
    doc,
    edit: editor.edit,
    editor,
    state,
    references,
    looked: lookUp(doc, references),
    assessment,
    answers,
    walk: {
      record: [],
      earlier: [],
      signature: null,
      unsent: 0,
      loaded: true,
    } as unknown as OutingWorkspace['walk'],
    changes: null,
    repair: (what) => {
      editor.edit((one) => applyRepair(one, what, now));
      say(`Done: ${sayRepair(what)}.`);
    },
    dragging,
    setDragging,
    now,
    device: { carried: null } as unknown as OutingWorkspace['device'],
    sideColumn: { place: null, setPlace: () => undefined, shown: 'margin', show: () => undefined },
    ...more,
  };
  return <OutingWorkspaceContext value={desk}>{children}</OutingWorkspaceContext>;
}
