import Box from '@mui/material/Box';
import { Backups } from './Backups';
import { Bundle } from './Bundle';

/** Settled here: what is kept where, and how it gets elsewhere. */
export function DataScreen() {
  return (
    <Box sx={{ display: 'grid', gap: 5 }}>
      <Bundle />
      <Backups />
    </Box>
  );
}
