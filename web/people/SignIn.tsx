import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useCarriedList } from '../offline/useCarried';
import { Gate } from './Gate';
import { Secret } from './Secret';
import { passkeysWork, signInByPasskey } from './passkeys';
import { recover, signIn } from './queries';
import { useTry } from './useTry';
import { Trouble } from '../ui/Trouble';

/**
 * Settled here: who is asking. What would annoy: losing what was typed at the water because one has to sign
 * in again.
 */
export function SignIn({ onPast }: { onPast: () => void }) {
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const [code, setCode] = useState<string | null>(null);
  const { busy, run, at, trouble } = useTry();
  const carried = useCarriedList();
  const go = () =>
    run(async () => {
      await (code === null ? signIn(name, password) : recover(name, code, password));
      // Everything is read anew, as whoever came in.
      window.location.reload();
    });
  return (
    <Gate
      title={code === null ? 'Sign in' : 'A new password'}
      lead={
        code === null
          ? 'For members. Whoever keeps this server can invite you.'
          : 'One of the codes that you wrote down makes a new password. Every device is signed out by it, and every passkey is taken away.'
      }
    >
      <Box
        component="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void go();
        }}
        sx={{ display: 'grid', gap: 2 }}
      >
        <Secret label="Name" value={name} onChange={setName} error={at('name')} fill="username" />
        {code !== null && (
          <Secret label="Code" value={code} onChange={setCode} error={at('code')} fill="off" />
        )}
        <Secret
          label={code === null ? 'Password' : 'New password'}
          value={password}
          onChange={setPassword}
          error={at('password')}
          fill={code === null ? 'current-password' : 'new-password'}
        />
        <Trouble text={trouble} />
        <Button type="submit" variant="contained" disabled={busy}>
          {code === null ? 'Sign in' : 'Keep it and sign in'}
        </Button>
        {code === null && passkeysWork() && (
          <Button
            variant="outlined"
            disabled={busy}
            onClick={() =>
              void run(async () => {
                await signInByPasskey();
                window.location.reload();
              })
            }
          >
            Sign in with a passkey
          </Button>
        )}
        <Button onClick={() => setCode(code === null ? '' : null)}>
          {code === null ? 'I have lost my password' : 'I know my password'}
        </Button>
      </Box>
      {carried.length > 0 && (
        <Box sx={{ display: 'grid', gap: 1 }}>
          <Typography variant="body2" color="textSecondary">
            What is carried on this device can be read, walked and answered without signing in. It is sent
            when you are.
          </Typography>
          <Button variant="outlined" onClick={onPast}>
            Go on with what is carried
          </Button>
        </Box>
      )}
    </Gate>
  );
}
