import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Codes } from '../people/Codes';
import { Secret } from '../people/Secret';
import { newCodes, newPassword } from '../people/queries';
import { useTry } from '../people/useTry';
import { useToast } from '../ui/Toast';
import { Trouble } from '../ui/Trouble';

/** A new password, or new recovery codes: each by whoever knows the password now. */
export function PasswordAndCodes() {
  const [password, setPassword] = useState('');
  const [next, setNext] = useState('');
  const [codes, setCodes] = useState<readonly string[]>([]);
  const { busy, run, at, trouble } = useTry();
  const say = useToast();
  return (
    <Box component="details">
      <Box component="summary" sx={{ cursor: 'pointer', py: 1 }}>
        Password and recovery codes
      </Box>
      <Box
        component="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void run(async () => {
            await newPassword(password, next);
            setPassword('');
            setNext('');
            say('The new password holds. Your other devices are signed out.');
          });
        }}
        sx={{ display: 'grid', gap: 2, maxWidth: 420, pt: 1 }}
      >
        <Secret
          label="Password now"
          value={password}
          onChange={setPassword}
          error={at('password')}
          fill="current-password"
        />
        <Secret
          label="New password"
          value={next}
          onChange={setNext}
          error={at('next')}
          fill="new-password"
          help="At least ten characters."
        />
        <Trouble text={trouble} />
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          <Button type="submit" variant="outlined" disabled={busy}>
            Change it
          </Button>
          <Button
            disabled={busy}
            onClick={() =>
              void run(async () => {
                setCodes((await newCodes(password)).codes);
                setPassword('');
              })
            }
          >
            New recovery codes
          </Button>
        </Box>
        {codes.length > 0 && <Codes codes={codes} />}
      </Box>
    </Box>
  );
}
