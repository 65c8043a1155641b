import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import {
  type About,
  type Contact,
  type Rescue,
  contactSchema,
  noRescue,
  nobody,
  nothingTold,
  wordSchema,
} from '#core/documents/word';
import { ApiError } from '../../../documents/api';
import { useDocuments, useKept } from '../../../documents/queries';
import { useToast } from '../../../ui/Toast';
import { useOutingWorkspace } from '../../outingWorkspace';

interface Answers {
  contact: Contact;
  about: About;
  rescue: Rescue;
  vehicleAt: string;
  note: string;
}

/**
 * What only the plan needs, asked once: of you in your profile, of the water with the water, of this outing
 * here. Each part is kept where it belongs, and only what changed.
 */
export function Told({ onClose }: { onClose: () => void }) {
  const { doc, edit, looked } = useOutingWorkspace();
  const { angler, water } = looked;
  const kept = useKept().data;
  const anglers = useDocuments('anglers');
  const waters = useDocuments('waters');
  const say = useToast();
  const [now, setNow] = useState<Answers>(() => ({
    contact: doc.brief.contact.name === '' ? (angler?.contact ?? nobody) : doc.brief.contact,
    about: angler?.about ?? nothingTold,
    rescue: water?.rescue ?? noRescue,
    vehicleAt: doc.word.vehicleAt,
    note: doc.word.note,
  }));
  const [age, setAge] = useState(now.about.ageYears === null ? '' : String(now.about.ageYears));
  const [trouble, setTrouble] = useState<string | null>(null);
  const years = age.trim() === '' ? null : Number(age);
  const badAge = years !== null && !(Number.isInteger(years) && years >= 5 && years <= 110);
  const badMail = !contactSchema.shape.email.safeParse(now.contact.email).success;
  const about = { ...now.about, ageYears: years };
  const same = (a: object | undefined, b: object) => JSON.stringify(a) === JSON.stringify(b);

  const keep = async () => {
    if (badAge || badMail) return;
    try {
      const profile = kept?.anglers[0];
      if (profile && !same(profile.doc.about, about))
        await anglers.put({ ...profile.doc, about }, profile.version);
      const place = kept?.waters.find((one) => one.doc.id === water?.id);
      if (place && !same(place.doc.rescue, now.rescue))
        await waters.put({ ...place.doc, rescue: now.rescue }, place.version);
      edit((outing) => ({
        ...outing,
        brief: same(outing.brief.contact, now.contact)
          ? outing.brief
          : { ...outing.brief, contact: now.contact },
        word: { ...outing.word, vehicleAt: now.vehicleAt, note: now.note },
      }));
      say('Kept: yours in your profile, the service with the water.');
      onClose();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setTrouble(error.fields[0]?.message ?? error.message);
    }
  };
  const field = (label: string, value: string, onChange: (value: string) => void, more: object = {}) => (
    <TextField
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{ htmlInput: { maxLength: 200 } }}
      fullWidth
      {...more}
    />
  );
  const setContact = (part: Partial<Contact>) => setNow({ ...now, contact: { ...now.contact, ...part } });
  const setAbout = (part: Partial<About>) => setNow({ ...now, about: { ...now.about, ...part } });
  const setRescue = (part: Partial<Rescue>) => setNow({ ...now, rescue: { ...now.rescue, ...part } });
  const grid = { display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2, mb: 3, mt: 1 };
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="told-title">
      <DialogTitle id="told-title">What they should know</DialogTitle>
      <DialogContent>
        <Typography variant="h3">Who waits</Typography>
        <Box sx={grid}>
          {field('Their name', now.contact.name, (name) => setContact({ name }))}
          {field('Their telephone', now.contact.phone, (phone) => setContact({ phone }), { type: 'tel' })}
          {field('Their address for mail', now.contact.email, (email) => setContact({ email }), {
            type: 'email',
            error: badMail,
            helperText: badMail ? 'Write it as name@place.example, or leave it empty.' : ' ',
          })}
        </Box>
        <Typography variant="h3">You, in every plan</Typography>
        {!angler && (
          <Typography color="textSecondary">
            There is no profile yet: these are kept once there is.
          </Typography>
        )}
        <Box sx={grid}>
          {field('Your telephone', now.about.phone, (phone) => setAbout({ phone }), {
            type: 'tel',
            disabled: !angler,
          })}
          {field('Age', age, setAge, {
            error: badAge,
            helperText: badAge ? 'A whole number from 5 to 110, or nothing.' : ' ',
            disabled: !angler,
          })}
          {field('What you wear, with its colours', now.about.wears, (wears) => setAbout({ wears }), {
            disabled: !angler,
          })}
          {field('Vehicle: make, colour, plate', now.about.vehicle, (vehicle) => setAbout({ vehicle }), {
            disabled: !angler,
          })}
          {field('Call sign of your radio', now.about.callSign, (callSign) => setAbout({ callSign }), {
            disabled: !angler,
          })}
          {field('Medical notes, if you wish', now.about.medical, (medical) => setAbout({ medical }), {
            disabled: !angler,
            multiline: true,
            slotProps: { htmlInput: { maxLength: 2000 } },
          })}
        </Box>
        <Typography variant="h3">This outing</Typography>
        <Box sx={grid}>
          {field('Where the vehicle stands', now.vehicleAt, (vehicleAt) => setNow({ ...now, vehicleAt }), {
            helperText: 'Empty: at the launch.',
          })}
          {field('Anything else they should read', now.note, (note) => setNow({ ...now, note }), {
            multiline: true,
            slotProps: { htmlInput: { maxLength: wordSchema.shape.note.maxLength ?? 4000 } },
          })}
        </Box>
        <Typography variant="h3">{water ? `Whom they call for ${water.name}` : 'Whom they call'}</Typography>
        <Box sx={grid}>
          {field('Service', now.rescue.name, (name) => setRescue({ name }), { disabled: !water })}
          {field('Number', now.rescue.phone, (phone) => setRescue({ phone }), {
            type: 'tel',
            disabled: !water,
          })}
          {field('Radio', now.rescue.radio, (radio) => setRescue({ radio }), { disabled: !water })}
        </Box>
        {trouble !== null && (
          <Typography color="error" role="alert">
            {trouble}
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave as it was</Button>
        <Button variant="contained" onClick={() => void keep()}>
          Keep
        </Button>
      </DialogActions>
    </Dialog>
  );
}
