import { describe, expect, it } from 'vitest';
import { demo } from '#core/demo/demo';
import { withItem } from '#core/editing/edit';
import { documentKinds } from '#core/documents/registry';
import type { Outing } from '#core/documents/outing';
import type { Versioned } from '#core/documents/kept';
import { ApiError } from './api';
import { type EditorPorts, DocumentEditor } from './DocumentEditor';

const [outing] = demo(Date.parse('2026-05-15T19:00:00Z')).outings as [Outing];
const kept = (doc: Outing, version: number): Versioned<Outing> => ({
  doc,
  version,
  updatedAt: '2026-05-15T19:00:00Z',
});
const titled = (title: string) => (doc: Outing) => ({ ...doc, title });

/** A server that keeps one document, a drawer for drafts, and timers that the test fires. */
function house(first = kept(outing, 1)) {
  let stored = first;
  let down = false;
  let time = 0;
  const timers: (() => void)[] = [];
  const drawer = new Map<string, string>();
  const ports: EditorPorts<Outing> = {
    put: async (doc, version) => {
      await Promise.resolve();
      if (down) throw new ApiError(0, 'The server does not answer.');
      if (doc.title === '')
        throw new ApiError(400, 'Bad input', [{ field: 'doc.title', message: 'Give it a name.' }]);
      if (version !== stored.version) throw new ApiError(409, 'Changed elsewhere', [], stored);
      stored = kept(doc, version + 1);
      return stored;
    },
    drafts: {
      getItem: (key) => drawer.get(key) ?? null,
      setItem: (key, value) => void drawer.set(key, value),
      removeItem: (key) => void drawer.delete(key),
    },
    now: () => time,
    later: (work) => {
      timers.push(work);
      return () => void timers.splice(timers.indexOf(work) >>> 0, 1);
    },
  };
  const settle = async () => {
    for (let i = 0; i < 20; i += 1) {
      timers.shift()?.();
      for (let tick = 0; tick < 5; tick += 1) await Promise.resolve();
    }
  };
  return {
    ports,
    settle,
    drawer,
    stored: () => stored,
    elsewhere: (change: (doc: Outing) => Outing) => {
      stored = kept(change(stored.doc), stored.version + 1);
    },
    cut: (now: boolean) => {
      down = now;
    },
    pass: (ms: number) => {
      time += ms;
    },
  };
}

