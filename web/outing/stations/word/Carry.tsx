import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import Typography from '@mui/material/Typography';
import { dropCarried } from '../../../offline/carried';
import { screenOnly } from '../../../ui/screenOnly';
import { useToast } from '../../../ui/Toast';
import { sayCarried } from '../../CarriedWords';
import { useOutingWorkspace } from '../../outingWorkspace';

/** Puts the whole outing on this device, to be opened, walked and signed where there is no signal. */
export function Carry() {
  const { device, edit, editor, walk, now, looked } = useOutingWorkspace();
  const say = useToast();
  const { carried, busy, trouble, staysOpen } = device;
  const carry = async () => {
    if (!(await device.carry(() => Promise.all([walk.flush(), editor.flush()])))) return;
    const at = new Date().toISOString();
    edit((outing) => ({ ...outing, word: { ...outing.word, carriedAt: at } }));
    say('Carried: it was put on this device and read back.');
  };
  return (
    <Box {...screenOnly} component="section" aria-label="On this device" sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h3" component="h2">
        Carried to the water
      </Typography>
      <Typography role="status">
        {busy
          ? 'Being put on this device. You can go on meanwhile.'
          : carried
            ? `Carried at ${sayCarried(carried, now, looked.water?.timeZone ?? 'local')}. ${staysOpen === null ? 'It opens, is walked round and is signed without signal' : 'As long as this page stays open, it is walked round and signed without signal'}, and is brought up to date here whenever there is one.`
            : 'Not on this device. Carried, it opens, is walked round and is signed where there is no signal; what you answer is sent when there is.'}
      </Typography>
      {[staysOpen, trouble].map(
        (line) =>
          line !== null && (
            <Typography key={line} role="alert" color={carried ? 'textSecondary' : 'error'}>
              {line}
            </Typography>
          ),
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <Button variant={carried ? 'outlined' : 'contained'} onClick={() => void carry()} disabled={busy}>
          {carried ? 'Carry it anew' : 'Carry it'}
        </Button>
        {carried && (
          <Button
            onClick={() =>
              void dropCarried(carried.outingId).then(() => {
                edit((outing) => ({ ...outing, word: { ...outing.word, carriedAt: null } }));
                device.forget();
              })
            }
          >
            Take it off this device
          </Button>
        )}
        {busy && <CircularProgress size={22} aria-hidden />}
      </Box>
    </Box>
  );
}
