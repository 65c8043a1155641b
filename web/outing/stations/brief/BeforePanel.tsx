import Link from '@mui/material/Link';
import { Link as RouterLink } from 'react-router';
import { beforeLaunch } from '#core/floatplan/before';
import { byClock } from '#core/units/clockWords';
import { clockAt, dateAt, dayInWords } from '#core/units/time';
import { useOutingWorkspace } from '../../outingWorkspace';
import { HourLine, HourList, QuestionPanel } from '../../QuestionPanel';

/** Settled here: when the alarm is set, and what is done the day before. What would annoy: sums at night. */
export function BeforePanel({ onClose }: { onClose: () => void }) {
  const { doc, looked } = useOutingWorkspace();
  const list = beforeLaunch(doc, looked);
  const zone = looked.water?.timeZone ?? 'local';
  const untold = looked.angler?.times.driveMin === null;
  const answer = (
    <>
      {list === null ? 'Water, launch and hours are wanted first.' : 'Backwards from the launch:'}
      {untold && (
        <>
          {' '}
          <Link component={RouterLink} to="/settings/limits">
            Say how long you drive
          </Link>
          , and the alarm is worked out too.
        </>
      )}
    </>
  );
  return (
    <QuestionPanel label="Before the launch" answer={answer} onClose={onClose}>
      <HourList>
        {(list ?? []).map(({ at, what, why }) => {
          const date = dateAt(at, zone);
          return (
            <HourLine
              key={what}
              clock={byClock(clockAt(at, zone))}
              what={<b>{date === doc.brief.date ? what : `${what}, ${dayInWords(date)}`}</b>}
              more={why}
            />
          );
        })}
      </HourList>
    </QuestionPanel>
  );
}
