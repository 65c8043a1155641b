import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Codes } from './Codes';
import { Gate } from './Gate';
import { Secret } from './Secret';
import { comeIn } from './queries';
import { useTry } from './useTry';
import { Trouble } from '../ui/Trouble';

/**
 * Settled here: the name and the password of somebody who comes in for the first time. What would annoy: a
 * rule told only after the press.
 */
export function ComeIn({ by, token }: { by: 'first' | 'join'; token: string }) {
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const [codes, setCodes] = useState<readonly string[] | null>(null);
  const { busy, run, at, trouble } = useTry();
  if (codes)
    return (
      <Gate title={`Welcome, ${name.trim()}`} lead="You are signed in on this device.">
        <Codes codes={codes} />
        <Button variant="contained" onClick={() => window.location.assign('/outings')}>
          They are written down
        </Button>
      </Gate>
    );
  return (
    <Gate
      title={by === 'first' ? 'The first keeper' : 'You are invited'}
      lead={
        by === 'first'
          ? 'You invite the other members. What is here already is yours.'
          : 'Things, boats and outings are your own here; the club’s waters, species and rules are read by all.'
      }
    >
      <Box
        component="form"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void run(async () => setCodes((await comeIn(by, token, name, password)).codes));
        }}
        sx={{ display: 'grid', gap: 2 }}
      >
        <Secret label="Name" value={name} onChange={setName} error={at('name')} fill="username" />
        <Secret
          label="Password"
          value={password}
          onChange={setPassword}
          error={at('password')}
          fill="new-password"
          help="At least ten characters. A sentence is easier to keep than signs."
        />
        <Trouble text={trouble ?? at('token')} />
        <Button type="submit" variant="contained" disabled={busy}>
          Make the account
        </Button>
      </Box>
    </Gate>
  );
}
