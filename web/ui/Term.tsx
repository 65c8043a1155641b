import Box from '@mui/material/Box';
import Tooltip from '@mui/material/Tooltip';
import type { ReactNode } from 'react';
import { type TermId, terms } from '#core/vocabulary/terms';

/** A word of the field that explains itself on focus, on hover and under a finger. */
export function Term({ id, children }: { id: TermId; children?: ReactNode }) {
  return (
    <Tooltip title={terms[id].means} describeChild enterTouchDelay={0} leaveTouchDelay={8000} arrow>
      <Box
        component="span"
        tabIndex={0}
        sx={{ textDecoration: 'underline dotted', textUnderlineOffset: '0.2em', cursor: 'help' }}
      >
        {children ?? terms[id].name}
      </Box>
    </Tooltip>
  );
}
