import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** A place's heading, its main action, and its content. */
export function Page({
  title,
  lead,
  action,
  children,
}: {
  title: string;
  lead?: string;
  action?: ReactNode;
  children: ReactNode;
}) {
  return (
    <Box component="main" sx={{ px: { xs: 2, sm: 3 }, py: 2, maxWidth: 1180, width: '100%' }}>
      <title>{`${title} · Unhurried Tally`}</title>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 2, mb: 2 }}>
        <Box sx={{ flex: 1, minWidth: 200 }}>
          <Typography variant="h1">{title}</Typography>
          {lead && <Typography color="textSecondary">{lead}</Typography>}
        </Box>
        {action}
      </Box>
      {children}
    </Box>
  );
}
