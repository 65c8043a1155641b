import { type KeyboardEvent, type PointerEvent, useMemo, useRef, useState } from 'react';
import type { Water } from '#core/documents/water';
import { type Place, type Point, fromPlane, toPlane } from '#core/environment/geo';
import { useWidth } from '../timeAxis';

export const ZOOM = 1.5;
const PAN = 0.18;
/** So much of the right side is left to the buttons: no name is under them. */
const BUTTONS_PX = 44;

/** What is looked at: metres in the plane of the water, y downwards as the screen has it. */
export interface ChartView {
  centre: Point;
  width: number;
  viewHeight: number;
  /** So many metres that text and marks keep their size on the screen however near one looks. */
  unit: number;
}
export interface Drawn {
  at: (place: Place) => Point;
  unit: number;
}
interface Looked {
  water: Water;
  lines: readonly { points: readonly Place[] }[];
  height: number;
  onPlace: ((place: Place) => void) | undefined;
  around: { place: Place; radiusM: number } | undefined;
}

/**
 * Which part of a water is looked at, and what moves it: a drag, a press of a key. A press without a drag is
 * a place.
 */
export function useChartView({ water, lines, height, onPlace, around }: Looked) {
  const box = useMemo(() => extentOf(water, lines), [water, lines]);
  const [looking, setLooking] = useState<{ x: number; y: number; width: number } | null>(null);
  const drag = useRef<{ px: number; py: number; x: number; y: number; moved: boolean } | null>(null);
  const frame = useRef<SVGSVGElement>(null);
  const [holder, px] = useWidth<HTMLDivElement>(300);
  const aspect = Math.max(0.5, px / height);
  const near = around && toPlane(water, around.place);
  const shown = Math.max(200, px);
  const wide = (Math.max(box.width, box.height * aspect) * shown) / (shown - BUTTONS_PX);
  const whole =
    near && around
      ? { x: near.x, y: -near.y, width: around.radiusM * 2 * aspect }
      : { ...box, x: box.x + ((BUTTONS_PX / 2) * wide) / shown, width: wide };
  const width = looking?.width ?? whole.width;
  const centre = { x: looking?.x ?? whole.x, y: looking?.y ?? whole.y };
  const unit = (width / Math.max(200, px)) * 1.6;
  const at = (place: Place): Point => {
    const point = toPlane(water, place);
    return { x: point.x, y: -point.y };
  };
  const move = (dx: number, dy: number, by = 1) =>
    setLooking({
      x: centre.x + dx * width,
      y: centre.y + dy * width,
      width: Math.min(200_000, Math.max(120, width * by)),
    });
  const placeUnder = (event: PointerEvent): Place | null => {
    const matrix = frame.current?.getScreenCTM();
    if (!matrix) return null;
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return fromPlane(water, { x: point.x, y: -point.y });
  };
  const keys: Record<string, () => void> = {
    ArrowLeft: () => move(-PAN, 0),
    ArrowRight: () => move(PAN, 0),
    ArrowUp: () => move(0, -PAN),
    ArrowDown: () => move(0, PAN),
    '+': () => move(0, 0, 1 / ZOOM),
    '=': () => move(0, 0, 1 / ZOOM),
    '-': () => move(0, 0, ZOOM),
    '0': () => setLooking(null),
    Enter: () => onPlace?.(fromPlane(water, { x: centre.x, y: -centre.y })),
  };
  const viewHeight = width / aspect;
  const handlers = {
    onKeyDown: (event: KeyboardEvent) => {
      const act = keys[event.key];
      if (!act) return;
      event.preventDefault();
      act();
    },
    onPointerDown: (event: PointerEvent<SVGSVGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      drag.current = { px: event.clientX, py: event.clientY, ...centre, moved: false };
    },
    onPointerMove: (event: PointerEvent) => {
      const start = drag.current;
      const matrix = frame.current?.getScreenCTM();
      if (!start || !matrix) return;
      const [dx, dy] = [event.clientX - start.px, event.clientY - start.py];
      if (!start.moved && Math.hypot(dx, dy) < 5) return;
      start.moved = true;
      setLooking({ x: start.x - dx / matrix.a, y: start.y - dy / matrix.d, width });
    },
    onPointerUp: (event: PointerEvent) => {
      const place = drag.current?.moved === false ? placeUnder(event) : null;
      drag.current = null;
      if (place) onPlace?.(place);
    },
    onPointerCancel: () => {
      drag.current = null;
    },
  };
  const view: ChartView = { centre, width, viewHeight, unit };
  return { holder, frame, view, at, move, handlers };
}

/** The middle and size of what matters on the chart: launches, places, hazards and routes. */
function extentOf(
  water: Water,
  lines: readonly { points: readonly Place[] }[],
): { x: number; y: number; width: number; height: number } {
  const points = [...water.launches, ...water.areas, ...lines.flatMap((line) => line.points)].map((place) =>
    toPlane(water, place),
  );
  if (points.length === 0) return { x: 0, y: 0, width: 600, height: 400 };
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => -y);
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return {
    x: (left + right) / 2,
    y: (top + bottom) / 2,
    width: Math.max(600, (right - left) * 1.45),
    height: Math.max(400, (bottom - top) * 1.35),
  };
}
