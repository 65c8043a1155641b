import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import {
  type CollisionDetection,
  DndContext,
  type DragEndEvent,
  type DragMoveEvent,
  KeyboardSensor,
  type KeyboardCoordinateGetter,
  MouseSensor,
  TouchSensor,
  closestCenter,
  pointerWithin,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { useState } from 'react';
import type { Outing } from '#core/documents/outing';
import { footprintOf } from '#core/stow/layout';
import type { Placed, StowPlan } from '#core/stow/plan';
import type { Spot } from '#core/documents/stow';
import { sayPlace } from '#core/stow/say';
import { bodyPartIds, bodyParts } from '#core/vocabulary/stow';
import type { Lies } from '../../../ui/boat/handling';
import { useOutingWorkspace } from '../../outingWorkspace';
import { StowDrawing } from './StowDrawing';
import { type Target, keyOf, targetOf, zoneOfTarget } from './targets';
import { putIn, spotAtTarget, useStow } from './useStow';

/** Why a place does not take what is carried; null: it does. */
function whyOf(over: { data: { current?: unknown } } | null | undefined): string | null {
  return (over?.data.current as { why?: string | null } | undefined)?.why ?? null;
}

/**
 * The smallest of what lies under the finger and takes the thing, else the smallest; by keyboard, the nearest. A
 * thing that holds others goes before the place it stands in.
 */
const underFinger: CollisionDetection = (args) => {
  const hits = pointerWithin(args);
  if (hits.length === 0) return args.pointerCoordinates ? [] : closestCenter(args);
  const area = (id: (typeof hits)[number]['id']) => {
    const rect = args.droppableRects.get(id);
    return rect ? rect.width * rect.height : Infinity;
  };
  const refuses = (id: (typeof hits)[number]['id']) =>
    Number(whyOf(args.droppableContainers.find((one) => one.id === id)) !== null);
  return hits.toSorted((a, b) => refuses(a.id) - refuses(b.id) || area(a.id) - area(b.id));
};

const STEP_PX = 8;
const ways: Record<string, readonly [number, number]> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowDown: [0, 1],
  ArrowUp: [0, -1],
};
/** The next place in the direction of the arrow, whose middle is nearest. */
const toNextPlace: KeyboardCoordinateGetter = (
  event,
  { context: { droppableRects, droppableContainers, collisionRect }, currentCoordinates },
) => {
  const way = ways[event.code];
  if (!way || !collisionRect) return undefined;
  event.preventDefault();
  const [x, y] = [collisionRect.left + collisionRect.width / 2, collisionRect.top + collisionRect.height / 2];
  let best: { dx: number; dy: number; cost: number } | null = null;
  for (const container of droppableContainers.getEnabled()) {
    const rect = droppableRects.get(container.id);
    if (!rect || whyOf(container) !== null) continue;
    const [dx, dy] = [rect.left + rect.width / 2 - x, rect.top + rect.height / 2 - y];
    const [ahead, aside] = [dx * way[0] + dy * way[1], Math.abs(dx * way[1]) + Math.abs(dy * way[0])];
    const cost = ahead + 2 * aside;
    if (ahead > STEP_PX && (best === null || cost < best.cost)) best = { dx, dy, cost };
  }
  return best ? { x: currentCoordinates.x + best.dx, y: currentCoordinates.y + best.dy } : undefined;
};

