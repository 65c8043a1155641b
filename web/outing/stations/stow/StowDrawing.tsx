import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useDraggable, useDroppable } from '@dnd-kit/core';
import { memo, useMemo } from 'react';
import { seatOf } from '#core/boat/build';
import { halfBreadthAt, zonesOf } from '#core/boat/zones';
import type { Zone } from '#core/documents/boatParts';
import type { Craft } from '#core/documents/craft';
import { type Laid, layoutOf } from '#core/stow/layout';
import { type Placed, centreOf, spotAt, standsUp, topOver } from '#core/stow/plan';
import { sayLies, saySpot } from '#core/stow/say';
import { formOf } from '#core/catalog/gear/forms';
import { isSharp, sizeOf } from '#core/catalog/gear/stowing';
import { BoatDrawing } from '../../../ui/boat/BoatDrawing';
import type { Lies } from '../../../ui/boat/handling';
import { placeNames } from '../../../ui/boat/names';
import type { Scale } from '../../../ui/boat/scale';
import { GearDrawing } from '../../../ui/gear/GearDrawing';
import { containersIn, keyOf, refusal } from './targets';
import { useStow } from './useStow';

interface Props {
  lies: Lies | null;
  /** The thing under the finger; null: none. */
  carrying: Placed | null;
  /** For paper: nothing can be taken up, and it is drawn so wide, px. */
  still?: number;
}

/** The boat with everything in its place: leashes to their pad-eyes, the side kept clear hatched. */
export const StowDrawing = memo(function StowDrawing({ lies, carrying, still }: Props) {
  const { plan, boarded } = useStow();
  const { craft } = plan;
  const laid = useMemo(() => layoutOf(plan), [plan]);
  const { angler } = boarded;
  const phone = useMediaQuery(useTheme().breakpoints.down('sm'));
  return (
    <Box sx={{ overflowX: 'auto', overflowY: 'hidden' }} data-drawing={still === undefined ? '' : undefined}>
      <Box sx={{ minWidth: { xs: still ?? 620, sm: 0 } }}>
        <BoatDrawing
          craft={craft}
          lies={lies}
          angler={angler}
          quiet
          namesPx={NAME_ROWS * ROW_PX}
          reach={still === undefined}
          views={phone && still === undefined ? ['above'] : ['above', 'side']}
          fixed={still ?? null}
          above={(scale) => <Above {...{ scale, laid, carrying }} still={still !== undefined} />}
          beside={(scale) => <Beside scale={scale} laid={laid} />}
        />
      </Box>
    </Box>
  );
});

