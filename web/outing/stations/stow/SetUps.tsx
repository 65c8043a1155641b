import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { Suspense, lazy, memo, useState } from 'react';
import { setUpOf } from '#core/boat/build';
import type { SetUp } from '#core/documents/boatParts';
import { withPlanKept, withSetUpApplied } from '#core/editing/stow';
import { ApiError } from '../../../documents/api';
import { referenceStore } from '../../../documents/ReferenceStore';
import { useDocuments } from '../../../documents/queries';
import { useToast } from '../../../ui/Toast';
import { useOutingWorkspace } from '../../outingWorkspace';
import { useStow } from './useStow';

const SetUpAsked = lazy(async () => ({ default: (await import('./SetUpAsked')).SetUpAsked }));
const SetUpName = lazy(async () => ({ default: (await import('./SetUpName')).SetUpName }));

/**
 * Settled here: whether the whole plan is one that the boat has been in before. What would annoy: to lose
 * this one by trying that one.
 */
export const SetUps = memo(function SetUps() {
  const { doc, edit, editor } = useOutingWorkspace();
  const { boarded } = useStow();
  const say = useToast();
  const boats = useDocuments('craft');
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [asked, setAsked] = useState<SetUp | null>(null);
  const [naming, setNaming] = useState(false);
  const { craft } = boarded;
  const now = setUpOf(craft);
  const apply = (setUp: SetUp) => {
    setAsked(null);
    edit((outing) => withSetUpApplied(outing, setUp));
    say(`It goes as ${setUp.name}.`, { name: 'Undo', run: editor.undo });
  };
  const keep = async (id: string, name: string) => {
    setNaming(false);
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
  return (
    <>
      <Button
        variant="outlined"
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="menu"
        aria-label={`Set-up: ${now.name}`}
        sx={{ px: 1 }}
      >
        {now.name}
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
            setNaming(true);
          }}
        >
          Keep this plan as another …
        </MenuItem>
      </Menu>
      {asked && (
        <Suspense fallback={null}>
          <SetUpAsked asked={asked} onApply={() => apply(asked)} onClose={() => setAsked(null)} />
        </Suspense>
      )}
      {naming && (
        <Suspense fallback={null}>
          <SetUpName
            craft={craft.name}
            onName={(name) => void keep(crypto.randomUUID(), name)}
            onClose={() => setNaming(false)}
          />
        </Suspense>
      )}
    </>
  );
});
