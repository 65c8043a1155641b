import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { styled } from '@mui/material/styles';
import { isOneWay } from '#core/documents/hours';
import { dayOf } from '#core/environment/day';
import { type Mark, type PlannedLeg, marksOn, whatIfs } from '#core/passage/plan';
import { clockOf } from '#core/exposures/exposures';
import type { Instant } from '#core/units/time';
import { capital, listed } from '#core/units/words';
import { serif } from '../../../app/theme';
import { useOutingWorkspace } from '../../outingWorkspace';
import { Term } from '../../../ui/Term';
import { unitName, amountOnly } from '#core/units/amount';
import { byClock } from '#core/units/clockWords';

const dash = '–';

// Plain cells under one rule: they are drawn anew on every frame of a drag.
const Sheet = styled('table')(({ theme }) => ({
  width: '100%',
  borderCollapse: 'collapse',
  fontSize: '0.92rem',
  lineHeight: 1.3,
  'th, td': {
    padding: '7px 6px',
    borderBottom: `1px solid ${theme.inks.rule}`,
    textAlign: 'right',
    fontWeight: 400,
  },
  'th:first-of-type': { textAlign: 'left', paddingLeft: 0 },
  'thead th, small': { color: theme.inks.slate },
  td: { whiteSpace: 'nowrap' },
  'small.shut, small.more': { display: 'block' },
  '.there': { fontWeight: 700 },
  '.shut': { color: theme.inks.clay, whiteSpace: 'normal' },
}));

/** When to turn, in large type, and what would change it. */
export function TurnFor() {
  const { doc, edit, looked, assessment } = useOutingWorkspace();
  const { plan } = assessment.exposures;
  const { water } = looked;
  if (!plan || !water) return null;
  const say = clockOf(assessment.exposures, looked);
  const clock = (at: number | null) => (at === null ? 'none' : byClock(say(at)));
  const what = whatIfs(plan, looked, dayOf(doc.conditions, water, plan.launchAt, plan.deadline));
  const written = doc.brief.turnAt;
  const turns = plan.turnAt === null ? dash : clock(plan.turnAt);
  // Down a river or along a shore to another landing nobody turns.
  const onTo = isOneWay(doc.brief) ? (looked.landing?.name ?? null) : null;
  return (
    <Box component="section" aria-label={onTo === null ? 'Turn for home' : `On to ${onTo}`}>
      <Typography variant="body2" color="textSecondary">
        {onTo === null ? (
          <Term id="turnBy">{written === null ? 'Turn for home by' : 'You turn for home at'}</Term>
        ) : (
          `${written === null ? 'Move on by' : 'You move on at'}, to ${onTo}`
        )}
      </Typography>
      <Typography
        component="p"
        // With its day before it, it would not stand on one line.
        sx={{
          fontFamily: serif,
          fontWeight: 600,
          fontSize: turns.length > 8 ? '2rem' : '3.6rem',
          lineHeight: 1.05,
        }}
      >
        {turns}
      </Typography>
      <Typography variant="body2" color="textSecondary">
        {plan.latestTurn === null
          ? `No start from there is in by ${clock(plan.deadline)}.`
          : `${written === null ? '' : `At the latest ${clock(plan.latestTurn)}, `}to be in by ${clock(plan.deadline)}.`}{' '}
        {what && (
          <>
            With the <Term id="secondPropulsion" />: {clock(what.latestTurnSpare)}. With the wind a third
            stronger: {clock(what.windier.latestTurn)}. An hour later{' '}
            {what.hourLater.homeAt === null
              ? 'the way home is shut'
              : `you are in at ${clock(what.hourLater.homeAt)}`}
            .
          </>
        )}{' '}
        Estimates, from your pace, the hours above and the tide as it is written.
      </Typography>
      {written !== null && (
        <Button
          onClick={() => edit((outing) => ({ ...outing, brief: { ...outing.brief, turnAt: null } }))}
          sx={{ px: 0 }}
        >
          {onTo === null ? 'Turn at the latest again' : 'Move on at the latest again'}
        </Button>
      )}
    </Box>
  );
}

