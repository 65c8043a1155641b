import { ApiError } from '../documents/api';
import { useToast } from '../ui/Toast';

/** Does something, and says what stood in its way. */
export function useTell() {
  const say = useToast();
  return (work: Promise<unknown>, done = '') =>
    work.then(
      () => (done === '' ? undefined : say(done)),
      (failure: unknown) => say(failure instanceof ApiError ? failure.message : 'That did not work.'),
    );
}
