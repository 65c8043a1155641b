import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { clockOf } from '#core/exposures/exposures';
import { sayShut, sayWayOut } from '#core/exposures/sayWaysOut';
import { type WayOut, type WaysAt, closesAt, waysOut } from '#core/exposures/waysOut';
import { byClock } from '#core/units/clockWords';
import { useOutingWorkspace } from '../../outingWorkspace';
import { HourLine, HourList, QuestionPanel } from '../../QuestionPanel';

/**
 * Settled here: where one gets out if one must, at each hour, and when that shuts. What would annoy: a way that
 * is near on the chart and shut on the water.
 */
export function WaysOut({ onClose }: { onClose: () => void }) {
  const { doc, assessment, looked } = useOutingWorkspace();
  const { plan } = assessment.exposures;
  const { angler, water } = looked;
  const list = plan && angler ? waysOut(plan, looked, doc.conditions, angler.limits.breakerM) : [];
  const clock = (at: number) => byClock(clockOf(assessment.exposures, looked)(at));
  const closing = (water?.launches ?? []).flatMap(({ id, name }) => {
    const at = closesAt(list, id);
    const why = at === null ? undefined : shutAt(list, at, id);
    return at === null || !why ? [] : [`${name} from ${clock(at)}: ${sayShut(why)}`];
  });
  const answer =
    list.length === 0
      ? 'Boat, water, place and hours are wanted first: the way is not known.'
      : closing.length === 0
        ? 'Whatever is open stays open while you are out.'
        : `Shut while you are out: ${closing.join('; ')}.`;
  return (
    <QuestionPanel label="Ways out" answer={answer} onClose={onClose}>
      <HourList>
        {mergedLines(list).map(({ first, last }) => (
          <HourLine
            key={first.at}
            clock={first === last ? clock(first.at) : `${clock(first.at)} to ${clock(last.at)}`}
            what={first.where}
            more={<Ways ways={first.ways} />}
          />
        ))}
      </HourList>
      {list.length > 0 && (
        <Typography variant="caption" color="textSecondary" component="p" sx={{ mt: 1 }}>
          Straight there from where the plan has you, at your own pace, in the wind, stream and tide of the
          hour: an estimate. Surf is held against your own limit. Only places that are written with the water
          are known.
        </Typography>
      )}
    </QuestionPanel>
  );
}

/** Hours one after another that read alike are one line. */
function mergedLines(list: readonly WaysAt[]): { first: WaysAt; last: WaysAt }[] {
  const reads = ({ where, ways }: WaysAt) => [where, ...ways.map((way) => sayWayOut(way))].join();
  const lines: { first: WaysAt; last: WaysAt }[] = [];
  for (const one of list) {
    const line = lines.at(-1);
    if (line && reads(line.last) === reads(one)) line.last = one;
    else lines.push({ first: one, last: one });
  }
  return lines;
}

const shutAt = (list: readonly WaysAt[], at: number, launchId: string) =>
  list.find((one) => one.at === at)?.ways.find(({ launch }) => launch.id === launchId)?.shut;

function Ways({ ways }: { ways: readonly WayOut[] }) {
  const open = ways.filter(({ shut }) => shut === null);
  const shut = ways.filter((way) => way.shut !== null);
  return (
    <>
      {open.length === 0 && <b>Nowhere straight from here. </b>}
      {open.map((way, i) => (
        <Box component={i === 0 ? 'b' : 'span'} key={way.launch.id} sx={{ mr: 1.5 }}>
          {sayWayOut(way)}
        </Box>
      ))}
      {shut.length > 0 && (
        <Box component="span" sx={{ color: 'text.secondary' }}>
          Shut: {shut.map((way) => sayWayOut(way)).join('; ')}
        </Box>
      )}
    </>
  );
}
