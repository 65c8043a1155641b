import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { kinds } from '#core/catalog/gear/kinds';
import type { Item } from '#core/documents/item';
import type { Rig } from '#core/documents/workings';
import { copiedRig, newRig, withRig, withoutRig } from '#core/editing/rigs';
import { type BuiltRig, buildRig } from '#core/tackle/builtRig';
import { connections, knotIds, knots, rigPurposes } from '#core/vocabulary/knots';
import { capital, figure, mass } from '#core/units/words';
import { useToast } from '../../../ui/Toast';
import { useDesk } from '../../desk';
import { RigDrawing } from './RigDrawing';
import { InPlace, Nothing, Pick, Sheet, Sum } from './parts';
import { useTrial } from './trialContext';
import { screenOnly } from '../../../ui/screenOnly';
import { Term } from '../../../ui/Term';

/** Each rod put together end to end; the weak part marked. */
export function RigsSheet() {
  const { outing, looked } = useTrial();
  const { edit } = useDesk();
  const rods = looked.aboard.filter(({ item }) => kinds[item.kind].means.includes('rods')).map(({ item }) => item);
  const bare = rods.filter((rod) => !outing.rigs.some((one) => one.rodId === rod.id));
  return (
    <Sheet
      title="Rigs"
      facts="each rod, end to end, from what is in the locker; strengths after their knots, a rule of thumb"
    >
      {rods.length === 0 && <Nothing>No rod is aboard. Put one in under Kit.</Nothing>}
      {outing.rigs.map((one) => (
        <OneRig key={one.id} built={buildRig(one, looked.items)} rods={rods} />
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

function OneRig({ built, rods }: { built: BuiltRig; rods: readonly Item[] }) {
  const { references, looked } = useTrial();
  const { edit, editor } = useDesk();
  const say = useToast();
  const { rig } = built;
  const set = (change: Partial<Rig>) => edit((now) => withRig(now, { ...rig, ...change }));
  const owned = (fits: (item: Item) => boolean) =>
    references.items.filter(fits).map((item) => ({ value: item.id, name: `${item.name}${strength(item)}` }));
  const none = { value: '', name: 'none' };
  const lines = owned(({ kind }) => kind === 'braid' || kind === 'mono' || kind === 'fly-line');
  const leaders = owned(({ kind }) => kinds[kind].means.includes('leader'));
  const clips = owned(({ kind }) => kind === 'snaps' || kind === 'swivels');
  const lures = owned(({ kind }) => kinds[kind].means.some((id) => id === 'lures' || id === 'terminal'));
  const reels = owned(({ kind }) => kind === 'reel');
  const knotOptions = knotIds.map((value) => ({ value, name: knots[value].name }));
  const run = Math.max(0, ...looked.targets.map((one) => one.runM));
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
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '90px minmax(0, 1fr)', sm: '110px minmax(0, 1fr)' },
          columnGap: 2,
          rowGap: 0.5,
          alignItems: 'center',
        }}
      >
        <span>rod</span>
        <Pick
          label={`Rod of ${rig.name}`}
          value={rig.rodId ?? ''}
          options={[none, ...rods.map((rod) => ({ value: rod.id, name: rod.name }))]}
          onPick={(id) => set({ rodId: id || null })}
        />
        <span>reel</span>
        <Pick
          label={`Reel of ${rig.name}`}
          value={rig.reelId ?? ''}
          options={[{ value: '', name: 'the rod’s own' }, ...reels]}
          onPick={(id) => set({ reelId: id || null })}
        />
        <span>main line</span>
        <Pick
          label={`Main line of ${rig.name}`}
          value={rig.mainId ?? ''}
          options={[none, ...lines]}
          onPick={(id) => set({ mainId: id || null })}
        />
        <span>its knot</span>
        <Pick
          label={`Knot of the main line of ${rig.name}`}
          value={rig.mainKnot}
          options={knotOptions}
          onPick={(mainKnot) => set({ mainKnot })}
        />
        <span>
          <Term id="leader" />
        </span>
        <span>
          <Pick
            label={`Leader of ${rig.name}`}
            value={rig.leaderId ?? ''}
            options={[none, ...leaders]}
            onPick={(id) => set({ leaderId: id || null })}
          />{' '}
          <RigNumber
            label={`Length of the leader of ${rig.name}`}
            value={rig.leaderM}
            unit="m"
            most={20}
            onChange={(leaderM) => set({ leaderM })}
          />
        </span>
        <span>its knot</span>
        <Pick
          label={`Knot of the leader of ${rig.name}`}
          value={rig.leaderKnot}
          options={knotOptions}
          onPick={(leaderKnot) => set({ leaderKnot })}
        />
        <span>tied</span>
        <span>
          <Pick
            label={`How the lure of ${rig.name} hangs on`}
            value={rig.connection}
            options={connections.map((value) => ({ value, name: value }))}
            onPick={(connection) =>
              set({ connection, clipId: connection === 'direct' ? null : (rig.clipId ?? clips[0]?.value ?? null) })
            }
          />{' '}
          {rig.connection !== 'direct' && (
            <Pick
              label={`Snap or swivel of ${rig.name}`}
              value={rig.clipId ?? ''}
              options={[none, ...clips]}
              onPick={(id) => set({ clipId: id || null })}
            />
          )}
        </span>
        <span>lure</span>
        <span>
          <Pick
            label={`Lure of ${rig.name}`}
            value={rig.lureId ?? ''}
            options={[none, ...lures]}
            onPick={(id) => set({ lureId: id || null, lureG: null })}
          />{' '}
          {built.lureG !== null && (
            <RigNumber
              label={`Mass of the lure of ${rig.name}`}
              value={built.lureG}
              unit="g"
              most={5000}
              onChange={(lureG) => set({ lureG })}
            />
          )}
        </span>
      </Box>
      {built.weakest && built.dragKg !== null && (
        <Sum name={<Term id="drag" />} result={`${figure(built.dragKg, 2)} kg`} thumb>
          {built.weakest.name}: {figure(built.weakest.strengthKg, 2)} kg ×{' '}
          <RigNumber
            label={`Drag share of ${rig.name}`}
            value={rig.dragFraction}
            unit=""
            most={0.9}
            least={0.05}
            onChange={(dragFraction) => set({ dragFraction })}
          />
        </Sum>
      )}
      {built.spoolM !== null && built.reel && built.main && (
        <Sum
          name="on the spool"
          result={`${figure(built.spoolM, 0)} m, of which ${figure(Math.max(0, built.spoolM - run), 0)} m are left after a run of ${figure(run, 0)} m`}
        >
          <InPlace
            label={`The spool of ${built.reel.name} holds`}
            value={built.reel.attributes.spoolM ?? 0}
            unit="m"
            change={(value) => ({ on: 'item', itemId: built.reel?.id ?? '', field: 'spoolM', value })}
          />{' '}
          × ({figure(built.reel.attributes.spoolMm ?? 0, 2)} mm ÷{' '}
          <InPlace
            label={`Diameter of ${built.main.name}`}
            value={built.main.attributes.diameterMm ?? 0}
            unit="mm"
            change={(value) => ({ on: 'item', itemId: built.main?.id ?? '', field: 'diameterMm', value })}
          />
          )²
        </Sum>
      )}
      {built.rod?.attributes.castMinG !== undefined && built.lureG !== null && (
        <Sum
          name={<Term id="castingWindow">the rod casts</Term>}
          result={`${figure(built.rod.attributes.castMinG, 0)} to ${figure(built.rod.attributes.castMaxG ?? 0, 0)} g; ${mass(built.lureG / 1000)} is tied on`}
        />
      )}
      <Box {...screenOnly} sx={{ display: 'flex', gap: 1 }}>
        <Button onClick={() => edit((now) => withRig(now, copiedRig(rig, crypto.randomUUID())))}>Copy this rig</Button>
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
        <Typography color="textSecondary">Choose line and leader: their strengths stand on the items.</Typography>
      )}
    </Box>
  );
}

function strength({ attributes: { breakKg } }: Item): string {
  return breakKg === undefined ? '' : `, ${figure(breakKg)} kg`;
}

interface RigNumberProps {
  label: string;
  value: number;
  unit: string;
  most: number;
  least?: number;
  onChange: (value: number) => void;
}
/** A number of the rig itself: it belongs to the outing and is kept as it is written. */
function RigNumber({ label, value, unit, most, least = 0, onChange }: RigNumberProps) {
  return (
    <>
      <Box
        component="input"
        type="number"
        aria-label={label}
        value={value}
        min={least}
        max={most}
        step="any"
        onChange={(event) => {
          const next = event.target.valueAsNumber;
          if (next >= least && next <= most) onChange(next);
        }}
        sx={{
          font: 'inherit',
          fontWeight: 700,
          color: 'primary.main',
          width: '5.5ch',
          minHeight: 32,
          p: 0,
          border: 0,
          borderBottom: '2px dotted',
          borderColor: 'currentColor',
          bgcolor: 'transparent',
          textAlign: 'center',
        }}
      />
      {unit !== '' && ` ${unit}`}
    </>
  );
}
