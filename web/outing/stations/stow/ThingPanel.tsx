import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Suspense, lazy } from 'react';
import { isContainer, isSharp, statesOf, storageOf } from '#core/catalog/gear/stowing';
import type { Spot } from '#core/documents/stow';
import { asUsual } from '#core/editing/stow';
import { atZone } from '#core/stow/at';
import { isClosed } from '#core/stow/fits';
import { type ToPack, toPack, toPackPlace } from '#core/stow/packing';
import { type Placed, eyesOf, leashesOn } from '#core/stow/plan';
import { sayLies, sayMoves } from '#core/stow/say';
import { mass } from '#core/units/amount';
import { coverIds, covers, type Hold, holds, layerIds, layers, modeWords } from '#core/vocabulary/stow';
import { useOutingWorkspace } from '../../outingWorkspace';
import { Pick } from './Pick';
import { keyOf, targetList, targetOf } from './targets';
import { spotAtTarget, useStow } from './useStow';

const PackPanel = lazy(() => import('./PackPanel').then((module) => ({ default: module.PackPanel })));

const reachWords = {
  hand: 'in your hand without a twist',
  turn: 'with a twist or a lean',
  move: 'only by leaving the seat',
  ashore: 'not afloat',
} as const;
const dryWords = {
  open: 'open to the water',
  spray: 'kept from spray',
  splash: 'kept from splash',
  sealed: 'sealed',
} as const;

/**
 * Settled here: where this one thing is, what keeps it there, and whether it can be had. What would annoy:
 * having to drag it.
 */
