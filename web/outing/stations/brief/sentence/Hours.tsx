import { withHours } from '#core/editing/hours';
import { throughMidnight } from '#core/documents/hours';
import { dayInWords } from '#core/units/time';
import { count } from '#core/units/words';
import { Blank } from '../Blank';
import { CountBlank } from './CountBlank';
import { byClock } from '#core/units/clockWords';
import { When } from './When';
import { useBrief } from './useBrief';

/** The day and the hours afloat. */
export function Hours() {
  const { brief, set } = useBrief();
  return (
    <>
      {' on '}
      <Blank asks="Day" mark="," text={dayInWords(brief.date)}>
        {(close) => (
          <When
            kind="date"
            label="Day"
            value={brief.date}
            onChange={(date) => set({ date }, 'date')}
            onDone={close}
          />
        )}
      </Blank>
      {' afloat '}
      <Blank asks="Launch time" text={byClock(brief.launchAt)}>
        {(close) => (
          <When
            kind="time"
            label="Launch"
            value={brief.launchAt}
            onChange={(launchAt) => set(withHours(brief, launchAt, brief.homeAt), 'launchAt')}
            onDone={close}
          />
        )}
      </Blank>
      {' to '}
      <Blank asks="Time home" text={byClock(brief.homeAt)}>
        {(close) => (
          <When
            kind="time"
            label="Home"
            value={brief.homeAt}
            onChange={(homeAt) => set(withHours(brief, brief.launchAt, homeAt), 'homeAt')}
            onDone={close}
          />
        )}
      </Blank>{' '}
      <CountBlank
        asks="Nights out"
        text={
          brief.nights === 0
            ? throughMidnight(brief)
              ? 'the next morning'
              : 'the same day'
            : `after ${count(brief.nights)} ${brief.nights === 1 ? 'night' : 'nights'} out`
        }
        value={brief.nights}
        min={0}
        max={21}
        onChange={(nights) => set({ nights })}
      />
    </>
  );
}
