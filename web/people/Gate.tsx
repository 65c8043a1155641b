import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** The plain sheet on which somebody comes in. */
export function Gate({ title, lead, children }: { title: string; lead: ReactNode; children: ReactNode }) {
  return (
    <Box
      component="main"
      sx={{ maxWidth: 460, mx: 'auto', px: 2, py: { xs: 4, sm: 10 }, display: 'grid', gap: 2 }}
    >
      <title>{`${title} · Unhurried Tally`}</title>
      <Typography variant="h1">{title}</Typography>
      <Typography color="textSecondary">{lead}</Typography>
      {children}
    </Box>
  );
}
