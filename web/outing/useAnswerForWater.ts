import { withAnswerKept } from '#core/editing/edit';
import type { Finding } from '#core/judgement/finding';
import { ApiError } from '../documents/api';
import { useDocuments, useKept } from '../documents/queries';
import { useToast } from '../ui/Toast';
import { useOutingWorkspace } from './outingWorkspace';

/**
 * Keeps the answer to a finding with the outing's water, for every outing there; an empty reason takes it
 * back.
 */
export function useAnswerForWater() {
  const { looked } = useOutingWorkspace();
  const { data } = useKept();
  const waters = useDocuments('waters');
  const say = useToast();
  return async ({ key, extent }: Finding, reason: string) => {
    const kept = data?.waters.find(({ doc }) => doc.id === looked.water?.id);
    if (!kept) return;
    try {
      await waters.put(withAnswerKept(kept.doc, key, extent, reason, Date.now()), kept.version);
      say(reason === '' ? `Taken back for ${kept.doc.name}.` : `Kept for ${kept.doc.name}.`);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      say(`Not kept. ${error.message}`);
    }
  };
}
