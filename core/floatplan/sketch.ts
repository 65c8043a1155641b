import { toPlane } from '../environment/geo';
import { distance } from '../units/amount';
import type { FloatPlan } from './floatPlan';

/** Drawing of the way, in units of its own, for screen, page and print. */
const WIDTH = 320;
const HEIGHT = 200;
const EDGE = 30;
const LEAST_M = 300;
const ROUND_M = [50, 100, 200, 500, 1000, 2000, 5000, 10_000, 20_000, 50_000];

const escaped = (text: string) =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

/**
 * The way with the land about it as SVG: north up, to scale, a bar for length. Every name in it is escaped.
 * @param ink colour of lines and letters @param paper what lies under letters
 */
export function sketchOf({ way, land }: Pick<FloatPlan, 'way' | 'land'>, ink: string, paper: string): string {
  const [first] = way;
  if (!first) return '';
  const flat = (latDeg: number, lonDeg: number) => toPlane(first, { latDeg, lonDeg });
  const points = way.map(({ latDeg, lonDeg }) => flat(latDeg, lonDeg));
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (WIDTH - 2 * EDGE) / Math.max(LEAST_M, x1 - x0),
    (HEIGHT - 2 * EDGE) / Math.max(LEAST_M, y1 - y0),
  );
  const at = ({ x, y }: { x: number; y: number }) => ({
    x: WIDTH / 2 + (x - (x0 + x1) / 2) * scale,
    y: HEIGHT / 2 - (y - (y0 + y1) / 2) * scale,
  });
  const path = (list: readonly { x: number; y: number }[]) =>
    list.map((one, i) => `${i === 0 ? 'M' : 'L'}${at(one).x.toFixed(1)} ${at(one).y.toFixed(1)}`).join('');
  const shores = land.map((ring) => path(ring.map(([lon, lat]) => flat(lat, lon))));
  const seen = new Set<string>();
  const marks = way.flatMap(({ name, kind }, i) => {
    const point = points[i];
    if (!point || seen.has(`${name} ${point.x} ${point.y}`)) return [];
    seen.add(`${name} ${point.x} ${point.y}`);
    const { x, y } = at(point);
    const shape =
      kind === 'place'
        ? `<circle cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" r="4" fill="${paper}" stroke="${ink}" stroke-width="1.5"/>`
        : `<rect x="${(x - 2.5).toFixed(1)}" y="${(y - 2.5).toFixed(1)}" width="5" height="5" fill="${ink}"/>`;
    const left = x > WIDTH * 0.66;
    const letters = `<text x="${(x + (left ? -7 : 7)).toFixed(1)}" y="${(y + 4).toFixed(1)}" text-anchor="${left ? 'end' : 'start'}" font-size="11"`;
    // The paper goes under the letters first: not everything that draws this knows in which order to paint.
    const text =
      name === '' || kind === 'point'
        ? ''
        : `${letters} fill="none" stroke="${paper}" stroke-width="3">${escaped(name)}</text>${letters} fill="${ink}">${escaped(name)}</text>`;
    return [shape + text];
  });
  const bar = ROUND_M.findLast((metres) => metres * scale <= WIDTH / 3) ?? ROUND_M[0] ?? 50;
  const long = (bar * scale).toFixed(1);
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" width="${WIDTH}" height="${HEIGHT}">`,
    `<rect x="0.5" y="0.5" width="${WIDTH - 1}" height="${HEIGHT - 1}" fill="none" stroke="${ink}" stroke-width="0.7"/>`,
    ...shores.map(
      (d) => `<path d="${d}" fill="${ink}" fill-opacity="0.1" stroke="${ink}" stroke-width="0.7"/>`,
    ),
    `<path d="${path(points)}" fill="none" stroke="${ink}" stroke-width="1.4" stroke-dasharray="5 3"/>`,
    ...marks,
    `<path d="M12 ${HEIGHT - 12}h${long}" stroke="${ink}" stroke-width="2" fill="none"/>`,
    `<text x="12" y="${HEIGHT - 17}" font-size="10" fill="${ink}">${escaped(distance(bar))}</text>`,
    `<path d="M${WIDTH - 16} 26V10m-4 6l4-6l4 6" stroke="${ink}" fill="none"/><text x="${WIDTH - 16}" y="37" font-size="10" text-anchor="middle" fill="${ink}">N</text>`,
    '</svg>',
  ].join('');
}
