import { byClock } from '#core/units/clockWords';
import { clockAt, dateAt, dayInWords } from '#core/units/time';
import { ApiError } from '../documents/api';
import { useToast } from '../ui/Toast';

/** Day and hour of a moment by the clock of this device. */
export const moment = (iso: string) => {
  const at = Date.parse(iso);
  return byClock(`${dayInWords(dateAt(at, 'local'))}, ${clockAt(at, 'local')}`);
};
/** Does something, and says what stood in its way. */
export function useTell() {
  const say = useToast();
  return (work: Promise<unknown>, done = '') =>
    work.then(
      () => (done === '' ? undefined : say(done)),
      (failure: unknown) => say(failure instanceof ApiError ? failure.message : 'That did not work.'),
    );
}
