import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Stance } from '#core/vocabulary/boat';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { Suspense, lazy, useDeferredValue, useMemo, useState } from 'react';
import { seatedIn } from '#core/boat/build';
import { afloatWith, hydrostatics } from '#core/boat/hull/hydrostatics';
import { hullsOf } from '#core/boat/hulls';
import { laden, standingIn, stancesOf } from '#core/boat/stability';
import { sayVanishing } from '#core/boat/steadiness';
import { trustOf } from '#core/boat/trust';
import { compartmentsOf, swamped } from '#core/boat/swamped';
import { amount } from '#core/units/amount';
import { figure } from '#core/units/words';
import { NumberField } from '../../ui/NumberField';
import { Choice, Fields, Figure, Part } from './Figures';
import { DRAWN_IN, useBoat } from './boatDesk';

const RightingChart = lazy(() =>
  import('./RightingChart').then((module) => ({ default: module.RightingChart })),
);

const scupperWords = { none: 'none', open: 'open', plugged: 'plugged' } as const;

/** Settled here: how deep, how level, how steady. What would annoy: figures without a measure of trust. */
export function AfloatPart({
  gearKg,
  setGearKg,
  stance: drawn,
  setStance,
}: {
  gearKg: number;
  setGearKg: (kg: number) => void;
  /** The stance that is drawn above. */
  stance: Stance;
  setStance: (stance: Stance) => void;
}) {
  const { craft, angler, own, gear } = useBoat();
  const rows = useMemo(
    () =>
      stancesOf(craft).map((stance) => ({ stance, now: standingIn(craft, angler, stance, gear, DRAWN_IN) })),
    [craft, angler, gear],
  );
  return (
    <>
      <Part name="How it lies and stands">
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
          <Box sx={{ width: 190 }}>
            <NumberField
              label="Gear aboard, in the well"
              unit="kg"
              size="small"
              value={gearKg}
              onChange={(kg) => kg !== null && kg >= 0 && kg <= 400 && setGearKg(kg)}
            />
          </Box>
          <Typography variant="body2" color="textSecondary" sx={{ flex: 1, minWidth: 220 }}>
            With {own ? 'you' : 'someone'} of {amount(angler.massKg, 'kg', 0)}, in salt water.{' '}
            {trustOf(craft)}
          </Typography>
        </Box>
        <Box sx={{ overflowX: 'auto', '& td, & th': { px: { xs: 0.75, sm: 2 } } }}>
          <Table size="small" aria-label="How it stands, by what one does in it">
            <TableHead>
              <TableRow>
                <TableCell sx={{ pl: 0 }}>What one does</TableCell>
                <TableCell align="right">Draft</TableCell>
                <TableCell align="right">Trim</TableCell>
                <TableCell align="right">Heel</TableCell>
                <TableCell align="right">Freeboard</TableCell>
                <TableCell align="right">GM</TableCell>
                <TableCell align="right">comes back from</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {rows.map(({ stance, now }) => {
                if (!now || now === 'sinks')
                  return (
                    <TableRow key={stance}>
                      <TableCell sx={{ pl: 0 }}>{stance}</TableCell>
                      <TableCell colSpan={6}>does not float under it</TableCell>
                    </TableRow>
                  );
                return (
                  <TableRow key={stance} hover selected={stance === drawn} onClick={() => setStance(stance)}>
                    <TableCell sx={{ pl: 0 }}>
                      <Button
                        size="small"
                        aria-pressed={stance === drawn}
                        onClick={() => setStance(stance)}
                        sx={{ minHeight: 36 }}
                      >
                        {stance}
                      </Button>
                    </TableCell>
                    <TableCell align="right">{amount(now.draftM, 'm', 3)}</TableCell>
                    <TableCell align="right">
                      {figure(Math.abs(now.trimDeg))}°{' '}
                      {Math.abs(now.trimDeg) < 0.05 ? '' : now.trimDeg > 0 ? 'up' : 'down'}
                    </TableCell>
                    <TableCell align="right">
                      {now.heelDeg === null ? 'goes over' : `${figure(Math.abs(now.heelDeg))}°`}
                    </TableCell>
                    <TableCell align="right">{amount(now.freeboardM, 'm', 2)}</TableCell>
                    <TableCell align="right">{amount(now.gmM, 'm', 2)}</TableCell>
                    <TableCell align="right">{sayVanishing(now)}</TableCell>
                  </TableRow>
                );
              })}
            </TableBody>
          </Table>
        </Box>
        <Typography variant="body2" color="textSecondary">
          Trim: the bow up or down. Freeboard: side over the water, at its least. GM, the metacentric height:
          how hard it comes back from the first lean. The last column: the heel past which it does not come
          back.
        </Typography>
      </Part>
      <Righting />
      <Part name="Water aboard">
        <Fields>
          <Choice
            label="Scuppers"
            value={craft.scuppers}
            options={['none', 'open', 'plugged']}
            say={(one) => scupperWords[one]}
            set={(one, scuppers) => ({ ...one, scuppers })}
          />
          {[0, 1, 2].map((i) => (
            <Figure
              key={i}
              label={`Bulkhead ${i + 1}`}
              unit="m"
              value={craft.bulkheadsM[i] ?? null}
              set={(one, at) => ({
                ...one,
                bulkheadsM: [...one.bulkheadsM.slice(0, i), at, ...one.bulkheadsM.slice(i + 1)],
              })}
              clear={(one) => ({ ...one, bulkheadsM: one.bulkheadsM.filter((_, k) => k !== i) })}
            />
          ))}
        </Fields>
        <Typography variant="body2" color="textSecondary">
          Bulkheads are walls across the hull: so far forward of the stern.
        </Typography>
        <Scuppers />
        <Swamped />
      </Part>
    </>
  );
}

