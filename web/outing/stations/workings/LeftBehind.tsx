import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useBlocker } from 'react-router';
import type { Attempt } from '#core/editing/trial';
import { plural } from '#core/units/words';
import { ApiError } from '../../../documents/api';
import { useOutingWorkspace } from '../../outingWorkspace';
import { useKeeping } from './useKeeping';

/**
 * Settled here: whether a number that was only tried is meant. What would annoy: losing it without a word, or
 * being asked between sheets.
 */
export function LeftBehind({ changes, onDone }: { changes: readonly Attempt[]; onDone: () => void }) {
  const { doc } = useOutingWorkspace();
  const { say, keep } = useKeeping();
  const [trouble, setTrouble] = useState<string | null>(null);
  const sheets = `/outings/${doc.id}/workings`;
  const blocker = useBlocker(
    ({ nextLocation }) => changes.length > 0 && !nextLocation.pathname.startsWith(sheets),
  );
  if (blocker.state !== 'blocked') return null;
  // Let go here and now: these sheets may stay on screen until the next one has come, and one may turn back
  // to them.
  const leave = () => {
    onDone();
    blocker.proceed();
  };
  const keepAll = async () => {
    setTrouble(null);
    try {
      for (const change of changes) await keep(change);
      leave();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setTrouble(error.message);
    }
  };
  return (
    <Dialog open aria-labelledby="left-behind" onClose={() => blocker.reset()} fullWidth maxWidth="sm">
      <DialogTitle id="left-behind">Keep or let go?</DialogTitle>
      <DialogContent>
        <Typography>
          {plural(changes.length, 'A number was', 'Numbers were')} tried and not kept. The judgement goes by
          what is kept.
        </Typography>
        <ul>
          {changes.map((change) => (
            <li key={say(change).what}>
              {say(change).what}, {say(change).where}
            </li>
          ))}
        </ul>
        {trouble && (
          <Alert severity="warning" variant="outlined">
            {trouble}
          </Alert>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={() => blocker.reset()}>Stay</Button>
        <Button onClick={leave}>Let go</Button>
        <Button variant="contained" autoFocus onClick={() => void keepAll()}>
          Keep
        </Button>
      </DialogActions>
    </Dialog>
  );
}
