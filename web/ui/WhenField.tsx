import CalendarTodayOutlined from '@mui/icons-material/CalendarTodayOutlined';
import IconButton from '@mui/material/IconButton';
import InputAdornment from '@mui/material/InputAdornment';
import Popover from '@mui/material/Popover';
import TextField from '@mui/material/TextField';
import { Suspense, lazy, useState } from 'react';
import { readClock, readDay, sayDay } from './when';
import { byClock } from '#core/units/clockWords';
import { spoken } from '#core/units/speaking';

const Calendar = lazy(async () => ({ default: (await import('./Calendar')).Calendar }));

interface Props {
  kind: 'date' | 'time';
  label: string;
  /** yyyy-mm-dd or hh:mm; null: none. */
  value: string | null;
  /** null only where it may be empty. */
  onChange: (value: string | null) => void;
  nullable?: boolean;
  autoFocus?: boolean;
  size?: 'small' | 'medium';
  error?: string | undefined;
  onEnter?: () => void;
}
const asks = {
  date: 'Write the date as 16 May 2026, or 16.5.2026.',
  time: 'Write the time as hh:mm, 00:00 to 23:59.',
} as const;
const TWELVE = 'Write the time as 2:40 pm, or 14:40.';

/**
 * A day or a time of day, the same everywhere: days in words, times by the reader’s clock, whatever the browser's own habits are. What is
 * no date or time stays in the field, with what is allowed, and changes nothing.
 */
export function WhenField({
  kind,
  label,
  value,
  onChange,
  nullable = false,
  size = 'medium',
  error,
  onEnter,
  autoFocus = false,
}: Props) {
  const shown = value === null ? '' : kind === 'date' ? sayDay(value) : byClock(value);
  const [typed, setTyped] = useState<string | null>(null);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const read = kind === 'date' ? readDay : readClock;
  const text = typed ?? shown;
  const empty = text.trim() === '';
  const good = empty ? nullable : read(text) !== null;
  const take = (next: string) => {
    setTyped(next);
    const known = next.trim() === '' ? null : read(next);
    if (known !== null || (next.trim() === '' && nullable)) onChange(known);
  };
  return (
    <>
      <TextField
        label={label}
        value={text}
        size={size}
        fullWidth
        // The field of a blank that was just opened is where one writes.
        autoFocus={autoFocus}
        error={!good || error !== undefined}
        helperText={good ? error : kind === 'time' && spoken().clock === '12 h' ? TWELVE : asks[kind]}
        onChange={(event) => take(event.target.value)}
        onFocus={(event) => event.target.select()}
        onBlur={() => {
          if (good) setTyped(null);
        }}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' || !good || !onEnter) return;
          // Else the same press goes on to what has the focus next, and opens it again.
          event.preventDefault();
          onEnter();
        }}
        slotProps={{
          htmlInput: {
            inputMode: kind === 'time' && spoken().clock === '24 h' ? 'numeric' : 'text',
            autoComplete: 'off',
          },
          input:
            kind === 'date'
              ? {
                  endAdornment: (
                    <InputAdornment position="end">
                      <IconButton
                        aria-label={`${label}: calendar`}
                        edge="end"
                        onClick={(event) => setAnchor(event.currentTarget)}
                      >
                        <CalendarTodayOutlined fontSize="small" />
                      </IconButton>
                    </InputAdornment>
                  ),
                }
              : {},
        }}
      />
      {anchor && (
        <Popover
          open
          anchorEl={anchor}
          onClose={() => setAnchor(null)}
          anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
          transformOrigin={{ vertical: 'top', horizontal: 'right' }}
        >
          <Suspense>
            <Calendar
              date={value}
              onPick={(date) => {
                setTyped(null);
                onChange(date);
                setAnchor(null);
              }}
            />
          </Suspense>
        </Popover>
      )}
    </>
  );
}
