/** The sixteen points, north first, clockwise. */
export const POINTS = [
  'N',
  'NNE',
  'NE',
  'ENE',
  'E',
  'ESE',
  'SE',
  'SSE',
  'S',
  'SSW',
  'SW',
  'WSW',
  'W',
  'WNW',
  'NW',
  'NNW',
] as const;

/** The nearest of sixteen points to a bearing in degrees: "WSW". */
export function pointOf(bearingDeg: number): (typeof POINTS)[number] {
  return POINTS[Math.round((((bearingDeg % 360) + 360) % 360) / 22.5) % 16] ?? 'N';
}

const words: Record<string, string> = {
  north: 'n',
  east: 'e',
  south: 's',
  west: 'w',
  northerly: 'n',
  easterly: 'e',
  southerly: 's',
  westerly: 'w',
};
/**
 * The bearing of a point named by letters or words ("SW", "south-west", "south westerly"), °; null: it names
 * none.
 */
export function bearingOfPoint(text: string): number | null {
  const letters = text
    .toLowerCase()
    .split(/[\s-]+/)
    .map((part) => part.replace(/^(north|south)(north|south|east|west)/, '$1 $2'))
    .join(' ')
    .split(' ')
    .map((part) => words[part] ?? words[part.replace(/(er)?ly$|ern$/, '')] ?? part)
    .join('')
    .toUpperCase();
  const at = POINTS.findIndex((point) => point === letters);
  return at < 0 ? null : at * 22.5;
}
