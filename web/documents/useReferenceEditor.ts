import { useCallback, useEffect } from 'react';
import { useSWRConfig } from 'swr';
import type { Versioned } from '#core/documents/kept';
import type { Documents, ReferenceName } from '#core/documents/registry';
import { REFERENCES } from './ReferenceStore';
import { useDocumentEditor } from './useDocumentEditor';

/** The editor of a document that outings point at: what is kept of it is read again wherever it is shown. */
export function useReferenceEditor<K extends ReferenceName>(kind: K, kept: Versioned<Documents[K]>) {
  const { mutate } = useSWRConfig();
  const refresh = useCallback(() => void mutate(REFERENCES), [mutate]);
  const { editor, state } = useDocumentEditor(kind, kept, refresh);
  const keptNow = state.saving.is === 'kept' ? state.version : 0;
  useEffect(() => {
    if (keptNow > kept.version) refresh();
  }, [keptNow, kept.version, refresh]);
  return { editor, state };
}
