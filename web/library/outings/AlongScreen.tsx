import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { type ReactNode, useState } from 'react';
import { Link as RouterLink, useNavigate, useParams } from 'react-router';
import { catalogue } from '#core/needs/catalogue';
import type { Party } from '#core/needs/party';
import { byClock } from '#core/units/clockWords';
import { dayInWords } from '#core/units/time';
import { capital, count, listed, plural } from '#core/units/words';
import { Loaded } from '../../documents/Loaded';
import { useKept } from '../../documents/queries';
import { useAlong } from '../../people/party';
import { useTry } from '../../people/useTry';
import { NotFoundScreen } from '../../ui/NotFoundScreen';
import { Page } from '../../ui/Page';
import { Trouble } from '../../ui/Trouble';

/**
 * Settled here: whether I come along, and with which boat. What would annoy: saying yes before I know where,
 * when and with whom.
 */
export function AlongScreen() {
  const { id = '' } = useParams();
  const along = useAlong(id);
  if (along.error && (along.error as { status?: number }).status === 404) return <NotFoundScreen />;
  return (
    <Loaded data={along.data} error={along.error}>
      {(party) => <Asked party={party} join={along.join} decline={along.decline} />}
    </Loaded>
  );
}

function Asked({
  party,
  join,
  decline,
}: { party: Party } & Pick<ReturnType<typeof useAlong>, 'join' | 'decline'>) {
  const { plan, where, members, gaps, lead, rides } = party;
  const { brief } = plan;
  const boats = useKept().data?.craft ?? [];
  const [chosen, setChosen] = useState<string | null>(null);
  const craftId = chosen ?? boats[0]?.doc.id ?? '';
  const { busy, run, trouble } = useTry();
  const navigate = useNavigate();
  const come = () =>
    run(async () => {
      const outingId = crypto.randomUUID();
      await join(outingId, craftId === '' ? null : craftId);
      await navigate(`/outings/${outingId}/kit`);
    });
  const not = () =>
    run(async () => {
      await decline();
      await navigate('/outings');
    });
  return (
    <Page
      title={plan.title}
      lead={`${lead} asks you along.`}
      action={
        <Link component={RouterLink} to="/outings" sx={{ py: 1.5 }}>
          All outings
        </Link>
      }
    >
      <Box component="dl" sx={{ m: 0, mb: 3, maxWidth: 700 }}>
        <Line name="When">
          {byClock(`${dayInWords(brief.date)}, ${brief.launchAt} to ${brief.homeAt}`)}
          {brief.nights > 0 && `, ${count(brief.nights)} ${plural(brief.nights, 'night')} out`}
        </Line>
        <Line name="Where">
          {[where.water, where.launch && `from ${where.launch}`, where.area && `to ${where.area}`]
            .filter(Boolean)
            .join(', ') || 'not said yet'}
        </Line>
        <Line name="Who">
          {capital(count(brief.party))} in all: you;{' '}
          {members.map(({ name, boat }) => [name, boat].filter(Boolean).join(' in ')).join('; ')}
        </Line>
        <Line name="For all">
          {members
            .filter(({ brings }) => brings.length > 0)
            .map(({ name, brings }) => `${name}: ${named(brings)}`)
            .join('. ') || 'nobody brings anything for all yet'}
        </Line>
        {rides.length > 0 && (
          <Line name="With you">{named(rides.map(({ item }) => item))} would ride in your boat</Line>
        )}
        {gaps.length > 0 && (
          <Line name="Still lacking">
            {listed(gaps.map(({ needId }) => catalogue[needId].title.toLowerCase()))}
          </Line>
        )}
      </Box>
      <Box sx={{ display: 'grid', gap: 1.5, maxWidth: 420 }}>
        {boats.length > 0 ? (
          <TextField
            select
            label="Your boat"
            value={craftId}
            onChange={(event) => setChosen(event.target.value)}
          >
            {boats.map(({ doc }) => (
              <MenuItem key={doc.id} value={doc.id}>
                {doc.name}
              </MenuItem>
            ))}
          </TextField>
        ) : (
          <Typography>You have no boat here yet; you can add one afterwards.</Typography>
        )}
        <Typography color="textSecondary" variant="body2">
          It becomes an outing of your own: your boat, your things, your person ashore, your signature. The
          others see what you bring for all, what you carry for yourself, and whether you signed.
        </Typography>
        <Trouble text={trouble} />
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
          <Button variant="contained" disabled={busy} onClick={() => void come()}>
            Come along
          </Button>
          <Button disabled={busy} onClick={() => void not()}>
            Not this time
          </Button>
        </Box>
      </Box>
    </Page>
  );
}

/** Names have commas of their own. */
const named = (list: readonly { name: string }[]) => list.map(({ name }) => name).join('; ');

function Line({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '130px 1fr' },
        columnGap: 2,
        py: 1,
        borderTop: 1,
        borderColor: 'divider',
      }}
    >
      <Typography component="dt" color="textSecondary">
        {name}
      </Typography>
      <Typography component="dd" sx={{ m: 0 }}>
        {children}
      </Typography>
    </Box>
  );
}
