import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { ApiError } from './api';

interface Props<T> {
  data: T | undefined;
  error: unknown;
  children: (data: T) => ReactNode;
}

/** What was asked for; until it is there a word that it is on its way, and why when it does not come. */
export function Loaded<T>({ data, error, children }: Props<T>) {
  if (data !== undefined) return children(data);
  return (
    <Box role="status" sx={{ p: 4 }}>
      <Typography color="textSecondary">
        {error instanceof ApiError ? `${error.message} Trying again every few seconds.` : 'Reading.'}
      </Typography>
    </Box>
  );
}
