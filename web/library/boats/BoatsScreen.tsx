import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { onWater } from '#core/boat/drag';
import type { Craft } from '#core/documents/craft';
import { amount, mass } from '#core/units/amount';
import { capital, plural } from '#core/units/words';
import { Loaded } from '../../documents/Loaded';
import { useKept } from '../../documents/queries';
import { Page } from '../../ui/Page';
import { BoatDrawing } from '../../ui/boat/BoatDrawing';

/**
 * Settled here: which boat, and what it carries and does. What would annoy: rows of figures that look alike
 * for boats that do not.
 */
export function BoatsScreen() {
  const { data, error } = useKept();
  return (
    <Page
      title="Boats"
      lead="Each hull as it is, not as it was sold. The maker’s rating always wins over any sum here."
      action={
        <Button variant="contained" component={RouterLink} to="/boats/new">
          Add a boat
        </Button>
      }
    >
      <Loaded data={data} error={error}>
        {({ craft }) =>
          craft.length === 0 ? (
            <Typography>No boat yet. Add the one you take out most.</Typography>
          ) : (
            <Box
              component="ul"
              aria-label="Boats"
              sx={{
                listStyle: 'none',
                p: 0,
                m: 0,
                display: 'grid',
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
                columnGap: 4,
                rowGap: 3,
              }}
            >
              {craft.map(({ doc }) => (
                <OneOfThem key={doc.id} craft={doc} />
              ))}
            </Box>
          )
        }
      </Loaded>
    </Page>
  );
}

function OneOfThem({ craft }: { craft: Craft }) {
  const { cruiseMps } = onWater(craft, null);
  return (
    <Box component="li" sx={{ borderTop: 1, borderColor: 'text.primary', pt: 1, minWidth: 0 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, flexWrap: 'wrap' }}>
        <Typography variant="h2">
          <Link component={RouterLink} to={`/boats/${craft.id}`} sx={{ display: 'inline-block', py: 0.5 }}>
            {craft.name}
          </Link>
        </Typography>
        {craft.condition !== 'good' && <Box sx={{ color: 'error.main' }}>{craft.condition}</Box>}
      </Box>
      <BoatDrawing craft={craft} views={['above']} plain />
      <Typography variant="body2">
        {capital(craft.drive)}, {craft.hull}, {craft.deck}. {amount(craft.lengthM, 'm', 2)} by{' '}
        {amount(craft.beamM, 'm', 2)}, {mass(craft.massKg)} empty, rated for {mass(craft.ratedLoadKg)}.{' '}
        {amount(cruiseMps, 'm/s', 2)} held
        {craft.cruiseMps === null ? ', estimated' : ''}. {craft.inclined ? 'Inclined. ' : ''}
        {craft.outingsLogged} {plural(craft.outingsLogged, 'outing')}.
      </Typography>
    </Box>
  );
}
