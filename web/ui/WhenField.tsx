import CalendarTodayOutlined from '@mui/icons-material/CalendarTodayOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import InputAdornment from '@mui/material/InputAdornment';
import Popover from '@mui/material/Popover';
import TextField from '@mui/material/TextField';
import { DateTime } from 'luxon';
import { type Ref, Suspense, lazy, useImperativeHandle, useRef, useState } from 'react';
import { type Meant, monthIsFirst, readClock, readDay, sayDay } from './when';
import { byClock } from '#core/units/clockWords';
import { spoken } from '#core/units/speaking';
import { useTyped } from './useTyped';

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
  /** What was typed and is none: for a form, whose schema refuses it. */
  onRefused?: (text: string) => void;
  /** For whoever closes what the field stands in: takes what was typed first. */
  handle?: Ref<{ commit: () => boolean }>;
}
const asks = {
  date: 'Write the date as 16 May 2026, 16.5.2026, or Saturday.',
  time: 'Write the time as hh:mm, 00:00 to 23:59.',
} as const;
/** The calendar's own size, px. */
const CALENDAR = { width: 320, height: 336 };
const TWELVE = 'Write the time as 2:40 pm, or 14:40.';

/**
 * A day or a time of day, the same everywhere: days in words, times by the reader’s clock, whatever the
 * browser's own habits are. It is taken when one goes on from it. What is no date or time stays in the field,
 * with what is allowed, and changes nothing.
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
  onRefused,
  handle,
}: Props) {
  const shown = value === null ? '' : kind === 'date' ? sayDay(value) : byClock(value);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const say = (one: string) => (kind === 'date' ? sayDay(one) : byClock(one));
  const meantBy = (text: string): Meant | null =>
    kind === 'date'
      ? readDay(text, { today: DateTime.local().toFormat('yyyy-MM-dd'), monthFirst: monthIsFirst() })
      : readClock(text, spoken().clock === '12 h');
  const read = (text: string): string | null | undefined => {
    if (text.trim() === '') return nullable ? null : undefined;
    // As it is shown it is what it was.
    if (text === shown) return value ?? undefined;
    const meant = meantBy(text);
    return meant?.is === 'one' ? meant.value : undefined;
  };
  const allowed = kind === 'time' && spoken().clock === '12 h' ? TWELVE : asks[kind];
  const { text, type, refusal, commit, drop, isTyped } = useTyped({
    label,
    shown,
    read,
    onTake: onChange,
    onRefused,
    allowed,
  });
  const meant = isTyped ? meantBy(text) : null;
  const either = meant?.is === 'either' ? meant.values : null;
  useImperativeHandle(handle, () => ({
    commit: () => {
      const taken = commit();
      if (!taken) input.current?.focus();
      return taken;
    },
  }));
  return (
    <>
      <TextField
        label={label}
        value={text}
        size={size}
        fullWidth
        // The field of a blank that was just opened is where one writes.
        autoFocus={autoFocus}
        error={refusal !== null || error !== undefined}
        helperText={either && refusal !== null ? 'It may be either of these:' : (refusal ?? error)}
        inputRef={input}
        onChange={(event) => type(event.target.value)}
        onFocus={(event) => event.target.select()}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          const taken = commit();
          if (!onEnter) return;
          // Else the same press goes on to what has the focus next, and opens it again.
          event.preventDefault();
          if (taken) onEnter();
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
      {either && (
        <Box
          role="group"
          aria-label={`${label}: which is meant`}
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 0.5 }}
        >
          {either.map((one) => (
            <Button
              key={one}
              size="small"
              variant="outlined"
              // Before the field is left: leaving it would refuse what is just being answered.
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => {
                drop();
                onChange(one);
                onEnter?.();
              }}
            >
              {say(one)}
            </Button>
          ))}
        </Box>
      )}
      {anchor && (
        <Popover
          open
          anchorEl={anchor}
          onClose={() => setAnchor(null)}
          anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
          transformOrigin={{ vertical: 'top', horizontal: 'right' }}
          // Its room is kept before it comes: placed by what is not there yet, it would stand beyond the edge
          // of a telephone.
          slotProps={{ paper: { sx: { width: CALENDAR.width, height: CALENDAR.height } } }}
        >
          <Suspense>
            <Calendar
              date={value}
              onPick={(date) => {
                drop();
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
