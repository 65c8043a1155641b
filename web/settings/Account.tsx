import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Loaded } from '../documents/Loaded';
import { type Me, signOut, useDevices, useMe } from '../people/queries';
import { PairPhone } from './PairPhone';
import { Passkeys } from './Passkeys';
import { PasswordAndCodes } from './PasswordAndCodes';
import { dayAndHour } from './dayAndHour';
import { useTell } from './useTell';

/**
 * Settled here: on which devices I am signed in, and how. What would annoy: a device of mine that I cannot
 * shut out. Nothing where the server asks nobody who they are.
 */
export function Account() {
  const { data } = useMe();
  if (!data?.accounts || !data.person) return null;
  return <SignedIn me={data.person} />;
}

function SignedIn({ me }: { me: NonNullable<Me['person']> }) {
  const tell = useTell();
  const out = async () => {
    await signOut();
    window.location.assign('/outings');
  };
  return (
    <Box
      component="section"
      aria-labelledby="account-heading"
      sx={{ display: 'grid', gap: 2.5, maxWidth: 700 }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
        <Typography variant="h2" id="account-heading">
          Signed in as {me.name}
        </Typography>
        <Button variant="outlined" onClick={() => void tell(out())}>
          Sign out
        </Button>
      </Box>
      <Devices />
      <PairPhone />
      <Passkeys />
      <PasswordAndCodes />
    </Box>
  );
}

function Devices() {
  const { data, error, end } = useDevices();
  const tell = useTell();
  return (
    <Box>
      <Typography variant="h3">Your devices</Typography>
      <Loaded data={data} error={error}>
        {(list) => (
          <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {list.map((one) => (
              <Box
                component="li"
                key={one.id}
                sx={{ display: 'flex', gap: 2, alignItems: 'center', py: 0.75 }}
              >
                <Box sx={{ flex: 1, minWidth: 0, overflowWrap: 'anywhere' }}>
                  {nameOf(one.device)}
                  {one.this && ', this one'}
                  <Typography variant="caption" component="div" color="textSecondary">
                    seen {dayAndHour(one.seenAt)}
                  </Typography>
                </Box>
                {!one.this && (
                  <Button onClick={() => void tell(end(one.id), 'It is signed out.')}>Sign it out</Button>
                )}
              </Box>
            ))}
          </Box>
        )}
      </Loaded>
    </Box>
  );
}
/** What a browser calls itself, as far as people know it by. */
function nameOf(agent: string): string {
  const on =
    /\((?:[^;)]*; )?(Android[^;)]*|iPhone|iPad|Windows|Macintosh|X11; Linux|Linux)/.exec(agent)?.[1] ?? '';
  const by = /(Firefox|Edg|Chrome|Safari)\//.exec(agent)?.[1] ?? '';
  return [by, on.replace('X11; ', '')].filter(Boolean).join(' on ') || agent.slice(0, 60);
}