function Above({
  scale,
  laid,
  carrying,
  still,
}: {
  scale: Scale;
  laid: ReadonlyMap<string, Laid>;
  carrying: Placed | null;
  still: boolean;
}) {
  const { plan, boarded, chosen } = useStow();
  const { inks } = useTheme();
  const { x, y } = scale;
  const { craft } = plan;
  const boxes = new Set(containersIn(plan).map(({ one }) => one.item.id));
  // The small lie over the large, and the one that is looked at over all, so that each can be seen and taken.
  const area = (placed: Placed) => {
    const at = laid.get(placed.one.item.id);
    return at ? at.lengthM * at.widthM : 0;
  };
  const last = (placed: Placed) => Number(placed.one.item.id === chosen);
  const things = plan.things.toSorted((a, b) => last(a) - last(b) || area(b) - area(a));
  return (
    <g>
      <defs>
        <pattern
          id="clear-side"
          width={7}
          height={7}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0 0V7" stroke={inks.kelp} strokeWidth={1.2} opacity={0.6} />
        </pattern>
      </defs>
      <Kept
        {...{ scale, craft }}
        side={boarded.angler.clearSide}
        fromM={-0.25}
        toM={0.6}
        words="to climb in"
      />
      {/* Where a fish is fought begins before that side, if it is the same one. */}
      <Kept
        {...{ scale, craft }}
        side={boarded.angler.hand}
        fromM={boarded.angler.hand === boarded.angler.clearSide ? 0.6 : -0.1}
        toM={1.4}
        words="to fight a fish"
      />
      {!still &&
        zonesOf(craft).map((zone) => (
          <ZoneTarget key={zone.id} zone={zone} scale={scale} carrying={carrying} />
        ))}
      {plan.things.map((placed) => {
        if (!placed.eye || placed.spot.in !== 'zone') return null;
        const at = laid.get(placed.one.item.id) ?? spotAt(placed, craft);
        return (
          <path
            key={placed.one.item.id}
            d={`M${x(at.xM)} ${y(at.yM)}Q${(x(at.xM) + x(placed.eye.xM)) / 2} ${y((at.yM + placed.eye.yM) / 2) + 9} ${x(placed.eye.xM)} ${y(placed.eye.yM)}`}
            stroke={inks.clay}
            strokeWidth={placed.one.item.id === chosen ? 2.2 : 1.1}
            strokeDasharray="4 3"
            pointerEvents="none"
          />
        );
      })}
      {things.map((placed) => {
        const at = laid.get(placed.one.item.id);
        if (at && still)
          return <Mark key={placed.one.item.id} {...{ placed, at, scale }} chosen={false} taking={null} />;
        return at ? (
          <Thing
            key={placed.one.item.id}
            {...{ placed, at, scale, carrying }}
            box={boxes.has(placed.one.item.id)}
          />
        ) : null;
      })}
      <Names {...{ scale, laid }} />
    </g>
  );
}

const NAME_ROWS = 3;
const ROW_PX = 17;
const LETTER_PX = 6.6;
/** What most things are called: their names without the figures after a comma. */
const shortName = (name: string) => name.split(',')[0] ?? name;

/** The name of each thing, over or under the boat, and a line to it. */
function Names({ scale, laid }: { scale: Scale; laid: ReadonlyMap<string, Laid> }) {
  const { plan, chosen } = useStow();
  const { inks } = useTheme();
  const { x, y, width, halfPx } = scale;
  const named = plan.things.flatMap((placed) => {
    const { id, name } = placed.one.item;
    const at = laid.get(id);
    if (!at) return [];
    const holds = plan.things.filter(({ spot }) => spot.in === 'thing' && spot.id === id).length;
    const words = `${shortName(name)}${holds > 0 ? ` · ${holds}` : ''}`;
    return [{ id, words, x: x(at.xM), y: y(at.yM), widthPx: words.length * LETTER_PX }];
  });
  const places = placeNames(named, { widthPx: width, middleY: y(0), rows: NAME_ROWS });
  const byId = new Map(named.map((one) => [one.id, one]));
  return (
    <g pointerEvents="none">
      {places.map(({ id, side, row, leftPx, lineXPx }) => {
        const one = byId.get(id);
        if (!one) return null;
        const off = halfPx + 10 + row * ROW_PX;
        const base = side === 'over' ? y(0) - off : y(0) + off + 10;
        const isChosen = id === chosen;
        return (
          <g key={id}>
            <path
              d={`M${lineXPx} ${side === 'over' ? base + 3 : base - 11}L${one.x} ${one.y}`}
              stroke={isChosen ? inks.clay : inks.slate}
              strokeWidth={isChosen ? 1.6 : 0.7}
            />
            <text
              x={leftPx}
              y={base}
              fontSize={12}
              fontWeight={isChosen ? 700 : 400}
              fill={inks.ink}
              stroke={inks.paper}
              strokeWidth={3}
              paintOrder="stroke"
            >
              {one.words}
            </text>
          </g>
        );
      })}
    </g>
  );
}

