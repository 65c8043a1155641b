import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';

/** Shown for an address that leads nowhere. */
export function NotFoundScreen() {
  return (
    <Box component="main" sx={{ p: 4, maxWidth: 560 }}>
      <Typography variant="h1" sx={{ mb: 2 }}>
        Nothing is kept here
      </Typography>
      <Typography sx={{ mb: 2 }}>
        The address leads to no outing and no place. It may have been deleted.
      </Typography>
      <Link component={RouterLink} to="/outings">
        To the outings
      </Link>
    </Box>
  );
}
