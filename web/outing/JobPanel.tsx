import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import type { Job } from '../workers/useJob';

interface Props<Result> {
  label: string;
  job: Job<Result>;
  /** What is said while it is worked out. */
  working: string;
  /** What is said of the result. */
  sayResult: (result: Result) => string;
  again: () => void;
  /** Whether the outing was changed since the result. */
  changed: boolean;
  stop: () => void;
  onClose: () => void;
  /** Further buttons, once there is a result. */
  actions?: ReactNode;
  children: ReactNode;
}

/** A question about the whole outing, asked in a press and answered by a worker. */
export function JobPanel<Result>(props: Props<Result>) {
  const { label, job, working, sayResult, again, changed, stop, onClose, actions, children } = props;
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{ border: 1, borderColor: 'text.primary', borderRadius: 1, p: 1.5, mb: 1 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, flexWrap: 'wrap' }}>
        <Typography role="status" sx={{ flex: 1, minWidth: 200 }}>
          {job.is === 'working' && working}
          {job.is === 'stopped' && 'Stopped.'}
          {job.is === 'failed' && 'The program failed at this. Nothing was changed; look again.'}
          {job.is === 'done' && sayResult(job.result)}
        </Typography>
        {job.is === 'working' ? (
          <Button size="small" onClick={stop}>
            Stop
          </Button>
        ) : (
          <Button size="small" onClick={again}>
            {job.is === 'done' && changed ? 'Changed since: look again' : 'Look again'}
          </Button>
        )}
        {job.is === 'done' && actions}
        <Button size="small" onClick={onClose}>
          Close
        </Button>
      </Box>
      {job.is === 'done' && children}
    </Box>
  );
}
