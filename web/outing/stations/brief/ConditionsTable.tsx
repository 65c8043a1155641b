import SouthOutlined from '@mui/icons-material/SouthOutlined';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableContainer from '@mui/material/TableContainer';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { hoursOf } from '#core/exposures/exposures';
import { NO_FIGURES } from '#core/editing/hours';
import { type Conditions, type Hour, hourSchema, conditionsSchema } from '#core/documents/outing';
import { HOUR_MS, clockAt, isoAt } from '#core/units/time';
import { NumberField } from '../../../ui/NumberField';
import { useOutingWorkspace } from '../../outingWorkspace';
import { headed } from '#core/units/amount';
import { byClock } from '#core/units/clockWords';
import useMediaQuery from '@mui/material/useMediaQuery';
import { sayHour } from '#core/exchange/sayForecast';

const columns = [
  { key: 'windMps', name: 'Wind', unit: 'wind' },
  { key: 'gustMps', name: 'Gusts', unit: 'wind' },
  { key: 'windFromDeg', name: 'From', unit: '°' },
  { key: 'airC', name: 'Air', unit: '°C' },
  { key: 'waveM', name: 'Waves', unit: 'm' },
  { key: 'swellM', name: 'Swell', unit: 'm' },
  { key: 'swellPeriodS', name: 'Period', unit: 's' },
  { key: 'thunderPct', name: 'Thunder', unit: '%' },
  { key: 'rainMm', name: 'Rain', unit: 'mm' },
  { key: 'visibilityM', name: 'Sight', unit: 'm' },
  { key: 'humidityPct', name: 'Damp', unit: '%' },
] as const;
type Figure = (typeof columns)[number]['key'];

/** The hour and its button, however far the figures are scrolled. */
const staysInSight = { position: 'sticky', left: 0, zIndex: 1, bgcolor: 'background.default' } as const;

const MOST_HOURS = 48;

/**
 * The day hour by hour, as read off a forecast. A figure out of range stays where it was typed and is not
 * taken.
 */
export function ConditionsTable() {
  const { doc, edit, looked } = useOutingWorkspace();
  const { conditions } = doc;
  const zone = looked.water?.timeZone;
  const span = hoursOf(doc.brief, looked);
  const set = (change: (was: Conditions) => Partial<Conditions>, group = '') =>
    edit(
      (outing) => ({
        ...outing,
        conditions: {
          ...outing.conditions,
          source: 'typed' as const,
          from: '',
          takenAt: isoAt(Date.now(), 'utc'),
          ...change(outing.conditions),
        },
      }),
      group,
    );
  const starts = span ? hourStarts(span.from, span.to) : [];
  const setFigure = (at: number, key: Figure, value: number | null) =>
    set((was) => ({ hours: withFigures(was.hours, at, zone ?? 'utc', { [key]: value }) }), `${at}${key}`);
  const copyDown = (from: number) => {
    const row = rowAt(conditions.hours, from);
    if (!row) return;
    const { at: _at, ...figures } = row;
    set((was) => ({
      hours: starts
        .filter((at) => at > from)
        .reduce((hours, at) => withFigures(hours, at, zone ?? 'utc', figures), was.hours),
    }));
  };
  return (
    <Box sx={{ mt: 1 }}>
      <Box sx={{ width: 190, mb: 1 }}>
        <Checked
          label="Water temperature"
          unit="°C"
          value={conditions.waterC}
          schema={conditionsSchema.shape.waterC}
          onChange={(waterC) => set(() => ({ waterC }), 'waterC')}
        />
      </Box>
      {starts.length === 0 ? (
        <Typography color="textSecondary">
          Say the launch and the hours in the sentence; the table has a row for each hour then.
        </Typography>
      ) : (
        <Rows
          hours={starts.map((at) => ({
            at,
            clock: byClock(clockAt(at, zone ?? 'utc')),
            row: rowAt(conditions.hours, at),
          }))}
          setFigure={setFigure}
          copyDown={copyDown}
        />
      )}
    </Box>
  );
}

interface RowsProps {
  hours: readonly { at: number; clock: string; row: Hour | undefined }[];
  setFigure: (at: number, key: Figure, value: number | null) => void;
  copyDown: (from: number) => void;
}

/** The hours as a table; on a phone as a list, an hour opened at a time. */
function Rows(props: RowsProps) {
  const narrow = useMediaQuery('(max-width: 600px)');
  return narrow ? <HourList {...props} /> : <HourTable {...props} />;
}

