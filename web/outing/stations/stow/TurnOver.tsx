import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { sayFinding } from '#core/judgement/allRules';
import { catalogue } from '#core/needs/catalogue';
import { type Fate, afterRoll, fateOf, lostWithFish } from '#core/stow/roll';
import { isPlain, sayLies } from '#core/stow/say';
import { mass } from '#core/units/amount';
import { capital, count, listed, plural } from '#core/units/words';
import { modeWords } from '#core/vocabulary/stow';
import { useOutingWorkspace } from '../../outingWorkspace';
import { useStow } from './useStow';

const order: readonly Fate[] = ['sinks', 'floats away', 'hangs', 'stays'];
const titles: Record<Fate, string> = {
  sinks: 'Sinks',
  'floats away': 'Floats away',
  hangs: 'Hangs on its leash',
  stays: 'Stays where it is',
};
const MOST = 14;

/**
 * Settled here: the boat turns over, here, now: what is left, and what can still be done. What would annoy:
 * to learn it in the water.
 */
export function TurnOver({ onClose }: { onClose: () => void }) {
  const { plan, mode } = useStow();
  const { assessment } = useOutingWorkspace();
  const things = plan.things.filter(
    (placed) => placed.lies.in !== 'vehicle' && placed.one.entry.carriedBy === null && !isPlain(placed),
  );
  const losses = assessment.findings.filter(({ facts }) => facts.code === 'roll-loses');
  const lost = new Set(losses.map(({ key }) => key.replace('roll-loses:', '')));
  const still = assessment.needs
    .filter(({ id, counted }) => afterRoll.includes(id) && counted > 0 && !lost.has(id))
    .map(({ id }) => catalogue[id].title.toLowerCase());
  const lostKg = things
    .filter((placed) => fateOf(placed) === 'sinks' || fateOf(placed) === 'floats away')
    .reduce((sum, { one: { item, entry } }) => sum + item.massKg * entry.quantity, 0);
  const { keepKg } = assessment.exposures;
  const withFish = keepKg > 0 ? lostWithFish(plan).map(({ one }) => one.item.name) : [];
  return (
    <Box
      component="section"
      aria-label="Turned over"
      sx={{ border: 1, borderColor: 'text.primary', borderRadius: 1, p: 1.5, mt: 1.5 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Typography variant="h3" component="h3" sx={{ flex: 1 }}>
          Turned over, {modeWords[mode]}
        </Typography>
        <Button size="small" onClick={onClose}>
          Right it
        </Button>
      </Box>
      <Typography>
        {lostKg === 0 ? 'Nothing is lost.' : `${mass(lostKg)} of gear is gone.`}{' '}
        {losses.map(({ facts }) => sayFinding(facts).text).join(' ')}
        {withFish.length > 0 && ` With ${listed(withFish)} the fish kept are gone, about ${mass(keepKg)}.`}
        {still.length > 0 && ` What is left still meets: ${listed(still)}.`}
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: 'repeat(4, minmax(0, 1fr))' },
          gap: 2,
          mt: 1,
        }}
      >
        {order.map((fate) => {
          const list = things.filter((placed) => fateOf(placed) === fate);
          return (
            <Box key={fate}>
              <Typography
                sx={{
                  fontWeight: 700,
                  color:
                    list.length > 0 && (fate === 'sinks' || fate === 'floats away')
                      ? 'error.main'
                      : 'text.primary',
                }}
              >
                {titles[fate]}: {count(list.length)}
              </Typography>
              {fate !== 'stays' && (
                <Box component="ul" sx={{ m: 0, pl: 2 }}>
                  {list.slice(0, MOST).map(({ one, lies }) => (
                    <li key={one.item.id}>
                      {one.item.name}
                      <Typography component="span" variant="caption" color="textSecondary">
                        {' '}
                        {sayLies(lies)}
                      </Typography>
                    </li>
                  ))}
                </Box>
              )}
              {list.length > MOST && fate !== 'stays' && (
                <Typography variant="caption">
                  {capital(count(list.length - MOST))} more {plural(list.length - MOST, 'thing')}.
                </Typography>
              )}
            </Box>
          );
        })}
      </Box>
      <Typography variant="caption" color="textSecondary" component="p" sx={{ mt: 1 }}>
        By where each thing lies and what holds it; a cord that is slack, or a lid that is not pressed, holds
        nothing.
      </Typography>
    </Box>
  );
}
