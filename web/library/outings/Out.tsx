import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { sayStatus, whatToDo } from '#core/floatplan/status';
import { useNow } from '../../ui/useNow';
import { useOut } from './queries';

/** Who is out by the plans that were left, above all else: what is late or overdue cannot be missed. */
export function Out() {
  const { data } = useOut();
  const now = useNow();
  if (!data || data.out.length === 0) return null;
  return (
    <Box component="section" aria-label="Out now" sx={{ mb: 3, display: 'grid', gap: 1 }}>
      {data.out.map((one) => {
        const { outingId, title, state } = one;
        const said = sayStatus(one, one, now);
        const loud = state === 'late' || state === 'overdue';
        return (
          <Box
            key={outingId}
            role={loud ? 'alert' : 'status'}
            sx={{
              border: loud ? 3 : 1,
              borderColor: loud ? 'error.main' : 'text.primary',
              borderRadius: 1,
              p: 2,
            }}
          >
            <Typography variant="h2" color={loud ? 'error' : 'textPrimary'}>
              {said.title}
            </Typography>
            <Typography>
              <Link component={RouterLink} to={`/outings/${outingId}/leave-word`} color="textPrimary">
                {title}
              </Link>
              . {said.text}
            </Typography>
            {loud && (
              <Box component="ol" sx={{ m: 0, mt: 1, pl: 3 }}>
                {whatToDo(one, one, now).map((todo) => (
                  <li key={todo}>{todo}</li>
                ))}
              </Box>
            )}
          </Box>
        );
      })}
    </Box>
  );
}
