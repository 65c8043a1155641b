import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { type ReactNode, useId, useRef, useState } from 'react';
import { type FindingLevel } from '#core/vocabulary/levels';
import type { Attempt } from '#core/editing/trial';
import { LevelMark } from '../../../ui/LevelMark';
import { serif } from '../../../app/theme';
import { useTrial } from './trialContext';
import { screenOnly } from '../../../ui/screenOnly';
import { usePrintFit } from './usePrintFit';
import { amountTyped, parseAmount, unitName } from '#core/units/amount';
import { speechNameOf, spoken } from '#core/units/speaking';
import { byClock } from '#core/units/clockWords';
import type { Instant } from '#core/units/time';

/** One sheet: what it is of, its drawing, its lines, its answer. Prints on one page. */
export function Sheet({ title, facts, children }: { title: string; facts: ReactNode; children: ReactNode }) {
  const article = useRef<HTMLElement>(null);
  usePrintFit(article);
  return (
    <Box
      component="article"
      ref={article}
      aria-label={title}
      sx={{ maxWidth: 720, '@media print': { maxWidth: 'none', zoom: 'var(--print-zoom, 0.66)' } }}
    >
      <Typography variant="h2" sx={{ fontSize: '1.6rem' }}>
        {title}
      </Typography>
      <Typography variant="body2" color="textSecondary" component="p" sx={{ mb: 2 }}>
        {typeof facts === 'string' ? byClock(facts) : facts}
      </Typography>
      {children}
      {speechNameOf(spoken()) !== 'metric' && (
        <Typography variant="caption" color="textSecondary" component="p" sx={{ mt: 1.5 }}>
          Factors of a sum that stand without a unit are in SI: metres, kilograms, seconds, newtons.
        </Typography>
      )}
    </Box>
  );
}

/** A line of the sum: name = the numbers put in = result. */
export function Sum({
  name,
  result,
  thumb = false,
  children,
}: {
  name: ReactNode;
  result: ReactNode;
  thumb?: boolean;
  children?: ReactNode;
}) {
  return (
    <Box
      component="p"
      sx={{
        m: 0,
        py: 0.5,
        lineHeight: 1.7,
        fontVariantNumeric: 'tabular-nums',
        '& b': { whiteSpace: { xs: 'normal', sm: 'nowrap' } },
      }}
    >
      {name} = {children}
      {children !== undefined && ' = '}
      <b>{typeof result === 'string' ? byClock(result) : result}</b>
      {thumb && (
        <Box
          component="span"
          sx={{ color: 'text.secondary', typography: 'caption', ml: 1, whiteSpace: 'nowrap' }}
        >
          rule of thumb
        </Box>
      )}
    </Box>
  );
}

/**
 * A number of the sum, changed where it stands. What cannot be keeps what was typed and says what is allowed.
 */
export function InPlace({
  label,
  value,
  unit,
  change,
  decimals = 2,
}: {
  label: string;
  value: number;
  unit: string;
  change: (value: number) => Attempt;
  decimals?: number;
}) {
  const { attempt } = useTrial();
  const shown = amountTyped(Number(value.toFixed(decimals)), unit);
  const [text, setText] = useState(shown);
  const [told, setTold] = useState(shown);
  const [error, setError] = useState<string | null>(null);
  const id = useId();
  if (told !== shown) {
    setTold(shown);
    setText(shown);
    setError(null);
  }
  const settle = (typed: string) => {
    setText(typed);
    const read = parseAmount(typed, unit);
    const next = read.is === 'amount' && read.value !== null ? read.value : NaN;
    const why = attempt(change(next));
    setError(why);
    // What was taken comes back written the same way; what was typed stands until then.
    if (why === null) setTold(amountTyped(Number(next.toFixed(decimals)), unit));
  };
  return (
    <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
      <Box
        component="input"
        value={text}
        inputMode="decimal"
        aria-label={label}
        aria-invalid={error !== null}
        aria-describedby={error === null ? undefined : id}
        onChange={(event) => settle(event.target.value)}
        sx={{
          font: 'inherit',
          fontWeight: 700,
          color: error === null ? 'primary.main' : 'error.main',
          width: `${Math.max(2, text.length + 0.6)}ch`,
          height: 26,
          lineHeight: 1.2,
          p: 0,
          border: 0,
          borderBottom: '2px dotted',
          borderColor: 'currentColor',
          borderRadius: 0,
          bgcolor: 'transparent',
          textAlign: 'center',
        }}
      />
      {unit !== '' && ` ${unitName(unit)}`}
      {error !== null && (
        <Box component="span" id={id} role="alert" sx={{ color: 'error.main', typography: 'caption', ml: 1 }}>
          {error}
        </Box>
      )}
    </Box>
  );
}

