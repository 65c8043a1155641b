import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { sayPlace } from '#core/documents/fieldWords';
import type { KindName } from '#core/documents/registry';
import { capital } from '#core/units/words';
import type { Saving } from './DocumentEditor';

interface Props {
  kind: KindName;
  saving: Saving;
  settle: (whose: 'mine' | 'theirs') => void;
}

/**
 * Two windows changed the same thing differently: both are shown, and one is chosen. The other is one undo
 * away.
 */
export function ConflictDialog({ kind, saving, settle }: Props) {
  if (saving.is !== 'conflict') return null;
  return (
    <Dialog open aria-labelledby="conflict-title" maxWidth="sm" fullWidth>
      <DialogTitle id="conflict-title">Changed in two windows</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 1 }}>
          Everything else from both windows is kept. These were changed in both, each differently:
        </Typography>
        <Table size="small">
          <TableHead>
            <TableRow>
              <TableCell>What</TableCell>
              <TableCell>Here</TableCell>
              <TableCell>In the other window</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {saving.conflicts.map((conflict) => (
              <TableRow key={conflict.path.join('.')}>
                <TableCell component="th" scope="row">
                  {capital(sayPlace(kind, conflict.path))}
                </TableCell>
                <TableCell>{shown(conflict.mine)}</TableCell>
                <TableCell>{shown(conflict.theirs)}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button variant="outlined" onClick={() => settle('theirs')}>
          Take the other window’s
        </Button>
        <Button variant="contained" onClick={() => settle('mine')}>
          Keep mine
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function shown(value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (Array.isArray(value)) return value.length === 0 ? 'nothing' : value.map(shown).join(', ');
  if (typeof value === 'object') return Object.values(value).map(shown).join(' · ');
  return String(value);
}