function CopyDown({ clock, row, onCopy }: { clock: string; row: Hour | undefined; onCopy: () => void }) {
  return (
    <IconButton
      onClick={onCopy}
      disabled={!row}
      aria-label={`Copy ${clock} to every later hour`}
      title="Copy to every later hour"
    >
      <SouthOutlined fontSize="small" />
    </IconButton>
  );
}

function HourTable({ hours, setFigure, copyDown }: RowsProps) {
  return (
    <TableContainer sx={{ maxHeight: 560 }}>
      <Table
        size="small"
        aria-label="Conditions by the hour"
        sx={{ minWidth: 780, '& td, & th': { px: 0.5, py: 0.25 } }}
      >
        <TableHead>
          <TableRow>
            <TableCell sx={staysInSight}>Hour</TableCell>
            {columns.map(({ key, name, unit }) => (
              <TableCell key={key}>{headed(name, unit)}</TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          {hours.map(({ at, clock, row }, i) => (
            <TableRow key={at}>
              <TableCell component="th" scope="row" sx={{ ...staysInSight, whiteSpace: 'nowrap' }}>
                {clock}
                {i < hours.length - 1 && <CopyDown clock={clock} row={row} onCopy={() => copyDown(at)} />}
              </TableCell>
              {columns.map(({ key, name, unit }) => (
                <TableCell key={key}>
                  <Checked
                    label={headed(`${name} at ${clock}`, unit)}
                    unit={unit}
                    inTable
                    value={row?.[key] ?? null}
                    schema={hourSchema.shape[key]}
                    onChange={(value) => setFigure(at, key, value)}
                  />
                </TableCell>
              ))}
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </TableContainer>
  );
}

function HourList({ hours, setFigure, copyDown }: RowsProps) {
  return (
    <Box component="ol" aria-label="Conditions by the hour" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {hours.map(({ at, clock, row }, i) => (
        <Box component="li" key={at} sx={{ borderTop: 1, borderColor: 'divider' }}>
          <details>
            <Box component="summary" sx={{ minHeight: 44, py: 1, cursor: 'pointer' }}>
              <b>{clock}</b> {row ? sayHour(row) : 'not written'}
            </Box>
            <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5, py: 1 }}>
              {columns.map(({ key, name, unit }) => (
                <Checked
                  key={key}
                  label={`${name} at ${clock}`}
                  unit={unit}
                  value={row?.[key] ?? null}
                  schema={hourSchema.shape[key]}
                  onChange={(value) => setFigure(at, key, value)}
                />
              ))}
              {i < hours.length - 1 && <CopyDown clock={clock} row={row} onCopy={() => copyDown(at)} />}
            </Box>
          </details>
        </Box>
      ))}
    </Box>
  );
}

interface CheckedProps {
  label: string;
  unit: string;
  value: number | null;
  inTable?: boolean;
  schema: {
    safeParse: (
      value: unknown,
    ) => { success: true } | { success: false; error: { issues: { message: string }[] } };
  };
  onChange: (value: number | null) => void;
}

/**
 * A figure that is taken only when it is in range; else what was typed stays, with what is allowed beside it.
 */
function Checked({ schema, value, onChange, ...rest }: CheckedProps) {
  const [refused, setRefused] = useState<{ typed: number; why: string } | null>(null);
  return (
    <NumberField
      {...rest}
      size="small"
      value={refused ? refused.typed : value}
      error={refused?.why}
      onChange={(next) => {
        const result = schema.safeParse(next);
        setRefused(
          result.success
            ? null
            : { typed: next ?? NaN, why: result.error.issues[0]?.message ?? 'Not a figure.' },
        );
        if (result.success) onChange(next);
      }}
    />
  );
}

function hourStarts(from: number, to: number): number[] {
  const first = Math.floor(from / HOUR_MS) * HOUR_MS;
  const list: number[] = [];
  for (let at = first; at < to && list.length < MOST_HOURS; at += HOUR_MS) list.push(at);
  return list;
}

function rowAt(hours: readonly Hour[], at: number): Hour | undefined {
  return hours.find((hour) => Math.abs(Date.parse(hour.at) - at) < HOUR_MS / 2);
}

function withFigures(
  hours: readonly Hour[],
  at: number,
  zone: string,
  figures: Partial<Record<Figure, number | null>>,
): Hour[] {
  const row = rowAt(hours, at) ?? { at: isoAt(at, zone), ...NO_FIGURES };
  const rest = hours.filter((hour) => hour !== row);
  return [...rest, { ...row, ...figures }].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
}
