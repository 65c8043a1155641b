import { useLayoutEffect, useRef, useState } from 'react';
import { HOUR_MS } from '#core/units/time';

/** A time axis: from a moment to another, over so many px. */
export interface TimeAxis {
  from: number;
  to: number;
  left: number;
  right: number;
}

export function xOf({ from, to, left, right }: TimeAxis, at: number): number {
  return left + ((at - from) / (to - from)) * (right - left);
}
export function timeOf({ from, to, left, right }: TimeAxis, x: number): number {
  return from + ((x - left) / (right - left)) * (to - from);
}

/** Whole hours on the axis, not nearer to each other than so many px. */
export function ticks(axis: TimeAxis, apartPx: number): number[] {
  const perHour = (axis.right - axis.left) / ((axis.to - axis.from) / HOUR_MS);
  const every = [1, 2, 3, 6, 12, 24].find((hours) => hours * perHour >= apartPx) ?? 24;
  const list: number[] = [];
  for (let at = Math.ceil(axis.from / HOUR_MS) * HOUR_MS; at <= axis.to; at += every * HOUR_MS) list.push(at);
  return list;
}

/** Half a letter of an hour's name, and the room right of an axis, px. */
const HALF_LETTER = 3.4;
const BESIDE = 10;
/**
 * Where an hour's name stands to its line: before it where half of it would not fit at the end of the axis.
 */
export function anchorOf({ right }: TimeAxis, x: number, name: string): 'end' | 'middle' {
  return x + HALF_LETTER * name.length > right + BESIDE ? 'end' : 'middle';
}

/** A path through points, broken where a value is missing. */
export function pathOf(points: readonly (readonly [number, number | null])[]): string {
  let pen = 'M';
  let path = '';
  for (const [x, y] of points) {
    if (y === null) {
      pen = 'M';
      continue;
    }
    path += `${pen}${x.toFixed(1)} ${y.toFixed(1)}`;
    pen = 'L';
  }
  return path;
}

/**
 * The width of an element as it changes, known before anything is drawn: what is drawn to another width first
 * moves all that is below it.
 */
export function useWidth<T extends HTMLElement>(otherwise: number) {
  const ref = useRef<T>(null);
  const [width, setWidth] = useState(otherwise);
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const { paddingLeft, paddingRight } = getComputedStyle(element);
    const room = element.clientWidth - (parseFloat(paddingLeft) || 0) - (parseFloat(paddingRight) || 0);
    // What is not shown, as while something else is printed, has no width.
    if (room > 0) setWidth(Math.round(room));
    const observer = new ResizeObserver(([entry]) => entry && setWidth(Math.round(entry.contentRect.width)));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, width] as const;
}
