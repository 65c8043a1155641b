import { AdapterLuxon } from '@mui/x-date-pickers/AdapterLuxon';
import { DateCalendar } from '@mui/x-date-pickers/DateCalendar';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import { DateTime } from 'luxon';

/** A month to pick a day from, the week beginning on Monday. */
export function Calendar({ date, onPick }: { date: string | null; onPick: (date: string) => void }) {
  const day = date === null ? null : DateTime.fromISO(date);
  return (
    <LocalizationProvider dateAdapter={AdapterLuxon} adapterLocale="en-GB">
      <DateCalendar
        value={day?.isValid ? day : null}
        autoFocus
        onChange={(next: DateTime | null, state) => {
          if (next?.isValid && state === 'finish') onPick(next.toFormat('yyyy-MM-dd'));
        }}
      />
    </LocalizationProvider>
  );
}
