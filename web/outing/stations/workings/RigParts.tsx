import Box from '@mui/material/Box';
import { kinds } from '#core/catalog/gear/kinds';
import type { Item } from '#core/documents/item';
import type { Rig } from '#core/documents/workings';
import type { BuiltRig } from '#core/tackle/builtRig';
import { amount } from '#core/units/amount';
import { connections, knotIds, knots } from '#core/vocabulary/knots';
import { Term } from '../../../ui/Term';
import { Pick } from './parts';
import { RigNumber } from './RigNumber';
import { useTrial } from './trialContext';

interface Props {
  built: BuiltRig;
  rods: readonly Item[];
  set: (change: Partial<Rig>) => void;
}

/** What a rig is put together from, rod to lure, each chosen from what is in the locker. */
export function RigParts({ built, rods, set }: Props) {
  const { references } = useTrial();
  const { rig } = built;
  const owned = (fits: (item: Item) => boolean) =>
    references.items.filter(fits).map((item) => ({ value: item.id, name: `${item.name}${strength(item)}` }));
  const none = { value: '', name: 'none' };
  const lines = owned(({ kind }) => kind === 'braid' || kind === 'mono' || kind === 'fly-line');
  const leaders = owned(({ kind }) => kinds[kind].means.includes('leader'));
  const clips = owned(({ kind }) => kind === 'snaps' || kind === 'swivels');
  const lures = owned(({ kind }) => kinds[kind].means.some((id) => id === 'lures' || id === 'terminal'));
  const reels = owned(({ kind }) => kind === 'reel');
  const knotOptions = knotIds.map((value) => ({ value, name: knots[value].name }));
  return (
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
            set({
              connection,
              clipId: connection === 'direct' ? null : (rig.clipId ?? clips[0]?.value ?? null),
            })
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
  );
}

function strength({ attributes: { breakKg } }: Item): string {
  return breakKg === undefined ? '' : `, ${amount(breakKg, 'kg')}`;
}
