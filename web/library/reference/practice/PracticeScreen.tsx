import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { practice, reasonFor, schoolIds } from '#core/needs/practice';
import { capital } from '#core/units/words';
import { useReferences } from '../../../documents/queries';
import { inWords } from '#core/units/amount';

/**
 * Settled here: which school is mine, and what it changes. What would annoy: being told that one of them is
 * wrong.
 */
export function PracticeScreen() {
  const { references } = useReferences();
  const own = references?.angler?.schools;
  return (
    <Box sx={{ maxWidth: 820 }}>
      <Typography sx={{ mb: 2 }}>
        On these, people who know the work differ, and each side has its reason. Yours is marked; it is chosen
        under{' '}
        <Link component={RouterLink} to="/settings/limits">
          Settings
        </Link>
        .
      </Typography>
      {schoolIds.map((id) => (
        <Box component="section" key={id} aria-label={practice[id].question} sx={{ mb: 3 }}>
          <Typography variant="h2">{practice[id].question}</Typography>
          <Box component="ul" sx={{ listStyle: 'none', m: 0, my: 1, p: 0 }}>
            {Object.keys(practice[id].answers).map((answer) => (
              <Box component="li" key={answer} sx={{ borderTop: 1, borderColor: 'divider', py: 0.75 }}>
                <b>{capital(answer)}</b>
                {own?.[id] === answer && (
                  <Box component="span" sx={{ color: 'primary.main', fontWeight: 700 }}>
                    {' '}
                    · yours
                  </Box>
                )}
                <Typography variant="body2">{reasonFor(id, answer)}</Typography>
              </Box>
            ))}
          </Box>
          <Typography variant="body2" color="textSecondary">
            Here: {inWords(practice[id].here)}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}
