import { useTheme } from '@mui/material/styles';
import { lightOfDay, noonOf } from '#core/environment/light';
import { DAY_MS, dateAt } from '#core/units/time';
import { type TimeAxis, xOf } from '../../../../ui/timeAxis';

/** Night dark, twilight half, day clear. */
export function Light({
  axis,
  water,
  top,
  bottom,
}: {
  axis: TimeAxis;
  water: { latDeg: number; lonDeg: number; timeZone: string };
  top: number;
  bottom: number;
}) {
  const { inks, palette } = useTheme();
  // Night is darker than day in every theme.
  const dark = palette.mode === 'dark';
  const bands: { from: number; to: number; shade: number }[] = [];
  for (let day = axis.from - DAY_MS; day <= axis.to + DAY_MS; day += DAY_MS) {
    const { sunrise, sunset, dawn, dusk } = lightOfDay(
      noonOf(dateAt(day, water.timeZone), water.lonDeg),
      water.latDeg,
      water.lonDeg,
    );
    const next = lightOfDay(
      noonOf(dateAt(day + DAY_MS, water.timeZone), water.lonDeg),
      water.latDeg,
      water.lonDeg,
    );
    if (dawn !== null && sunrise !== null) bands.push({ from: dawn, to: sunrise, shade: 0.14 });
    if (sunset !== null && dusk !== null) bands.push({ from: sunset, to: dusk, shade: 0.14 });
    if (dusk !== null && next.dawn !== null) bands.push({ from: dusk, to: next.dawn, shade: 0.3 });
  }
  return bands.map(({ from, to, shade }) => {
    const [a, b] = [Math.max(axis.left, xOf(axis, from)), Math.min(axis.right, xOf(axis, to))];
    return b > a ? (
      <rect
        key={from}
        x={a}
        y={top}
        width={b - a}
        height={bottom - top}
        fill={dark ? '#000' : inks.ink}
        opacity={dark ? shade * 2 : shade}
      />
    ) : null;
  });
}
