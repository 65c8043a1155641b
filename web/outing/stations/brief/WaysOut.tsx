import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { clockOf } from '#core/exposures/exposures';
import { sayShut, sayWayOut } from '#core/exposures/sayWaysOut';
import { type WaysAt, closesAt, waysOut } from '#core/exposures/waysOut';
import { byClock } from '#core/units/clockWords';
import { useOutingWorkspace } from '../../outingWorkspace';

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
  return (
    <Box
      component="section"
      aria-label="Ways out"
      sx={{ border: 1, borderColor: 'text.primary', borderRadius: 1, p: 1.5 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, flexWrap: 'wrap' }}>
        <Typography role="status" sx={{ flex: 1, minWidth: 200 }}>
          {list.length === 0
            ? 'Boat, water, place and hours are wanted first: the way is not known.'
            : closing.length === 0
              ? 'Whatever is open stays open while you are out.'
              : `Shut while you are out: ${closing.join('; ')}.`}
        </Typography>
        <Button size="small" onClick={onClose}>
          Close
        </Button>
      </Box>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {alike(list).map(({ first, last }) => (
          <Hour
            key={first.at}
            one={first}
            clock={first === last ? clock(first.at) : `${clock(first.at)} to ${clock(last.at)}`}
          />
        ))}
      </Box>
      {list.length > 0 && (
        <Typography variant="caption" color="textSecondary" component="p" sx={{ mt: 1 }}>
          Straight there from where the plan has you, at your own pace, in the wind, stream and tide of the
          hour: an estimate. Surf is held against your own limit. Only places that are written with the water
          are known.
        </Typography>
      )}
    </Box>
  );
}

/** Hours one after another that read alike are one line. */
function alike(list: readonly WaysAt[]): { first: WaysAt; last: WaysAt }[] {
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

function Hour({ one: { ways, where }, clock }: { one: WaysAt; clock: string }) {
  const open = ways.filter(({ shut }) => shut === null);
  const shut = ways.filter((way) => way.shut !== null);
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: {
          xs: '68px minmax(0, 1fr)',
          sm: '132px minmax(0, 1fr) minmax(0, 2fr)',
        },
        columnGap: 1.5,
        borderTop: 1,
        borderColor: 'divider',
        py: 0.5,
        fontSize: '0.92rem',
      }}
    >
      <b>{clock}</b>
      <Box sx={{ color: 'text.secondary' }}>{where}</Box>
      <Box sx={{ gridColumn: { xs: 2, sm: 3 } }}>
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
      </Box>
    </Box>
  );
}
