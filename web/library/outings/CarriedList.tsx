import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { dayInWords } from '#core/units/time';
import { useReach } from '../../offline/reach';
import { useCarriedList } from '../../offline/useCarried';

/** What is on this device, while the server does not answer. */
export function CarriedList() {
  const reached = useReach();
  const list = useCarriedList();
  if (reached) return null;
  return (
    <Box component="section" aria-label="On this device" sx={{ mb: 3 }}>
      <Typography variant="h2">No network</Typography>
      <Typography color="textSecondary">
        {list.length === 0
          ? 'No outing is carried on this device. What was open stays open; nothing else can be read until the server answers.'
          : 'These are carried on this device. What you answer and change is kept here, and sent when the server answers.'}
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, mt: 1, p: 0 }}>
        {list.map(({ outingId, title, date }) => (
          <Box component="li" key={outingId} sx={{ borderTop: 1, borderColor: 'divider', py: 1.5 }}>
            <Link
              component={RouterLink}
              to={`/outings/${outingId}/walk-round`}
              color="textPrimary"
              sx={{ fontSize: '1.2rem' }}
            >
              {title}
            </Link>
            <Typography color="textSecondary">{dayInWords(date)}</Typography>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
