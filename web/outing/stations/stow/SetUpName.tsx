import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useState } from 'react';

/** What one calls a plan that is kept with a boat. */
export function SetUpName({
  craft,
  onName,
  onClose,
}: {
  craft: string;
  onName: (name: string) => void;
  onClose: () => void;
}) {
  const [name, setName] = useState('');
  const whole = name.trim().slice(0, 80);
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (whole !== '') onName(whole);
        }}
      >
        <DialogTitle>Keep this plan with {craft}</DialogTitle>
        <DialogContent>
          <TextField
            autoFocus
            fullWidth
            label="What you call it"
            placeholder="Flush for surf"
            value={name}
            onChange={(event) => setName(event.target.value)}
            sx={{ mt: 1 }}
          />
        </DialogContent>
        <DialogActions>
          <Button onClick={onClose}>Leave it</Button>
          <Button type="submit" variant="contained" disabled={whole === ''}>
            Keep
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
