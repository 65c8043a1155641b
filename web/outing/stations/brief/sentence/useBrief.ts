import type { Brief } from '#core/documents/outing';
import { withBrief } from '#core/editing/title';
import { useOutingWorkspace } from '../../../outingWorkspace';

/** What a part of the sentence needs: the brief, what it points at, and how a blank is filled. */
export function useBrief() {
  const { doc, edit, references, looked } = useOutingWorkspace();
  const set = (change: Partial<Brief>, group = '') =>
    edit((outing) => withBrief(outing, change, references), group);
  return { brief: doc.brief, looked, references, set };
}
