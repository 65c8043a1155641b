import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { slackWaters, turnsOfTide, valueAt } from '#core/environment/tide';
import { sayTideSource, streamOf, tideOf } from '#core/environment/waterTide';
import { turnsWithin } from '#core/environment/tideTable';
import type { Water } from '#core/documents/water';
import { DAY_MS, clockAt, dayInWords, instantOf } from '#core/units/time';
import { amount } from '#core/units/amount';
import { figure } from '#core/units/words';
import { type TimeAxis, anchorOf, pathOf, ticks, useWidth, xOf } from '../../ui/timeAxis';
import { Term } from '../../ui/Term';
import { byClock, sayHour } from '#core/units/clockWords';

const HEIGHT = 150;
const TOP = 12;
const BOTTOM = 118;

const hasFigures = ({ turns, constituents }: NonNullable<Water['tide']>) =>
  turns.length + constituents.length > 0;

/** Today's tide as a curve, and its turns and slacks in words. Predicted; wind and pressure move it. */
export function TideToday({ water, date }: { water: Water; date: string }) {
  const { inks } = useTheme();
  const [ref, width] = useWidth<HTMLDivElement>(700);
  const from = instantOf(date, '00:00', water.timeZone) ?? 0;
  const to = from + DAY_MS;
  const { tide, stream } = useMemo(
    () => ({
      // A table that begins or ends within the day is drawn as far as it goes.
      tide: water.tide && hasFigures(water.tide) ? tideOf(water, from, to) : null,
      stream: streamOf(water, from, to)?.series ?? null,
    }),
    [water, from, to],
  );
  if (!tide && !stream)
    return (
      <Typography color="textSecondary">
        {water.tide && hasFigures(water.tide)
          ? `The high and low waters that are written here are for other days than ${dayInWords(date)}.`
          : 'No tide and no stream are held for this water.'}
      </Typography>
    );
  // What was written is told as it was written, the first and the last of it too.
  const written = water.tide?.constituents.length === 0 ? turnsWithin(water.tide.turns, from, to) : null;
  const turns = written ?? (tide ? turnsOfTide(tide, from, to) : []);
  const axis: TimeAxis = { from, to, left: 34, right: Math.max(240, width - 10) };
  const steps = Array.from({ length: 145 }, (_, i) => from + (i * DAY_MS) / 144);
  const known = tide
    ? steps.filter((at) => at >= tide.from && at <= tide.from + (tide.values.length - 1) * tide.stepMs)
    : [];
  const heights = tide ? known.map((at) => valueAt(tide, at)) : [];
  const [low, high] = [Math.min(0, ...heights), Math.max(1, ...heights)];
  const y = (m: number) => BOTTOM - ((m - low) / (high - low)) * (BOTTOM - TOP);
  const clock = (at: number) => byClock(clockAt(at, water.timeZone));
  const hour = (at: number) => sayHour(clockAt(at, water.timeZone));
  return (
    <Box component="section" ref={ref} sx={{ minWidth: 0 }}>
      <Typography variant="h3" component="h2">
        Tide and stream, {dayInWords(date)}
      </Typography>
      {tide && (
        <svg
          width="100%"
          height={HEIGHT}
          role="img"
          aria-label="Height of the tide through the day; the same is in the table below"
          style={{ display: 'block' }}
        >
          {ticks(axis, 50).map((at) => (
            <g key={at}>
              <line
                x1={xOf(axis, at)}
                x2={xOf(axis, at)}
                y1={TOP}
                y2={BOTTOM}
                stroke={inks.rule}
                strokeWidth={0.7}
              />
              <text
                x={xOf(axis, at)}
                y={BOTTOM + 18}
                fontSize={12}
                textAnchor={anchorOf(axis, xOf(axis, at), hour(at))}
                fill={inks.slate}
              >
                {hour(at)}
              </text>
            </g>
          ))}
          {[low, high].map((m) => (
            <text key={m} x={0} y={y(m) + 4} fontSize={12} fill={inks.slate}>
              {amount(m, 'm')}
            </text>
          ))}
          <path
            d={pathOf(known.map((at, i) => [xOf(axis, at), y(heights[i] ?? 0)]))}
            fill="none"
            stroke={inks.kelp}
            strokeWidth={2.2}
          />
        </svg>
      )}
      <Table size="small" aria-label="Turns of tide and stream">
        <TableBody>
          {tide &&
            turns.map((turn) => (
              <TableRow key={turn.at}>
                <TableCell>{turn.high ? 'High water' : 'Low water'}</TableCell>
                <TableCell align="right">{clock(turn.at)}</TableCell>
                <TableCell align="right">{amount(turn.value, 'm')}</TableCell>
              </TableRow>
            ))}
          {stream &&
            slackWaters(stream, from, to).map((at) => (
              <TableRow key={at}>
                <TableCell>
                  <Term id="slack">Slack</Term>, the stream turns
                </TableCell>
                <TableCell align="right">{clock(at)}</TableCell>
                <TableCell align="right">
                  {amount(Math.max(...steps.map((step) => Math.abs(valueAt(stream, step)))), 'm/s', 2)} at
                  most today
                </TableCell>
              </TableRow>
            ))}
        </TableBody>
      </Table>
      {water.stream && water.stream.constituents.length === 0 && water.stream.hours.length === 0 && (
        <Typography>
          A steady stream of {amount(Math.abs(water.stream.steadyMps), 'm/s', 2)} toward{' '}
          {figure(water.stream.towardDeg, 0)}°.
        </Typography>
      )}
      <Typography variant="caption" color="textSecondary">
        {sayTideSource(water)} Wind and air pressure move the real one.
      </Typography>
    </Box>
  );
}
