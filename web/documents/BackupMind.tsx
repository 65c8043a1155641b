import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { LevelMark } from '../ui/LevelMark';
import type { BackupState } from './backups';

/** A week without a backup is minded, and an attempt in vain is said. */
export function BackupMind({ state, children }: { state: BackupState; children?: ReactNode }) {
  if (!state.minded && state.trouble === '') return null;
  return (
    <Box role="alert" sx={{ display: 'flex', gap: 1, alignItems: 'baseline', mb: 1 }}>
      <LevelMark level="mind" />
      <Typography>
        {state.minded && <b>No backup for a week. </b>}
        {state.trouble} {children}
      </Typography>
    </Box>
  );
}
