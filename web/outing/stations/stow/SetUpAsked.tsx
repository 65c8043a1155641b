import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import type { SetUp } from '#core/documents/boatParts';
import { putTogether } from '#core/documents/references';
import { planOf } from '#core/stow/plan';
import { changesBetween } from '#core/stow/say';
import { useOutingWorkspace } from '../../outingWorkspace';
import { useStow } from './useStow';

const MOST_LINES = 12;

/** What a set-up would change, before it is put on. */
export function SetUpAsked({
  asked,
  onApply,
  onClose,
}: {
  asked: SetUp;
  onApply: () => void;
  onClose: () => void;
}) {
  const differences = useDifferences(asked);
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs">
      <DialogTitle>{asked.name}</DialogTitle>
      <DialogContent>
        <Typography>
          {differences.length === 0
            ? asked.stow
              ? 'Everything lies there as it lies now.'
              : 'It has no plan of its own: everything stays where it is.'
            : 'What would lie elsewhere:'}
        </Typography>
        <ul>
          {differences.slice(0, MOST_LINES).map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
        {differences.length > MOST_LINES && (
          <Typography>And {differences.length - MOST_LINES} more.</Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button variant="contained" onClick={onApply}>
          Put it so
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function useDifferences(setUp: SetUp): string[] {
  const { doc, references } = useOutingWorkspace();
  const { boarded, plan, names } = useStow();
  const whole = references.craft.find(({ id }) => id === boarded.craft.id) ?? null;
  const other = putTogether(whole, setUp.id);
  if (!other) return [];
  const there = planOf(
    { aboard: boarded.aboard, craft: other, angler: boarded.angler, stow: setUp.stow ?? doc.stow },
    plan.mode,
  );
  return changesBetween(plan, there, names);
}
