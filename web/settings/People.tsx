import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { clockAt, dateAt, dayInWords } from '#core/units/time';
import { byClock } from '#core/units/clockWords';
import { ApiError } from '../documents/api';
import { Loaded } from '../documents/Loaded';
import { type Me, type Pass, signOut, useAudit, useClub, useDevices, useMe } from '../people/queries';
import { useToast } from '../ui/Toast';
import { OneTimeAddress } from './OneTimeAddress';
import { PairPhone } from './PairPhone';
import { Passkeys } from './Passkeys';
import { PasswordAndCodes } from './PasswordAndCodes';

const moment = (iso: string) => {
  const at = Date.parse(iso);
  return byClock(`${dayInWords(dateAt(at, 'local'))}, ${clockAt(at, 'local')}`);
};
/** Does something, and says what stood in its way. */
function useTell() {
  const say = useToast();
  return (work: Promise<unknown>, done = '') =>
    work.then(
      () => (done === '' ? undefined : say(done)),
      (failure: unknown) => say(failure instanceof ApiError ? failure.message : 'That did not work.'),
    );
}

/**
 * Settled here: who may come in, and on which devices I am. What would annoy: a device of mine that I cannot
 * shut out.
 */
export function People() {
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
      aria-labelledby="people-heading"
      sx={{ display: 'grid', gap: 2.5, maxWidth: 700 }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
        <Typography variant="h2" id="people-heading">
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
      {me.keeper && <House me={me.id} />}
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
                    seen {moment(one.seenAt)}
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

function House({ me }: { me: string }) {
  const { data, error, invite, withdraw, remove, makeKeeper, handOver } = useClub();
  const [handing, setHanding] = useState<string | null>(null);
  const tell = useTell();
  const [note, setNote] = useState('');
  const [pass, setPass] = useState<Pass | null>(null);
  const [noted, setNoted] = useState(false);
  const ask = async () => {
    setPass(await invite(note));
    setNote('');
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Typography variant="h3">Who may come in</Typography>
      <Loaded data={data} error={error}>
        {({ people, invitations }) => (
          <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {people.map(({ id, name, keeper, owner }) => (
              <Box
                component="li"
                key={id}
                sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}
              >
                <Typography sx={{ flex: 1, minWidth: 160, py: 1 }}>
                  {name}
                  {owner ? ', owner of this house' : keeper && ', keeper'}
                </Typography>
                {id !== me && !keeper && (
                  <Button onClick={() => void tell(makeKeeper(id), `${name} is a keeper.`)}>
                    Make a keeper
                  </Button>
                )}
                {id !== me && people.some((one) => one.owner && one.id === me) && (
                  <Button onClick={() => setHanding(id)} aria-label={`Hand the house over to ${name}`}>
                    Hand the house over
                  </Button>
                )}
                {handing === id && (
                  <Box
                    sx={{
                      flexBasis: '100%',
                      display: 'flex',
                      flexWrap: 'wrap',
                      gap: 1,
                      alignItems: 'center',
                      pb: 1,
                    }}
                  >
                    <Typography variant="body2" sx={{ flex: 1, minWidth: 200 }}>
                      {name} owns this house then: only they can hand it on, and you can be removed like
                      anybody else.
                    </Typography>
                    <Button
                      variant="outlined"
                      onClick={() => {
                        setHanding(null);
                        void tell(handOver(id), `The house is ${name}’s.`);
                      }}
                    >
                      Yes, hand it over
                    </Button>
                    <Button onClick={() => setHanding(null)}>Keep it</Button>
                  </Box>
                )}
                {id !== me && !owner && (
                  <Button
                    onClick={() =>
                      void tell(remove(id), `${name} does not come in any more. What is theirs stays.`)
                    }
                  >
                    Remove
                  </Button>
                )}
              </Box>
            ))}
            {invitations.map((one) => (
              <Box component="li" key={one.id} sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
                <Typography color="textSecondary" sx={{ flex: 1, py: 1 }}>
                  {one.note || 'Somebody'}: asked in, until {moment(one.expiresAt)}
                </Typography>
                <Button onClick={() => void tell(withdraw(one.id), 'The invitation is withdrawn.')}>
                  Withdraw
                </Button>
              </Box>
            ))}
          </Box>
        )}
      </Loaded>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          void tell(ask());
        }}
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}
      >
        <TextField
          label="For whom, so that you know"
          value={note}
          onChange={(event) => setNote(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 60 } }}
        />
        <Button type="submit" variant="outlined">
          Ask somebody in
        </Button>
      </Box>
      {pass && (
        <OneTimeAddress
          path="/join"
          pass={pass}
          says="Whoever opens this address comes in by it, once, within a week. Send it to them alone; it is not shown again."
        />
      )}
      <Box
        component="details"
        onToggle={(event: React.ToggleEvent<HTMLElement>) => setNoted(event.newState === 'open')}
      >
        <Box component="summary" sx={{ cursor: 'pointer', py: 1 }}>
          What was done about coming in
        </Box>
        {noted && <Audit />}
      </Box>
    </Box>
  );
}

function Audit() {
  const { data, error } = useAudit(true);
  return (
    <Loaded data={data} error={error}>
      {(list) => (
        <Box component="ul" sx={{ m: 0, pl: 2.5, fontSize: '0.95rem' }}>
          {list.map(({ at, who, what, detail, address }, i) => (
            <li key={i}>
              {moment(at)}: {[who, what, detail].filter(Boolean).join(', ')} (from {address})
            </li>
          ))}
        </Box>
      )}
    </Loaded>
  );
}
