import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { shiftClock } from '#core/units/time';
import { Blank } from '../Blank';
import { byClock } from '#core/units/clockWords';
import { When } from './When';
import { useBrief } from './useBrief';

/** Who calls for help, and when. */
export function Ashore() {
  const { brief, references, set } = useBrief();
  const contact = brief.contact.name;
  return (
    <>
      {' If nothing is heard, '}
      <Blank asks="Person ashore" text={contact}>
        {(close) => (
          <>
            {references.angler && references.angler.contact.name !== '' && (
              <Button
                variant="outlined"
                onClick={() => {
                  if (references.angler) set({ contact: { ...references.angler.contact } });
                  close();
                }}
              >
                {references.angler.contact.name}, from your profile
              </Button>
            )}
            <TextField
              label="Name"
              value={contact}
              onChange={(event) =>
                set({ contact: { ...brief.contact, name: event.target.value } }, 'contact')
              }
              slotProps={{ htmlInput: { maxLength: 200 } }}
            />
            <TextField
              label="Number"
              type="tel"
              value={brief.contact.phone}
              onChange={(event) => set({ contact: { ...brief.contact, phone: event.target.value } }, 'phone')}
              slotProps={{ htmlInput: { maxLength: 200 } }}
            />
            <Button variant="outlined" onClick={close}>
              Done
            </Button>
          </>
        )}
      </Blank>
      {' calls for help at '}
      <Blank asks="Hour to call for help" mark="." text={byClock(brief.alarmAt)}>
        {(close) => (
          <>
            <Button variant="outlined" onClick={() => set({ alarmAt: shiftClock(brief.homeAt, 60) })}>
              An hour after coming home
            </Button>
            <When
              kind="time"
              label="Call at"
              value={brief.alarmAt}
              onChange={(alarmAt) => set({ alarmAt }, 'alarmAt')}
              onDone={close}
            />
          </>
        )}
      </Blank>
    </>
  );
}
