import { useTheme } from '@mui/material/styles';
import { amount } from '#core/units/amount';
import { type TimeAxis, ticks, xOf } from '../../../../ui/timeAxis';

/** An arrow each hour, as long as the stream is strong, the way it runs along its own line. */
export function Stream({
  axis,
  y,
  speedAt,
  towardDeg,
}: {
  axis: TimeAxis;
  y: number;
  speedAt: (at: number) => number;
  towardDeg: number;
}) {
  const { inks } = useTheme();
  const hours = ticks(axis, 60).filter(
    (hour) => xOf(axis, hour) > axis.left + 16 && xOf(axis, hour) < axis.right - 16,
  );
  const most = Math.max(0.3, ...hours.map((hour) => Math.abs(speedAt(hour))));
  return (
    <g stroke={inks.ink} strokeWidth={1.5} fill="none">
      <text x={0} y={y + 4} fontSize={12.5} fill={inks.slate} stroke="none">
        stream
      </text>
      {hours.map((hour) => {
        const speed = speedAt(hour);
        const length = (Math.abs(speed) / most) * 30;
        const centre = xOf(axis, hour);
        const way = speed >= 0 ? 1 : -1;
        const tip = centre + (way * length) / 2;
        const toward = Math.round(way > 0 ? towardDeg : (towardDeg + 180) % 360);
        return (
          <g key={hour}>
            <title>{`${amount(Math.abs(speed), 'm/s', 2)} toward ${toward}°`}</title>
            {length > 4 ? (
              <path
                d={`M${centre - (way * length) / 2} ${y}H${tip}M${tip - way * 5} ${y - 4}L${tip} ${y}L${tip - way * 5} ${y + 4}`}
              />
            ) : (
              <path d={`M${centre} ${y - 3}v6`} />
            )}
          </g>
        );
      })}
    </g>
  );
}
