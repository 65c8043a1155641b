import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { DateTime } from 'luxon';
import { Suspense, lazy, useState } from 'react';
import { addDays, dayInWords } from '#core/units/time';

// The field of a day reads whole sentences: it comes when another day is asked for.
const AgainDay = lazy(async () => ({ default: (await import('./AgainDay')).AgainDay }));

interface Props {
  title: string;
  /** @param date yyyy-mm-dd */
  onDay: (date: string) => void;
}

/** Days that people go again: the coming Saturday and Sunday, tomorrow, and a week from today; each once, in their order. */
function likelyDays(today: string): string[] {
  const weekday = DateTime.fromISO(today).weekday;
  const coming = (day: number) => addDays(today, (day - weekday + 7) % 7 || 7);
  return [...new Set([addDays(today, 1), coming(6), coming(7), addDays(today, 7)])].toSorted();
}

/** The same outing once more: one press, and a day. */
export function Again({ title, onDay }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [asking, setAsking] = useState(false);
  const today = DateTime.local().toFormat('yyyy-MM-dd');
  const go = (date: string) => {
    setAnchor(null);
    setAsking(false);
    onDay(date);
  };
  return (
    <>
      <Button
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-haspopup="menu"
        aria-label={`Again: ${title}`}
      >
        Again
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {likelyDays(today).map((date) => (
          <MenuItem key={date} onClick={() => go(date)}>
            {dayInWords(date)}
          </MenuItem>
        ))}
        <MenuItem
          onClick={() => {
            setAnchor(null);
            setAsking(true);
          }}
        >
          Another day …
        </MenuItem>
      </Menu>
      {asking && (
        <Suspense>
          <AgainDay title={title} onDay={go} onClose={() => setAsking(false)} />
        </Suspense>
      )}
    </>
  );
}