interface KeptProps {
  scale: Scale;
  craft: Craft;
  side: 'left' | 'right';
  /** From the seat. */
  fromM: number;
  toM: number;
  words: string;
}
/** A strip along the side that has to be free, as broad as the deck is there. */
function Kept({ scale: { x, y, px }, craft, side, fromM, toM, words }: KeptProps) {
  const seat = seatOf(craft).xM;
  const way = side === 'left' ? -1 : 1;
  const half = Math.min(...[fromM, toM].map((off) => halfBreadthAt(craft, seat + off)));
  const inner = Math.min(INNER_M, half - 0.05);
  return (
    <rect
      x={x(seat + fromM)}
      y={Math.min(y(way * inner), y(way * half))}
      width={px(toM - fromM)}
      height={Math.max(0, px(half - inner))}
      fill="url(#clear-side)"
      pointerEvents="none"
    >
      <title>{`Kept clear ${words}: the ${side} side`}</title>
    </rect>
  );
}
const INNER_M = 0.26;

/**
 * A place as something to drop on: shown while something is carried, kelp where it takes it, clay where it
 * does not.
 */
function ZoneTarget({
  zone,
  scale: { x, y, px },
  carrying,
}: {
  zone: Zone;
  scale: Scale;
  carrying: Placed | null;
}) {
  const { plan } = useStow();
  const { inks } = useTheme();
  const why = carrying ? refusal(carrying, { in: 'zone', id: zone.id }, plan) : null;
  const { setNodeRef, isOver } = useDroppable({
    id: keyOf({ in: 'zone', id: zone.id }),
    data: { why },
    disabled: zone.kind === 'pad-eye',
  });
  // A finger needs something to aim at.
  const [wide, high] = [Math.max(px(zone.lengthM), 22), Math.max(px(zone.widthM), 22)];
  const ink = why === null ? inks.kelp : inks.clay;
  return (
    <rect
      // The library measures any element; its type only knows those of HTML.
      ref={setNodeRef as unknown as (node: SVGRectElement | null) => void}
      x={x(zone.xM) - wide / 2}
      y={y(zone.yM) - high / 2}
      width={wide}
      height={high}
      rx={3}
      fill={carrying && isOver ? ink : 'transparent'}
      fillOpacity={0.22}
      stroke={carrying && zone.kind !== 'pad-eye' ? ink : 'none'}
      strokeWidth={isOver ? 2.6 : 1.4}
      strokeDasharray={why === null ? undefined : '2 4'}
      pointerEvents="none"
    />
  );
}

interface MarkProps {
  placed: Placed;
  at: Laid;
  scale: Scale;
  chosen: boolean;
  /** Something that may go into it hovers over it: whether it takes it; null: nothing does. */
  taking: boolean | null;
}
/** One thing from above as it looks, to scale; dashed where nothing holds it. */
function Mark({ placed, at, scale: { x, y, px }, chosen, taking }: MarkProps) {
  const { inks } = useTheme();
  const { name, kind } = placed.one.item;
  const bare = isSharp(kind) && placed.spot.cover === 'bare';
  const across = at.widthM > at.lengthM;
  const [long, wide] = across ? [at.widthM, at.lengthM] : [at.lengthM, at.widthM];
  return (
    <>
      {(chosen || taking !== null) && (
        <rect
          x={x(at.xM) - px(at.lengthM) / 2 - 4}
          y={y(at.yM) - px(at.widthM) / 2 - 4}
          width={px(at.lengthM) + 8}
          height={px(at.widthM) + 8}
          rx={4}
          fill={taking === null ? inks.ochre : taking ? inks.kelp : inks.clay}
          fillOpacity={taking === null ? 0.25 : 0.5}
          stroke={inks.ink}
          strokeWidth={chosen ? 1.6 : 0}
        />
      )}
      <GearDrawing
        form={formOf(kind)}
        view="above"
        x={x(at.xM)}
        y={y(at.yM)}
        longPx={px(long)}
        widePx={px(wide)}
        turnedDeg={across ? 90 : 0}
        stroke={bare ? inks.clay : placed.lies.held ? inks.ink : inks.ochre}
        strokeWidth={bare || !placed.lies.held ? 1.7 : 1.2}
        dashed={!placed.lies.held}
      />
      <title>{`${name}: ${sayLies(placed.lies)}`}</title>
    </>
  );
}

