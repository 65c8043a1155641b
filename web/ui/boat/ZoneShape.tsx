import { useTheme } from '@mui/material/styles';
import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import type { Zone } from '#core/documents/boatParts';
import { amount } from '#core/units/amount';
import type { ZoneHandling } from './handling';
import type { Scale } from './scale';

interface Props {
  zone: Zone;
  scale: Scale;
  /** Its number in the table beside it; null: it has none. */
  number: number | null;
  handling: ZoneHandling | undefined;
}

/** Arrow keys move by a centimetre, with Shift by five. */
const STEP_M = 0.01;
const STRIDE_M = 0.05;
const arrows: Record<string, readonly [number, number]> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowDown: [0, 1],
  ArrowUp: [0, -1],
};
/** A finger needs so much to hold on to, px. */
const TOUCH = 30;

/**
 * One place on the boat from above, to scale; where it may be handled, dragged by itself and stretched by its
 * corner, or moved by arrow keys.
 */
export function ZoneShape({ zone, scale: { x, y, px }, number, handling }: Props) {
  const { inks } = useTheme();
  const [from, setFrom] = useState<{ x: number; y: number; zone: Zone } | null>(null);
  const chosen = handling?.chosen === zone.id;
  const [left, top] = [x(zone.xM - zone.lengthM / 2), y(zone.yM) - px(zone.widthM / 2)];
  const [wide, high] = [px(zone.lengthM), px(zone.widthM)];
  const small = zone.kind === 'pad-eye' || zone.kind === 'rod tube' || zone.kind === 'rod holder';
  const stroke = chosen ? inks.clay : inks.slate;

  const drag = (handle: ZoneHandling['move']) => ({
    onPointerDown: (event: PointerEvent<SVGElement>) => {
      event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
      setFrom({ x: event.clientX, y: event.clientY, zone });
      handling?.choose(zone.id);
    },
    onPointerMove: (event: PointerEvent<SVGElement>) => {
      if (!from) return;
      handle(from.zone, (event.clientX - from.x) / px(1), (event.clientY - from.y) / px(1), false);
    },
    onPointerUp: (event: PointerEvent<SVGElement>) => {
      if (!from) return;
      const { x: x0, y: y0, zone: was } = from;
      setFrom(null);
      if (event.clientX !== x0 || event.clientY !== y0)
        handle(was, (event.clientX - x0) / px(1), (event.clientY - y0) / px(1), true);
    },
    onPointerCancel: () => {
      setFrom(null);
    },
  });
  const keys = (handle: ZoneHandling['move']) => (event: KeyboardEvent<SVGElement>) => {
    const way = arrows[event.key];
    if (!way) return;
    event.preventDefault();
    const step = event.shiftKey ? STRIDE_M : STEP_M;
    handle(zone, way[0] * step, way[1] * step, true);
  };
  const words = `${zone.name}, ${amount(zone.lengthM, 'm', 2)} by ${amount(zone.widthM, 'm', 2)}`;
  return (
    <g>
      <g
        {...(handling && {
          role: 'button',
          tabIndex: 0,
          'aria-pressed': chosen,
          'aria-label': `${words}. Arrow keys move it.`,
          style: { cursor: 'grab', outlineOffset: 2, touchAction: 'none' },
          onFocus: () => handling.choose(zone.id),
          onKeyDown: keys(handling.move),
          ...drag(handling.move),
        })}
      >
        {!handling && <title>{words}</title>}
        {small ? (
          <circle
            cx={x(zone.xM)}
            cy={y(zone.yM)}
            r={zone.kind === 'pad-eye' ? 4 : Math.max(4, px(zone.widthM / 2))}
            stroke={stroke}
            strokeWidth={chosen ? 2.6 : 1.4}
            fill={zone.kind === 'pad-eye' ? inks.paper : inks.faint}
            fillOpacity={0.6}
          />
        ) : (
          <rect
            x={left}
            y={top}
            width={wide}
            height={high}
            rx={zone.kind === 'hatch' || zone.kind === 'pod' ? Math.min(10, high / 3) : 3}
            stroke={stroke}
            strokeWidth={chosen ? 2.6 : 1.2}
            strokeDasharray={zone.dryness === 'open' ? '4 3' : undefined}
            fill={zone.dryness === 'sealed' || zone.dryness === 'splash' ? inks.faint : inks.paper}
            fillOpacity={0.4}
          />
        )}
        {zone.kind === 'hatch' && high > 16 && (
          <rect
            x={left + 4}
            y={top + 4}
            width={Math.max(0, wide - 8)}
            height={Math.max(0, high - 8)}
            rx={6}
            stroke={stroke}
            strokeWidth={0.8}
          />
        )}
        {zone.cord && wide > 18 && high > 14 && (
          <path
            d={`M${left} ${top}L${left + wide} ${top + high}M${left} ${top + high}L${left + wide} ${top}`}
            stroke={stroke}
            strokeWidth={0.7}
          />
        )}
        {handling && (
          <rect
            x={x(zone.xM) - Math.max(wide, TOUCH) / 2}
            y={y(zone.yM) - Math.max(high, TOUCH) / 2}
            width={Math.max(wide, TOUCH)}
            height={Math.max(high, TOUCH)}
            fill="transparent"
          />
        )}
        {number !== null && wide > 16 && high > 15 && (
          <text
            x={left + 4}
            y={top + 13}
            fontSize={11}
            fill={chosen ? inks.clay : inks.ink}
            stroke={inks.paper}
            strokeWidth={2.5}
            paintOrder="stroke"
            pointerEvents="none"
          >
            {number}
          </text>
        )}
      </g>
      {chosen && (
        <text
          x={Math.max(left, 4)}
          y={top - 6 < 24 ? top + high + 15 : top - 6}
          fontSize={13}
          fontWeight={700}
          fill={inks.clay}
          stroke={inks.paper}
          strokeWidth={3}
          paintOrder="stroke"
          pointerEvents="none"
        >
          {zone.name}
        </text>
      )}
      {chosen && (
        <rect
          role="button"
          tabIndex={0}
          aria-label={`Stretch ${zone.name}: arrow keys`}
          x={left + wide - 6}
          y={top + high - 6}
          width={12}
          height={12}
          fill={inks.clay}
          stroke={inks.paper}
          style={{ cursor: 'nwse-resize', touchAction: 'none' }}
          onKeyDown={handling && keys(handling.stretch)}
          {...(handling && drag(handling.stretch))}
        />
      )}
    </g>
  );
}
