import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { type ArrangedOuting, type Move, withMoves } from '#core/judgement/arranged';
import { sayPlace } from '#core/stow/say';
import { amount } from '#core/units/amount';
import { capital, count, figure, listed, plural } from '#core/units/words';
import type { ArrangeWork } from '../../../workers/arrange.worker';
import { useJob } from '../../../workers/useJob';
import { useOutingWorkspace } from '../../outingWorkspace';
import { JobPanel } from '../../JobPanel';
import { useStow } from './useStow';

const SEED = 1;

/**
 * Settled here: where things would better lie, so that the boat is level and what is needed is at hand. What
 * would annoy: a plan that moves everything, or moves what one has put there on purpose.
 */
export function ArrangePanel({ fishKg, onClose }: { fishKg: number; onClose: () => void }) {
  const { doc, references, answers, now, edit } = useOutingWorkspace();
  const { plan, names } = useStow();
  const search = useJob<ArrangeWork, ArrangedOuting | null>(
    () => new Worker(new URL('../../../workers/arrange.worker.ts', import.meta.url), { type: 'module' }),
    (remote) => remote.arrangedOuting(doc, references, answers, now, { seed: SEED, fishKg }),
  );
  const found = search.job.is === 'done' ? search.job.result : null;
  const thing = (itemId: string) => plan.byId.get(itemId)?.one.item.name ?? itemId;
  const place = (id: string) => sayPlace({ in: 'zone', id }, names);
  const make = (moves: readonly Move[]) => edit((outing) => withMoves(outing, references, moves));
  // What was moved meanwhile is not offered again.
  const open =
    found?.moves.filter(({ itemId, fromZone }) => plan.byId.get(itemId)?.zone?.id === fromZone) ?? [];
  return (
    <JobPanel
      {...search}
      label="Arranged"
      working="Looking for better places …"
      sayResult={(result) => sayFound(result, open.length)}
      changed={false}
      onClose={onClose}
      actions={
        open.length > 1 && (
          <Button size="small" variant="outlined" onClick={() => make(open)}>
            Move all {count(open.length)}
          </Button>
        )
      }
    >
      {found && (
        <>
          <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', columns: { sm: 2 }, columnGap: 3 }}>
            {open.map((move) => (
              <Box
                component="li"
                key={move.itemId}
                sx={{ display: 'flex', gap: 1, alignItems: 'center', breakInside: 'avoid' }}
              >
                <Typography variant="body2" sx={{ flex: 1 }}>
                  <strong>{thing(move.itemId)}</strong>: {place(move.toZone)}, now {place(move.fromZone)}
                </Typography>
                <Button
                  size="small"
                  aria-label={`Move ${thing(move.itemId)} ${place(move.toZone)}`}
                  onClick={() => make([move])}
                >
                  Move
                </Button>
              </Box>
            ))}
          </Box>
          <Typography variant="caption" color="textSecondary" component="p">
            {found.refused.length > 0 &&
              `Left where ${plural(found.refused.length, 'it is', 'they are')}, for something would be said of ${plural(found.refused.length, 'it', 'them')} in the margin: ${listed(found.refused.map(({ move }) => thing(move.itemId)))}. `}
            Rods and what is leashed, in use or on you stay. The moves were judged one after another in this
            order; one made out of turn is judged as you make it. An estimate, by the masses and places
            written down
            {found.gapPercent === null
              ? '.'
              : `; no plan of the same things can be more than ${figure(found.gapPercent, 0)} % better by this measure.`}
          </Typography>
        </>
      )}
    </JobPanel>
  );
}

function sayFound(found: ArrangedOuting | null, open: number): string {
  if (!found) return 'The boat comes to no rest as it is laden: there is nothing to arrange yet.';
  const { moves, before, after } = found;
  if (moves.length === 0) return 'Nothing would lie so much better that it is worth moving.';
  const trim = (deg: number) =>
    Math.abs(deg) < 0.05 ? 'level' : `${figure(Math.abs(deg))}° bow ${deg > 0 ? 'up' : 'down'}`;
  const heel = (deg: number | null) => (deg === null ? 'over' : `${figure(Math.abs(deg))}°`);
  const words = `trim ${trim(before.trimDeg)} to ${trim(after.trimDeg)}, heel ${heel(before.heelDeg)} to ${heel(after.heelDeg)}, GM ${amount(before.gmM, 'm', 2)} to ${amount(after.gmM, 'm', 2)}`;
  if (open === 0) return `Done: ${words}.`;
  return `${capital(count(moves.length))} ${plural(moves.length, 'thing')} would lie better: with all of them, ${words}.`;
}
