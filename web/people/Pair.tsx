import Button from '@mui/material/Button';
import { Gate } from './Gate';
import { pair } from './queries';
import { useTry } from './useTry';
import { Trouble } from '../ui/Trouble';

/** Settled here: that this device is mine. It takes a press, so that no preview of the address uses it up. */
export function Pair({ token }: { token: string }) {
  const { busy, run, trouble } = useTry();
  return (
    <Gate
      title="Sign this device in"
      lead="It was asked for on a screen that is signed in, within the last five minutes."
    >
      <Trouble text={trouble} />
      <Button
        variant="contained"
        disabled={busy}
        onClick={() =>
          void run(async () => {
            await pair(token);
            window.location.assign('/outings');
          })
        }
      >
        Sign it in
      </Button>
    </Gate>
  );
}
