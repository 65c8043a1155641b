import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Species } from '#core/catalog/species/species';
import { kinds } from '#core/catalog/gear/kinds';
import type { Item } from '#core/documents/item';
import type { Rig } from '#core/documents/workings';
import { copiedRig, newRig, withRig, withoutRig } from '#core/editing/rigs';
import { type BuiltRig, buildRig } from '#core/tackle/builtRig';
import { rigPurposes } from '#core/vocabulary/knots';
import { capital } from '#core/units/words';
import { useToast } from '../../../ui/Toast';
import { useOutingWorkspace } from '../../outingWorkspace';
import { RigAsks } from './RigAsks';
import { RigDrawing } from './RigDrawing';
import { RigParts } from './RigParts';
import { RigSums } from './RigSums';
import { Nothing, Pick, Sheet } from './parts';
import { useTrial } from './trialContext';
import { screenOnly } from '../../../ui/screenOnly';

/** Each rod put together end to end; the weak part marked. */
export function RigsSheet() {
  const { outing, looked } = useTrial();
  const { edit } = useOutingWorkspace();
  const rods = looked.aboard
    .filter(({ item }) => kinds[item.kind].means.includes('rods'))
    .map(({ item }) => item);
  const bare = rods.filter((rod) => !outing.rigs.some((one) => one.rodId === rod.id));
  return (
    <Sheet
      title="Rigs"
      facts="each rod, end to end, from what is in the locker; strengths after their knots, a rule of thumb"
    >
      {rods.length === 0 && <Nothing>No rod is aboard. Put one in under Kit.</Nothing>}
      {outing.rigs.map((one) => (
        <OneRig key={one.id} built={buildRig(one, looked.items)} rods={rods} fish={looked.targets} />
      ))}
      <Box {...screenOnly} sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 2 }}>
        {bare.map((rod) => (
          <Button
            key={rod.id}
            variant="outlined"
            onClick={() => edit((now) => withRig(now, newRig(crypto.randomUUID(), rod, looked)))}
          >
            Rig {rod.name}
          </Button>
        ))}
      </Box>
    </Sheet>
  );
}

function OneRig({ built, rods, fish }: { built: BuiltRig; rods: readonly Item[]; fish: readonly Species[] }) {
  const { edit, editor } = useOutingWorkspace();
  const say = useToast();
  const { rig } = built;
  const set = (change: Partial<Rig>) => edit((now) => withRig(now, { ...rig, ...change }));
  return (
    <Box
      component="section"
      aria-label={rig.name}
      sx={{ borderTop: 1, borderColor: 'text.primary', py: 2, breakInside: 'avoid' }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, flexWrap: 'wrap' }}>
        <Box
          component="input"
          aria-label="Name of the rig"
          value={rig.name}
          maxLength={80}
          onChange={(event) => event.target.value.trim() !== '' && set({ name: event.target.value })}
          sx={{
            font: 'inherit',
            typography: 'h3',
            border: 0,
            borderBottom: '2px dotted',
            borderColor: 'divider',
            bgcolor: 'transparent',
            color: 'text.primary',
            minHeight: 36,
            flex: '1 1 200px',
            minWidth: 0,
          }}
        />
        <Pick
          label={`Purpose of ${rig.name}`}
          value={rig.purpose}
          options={rigPurposes.map((value) => ({ value, name: capital(value) }))}
          onPick={(purpose) => set({ purpose })}
        />
      </Box>
      <RigDrawing built={built} />
      <RigParts built={built} rods={rods} set={set} />
      <RigSums built={built} set={set} />
      <RigAsks built={built} fish={fish} />
      <Box {...screenOnly} sx={{ display: 'flex', gap: 1 }}>
        <Button onClick={() => edit((now) => withRig(now, copiedRig(rig, crypto.randomUUID())))}>
          Copy this rig
        </Button>
        <Button
          onClick={() => {
            edit((now) => withoutRig(now, rig.id));
            say(`Taken apart: ${rig.name}.`, { name: 'Undo', run: editor.undo });
          }}
        >
          Take it apart
        </Button>
      </Box>
      {built.parts.length === 0 && (
        <Typography color="textSecondary">
          Choose line and leader: their strengths stand on the items.
        </Typography>
      )}
    </Box>
  );
}