describe('the editor of an outing', () => {
  it('keeps a change by itself and says so', async () => {
    const h = house();
    const editor = new DocumentEditor(documentKinds.outings, h.stored(), h.ports);
    editor.edit(titled('Dawn'));
    expect(editor.getState().saving.is).toBe('pending');
    expect(h.drawer.size).toBe(1);
    await h.settle();
    expect(editor.getState()).toMatchObject({ saving: { is: 'kept' }, version: 2 });
    expect(h.stored().doc.title).toBe('Dawn');
    expect(h.drawer.size).toBe(0);
  });
  it('takes every change back, a run of letters as one, and forward again', async () => {
    const h = house();
    const editor = new DocumentEditor(documentKinds.outings, h.stored(), h.ports);
    editor.edit(titled('D'), 'title');
    editor.edit(titled('Da'), 'title');
    h.pass(5000);
    editor.edit(titled('Dawn'), 'title');
    editor.undo();
    expect(editor.getState().doc.title).toBe('Da');
    editor.undo();
    expect(editor.getState()).toMatchObject({ doc: { title: outing.title }, canUndo: false, canRedo: true });
    editor.redo();
    editor.redo();
    await h.settle();
    expect(h.stored().doc.title).toBe('Dawn');
  });
  it('merges with another window, tells it, and undoing mine keeps theirs', async () => {
    const h = house();
    const editor = new DocumentEditor(documentKinds.outings, h.stored(), h.ports);
    h.elsewhere((doc) => withItem(doc, 'mirror', 1));
    editor.edit(titled('Dawn'));
    await h.settle();
    expect(editor.getState().told).toContain('another window');
    expect(h.stored().doc).toMatchObject({ title: 'Dawn' });
    expect(h.stored().doc.loadout.map((entry) => entry.itemId)).toContain('mirror');
    editor.undo();
    await h.settle();
    expect(h.stored().doc.title).toBe(outing.title);
    expect(h.stored().doc.loadout.map((entry) => entry.itemId)).toContain('mirror');
  });
  it.each([
    ['mine', 'Mine'],
    ['theirs', 'Theirs'],
  ] as const)('asks when both changed one thing, and keeps what is chosen: %s', async (whose, title) => {
    const h = house();
    const editor = new DocumentEditor(documentKinds.outings, h.stored(), h.ports);
    h.elsewhere(titled('Theirs'));
    editor.edit((doc) => withItem(titled('Mine')(doc), 'mirror', 1));
    await h.settle();
    expect(editor.getState().saving).toMatchObject({
      is: 'conflict',
      conflicts: [{ path: ['title'], mine: 'Mine', theirs: 'Theirs' }],
    });
    editor.settle(whose);
    await h.settle();
    expect(h.stored().doc.title).toBe(title);
    expect(
      h.stored().doc.loadout.map((entry) => entry.itemId),
      'what is not contested stays',
    ).toContain('mirror');
  });
  it('asks on while one goes on editing: nothing is sent over the other side, nor after a reload', async () => {
    const h = house();
    const editor = new DocumentEditor(documentKinds.outings, h.stored(), h.ports);
    h.elsewhere(titled('Theirs'));
    editor.edit(titled('Mine'));
    await h.settle();
    editor.edit((doc) => withItem(titled('Mine, and more')(doc), 'mirror', 1));
    await h.settle();
    await editor.flush();
    expect(h.stored().doc.title).toBe('Theirs');
    const asked = { saving: { is: 'conflict', conflicts: [{ mine: 'Mine, and more', theirs: 'Theirs' }] } };
    expect(editor.getState()).toMatchObject(asked);
    const reloaded = new DocumentEditor(documentKinds.outings, h.stored(), h.ports);
    await h.settle();
    expect(reloaded.getState()).toMatchObject(asked);
    reloaded.settle('mine');
    await h.settle();
    expect(h.stored().doc.title).toBe('Mine, and more');
    expect(h.stored().doc.loadout.map(({ itemId }) => itemId)).toContain('mirror');
  });
  it('no longer asks once nothing is contested', async () => {
    const h = house();
    const editor = new DocumentEditor(documentKinds.outings, h.stored(), h.ports);
    h.elsewhere(titled('Theirs'));
    editor.edit(titled('Mine'));
    await h.settle();
    editor.edit(titled('Theirs'));
    editor.edit((doc) => withItem(doc, 'mirror', 1));
    await h.settle();
    expect(editor.getState().saving.is).toBe('kept');
    expect(h.stored().doc).toMatchObject({ title: 'Theirs' });
  });
  it('says nothing of another window where this page wrote it itself, and asks nothing', async () => {
    const h = house();
    const ports = { ...h.ports, isOwn: (version: number) => version === 2 };
    const editor = new DocumentEditor(documentKinds.outings, h.stored(), ports);
    h.elsewhere(titled('Mine, from the list'));
    editor.adopt(h.stored());
    expect(editor.getState()).toMatchObject({ told: null, doc: { title: 'Mine, from the list' } });
    const late = new DocumentEditor(documentKinds.outings, kept(outing, 1), ports);
    late.edit(titled('Mine, later'));
    await h.settle();
    expect(late.getState()).toMatchObject({ told: null, saving: { is: 'kept' } });
    expect(h.stored().doc.title).toBe('Mine, later');
  });
  it('holds a change while the server is silent, and sends it when it answers', async () => {
    const h = house();
    h.cut(true);
    const editor = new DocumentEditor(documentKinds.outings, h.stored(), h.ports);
    editor.edit(titled('Dawn'));
    await h.settle();
    expect(editor.getState().saving.is).toBe('waiting');
    h.cut(false);
    await h.settle();
    expect(h.stored().doc.title).toBe('Dawn');
  });
  it('takes an unsent change up after a reload, merging what came meanwhile', async () => {
    const h = house();
    h.cut(true);
    const before = new DocumentEditor(documentKinds.outings, h.stored(), h.ports);
    before.edit(titled('Dawn'));
    await h.settle();
    h.cut(false);
    h.elsewhere((doc) => withItem(doc, 'mirror', 1));
    const after = new DocumentEditor(documentKinds.outings, h.stored(), h.ports);
    expect(after.getState().doc.title).toBe('Dawn');
    await h.settle();
    expect(h.stored().doc.title).toBe('Dawn');
    expect(h.stored().doc.loadout.map((entry) => entry.itemId)).toContain('mirror');
  });
  it('takes up what a killed browser had put away and only the database has, and merges what came meanwhile', async () => {
    const desk = house();
    desk.cut(true);
    const first = new DocumentEditor<Outing>(documentKinds.outings, desk.stored(), desk.ports);
    first.edit(titled('Changed at the water'));
    await desk.settle();
    // Local storage was not written when the browser died; the database was.
    const put = new Map(desk.drawer);
    desk.drawer.clear();
    desk.elsewhere((doc) => withItem(doc, 'mirror', 0));
    desk.cut(false);
    const late = { ...desk.ports.drafts, late: (key: string) => Promise.resolve(put.get(key) ?? null) };
    const second = new DocumentEditor<Outing>(documentKinds.outings, desk.stored(), {
      ...desk.ports,
      drafts: late,
    });
    await desk.settle();
    expect(desk.stored().doc.title).toBe('Changed at the water');
    expect(desk.stored().doc.loadout.some(({ itemId }) => itemId === 'mirror')).toBe(false);
    expect(second.getState().saving.is).toBe('kept');
  });
  it('on a full device says that the change is in this page alone, and sends it all the same', async () => {
    const desk = house();
    const full = {
      ...desk.ports.drafts,
      setItem: () => {
        throw new DOMException('full', 'QuotaExceededError');
      },
    };
    const editor = new DocumentEditor<Outing>(documentKinds.outings, desk.stored(), {
      ...desk.ports,
      drafts: full,
    });
    editor.edit(titled('On a full device'));
    expect(editor.getState().told).toMatch(/^This device is full/);
    await desk.settle();
    expect(desk.stored().doc.title).toBe('On a full device');
  });
  it('says why the server refused, keeps what was typed, and goes on with the next change', async () => {
    const h = house();
    const editor = new DocumentEditor(documentKinds.outings, h.stored(), h.ports);
    editor.edit(titled(''));
    await h.settle();
    expect(editor.getState()).toMatchObject({
      saving: { is: 'refused', why: 'Give it a name.' },
      doc: { title: '' },
    });
    editor.edit(titled('Dawn'));
    await h.settle();
    expect(h.stored().doc.title).toBe('Dawn');
  });
  it('takes over a newer document only while nothing here is unsent', async () => {
    const h = house();
    const editor = new DocumentEditor(documentKinds.outings, h.stored(), h.ports);
    editor.edit(titled('Mine'));
    editor.adopt(kept({ ...outing, title: 'Theirs' }, 5));
    expect(editor.getState().doc.title).toBe('Mine');
    await h.settle();
    editor.adopt(kept({ ...outing, title: 'Theirs' }, 9));
    expect(editor.getState()).toMatchObject({ doc: { title: 'Theirs' }, version: 9 });
  });
});
