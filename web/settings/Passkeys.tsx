import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { dateAt, dayInWords } from '#core/units/time';
import { Secret } from '../people/Secret';
import { type Passkey, passkeysWork, usePasskeys } from '../people/passkeys';
import { useTry } from '../people/useTry';
import { useToast } from '../ui/Toast';
import { Trouble } from '../ui/Trouble';

const day = (iso: string) => dayInWords(dateAt(Date.parse(iso), 'local'));

/**
 * Settled here: which of my devices sign in without the password. What would annoy: one that I lost and
 * cannot take away.
 */
export function Passkeys() {
  const { data = [], add, remove } = usePasskeys();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const { busy, run, at, trouble } = useTry();
  const say = useToast();
  const works = passkeysWork();
  const away = (one: Passkey) =>
    run(async () => {
      await remove(one.id);
      say(`${one.name} lets nobody in any more.`);
    });
  return (
    <Box component="details">
      <Box component="summary" sx={{ cursor: 'pointer', py: 1 }}>
        Passkeys{data.length > 0 ? `: ${data.length}` : ''}
      </Box>
      <Box component="ul" aria-label="Passkeys" sx={{ listStyle: 'none', m: 0, p: 0, maxWidth: 420 }}>
        {data.map((one) => (
          <Box component="li" key={one.id} sx={{ display: 'flex', gap: 2, alignItems: 'center', py: 0.75 }}>
            <Box sx={{ flex: 1, minWidth: 0, overflowWrap: 'anywhere' }}>
              {one.name}
              <Typography variant="caption" component="div" color="textSecondary">
                made {day(one.createdAt)}
                {one.usedAt === null ? '' : `, used ${day(one.usedAt)}`}
              </Typography>
            </Box>
            <Button disabled={busy} onClick={() => void away(one)} aria-label={`Take ${one.name} away`}>
              Take it away
            </Button>
          </Box>
        ))}
      </Box>
      {works ? (
        <Box
          component="form"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void run(async () => {
              await add(name.trim(), password);
              setName('');
              setPassword('');
              say('This device signs you in by itself from now on.');
            });
          }}
          sx={{ display: 'grid', gap: 2, maxWidth: 420, pt: 1 }}
        >
          <Typography variant="body2" color="textSecondary">
            A key that this device keeps, opened by its own lock: in place of the password, which still works.
          </Typography>
          <Secret
            label="Name for this device"
            value={name}
            onChange={setName}
            error={at('name')}
            fill="off"
          />
          <Secret
            label="Password now"
            value={password}
            onChange={setPassword}
            error={at('password')}
            fill="current-password"
          />
          <Box>
            <Button type="submit" variant="outlined" disabled={busy || name.trim() === ''}>
              Make a passkey
            </Button>
          </Box>
        </Box>
      ) : (
        <Typography variant="body2" color="textSecondary">
          This browser makes none for this page: a page needs a name, not a number, and to be served over
          HTTPS or on the machine itself.
        </Typography>
      )}
      <Trouble text={trouble} />
    </Box>
  );
}
