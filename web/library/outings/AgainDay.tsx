import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { WhenField } from '../../ui/WhenField';

interface Props {
  title: string;
  /** @param date yyyy-mm-dd */
  onDay: (date: string) => void;
  onClose: () => void;
}

/** Asks on which other day an outing is to be made again. */
export function AgainDay({ title, onDay, onClose }: Props) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="again-day">
      <DialogTitle id="again-day">{title}, on which day?</DialogTitle>
      <DialogContent>
        <Box sx={{ pt: 1 }}>
          <WhenField
            kind="date"
            label="Day"
            value={null}
            nullable
            autoFocus
            onChange={(date) => date !== null && onDay(date)}
          />
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Cancel</Button>
      </DialogActions>
    </Dialog>
  );
}
