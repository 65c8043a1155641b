import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { memo, useState } from 'react';
import { setUpOf } from '#core/boat/build';
import type { SetUp } from '#core/documents/boatParts';
import { putTogether } from '#core/documents/references';
import { withPlanKept, withSetUpApplied } from '#core/editing/stow';
import { planOf } from '#core/stow/plan';
import { changesBetween } from '#core/stow/say';
import { ApiError } from '../../../documents/api';
import { referenceStore } from '../../../documents/ReferenceStore';
import { useDocuments } from '../../../documents/queries';
import { useToast } from '../../../ui/Toast';
import { useOutingWorkspace } from '../../outingWorkspace';
import { useStow } from './useStow';

const MOST_LINES = 12;

/**
 * Settled here: whether the whole plan is one that the boat has been in before. What would annoy: to lose
 * this one by trying that one.
 */
export const SetUps = memo(function SetUps() {
  const { doc, edit, editor, references } = useOutingWorkspace();
  const { boarded, plan, names } = useStow();
  const say = useToast();
  const boats = useDocuments('craft');
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [asked, setAsked] = useState<SetUp | null>(null);
  const [naming, setNaming] = useState<string | null>(null);
  const { craft } = boarded;
  const now = setUpOf(craft);
  const apply = (setUp: SetUp) => {
    setAsked(null);
    edit((outing) => withSetUpApplied(outing, setUp));
    say(`It goes as ${setUp.name}.`, { name: 'Undo', run: editor.undo });
  };
  const keep = async (id: string, name: string) => {
    setNaming(null);
    const kept = (await referenceStore.read()).craft.find((one) => one.doc.id === craft.id);
    if (!kept) return;
    try {
      await boats.put(withPlanKept(kept.doc, doc.stow, { id, name }, now), kept.version);
      edit((outing) => ({ ...outing, brief: { ...outing.brief, setUpId: id } }));
      say(`Kept with ${craft.name}: ${name}.`);
    } catch (failure) {
      if (!(failure instanceof ApiError)) throw failure;
      say(`Not kept. ${[failure.message, ...failure.fields.map(({ message }) => message)].join(' ')}`);
    }
  };
  const differences = asked ? differenceTo(asked) : [];
  function differenceTo(setUp: SetUp): string[] {
    const whole = references.craft.find(({ id }) => id === craft.id) ?? null;
    const other = putTogether(whole, setUp.id);
    if (!other) return [];
    const there = planOf(
      { aboard: boarded.aboard, craft: other, angler: boarded.angler, stow: setUp.stow ?? doc.stow },
      plan.mode,
    );
    return changesBetween(plan, there, names);
  }
  return (
    <>
      <Button variant="outlined" onClick={(event) => setAnchor(event.currentTarget)} aria-haspopup="menu">
        Set-up: {now.name}
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)}>
        {craft.setUps.map((one) => (
          <MenuItem
            key={one.id}
            selected={one.id === now.id}
            onClick={() => {
              setAnchor(null);
              setAsked(one);
            }}
          >
            {one.name}
            <Typography component="span" variant="caption" color="textSecondary" sx={{ ml: 1 }}>
              {one.stow ? `${one.stow.things.length} placed` : 'no plan yet'}
            </Typography>
          </MenuItem>
        ))}
        {craft.setUps.length > 0 && <Divider />}
        {now.id !== 'bare' || craft.setUps.some(({ id }) => id === 'bare') ? (
          <MenuItem
            onClick={() => {
              setAnchor(null);
              void keep(now.id, now.name);
            }}
          >
            Keep this plan as {now.name}
          </MenuItem>
        ) : null}
        <MenuItem
          onClick={() => {
            setAnchor(null);
            setNaming('');
          }}
        >
          Keep this plan as another …
        </MenuItem>
      </Menu>
      {asked && (
        <Dialog open onClose={() => setAsked(null)} fullWidth maxWidth="xs">
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
            <Button onClick={() => setAsked(null)}>Leave it</Button>
            <Button variant="contained" onClick={() => apply(asked)}>
              Put it so
            </Button>
          </DialogActions>
        </Dialog>
      )}
      {naming !== null && (
        <Dialog open onClose={() => setNaming(null)} fullWidth maxWidth="xs">
          <form
            onSubmit={(event) => {
              event.preventDefault();
              if (naming.trim() !== '') void keep(crypto.randomUUID(), naming.trim().slice(0, 80));
            }}
          >
            <DialogTitle>Keep this plan with {craft.name}</DialogTitle>
            <DialogContent>
              <TextField
                autoFocus
                fullWidth
                label="What you call it"
                placeholder="Flush for surf"
                value={naming}
                onChange={(event) => setNaming(event.target.value)}
                sx={{ mt: 1 }}
              />
            </DialogContent>
            <DialogActions>
              <Button onClick={() => setNaming(null)}>Leave it</Button>
              <Button type="submit" variant="contained" disabled={naming.trim() === ''}>
                Keep
              </Button>
            </DialogActions>
          </form>
        </Dialog>
      )}
    </>
  );
});
