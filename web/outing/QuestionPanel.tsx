import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** A question about the outing, opened under the button that asks it: the answer in a line, then its parts. */
export function QuestionPanel({
  label,
  answer,
  actions,
  onClose,
  children,
}: {
  label: string;
  answer: ReactNode;
  actions?: ReactNode;
  onClose: () => void;
  children: ReactNode;
}) {
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{ border: 1, borderColor: 'text.primary', borderRadius: 1, p: 1.5, mb: 1 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, flexWrap: 'wrap' }}>
        <Typography role="status" sx={{ flex: 1, minWidth: 200 }}>
          {answer}
        </Typography>
        {actions}
        <Button size="small" onClick={onClose}>
          Close
        </Button>
      </Box>
      {children}
    </Box>
  );
}

/** A list of hours: the clock, what is then, and more about it; on a phone that stands below. */
export function HourList({ children }: { children: ReactNode }) {
  return (
    <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {children}
    </Box>
  );
}
export function HourLine({ clock, what, more }: { clock: string; what: ReactNode; more: ReactNode }) {
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '68px minmax(0, 1fr)', sm: '132px minmax(0, 1fr) minmax(0, 2fr)' },
        columnGap: 1.5,
        borderTop: 1,
        borderColor: 'divider',
        py: 0.5,
        fontSize: '0.92rem',
      }}
    >
      <b>{clock}</b>
      <Box>{what}</Box>
      <Box sx={{ gridColumn: { xs: 2, sm: 3 } }}>{more}</Box>
    </Box>
  );
}

/** A line of an answer with what can be done about it at its end. */
export const answerLine = {
  display: 'flex',
  gap: 1,
  alignItems: 'center',
  borderTop: 1,
  borderColor: 'divider',
  py: 0.25,
} as const;
