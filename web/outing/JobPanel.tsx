import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import type { Job } from '../workers/useJob';
import { QuestionPanel } from './QuestionPanel';

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
  const answer = {
    working,
    stopped: 'Stopped.',
    failed: 'The program failed at this. Nothing was changed; look again.',
    done: job.is === 'done' ? sayResult(job.result) : '',
  }[job.is];
  return (
    <QuestionPanel
      label={label}
      answer={answer}
      onClose={onClose}
      actions={
        <>
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
        </>
      }
    >
      {job.is === 'done' && children}
    </QuestionPanel>
  );
}
