import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink, useRouteError } from 'react-router';

/** Shown for an address that leads nowhere, and where a screen failed. */
export function Lost() {
  const error = useRouteError();
  return (
    <Box component="main" sx={{ p: 4, maxWidth: 560 }}>
      <Typography variant="h1" sx={{ mb: 2 }}>
        {error ? 'This screen failed' : 'Nothing is kept here'}
      </Typography>
      <Typography sx={{ mb: 2 }}>
        {error
          ? 'What you wrote is kept. Load the screen again; if it fails again, start the server anew.'
          : 'The address leads to no outing and no place. It may have been deleted.'}
      </Typography>
      {error ? (
        <Button variant="contained" onClick={() => window.location.reload()}>
          Load again
        </Button>
      ) : (
        <Link component={RouterLink} to="/outings">
          To the outings
        </Link>
      )}
    </Box>
  );
}