/** The passage leg by leg: how far, where to steer, how fast, when there. */
export function Legs() {
  const { doc, assessment, looked } = useOutingWorkspace();
  const { plan } = assessment.exposures;
  const { water } = looked;
  const clock = clockOf(assessment.exposures, looked);
  if (!plan || !water)
    return (
      <Typography color="textSecondary">
        The legs appear when launch, place, boat and hours are said, and launch and place have positions of
        their own.
      </Typography>
    );
  const out = plan.legs.filter((leg) => leg.way === 'out');
  const home = plan.legs.filter((leg) => leg.way === 'home');
  const marks = isOneWay(doc.brief)
    ? marksOn(plan, looked, dayOf(doc.conditions, water, plan.launchAt, plan.deadline))
    : [];
  return (
    <Sheet aria-label="Passage, leg by leg">
      <thead>
        <tr>
          <th scope="col">Leg</th>
          <th scope="col">{unitName('km')}</th>
          <th scope="col">steer</th>
          <th scope="col">{unitName('m/s')}</th>
          <th scope="col">there</th>
        </tr>
      </thead>
      <tbody>
        {out.map((leg, i) => (
          <LegRow key={`out${i}`} leg={leg} clock={clock} />
        ))}
        <tr>
          <th scope="row">Fishing {looked.area?.name}</th>
          <td>{dash}</td>
          <td>{dash}</td>
          <td>{dash}</td>
          <td>{plan.turnAt === null ? dash : byClock(clock(plan.turnAt))}</td>
        </tr>
        {home.map((leg, i) => (
          <LegRow key={`home${i}`} leg={leg} mark={marks[i]} clock={clock} />
        ))}
        {isOneWay(doc.brief) && (
          <tr>
            <th scope="row">Along the way, in all</th>
            <td>{amountOnly(plan.legs.reduce((sum, { leg }) => sum + leg.distanceM, 0) / 1000, 'km', 2)}</td>
            <td colSpan={3} />
          </tr>
        )}
      </tbody>
    </Sheet>
  );
}

function LegRow({
  leg: { leg, arrivesAt, why, groundMps, crabDeg },
  mark,
  clock,
}: {
  leg: PlannedLeg;
  mark?: Mark | undefined;
  clock: (at: Instant) => string;
}) {
  const crab = Math.round(crabDeg ?? 0);
  const steer = Math.round((leg.bearingDeg + crab + 360) % 360);
  return (
    <tr>
      <th scope="row">
        {capital(leg.name)}
        {leg.hazards.length > 0 && (
          <small className="shut">through {leg.hazards.map((hazard) => hazard.name).join(', ')}</small>
        )}
        {mark && (
          <small className="more">
            {mark.latestAt === null
              ? 'No time is early enough here to land by then'
              : `At the latest ${byClock(clock(mark.latestAt))}`}
            {mark.waysOut.length > 0 && `; out before it at ${listed(mark.waysOut, 'or')}`}
          </small>
        )}
      </th>
      <td>{amountOnly(leg.distanceM / 1000, 'km', 2)}</td>
      <td>
        {why ? `${Math.round(leg.bearingDeg)}°` : `${String(steer).padStart(3, '0')}°`}
        {!why && crab !== 0 && (
          <small>
            {' '}
            {crab > 0 ? '+' : '−'}
            {Math.abs(crab)}
          </small>
        )}
      </td>
      <td>{groundMps === null ? dash : amountOnly(groundMps, 'm/s', 1)}</td>
      <td className={why ? 'there shut' : 'there'}>
        {why ?? (arrivesAt === null ? dash : byClock(clock(arrivesAt)))}
      </td>
    </tr>
  );
}
