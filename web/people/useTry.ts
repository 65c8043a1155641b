import { useState } from 'react';
import { ApiError } from '../documents/api';

/**
 * Something that is asked of the server from a form: whether it is under way, and what was refused at which
 * field.
 */
export function useTry() {
  const [busy, setBusy] = useState(false);
  const [refusal, setRefusal] = useState<ApiError | null>(null);
  const run = async (work: () => Promise<unknown>): Promise<void> => {
    setBusy(true);
    setRefusal(null);
    try {
      await work();
    } catch (failure) {
      setRefusal(failure instanceof ApiError ? failure : new ApiError(0, 'That did not work.'));
    } finally {
      setBusy(false);
    }
  };
  const at = (field: string) => refusal?.fields.find((one) => one.field === field)?.message ?? null;
  return { busy, run, at, trouble: refusal !== null && refusal.fields.length === 0 ? refusal.message : null };
}
