import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Species } from '#core/catalog/species/species';
import { sayTackle } from '#core/catalog/species/sayTackle';
import { type BuiltRig, techniqueOf } from '#core/tackle/builtRig';
import { capital } from '#core/units/words';

/** What each fish of the outing asks of a rig, in the way it fishes: usual practice, to hold the rig against. */
export function RigAsks({ built, fish }: { built: BuiltRig; fish: readonly Species[] }) {
  const technique = techniqueOf(built);
  if (technique === null || fish.length === 0) return null;
  return (
    <Box component="details" sx={{ mt: 1 }}>
      <Box component="summary" sx={{ cursor: 'pointer', minHeight: 36, color: 'text.secondary' }}>
        What {fish.map(({ name }) => name).join(' and ')} {fish.length === 1 ? 'asks' : 'ask'} of it,{' '}
        {technique}
      </Box>
      {fish.map((one) => (
        <Typography key={one.id} sx={{ mt: 0.5 }}>
          <b>{capital(one.name)}.</b> {sayTackle(one, technique)}
        </Typography>
      ))}
      <Typography variant="caption" color="textSecondary">
        Usual practice, rounded: a start, and no rule.
      </Typography>
    </Box>
  );
}
