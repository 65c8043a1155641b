import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Loaded } from '../documents/Loaded';
import { type Pass, useAudit, useClub, useMe } from '../people/queries';
import { OneTimeAddress } from './OneTimeAddress';
import { dayAndHour } from './dayAndHour';
import { useTell } from './useTell';

/** Settled here: who has an account. What would annoy: somebody who left and still has one. */
export function MembersScreen() {
  const { data, error } = useMe();
  return (
    <Loaded data={data} error={error}>
      {({ person }) =>
        person?.keeper ? (
          <MemberList me={person.id} />
        ) : (
          <Typography>Keepers invite and remove members.</Typography>
        )
      }
    </Loaded>
  );
}

function MemberList({ me }: { me: string }) {
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
    <Box
      component="section"
      aria-labelledby="members-heading"
      sx={{ display: 'grid', gap: 1.5, maxWidth: 700 }}
    >
      <Typography variant="h2" id="members-heading">
        Members
      </Typography>
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
                  {owner ? ', owner' : keeper && ', keeper: invites and removes members'}
                </Typography>
                {id !== me && !keeper && (
                  <Button onClick={() => void tell(makeKeeper(id), `${name} is a keeper.`)}>
                    Make a keeper
                  </Button>
                )}
                {id !== me && people.some((one) => one.owner && one.id === me) && (
                  <Button onClick={() => setHanding(id)} aria-label={`Hand ownership over to ${name}`}>
                    Hand ownership over
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
                      {name} is the owner then: only they can hand it on, and you can be removed like anybody
                      else.
                    </Typography>
                    <Button
                      variant="outlined"
                      onClick={() => {
                        setHanding(null);
                        void tell(handOver(id), `${name} is the owner.`);
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
                      void tell(
                        remove(id),
                        `${name} is removed, and signed out everywhere. What is theirs stays.`,
                      )
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
                  {one.note || 'Somebody'}: invited, until {dayAndHour(one.expiresAt)}
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
          Invite somebody
        </Button>
      </Box>
      {pass && (
        <OneTimeAddress
          path="/join"
          pass={pass}
          says="Whoever opens this address becomes a member by it, once, within a week. Send it to them alone; it is not shown again."
        />
      )}
      <Box
        component="details"
        onToggle={(event: React.ToggleEvent<HTMLElement>) => setNoted(event.newState === 'open')}
      >
        <Box component="summary" sx={{ cursor: 'pointer', py: 1 }}>
          History of members and sign-ins
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
              {dayAndHour(at)}: {[who, what, detail].filter(Boolean).join(', ')} (from {address})
            </li>
          ))}
        </Box>
      )}
    </Loaded>
  );
}
