import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { type Pass, makePairing } from '../people/queries';
import { useTry } from '../people/useTry';
import { OneTimeAddress } from './OneTimeAddress';
import { Trouble } from '../ui/Trouble';

/** Signs a telephone in without typing a password on it. */
export function PairPhone() {
  const [pass, setPass] = useState<Pass | null>(null);
  const { busy, run, trouble } = useTry();
  return (
    <Box sx={{ display: 'grid', gap: 1, justifyItems: 'start' }}>
      <Button
        variant="outlined"
        disabled={busy}
        onClick={() => void run(async () => setPass(await makePairing()))}
      >
        Pair a phone
      </Button>
      <Trouble text={trouble} />
      {pass && (
        <OneTimeAddress
          key={pass.token}
          path="/pair"
          pass={pass}
          says="Read this with the phone, within five minutes. It signs that phone in, once, as you."
        />
      )}
    </Box>
  );
}