/** A choice of the sum, changed where it stands. */
export function Pick<T extends string>({
  label,
  value,
  options,
  onPick,
}: {
  label: string;
  value: T;
  options: readonly { value: T; name: string }[];
  onPick: (value: T) => void;
}) {
  return (
    <Box
      component="select"
      aria-label={label}
      value={value}
      onChange={(event) => onPick(event.target.value as T)}
      sx={{
        font: 'inherit',
        fontWeight: 700,
        color: 'primary.main',
        bgcolor: 'background.default',
        border: 0,
        borderBottom: '2px dotted',
        borderColor: 'currentColor',
        height: 28,
        lineHeight: 1.2,
        maxWidth: '100%',
        justifySelf: 'start',
      }}
    >
      {options.map((one) => (
        <option key={one.value} value={one.value}>
          {byClock(one.name)}
        </option>
      ))}
    </Box>
  );
}

/** The answer, large, with what it is and the limit it is held to. */
export function Answer({
  of,
  value,
  limit,
  level,
}: {
  of: string;
  value: string;
  limit: string;
  level: FindingLevel | null;
}) {
  return (
    <Box sx={{ minWidth: 150, maxWidth: 300 }}>
      <Typography variant="caption" color="textSecondary" component="p">
        {of}
      </Typography>
      <Typography
        component="p"
        sx={{ fontFamily: serif, fontSize: '2.6rem', fontWeight: 600, lineHeight: 1.15 }}
      >
        {value}
      </Typography>
      <Box
        sx={{
          display: 'flex',
          gap: 0.75,
          alignItems: 'flex-start',
          '& svg': { mt: 0.4 },
          typography: 'body2',
          color: 'text.secondary',
        }}
      >
        {level && <LevelMark level={level} size={15} />}
        {byClock(limit)}
      </Box>
    </Box>
  );
}

export type HourState = 'yes' | 'care' | 'no' | 'none';
const stateWords: Record<HourState, string> = {
  yes: 'may',
  care: 'only with release, float and trolley',
  no: 'not at all',
  none: 'not there',
};
/** The half hours in a row, each by a shape: strokes, half disc, gate. */
export function HourMarks({
  hours,
  label,
}: {
  hours: readonly { at: Instant; clock: string; state: HourState }[];
  label: string;
}) {
  const { inks } = useTheme();
  return (
    <Box>
      <Typography variant="caption" color="textSecondary" component="p">
        {label}
      </Typography>
      <Box
        component="ol"
        sx={{ listStyle: 'none', m: 0, p: 0, display: 'flex', flexWrap: 'wrap', rowGap: 1 }}
      >
        {hours.map(({ at, clock, state }) => (
          <Box
            component="li"
            key={at}
            sx={{ width: Math.max(46, 7.3 * byClock(clock).length + 8), textAlign: 'center' }}
            aria-label={`${byClock(clock)}: ${stateWords[state]}`}
          >
            {state === 'yes' ? (
              <svg
                width={18}
                height={18}
                viewBox="0 0 18 18"
                aria-hidden
                stroke={inks.kelp}
                strokeWidth={2.2}
              >
                <path d="M4 2v14M9 2v14M14 2v14" />
              </svg>
            ) : state === 'none' ? (
              <svg
                width={18}
                height={18}
                viewBox="0 0 18 18"
                aria-hidden
                stroke={inks.slate}
                strokeWidth={1.6}
              >
                <path d="M2 9h14" />
              </svg>
            ) : (
              <LevelMark level={state === 'no' ? 'stop' : 'mind'} />
            )}
            <Box component="span" sx={{ display: 'block', typography: 'caption' }} aria-hidden>
              {byClock(clock)}
            </Box>
          </Box>
        ))}
      </Box>
      <Typography variant="caption" color="textSecondary" component="p">
        strokes: may · half disc: only with release, float and trolley · gate: not at all
      </Typography>
    </Box>
  );
}

/** The same figures as a table, folded away until it is asked for. */
export function Figures({
  name,
  open = false,
  heads,
  rows,
}: {
  name: string;
  /** Unfolded from the start. */
  open?: boolean;
  heads: readonly string[];
  rows: readonly (readonly string[])[];
}) {
  return (
    <Box component="details" {...screenOnly} open={open} sx={{ mt: 2 }}>
      <Box component="summary" sx={{ cursor: 'pointer', py: 1, typography: 'body2' }}>
        {name}, as a table
      </Box>
      <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label={name}>
        <Box
          component="table"
          sx={{
            borderCollapse: 'collapse',
            fontVariantNumeric: 'tabular-nums',
            typography: 'body2',
            '& td, & th': { textAlign: 'right', px: 1.25, py: 0.5, borderBottom: 1, borderColor: 'divider' },
            '& td:first-of-type, & th:first-of-type': { textAlign: 'left', pl: 0 },
          }}
        >
          <thead>
            <tr>
              {heads.map((head) => (
                <th key={head} scope="col">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, i) => (
              <tr key={`${i} ${row[0] ?? ''}`}>
                {row.map((cell, column) => (
                  <td key={heads[column]}>{byClock(cell)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </Box>
      </Box>
    </Box>
  );
}

/** Nothing to work out here, and what would change that. */
export function Nothing({ children }: { children: ReactNode }) {
  return <Typography sx={{ py: 1 }}>{children}</Typography>;
}
