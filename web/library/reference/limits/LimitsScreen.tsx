import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { type Ceiling, ceilings, reachOf, stepWords } from '#core/exposures/ceilings';
import { buoyancyScale } from '#core/needs/buoyancyScale';
import { amount, distance, inWords } from '#core/units/amount';
import { capital, listed } from '#core/units/words';
import { useReferences } from '../../../documents/queries';

const columns: readonly { name: string; of: (one: Ceiling) => string }[] = [
  { name: 'wind', of: ({ windMps }) => amount(windMps, 'wind') },
  { name: 'gusts', of: ({ gustMps }) => amount(gustMps, 'wind') },
  { name: 'waves', of: ({ waveM }) => amount(waveM, 'm') },
  { name: 'breakers', of: ({ breakerM }) => amount(breakerM, 'm') },
  { name: 'stream', of: ({ streamMps }) => amount(streamMps, 'm/s') },
  {
    name: 'from ground',
    of: ({ shoreM }) => (Number.isFinite(shoreM) ? distance(shoreM) : 'by what is aboard'),
  },
];

/**
 * Settled here: how much weather and water is within my reach, and why it ends there. What would annoy: a
 * figure without its grounds.
 */
export function LimitsScreen() {
  const { references } = useReferences();
  const angler = references?.angler ?? null;
  const reach = angler && reachOf(angler, null, { solo: false, waterC: null });
  return (
    <Box sx={{ maxWidth: 900 }}>
      <Typography variant="h2">Weather and water by skill</Typography>
      <Typography sx={{ my: 1 }}>
        The usual coaching definitions of water, as rules of thumb. Past your own limit a Mind, past these a
        Stop that rests on judgement; limits of your own may be stricter, never laxer. Below them nothing is
        promised.
      </Typography>
      <TableContainer tabIndex={0} role="region" aria-label="Weather and water by skill, figures">
        <Table size="small">
          <TableHead>
            <TableRow>
              <TableCell>ends at</TableCell>
              {columns.map(({ name }) => (
                <TableCell key={name} align="right">
                  {name}
                </TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {ceilings.map((one) => (
              <TableRow key={one.name}>
                <TableCell component="th" scope="row">
                  {capital(one.name)}
                  {reach?.ceiling.name === one.name && (
                    <Box component="span" sx={{ color: 'primary.main', fontWeight: 700 }}>
                      {' '}
                      · yours
                    </Box>
                  )}
                </TableCell>
                {columns.map(({ name, of }) => (
                  <TableCell key={name} align="right" sx={{ whiteSpace: 'nowrap' }}>
                    {of(one)}
                  </TableCell>
                ))}
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </TableContainer>
      <Typography variant="body2" color="textSecondary" sx={{ mt: 1, mb: 3 }}>
        New to it: sheltered. Some experience: moderate. Experienced: advanced. A step lower each for{' '}
        {listed(Object.values(stepWords).map(inWords))}; for the wind, a step lower where it blows off the
        shore; for the surf, in the dark. Past the distance of one’s own water a Mind, past that of the next a
        Stop. Yours goes by experience and practice, set under{' '}
        <Link component={RouterLink} to="/settings/limits">
          Settings
        </Link>
        ; boat, company and water are counted with each outing.
      </Typography>
      <Typography variant="h2">Buoyancy, worn</Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, my: 1, p: 0 }}>
        {Object.values(buoyancyScale).map(({ newtons, when }) => (
          <Box component="li" key={newtons} sx={{ borderTop: 1, borderColor: 'divider', py: 0.75 }}>
            <b>{newtons} N</b>
            <Typography variant="body2">{capital(inWords(when))}.</Typography>
          </Box>
        ))}
      </Box>
      <Typography variant="body2" color="textSecondary">
        After what the classes of ISO 12402 are made for. Worn and fastened it counts, aboard it does not; it
        promises nothing by itself.
      </Typography>
    </Box>
  );
}