function Thing({
  placed,
  at,
  scale,
  box,
  carrying,
}: Omit<MarkProps, 'chosen' | 'taking'> & { box: boolean; carrying: Placed | null }) {
  const { chosen, choose, plan, names } = useStow();
  const { x, y, px } = scale;
  const { id, name, kind } = placed.one.item;
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({
    id: `thing:${id}`,
    data: { itemId: id },
  });
  const why = carrying && box ? refusal(carrying, { in: 'thing', id }, plan) : null;
  const drop = useDroppable({
    id: keyOf({ in: 'thing', id }),
    data: { why },
    disabled: !box || carrying === null || carrying.one.item.id === id,
  });
  const isChosen = chosen === id;
  const inside = plan.things.filter(({ spot }) => spot.in === 'thing' && spot.id === id).length;
  const ref = (node: SVGGElement | null) => {
    setNodeRef(node as unknown as HTMLElement | null);
    drop.setNodeRef(node as unknown as HTMLElement | null);
  };
  const [wide, high] = [Math.max(px(at.lengthM), LEAST_PX), Math.max(px(at.widthM), LEAST_PX)];
  return (
    <g
      ref={ref}
      data-thing={id}
      {...attributes}
      {...listeners}
      role="button"
      tabIndex={0}
      aria-pressed={isChosen}
      aria-label={`${name}, ${saySpot(placed.spot, kind, names)}${inside > 0 ? `, with ${inside} in it` : ''}`}
      onClick={() => choose(id)}
      onKeyDown={(event) => {
        if (event.key === 'Enter' && !isDragging) choose(id);
        else listeners?.onKeyDown?.(event);
      }}
      transform={transform ? `translate(${transform.x} ${transform.y})` : undefined}
      style={{ cursor: isDragging ? 'grabbing' : 'grab', touchAction: 'manipulation', outlineOffset: 2 }}
      opacity={isDragging ? 0.85 : 1}
    >
      {/* What is small is taken hold of beside itself too. */}
      <rect x={x(at.xM) - wide / 2} y={y(at.yM) - high / 2} width={wide} height={high} fill="transparent" />
      <Mark {...{ placed, at, scale }} chosen={isChosen} taking={drop.isOver ? why === null : null} />
    </g>
  );
}
const LEAST_PX = 20;

/** The same from the side: what stands up, as high as it stands; what lies, at its height. */
function Beside({ scale: { x, z, px }, laid }: { scale: Scale; laid: ReadonlyMap<string, Laid> }) {
  const { plan, boarded, chosen } = useStow();
  const { inks } = useTheme();
  return (
    <g>
      {plan.things.map((placed) => {
        const { zone, spot, one } = placed;
        const at = centreOf(placed, plan, boarded.angler.heightM);
        if (!zone || spot.in !== 'zone' || !at) return null;
        const { id, kind } = one.item;
        const [long, middle, short] = sizeOf(one.item);
        const look = {
          form: formOf(kind),
          view: 'side' as const,
          stroke: id === chosen ? inks.clay : inks.ink,
          strokeWidth: id === chosen ? 2.4 : 1,
        };
        if (standsUp(placed)) {
          const lean = ((zone.angleDeg ?? 0) * Math.PI) / 180;
          const top = topOver(placed);
          return (
            <GearDrawing
              key={id}
              {...look}
              x={(x(at.xM) + x(at.xM - long * Math.sin(lean))) / 2}
              y={z(zone.floorM + top / 2)}
              longPx={px(long)}
              widePx={px(middle)}
              turnedDeg={90 + (zone.angleDeg ?? 0)}
            />
          );
        }
        const highM = Math.max(short, 0.03);
        return (
          <GearDrawing
            key={id}
            {...look}
            x={x(at.xM)}
            y={z(zone.floorM + highM / 2)}
            longPx={px(laid.get(id)?.lengthM ?? long)}
            widePx={px(highM)}
          />
        );
      })}
    </g>
  );
}
