import Typography from '@mui/material/Typography';
import { clockAt, dateAt, dayInWords } from '#core/units/time';
import { byClock } from '#core/units/clockWords';
import { sayBytes } from '#core/units/amount';
import type { Carried } from '../offline/carried';
import { useReach } from '../offline/reach';
import { useOutingWorkspace } from './outingWorkspace';

/** When it was put here, by the clock of the water, and how much of it: "19:40, 1.8 MB". */
export function sayCarried({ at, bytes }: Carried, now: number, zone: string): string {
  const moment = Date.parse(at);
  const day = dateAt(moment, zone) === dateAt(now, zone) ? '' : ` on ${dayInWords(dateAt(moment, zone))}`;
  return byClock(`${clockAt(moment, zone)}${day}, ${sayBytes(bytes)}`);
}

/** Whether this outing is on this device, and whether the server answers: always on screen. */
export function CarriedWords() {
  const { device, walk, now, looked } = useOutingWorkspace();
  const reached = useReach();
  const { carried, staysOpen, busy } = device;
  const waiting = walk.unsent + walk.held;
  return (
    <Typography variant="caption" role="status" color={reached || carried ? 'textSecondary' : 'error'}>
      {reached ? '' : 'No network. '}
      {busy ? 'Being put on this device. ' : ''}
      {carried
        ? `Carried ${sayCarried(carried, now, looked.water?.timeZone ?? 'local')}${reached ? '' : '; what you change is kept here'}${staysOpen === null ? '' : '; keep this page open'}`
        : reached
          ? 'Not carried'
          : 'Not carried: keep this page open'}
      {waiting > 0 && `; ${waiting} to be sent`}
    </Typography>
  );
}