/** What open scuppers take, where the floor lies under the waterline. */
function Scuppers() {
  const { craft, angler, gear } = useBoat();
  if (craft.scuppers === 'none') return null;
  const stance = seatedIn(craft);
  const [open, plugged] = (['open', 'plugged'] as const).map((scuppers) => {
    const now = standingIn({ ...craft, scuppers }, angler, stance, gear, DRAWN_IN);
    return now && now !== 'sinks' ? now : null;
  });
  if (!open || !plugged) return null;
  const taken = plugged.gmM - open.gmM;
  return (
    <Typography>
      {taken < 0.005
        ? 'Hardly any floor lies under the waterline: open scuppers let next to no water stand on the deck.'
        : `Open, water stands on the deck up to the waterline: ${amount(open.draftM - plugged.draftM, 'm', 3)} deeper, and ${amount(taken, 'm', 3)} of ${amount(plugged.gmM, 'm', 3)} of metacentric height gone.`}
    </Typography>
  );
}

function Swamped() {
  const { craft, angler, gear } = useBoat();
  const parts = useMemo(() => compartmentsOf(craft), [craft]);
  const [litres, setLitres] = useState<readonly number[]>([]);
  const wet = litres.some((one) => one > 0);
  const { state, can } = useMemo(
    () => swamped(craft, angler, gear, litres, DRAWN_IN),
    [craft, angler, gear, litres],
  );
  return (
    <>
      <Typography variant="body2" color="textSecondary">
        Water let in, by compartment from the stern: a hole, or a wave into an open cockpit.
      </Typography>
      <Fields>
        {parts.map(({ fromM, toM, volumeM3 }, i) => (
          <NumberField
            key={fromM}
            size="small"
            label={`${amount(fromM, 'm')} to ${amount(toM, 'm')}, holds ${amount(volumeM3 * 1000, 'L', 0)}`}
            unit="L"
            value={litres[i] ?? 0}
            onChange={(value) =>
              setLitres(parts.map((_, k) => (k === i ? Math.max(0, value ?? 0) : (litres[k] ?? 0))))
            }
          />
        ))}
      </Fields>
      {wet && (
        <Typography role="status">
          {state.afloat && state.draftM !== null && state.freeboardMinM !== null
            ? `It lies ${amount(state.draftM, 'm', 2)} deep, ${amount(Math.max(0, state.freeboardMinM), 'm', 2)} of side left, ${state.gmTransverseM === null ? 'and does not stand up' : `${amount(state.gmTransverseM, 'm', 2)} of metacentric height`}. What one can do: ${can}. An estimate.`
            : `What one can do: ${can}. An estimate.`}
        </Typography>
      )}
    </>
  );
}

/** Levers to 90°, drawn a moment after the rest. */
function Righting() {
  const { craft, angler, gear } = useBoat();
  const shown = useDeferredValue(craft);
  const { alone, now } = useMemo(() => {
    const hull = hullsOf(shown);
    const of = (load: ReturnType<typeof laden>) =>
      hydrostatics(afloatWith(hull, [load], DRAWN_IN), { gz: true });
    return {
      alone: of(laden(shown, angler, 'seated low', null)),
      now: of(laden(shown, angler, seatedIn(shown), gear)),
    };
  }, [shown, angler, gear]);
  return (
    <Part name="Righting lever">
      <Suspense fallback={<Box sx={{ height: 240 }} />}>
        <RightingChart alone={alone.gz ?? []} now={now.gz ?? []} />
      </Suspense>
      <Typography variant="body2">
        {now.gzMax && now.gzMax.gzM > 0
          ? `Greatest lever ${amount(now.gzMax.gzM, 'm', 3)} at ${figure(now.gzMax.heelDeg)}°. `
          : 'It has no righting lever. '}
        {now.deckEdgeDeg === null ? '' : `The rim goes under at ${figure(now.deckEdgeDeg, 0)}°. `}
        {now.vanishingDeg === null ? '' : `Past ${figure(now.vanishingDeg, 0)}° it goes over. `}
        Weight held still and on the middle line; nobody does that past a few degrees.
      </Typography>
    </Part>
  );
}
