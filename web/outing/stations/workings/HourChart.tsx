import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { inSpoken, unitName } from '#core/units/amount';
import { figure } from '#core/units/words';
import { byClock } from '#core/units/clockWords';

export interface HourLine {
  name: string;
  /** The unit its values are kept in; they are drawn in the reader's. */
  unit: string;
  dashed?: boolean;
  values: readonly number[];
}

/** Lines over the hours, each named at its end; the table beside says the same. */
export function HourChart({
  clocks,
  lines,
  limit,
  label,
}: {
  clocks: readonly string[];
  lines: readonly HourLine[];
  limit?: { value: number; name: string };
  label: string;
}) {
  const { inks } = useTheme();
  const colours = [inks.ink, inks.tide, inks.kelp, inks.ochre];
  const data = clocks.map((clock, i) => ({
    clock,
    ...Object.fromEntries(lines.map((line) => [line.name, inSpoken(line.values[i] ?? 0, line.unit)])),
  }));
  const text = { fill: inks.slate, fontSize: 12 };
  return (
    <Box role="img" aria-label={label} sx={{ my: 1 }}>
      <ResponsiveContainer width="100%" height={190}>
        <LineChart data={data} margin={{ top: 12, right: 16, bottom: 0, left: 0 }} accessibilityLayer={false}>
          <CartesianGrid stroke={inks.slate} strokeOpacity={0.18} vertical={false} />
          <XAxis dataKey="clock" tickFormatter={byClock} tick={text} stroke={inks.slate} minTickGap={24} />
          <YAxis
            tick={text}
            stroke={inks.slate}
            width={70}
            tickFormatter={(value: number) => `${figure(value, 2)}\u00a0${unitName(lines[0]?.unit ?? '')}`}
          />
          {limit && (
            <ReferenceLine
              y={inSpoken(limit.value, lines[0]?.unit ?? '')}
              stroke={inks.clay}
              strokeDasharray="5 4"
              ifOverflow="extendDomain"
              label={{ value: limit.name, position: 'insideTopRight', fill: inks.clay, fontSize: 12 }}
            />
          )}
          {lines.map((line, i) => (
            <Line
              key={line.name}
              dataKey={line.name}
              stroke={colours[i % colours.length] ?? inks.ink}
              strokeWidth={2}
              strokeDasharray={line.dashed ? '6 4' : ''}
              dot={false}
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
      {lines.length > 1 && (
        <Box
          sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', typography: 'caption', color: 'text.secondary' }}
        >
          {lines.map((line, i) => (
            <Box
              component="span"
              key={line.name}
              sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.75 }}
            >
              <svg width={22} height={6} aria-hidden>
                <path
                  d="M0 3H22"
                  stroke={colours[i % colours.length] ?? inks.ink}
                  strokeWidth={2}
                  strokeDasharray={line.dashed ? '6 4' : ''}
                />
              </svg>
              {line.name}
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}
