import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { useState } from 'react';
import { type Container, MOST_BOXES } from '#core/packing/box';
import type { PackResult } from '#core/packing/pack';
import { type PackStep, type ToPack, packSteps } from '#core/stow/packing';
import { amount } from '#core/units/amount';
import { capital, count, figure, listed, plural } from '#core/units/words';
import type { PackWork } from '../../../workers/pack.worker';
import { useWorker } from '../../../workers/useWorker';

type State = { is: 'idle' } | { is: 'packing' } | { is: 'packed'; what: ToPack; result: PackResult };

const WHY: Readonly<Record<NonNullable<PackResult['why']>, string>> = {
  mass: 'It cannot be: together they are heavier than it carries.',
  volume: 'It cannot be: together they are larger than it is.',
  dimension: 'It cannot be: one of them is longer than it is inside.',
  search: 'It cannot be: every arrangement was tried.',
  'not found': 'No packing was found, which does not prove that there is none.',
};

/**
 * Settled here: whether all that is meant for a container goes into it, and in what order. What would annoy:
 * to find out on the slip, with everything laid out on the ground.
 * @param where where it is to go, as it is asked: "in", "in the bow hatch"
 */
export function PackPanel({ what, where }: { what: ToPack; where: string }) {
  const [state, setState] = useState<State>({ is: 'idle' });
  const worker = useWorker<PackWork>(
    () => new Worker(new URL('../../../workers/pack.worker.ts', import.meta.url), { type: 'module' }),
  );
  const start = async () => {
    setState({ is: 'packing' });
    const result = await worker.call().pack(what.container, what.boxes);
    setState({ is: 'packed', what, result });
  };
  if (what.boxes.length === 0) return null;
  if (what.boxes.length > MOST_BOXES)
    return (
      <Typography variant="body2" color="textSecondary" sx={{ mt: 1 }}>
        {capital(count(what.boxes.length))} things in it: more than {count(MOST_BOXES)} are not packed here.
      </Typography>
    );
  return (
    <Box sx={{ mt: 1 }}>
      {state.is === 'packing' ? (
        <Button
          onClick={() => {
            worker.stop();
            setState({ is: 'idle' });
          }}
        >
          Packing; stop
        </Button>
      ) : (
        <Button variant="outlined" onClick={() => void start()}>
          {state.is === 'packed' ? 'Pack it again' : `Does it all go ${where}?`}
        </Button>
      )}
      {state.is === 'packed' && <Packed {...state} />}
    </Box>
  );
}

function Packed({ what, result }: { what: ToPack; result: PackResult }) {
  const steps = packSteps(what.container, result.placed);
  const nameOf = (id: string) => what.itemOf.get(id)?.name ?? id;
  const [upTo, setUpTo] = useState(steps.length);
  const { xM, yM, zM } = what.container;
  return (
    <Box component="section" aria-label="How it is packed" sx={{ mt: 1 }}>
      <Typography role="status">
        {result.fits
          ? `All ${steps.length === 1 ? 'of it' : count(steps.length)} ${plural(steps.length, 'goes', 'go')} in, ${figure(result.fill * 100, 0)} % of the room.`
          : `${WHY[result.why ?? 'not found']} Left out: ${listed(result.unplaced.map(nameOf))}.`}
      </Typography>
      <Typography variant="body2" color="textSecondary">
        An estimate, from the sizes written with each thing and a room of {amount(xM, 'm', 2)} by{' '}
        {amount(yM, 'm', 2)} by {amount(zM, 'm', 2)}. What lies on top is taken out first, by “Among the
        rest”.
        {what.standing.length > 0 && ` Beside them stand: ${listed(what.standing.map(({ name }) => name))}.`}
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: 'minmax(0, 300px) minmax(0, 1fr)' },
          gap: 2,
          mt: 1,
          alignItems: 'start',
        }}
      >
        <Box>
          <FromAbove container={what.container} steps={steps.slice(0, upTo)} nameOf={nameOf} />
          {steps.length > 1 && (
            <Slider
              size="small"
              min={1}
              max={steps.length}
              value={upTo}
              onChange={(_, value) => setUpTo(value)}
              aria-label="So many put in"
              valueLabelDisplay="auto"
            />
          )}
        </Box>
        <Box component="ol" sx={{ m: 0, pl: 3 }}>
          {steps.map(({ box, where, lies }, i) => (
            <Box component="li" key={box.id} sx={{ opacity: i < upTo ? 1 : 0.5 }}>
              {nameOf(box.id)}
              <Typography component="span" variant="body2" color="textSecondary">
                {`: ${where}, ${lies}${box.zM < FLOOR_M ? '' : `, ${amount(box.zM, 'm', 2)} up`}`}
              </Typography>
            </Box>
          ))}
        </Box>
      </Box>
    </Box>
  );
}
const FLOOR_M = 0.005;
const WIDTH = 300;

/** The container seen from above, what was put in last uppermost. */
function FromAbove({
  container: { xM, yM },
  steps,
  nameOf,
}: {
  container: Container;
  steps: readonly PackStep[];
  nameOf: (id: string) => string;
}) {
  const { inks } = useTheme();
  const k = (WIDTH - 4) / xM;
  const height = yM * k + 4;
  const last = steps.at(-1);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      style={{ width: '100%', display: 'block' }}
      role="img"
      aria-label={`Seen from above, front below; ${count(steps.length)} in, the last ${last ? nameOf(last.box.id) : 'none'}`}
    >
      <rect x={2} y={2} width={xM * k} height={yM * k} fill={inks.paper} stroke={inks.ink} strokeWidth={2} />
      {steps.map(({ box }, i) => {
        const [x, y, w, h] = [2 + box.xM * k, 2 + box.yM * k, box.dxM * k, box.dyM * k];
        const isLast = i === steps.length - 1;
        return (
          <g key={box.id}>
            <rect
              x={x}
              y={y}
              width={w}
              height={h}
              fill={`color-mix(in srgb, ${isLast ? inks.ochre : inks.tide} ${isLast ? 35 : 14}%, ${inks.paper})`}
              stroke={inks.slate}
            />
            <text x={x + w / 2} y={y + h / 2 + 5} textAnchor="middle" fontSize={14} fill={inks.ink}>
              {i + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
