import { useTheme } from '@mui/material/styles';
import {
  CartesianGrid,
  Legend,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import type { GzPoint } from '#core/boat/hull/hydrostatics';
import { amountOnly, unitName } from '#core/units/amount';

/**
 * Righting levers by heel: as it is laden, and with the angler alone, seated low. The figures stand in words
 * beneath.
 */
export function RightingChart({ alone, now }: { alone: readonly GzPoint[]; now: readonly GzPoint[] }) {
  const { inks } = useTheme();
  const rows = Array.from({ length: Math.max(alone.length, now.length) }, (_, i) => ({
    heel: (now[i] ?? alone[i])?.heelDeg ?? 0,
    now: now[i]?.gzM ?? null,
    alone: alone[i]?.gzM ?? null,
  }));
  return (
    <div role="img" aria-label="Righting lever by heel, as laden and with the angler alone">
      <ResponsiveContainer width="100%" height={240}>
        <LineChart data={rows} margin={{ left: 8, right: 16, top: 8, bottom: 4 }} accessibilityLayer={false}>
          <CartesianGrid stroke={inks.rule} vertical={false} />
          <XAxis
            dataKey="heel"
            type="number"
            domain={[0, 90]}
            ticks={[0, 15, 30, 45, 60, 75, 90]}
            tickFormatter={(deg: number) => `${deg}°`}
            stroke={inks.slate}
          />
          <YAxis
            stroke={inks.slate}
            width={70}
            tickFormatter={(metres: number) => `${amountOnly(metres, 'm', 2)} ${unitName('m')}`}
          />
          <ReferenceLine y={0} stroke={inks.ink} />
          <Legend />
          <Line
            name="you alone, seated low"
            dataKey="alone"
            stroke={inks.slate}
            strokeDasharray="5 4"
            dot={false}
            isAnimationActive={false}
          />
          <Line
            name="as it is laden"
            dataKey="now"
            stroke={inks.tide}
            strokeWidth={2.2}
            dot={false}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
