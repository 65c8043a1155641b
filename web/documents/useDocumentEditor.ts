import { useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { type Documents, type KindName, documentKinds } from '#core/documents/registry';
import type { Versioned } from '#core/documents/kept';
import { type Drawer, drawer } from '../offline/drawer';
import { isReached, whenOnline } from '../offline/reach';
import { request } from './api';
import { DocumentEditor } from './DocumentEditor';
import { isOwnWrite, noteWritten } from './ownWrites';

export const later = (work: () => void, ms: number) => {
  const timer = setTimeout(work, ms);
  return () => clearTimeout(timer);
};

/**
 * A change that is not sent is kept with its tab; while the server does not answer it is kept on the device
 * too, and outlives the browser.
 */
const drafts: Drawer = {
  getItem: (key) => sessionStorage.getItem(key) ?? drawer.getItem(key),
  setItem: (key, text) => {
    sessionStorage.setItem(key, text);
    if (!isReached()) drawer.setItem(key, text);
  },
  late: drawer.late,
  removeItem: (key) => {
    sessionStorage.removeItem(key);
    drawer.removeItem(key);
  },
};

/**
 * The editor of one document, for as long as its screen is open: undo, autosave, merge with other windows.
 * @param onLeft what to do when the last change is kept after the screen was left
 */
export function useDocumentEditor<Name extends KindName>(
  name: Name,
  kept: Versioned<Documents[Name]>,
  onLeft: () => void,
) {
  type Doc = Documents[Name];
  const [editor] = useState(() => {
    const kind = documentKinds[name];
    const path = `/api/${kind.path}/${kept.doc.id}`;
    return new DocumentEditor<Doc>(kind, kept, {
      put: async (doc, version, leaving) => {
        const written = await request<Versioned<Doc>>('PUT', path, { version, doc }, leaving);
        noteWritten(path, written.version);
        return written;
      },
      isOwn: (version) => isOwnWrite(path, version),
      drafts,
      now: () => Date.now(),
      later,
    });
  });
  const state = useSyncExternalStore(editor.subscribe, editor.getState);
  useEffect(() => editor.adopt(kept), [editor, kept]);
  const afterLeaving = useRef(onLeft);
  useEffect(() => {
    afterLeaving.current = onLeft;
  });
  useEffect(() => {
    const leave = () => void editor.flush(true);
    window.addEventListener('pagehide', leave);
    const off = whenOnline(() => void editor.flush());
    return () => {
      window.removeEventListener('pagehide', leave);
      off();
      void editor.flush().then(() => afterLeaving.current());
    };
  }, [editor]);
  return { editor, state };
}

/** Ctrl+Z and its sisters, except while writing in a field, which has its own. */
export function useUndoKeys(undo: () => void, redo: () => void) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const { target } = event;
      if (target instanceof HTMLElement && target.closest('input, textarea, [contenteditable]')) return;
      const key = event.key.toLowerCase();
      const forward = key === 'y' || (key === 'z' && event.shiftKey);
      if (!forward && key !== 'z') return;
      event.preventDefault();
      if (forward) redo();
      else undo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, redo]);
}
