import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { dayOf } from '#core/conditions/day';
import { type PlannedLeg, whatIfs } from '#core/passage/plan';
import { clockAt } from '#core/units/time';
import { capital, figure } from '#core/units/words';
import { serif } from '../../app/theme';
import { useDesk } from '../outing/desk';

const dash = '–';

/** When to turn, in large type, and what would change it. */
export function TurnFor() {
  const { doc, edit, looked, assessment } = useDesk();
  const { plan } = assessment.exposures;
  const { water } = looked;
  if (!plan || !water) return null;
  const clock = (at: number | null) => (at === null ? 'none' : clockAt(at, water.timeZone));
  const what = whatIfs(plan, looked, dayOf(doc.conditions, water, plan.launchAt, plan.deadline));
  const written = doc.brief.turnAt;
  return (
    <Box component="section" aria-label="Turn for home">
      <Typography variant="body2" color="textSecondary">
        {written === null ? 'Turn for home by' : 'You turn for home at'}
      </Typography>
      <Typography component="p" sx={{ fontFamily: serif, fontWeight: 600, fontSize: '3.6rem', lineHeight: 1.05 }}>
        {plan.turnAt === null ? dash : clock(plan.turnAt)}
      </Typography>
      <Typography variant="body2" color="textSecondary">
        {plan.latestTurn === null
          ? `No start from there is in by ${clock(plan.deadline)}.`
          : `${written === null ? '' : `At the latest ${clock(plan.latestTurn)}, `}to be in by ${clock(plan.deadline)}.`}{' '}
        {what && (
          <>
            With the second propulsion: {clock(what.latestTurnSpare)}. With the wind a third stronger:{' '}
            {clock(what.windier.latestTurn)}. An hour later{' '}
            {what.hourLater.homeAt === null ? 'the way home is shut' : `you are in at ${clock(what.hourLater.homeAt)}`}.
          </>
        )}{' '}
        Estimates, from your pace, the hours above and the simulated tide.
      </Typography>
      {written !== null && (
        <Button
          onClick={() => edit((outing) => ({ ...outing, brief: { ...outing.brief, turnAt: null } }))}
          sx={{ px: 0 }}
        >
          Turn at the latest again
        </Button>
      )}
    </Box>
  );
}

/** The passage leg by leg: how far, where to steer, how fast, when there. */
export function Legs() {
  const { assessment, looked } = useDesk();
  const { plan } = assessment.exposures;
  const zone = looked.water?.timeZone ?? 'utc';
  if (!plan)
    return <Typography color="textSecondary">The legs appear when launch, place, boat and hours are said.</Typography>;
  const out = plan.legs.filter((leg) => leg.way === 'out');
  const home = plan.legs.filter((leg) => leg.way === 'home');
  return (
    <TableContainer>
      <Table
        size="small"
        aria-label="Passage, leg by leg"
        sx={{ '& td, & th': { px: 0.75, py: 0.8, lineHeight: 1.3 } }}
      >
        <TableHead>
          <TableRow>
            <TableCell>Leg</TableCell>
            <TableCell align="right">km</TableCell>
            <TableCell align="right">steer</TableCell>
            <TableCell align="right">m/s</TableCell>
            <TableCell align="right">there</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {out.map((leg, i) => (
            <LegRow key={`out${i}`} leg={leg} zone={zone} />
          ))}
          <TableRow>
            <TableCell component="th" scope="row">
              Fishing {looked.area?.name}
            </TableCell>
            <TableCell align="right">{dash}</TableCell>
            <TableCell align="right">{dash}</TableCell>
            <TableCell align="right">{dash}</TableCell>
            <TableCell align="right">{plan.turnAt === null ? dash : clockAt(plan.turnAt, zone)}</TableCell>
          </TableRow>
          {home.map((leg, i) => (
            <LegRow key={`home${i}`} leg={leg} zone={zone} />
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}

function LegRow({ leg: { leg, arrivesAt, why, groundMps, crabDeg }, zone }: { leg: PlannedLeg; zone: string }) {
  const crab = Math.round(crabDeg ?? 0);
  const steer = Math.round((leg.bearingDeg + crab + 360) % 360);
  return (
    <TableRow>
      <TableCell component="th" scope="row">
        {capital(leg.name)}
        {leg.hazards.length > 0 && (
          <Box component="span" sx={{ display: 'block', typography: 'caption', color: 'error.main' }}>
            through {leg.hazards.map((hazard) => hazard.name).join(', ')}
          </Box>
        )}
      </TableCell>
      <TableCell align="right">{figure(leg.distanceM / 1000, 2)}</TableCell>
      <TableCell align="right" sx={{ whiteSpace: 'nowrap' }}>
        {why ? `${Math.round(leg.bearingDeg)}°` : `${String(steer).padStart(3, '0')}°`}
        {!why && crab !== 0 && (
          <Box component="span" sx={{ color: 'text.secondary' }}>
            {' '}
            {crab > 0 ? '+' : '−'}
            {Math.abs(crab)}
          </Box>
        )}
      </TableCell>
      <TableCell align="right">{groundMps === null ? dash : figure(groundMps, 1)}</TableCell>
      <TableCell align="right" sx={{ color: why ? 'error.main' : 'inherit', fontWeight: 700 }}>
        {why ?? (arrivesAt === null ? dash : clockAt(arrivesAt, zone))}
      </TableCell>
    </TableRow>
  );
}