/** The drawing with what can be carried over it; figures follow while something is carried. */
export function Carrying({ lies, onTrial }: { lies: Lies | null; onTrial: (outing: Outing | null) => void }) {
  const { doc } = useOutingWorkspace();
  const { plan, boarded, mode, put, choose, names } = useStow();
  const [carried, setCarried] = useState<string | null>(null);
  const [over, setOver] = useState<{ target: Target; why: string | null } | null>(null);
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 4 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 180, tolerance: 8 } }),
    useSensor(KeyboardSensor, {
      coordinateGetter: toNextPlace,
      // Enter opens the panel of a thing that is not picked up.
      keyboardCodes: { start: ['Space'], end: ['Space', 'Enter'], cancel: ['Escape'] },
    }),
  );
  const carrying = carried === null ? null : (plan.byId.get(carried) ?? null);
  const idOf = ({ active }: Pick<DragMoveEvent, 'active'>) => String(active.id).replace(/^thing:/, '');
  const look = (event: Pick<DragMoveEvent, 'over'>) => {
    const target = event.over && targetOf(String(event.over.id));
    return target ? { target, why: whyOf(event.over) } : null;
  };
  const end = (event: DragEndEvent | null) => {
    const placed = event && plan.byId.get(idOf(event));
    const at = event && look(event);
    setCarried(null);
    setOver(null);
    onTrial(null);
    const where = event && placed ? within(event, placed, plan) : null;
    if (!placed || !at || at.why !== null || (isThere(placed, at.target) && where === null)) return;
    put([placed], () => spotAtTarget(placed, at.target, boarded, where));
    choose(placed.one.item.id);
  };
  const say = (id: string, words: string) => `${plan.byId.get(id)?.one.item.name ?? 'It'}: ${words}.`;
  const sayTarget = (event: Pick<DragMoveEvent, 'over'>) => {
    const at = look(event);
    if (!at) return 'over nothing that takes it';
    const { target } = at;
    const place =
      target.in === 'body'
        ? sayPlace({ in: 'body', id: target.part }, names)
        : target.in === 'vehicle'
          ? 'in the vehicle'
          : sayPlace({ in: target.in, id: target.id }, names);
    return at.why === null ? place : `not ${place}: ${at.why}`;
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={underFinger}
      accessibility={{
        screenReaderInstructions: {
          draggable:
            'Enter opens it; Space takes it up; arrow keys go from place to place; Space puts it down, Escape leaves it.',
        },
        announcements: {
          onDragStart: (event) => say(idOf(event), 'taken up'),
          onDragOver: (event) => say(idOf(event), sayTarget(event)),
          onDragEnd: (event) => say(idOf(event), `put ${sayTarget(event)}`),
          onDragCancel: (event) => say(idOf(event), 'left where it was'),
        },
      }}
      onDragStart={(event) => {
        setCarried(idOf(event));
        // Its panel would lie over the places.
        choose(null);
      }}
      onDragMove={(event) => {
        const at = look(event);
        setOver(at);
        const placed = plan.byId.get(idOf(event));
        onTrial(
          at && at.why === null && placed
            ? putIn(doc, boarded, mode, [placed], () =>
                spotAtTarget(placed, at.target, boarded, within(event, placed, plan)),
              )
            : null,
        );
      }}
      onDragEnd={end}
      onDragCancel={() => end(null)}
    >
      <StowDrawing lies={lies} carrying={carrying} />
      <OffBoat carrying={carrying} />
      <Typography
        variant="body2"
        role="status"
        sx={{
          minHeight: 22,
          display: { xs: carrying ? 'block' : 'none', sm: 'block' },
          color: over?.why ? 'error.main' : 'text.secondary',
        }}
      >
        {carrying && over
          ? `${carrying.one.item.name} ${over.why === null ? '' : 'does not go there: '}${over.why ?? `goes ${sayTarget({ over: { id: keyOf(over.target), data: { current: { why: null } } } } as never)}`}.`
          : 'Drag a thing, or press it and choose its place. Loose things are dashed; hatched is kept clear, to climb in and to fight a fish.'}
      </Typography>
    </DndContext>
  );
}
/** In a place as large as this, m, it matters where: left or right, fore or aft. */
const ROOMY_M = 0.3;
/**
 * Where in a roomy place a thing was let go, kept within it; null: the place is small, or a key put it there.
 */
function within(
  { active, over, activatorEvent }: Pick<DragMoveEvent, 'active' | 'over' | 'activatorEvent'>,
  placed: Placed,
  plan: StowPlan,
): Spot['at'] {
  const target = over && targetOf(String(over.id));
  const zone = target ? zoneOfTarget(plan.craft, target) : null;
  const rect = active.rect.current.translated;
  if (!zone || !rect || !over || activatorEvent instanceof KeyboardEvent) return null;
  if (zone.widthM < ROOMY_M || zone.lengthM < ROOMY_M) return null;
  const share = (at: number, from: number, long: number) => (at - from) / Math.max(1, long) - 0.5;
  const { lengthM, widthM } = footprintOf({ ...placed, zone });
  const kept = (off: number, room: number, size: number) =>
    Math.max(-1, Math.min(1, off / Math.max(0.001, Math.max(0, (room - size) / 2)))) *
    Math.max(0, (room - size) / 2);
  const along = share(rect.left + rect.width / 2, over.rect.left, over.rect.width) * zone.lengthM;
  const across = share(rect.top + rect.height / 2, over.rect.top, over.rect.height) * zone.widthM;
  const round = (value: number) => Math.round(value * 100) / 100;
  return {
    xM: round(zone.xM + kept(along, zone.lengthM, lengthM)),
    yM: round(zone.yM + kept(across, zone.widthM, widthM)),
  };
}

const isThere = ({ spot }: Placed, target: Target) =>
  spot.in === target.in &&
  (target.in === 'vehicle' || spot.id === (target.in === 'body' ? target.part : target.id));

/** The body and the vehicle, beside the boat: what lies there, and somewhere to drop. */
function OffBoat({ carrying }: { carrying: Placed | null }) {
  return (
    <Box
      sx={{ display: { xs: 'none', sm: 'flex' }, flexWrap: 'wrap', gap: 0.75, mt: 0.5 }}
      role="group"
      aria-label="On you, and in the vehicle"
    >
      {bodyPartIds.map((part) => (
        <Chip key={part} target={{ in: 'body', part }} name={bodyParts[part]} carrying={carrying} />
      ))}
      <Chip target={{ in: 'vehicle' }} name="vehicle" carrying={carrying} />
    </Box>
  );
}
function Chip({ target, name, carrying }: { target: Target; name: string; carrying: Placed | null }) {
  const { plan } = useStow();
  const { setNodeRef, isOver } = useDroppable({ id: keyOf(target), data: { why: null } });
  const here = plan.things.filter((placed) => isThere(placed, target)).length;
  return (
    <Box
      ref={setNodeRef}
      sx={{
        border: 1,
        borderStyle: carrying ? 'dashed' : 'solid',
        borderColor: isOver ? 'success.main' : 'divider',
        bgcolor: isOver ? 'action.selected' : 'transparent',
        borderRadius: 1,
        px: 1.25,
        py: 0.5,
        fontSize: '0.85rem',
        color: 'text.secondary',
      }}
    >
      {name}
      {here > 0 ? ` · ${here}` : ''}
    </Box>
  );
}