export function ThingPanel({ placed }: { placed: Placed }) {
  const { plan, mode, names, put, boarded, choose } = useStow();
  const { edit } = useOutingWorkspace();
  const { item } = placed.one;
  const { spot, lies } = placed;
  const change = (part: Partial<Spot>) => put([placed], () => ({ ...spot, ...part }));
  const states = statesOf(item.kind);
  const on = leashesOn(plan.things);
  const targets = targetList(placed, plan);
  const key = spot.in === 'nowhere' ? '' : spot.in === 'vehicle' ? 'vehicle' : `${spot.in}:${spot.id ?? ''}`;
  const inBoat = lies.in === 'zone';
  const box = spot.in === 'thing' && spot.id !== null ? plan.byId.get(spot.id)?.one.item : null;
  const shut = box ? storageOf(box).shut : false;
  const holdList: readonly Hold[] =
    spot.in === 'body' ? ['worn', 'clipped', 'loose'] : ['strapped', 'leashed', 'loose'];
  const others = plan.things.filter((one) => one.spot.in === 'thing' && one.spot.id === item.id);
  // What lies in a hatch or a pod goes in together with the rest that lies there.
  const closedIn = spot.in === 'zone' && placed.zone && isClosed(placed.zone) ? placed.zone : null;
  const beside = closedIn
    ? plan.things.filter((one) => one.spot.in === 'zone' && one.spot.id === closedIn.id)
    : [];
  const moves = sayMoves(lies.moves);
  return (
    <Box
      component="section"
      aria-label={item.name}
      sx={{
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        bgcolor: 'background.paper',
        p: 1.5,
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, flexWrap: 'wrap' }}>
        <Typography variant="h3" component="h3" sx={{ flex: 1, minWidth: 180 }}>
          {item.name}
        </Typography>
        <Typography variant="body2" color="textSecondary">
          {mass(item.massKg * placed.one.entry.quantity)}
        </Typography>
        <Button size="small" onClick={() => choose(null)}>
          Close
        </Button>
      </Box>
      <Typography variant="body2" color="textSecondary" role="status">
        {mode === 'fish' ? '' : `${modeWords[mode].charAt(0).toUpperCase()}${modeWords[mode].slice(1)}: `}
        {sayLies(lies)}
        {inBoat &&
          `; reached ${reachWords[lies.reach]}${moves === '' ? '' : ` (${moves})`}; ${dryWords[lies.dry]}; ${lies.held ? 'held' : 'loose'}`}
        {placed.by === 'kind'
          ? '. Where its kind usually lies: nobody has said.'
          : placed.by === 'set-up'
            ? '. As the set-up says.'
            : '.'}
        {others.length > 0 && ` In it: ${others.map(({ one }) => one.item.name).join(', ')}.`}
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(2, minmax(0, 1fr))',
          gap: 1,
          mt: 1,
        }}
      >
        <Pick
          label="Where"
          value={key}
          options={targets.map(({ target, name, why }) => ({
            value: keyOf(target),
            name: why === null ? name : `${name}: ${why}`,
            disabled: why !== null,
          }))}
          onPick={(value) => {
            const target = targetOf(value);
            if (target) put([placed], (one) => spotAtTarget(one, target, boarded));
          }}
        />
        {!shut && inBoat && lies.compartment === null && (
          <Pick
            label="Held"
            value={spot.held}
            options={holdList.map((hold) => ({ value: hold, name: holds[hold] }))}
            onPick={(held) => change({ held: held as Hold, eyeId: null })}
          />
        )}
        {spot.in === 'body' && (
          <Pick
            label="Held"
            value={spot.held}
            options={holdList.map((hold) => ({ value: hold, name: holds[hold] }))}
            onPick={(held) => change({ held: held as Hold })}
          />
        )}
        {spot.held === 'leashed' && spot.in === 'zone' && (
          <Pick
            label="Leash to"
            value={placed.eye?.id ?? ''}
            options={eyesOf(plan.craft).map((eye) => ({
              value: eye.id,
              name: `${eye.name}: ${on.get(eye.id) ?? 0} of ${eye.leashes}`,
            }))}
            onPick={(eyeId) => change({ eyeId })}
          />
        )}
        {states && spot.state && (
          <Pick
            label="It is"
            value={spot.state}
            options={(['stowed', 'out'] as const).map((state, i) => ({
              value: state,
              name: states[i] ?? state,
            }))}
            onPick={(state) => change({ state: state as Spot['state'] })}
          />
        )}
        {(spot.in === 'zone' || spot.in === 'thing') && (
          <Pick
            label="Among the rest"
            value={spot.layer}
            options={layerIds.map((layer) => ({ value: layer, name: layers[layer] }))}
            onPick={(layer) => change({ layer: layer as Spot['layer'] })}
          />
        )}
        {(isSharp(item.kind) || spot.cover !== 'bare' || !isContainer(item.kind)) &&
          lies.in !== 'vehicle' && (
            <Pick
              label="Covered"
              value={spot.cover}
              options={coverIds.map((cover) => ({ value: cover, name: covers[cover] }))}
              onPick={(cover) => change({ cover: cover as Spot['cover'] })}
            />
          )}
      </Box>
      {isContainer(item.kind) && others.length > 0 && (
        <Packing what={toPack(item, others)} where="in" contents={others} />
      )}
      {closedIn && beside.length > 1 && (
        <Packing what={toPackPlace(closedIn, beside)} where={atZone(closedIn)} contents={beside} />
      )}
      {placed.by === 'plan' && (
        <Button size="small" sx={{ mt: 0.5 }} onClick={() => edit((outing) => asUsual(outing, [item.id]))}>
          Where it usually lies
        </Button>
      )}
      {lies.in === 'zone' && spot.in === 'thing' && (
        <Typography variant="caption">{names.thing(spot.id ?? '')} carries it along.</Typography>
      )}
    </Box>
  );
}

/** What was packed holds for these contents alone. */
function Packing({ contents, ...props }: { what: ToPack; where: string; contents: readonly Placed[] }) {
  return (
    <Suspense fallback={null}>
      <PackPanel
        key={contents.map(({ one, spot }) => `${one.item.id} ${one.entry.quantity} ${spot.layer}`).join()}
        {...props}
      />
    </Suspense>
  );
}
