import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { Link as RouterLink } from 'react-router';
import { newOuting } from '#core/editing/newOuting';
import { addDays, clockAt, dateAt, dayInWords } from '#core/units/time';
import { plural } from '#core/units/words';
import type { References } from '#core/documents/references';
import { ApiError } from '../../app/api';
import { LevelMark } from '../../ui/LevelMark';
import { Loaded } from '../../ui/Loaded';
import { Page } from '../../ui/Page';
import { useSay } from '../../ui/Spoken';
import { TallyStrokes } from '../../ui/TallyStrokes';
import { useNow } from '../../ui/useNow';
import { useReferences } from '../../documents/queries';
import { type Summary, useOutingActions, useSummaries } from './queries';

/** Settled here: which outing to go on with, and how far each is. What would annoy: having to open one to learn that. */
export function OutingsScreen() {
  const { data, error } = useSummaries();
  const { references, error: referencesError } = useReferences();
  const actions = useOutingActions();
  const navigate = useNavigate();
  const say = useSay();
  const now = useNow();
  const today = dateAt(now, 'local');
  const tomorrow = addDays(today, 1);
  const tell = (failure: unknown) => say(failure instanceof ApiError ? failure.message : 'That did not work.');
  const begin = (known: References) => {
    const id = crypto.randomUUID();
    actions.create(newOuting(id, tomorrow, known)).then(() => navigate(`/outings/${id}/brief`), tell);
  };
  const copy = (one: Summary) => {
    const id = crypto.randomUUID();
    actions.copy(one.kept.doc.id, id, tomorrow).then(() => navigate(`/outings/${id}/brief`), tell);
  };
  const remove = ({ kept }: Summary) => {
    actions.remove(kept.doc.id, kept.version).then(
      () =>
        say(`Deleted: ${kept.doc.title}.`, {
          name: 'Undo',
          run: () => void actions.restore(kept.doc.id).catch(tell),
        }),
      tell,
    );
  };
  const ready = data && references ? { list: data, references } : undefined;
  return (
    <Loaded data={ready} error={error ?? referencesError}>
      {({ list, references: known }) => {
        const ahead = list.filter((one) => lastDay(one) >= today).sort(byDay);
        const gone = list
          .filter((one) => lastDay(one) < today)
          .sort(byDay)
          .reverse();
        return (
          <Page
            title="Outings"
            lead="Count it the evening before, finish beside the water."
            action={
              <Button variant="contained" onClick={() => begin(known)}>
                New outing
              </Button>
            }
          >
            {list.length === 0 && <Beginning references={known} />}
            <Rows name="Ahead" list={ahead} known={known} onCopy={copy} onRemove={remove} />
            <Rows name="Gone by" list={gone} known={known} onCopy={copy} onRemove={remove} />
          </Page>
        );
      }}
    </Loaded>
  );
}

function byDay(a: Summary, b: Summary): number {
  const key = ({ kept }: Summary) => `${kept.doc.brief.date} ${kept.doc.brief.launchAt}`;
  return key(a) < key(b) ? -1 : 1;
}

function lastDay({ kept }: Summary): string {
  return addDays(kept.doc.brief.date, kept.doc.brief.nights);
}

/** An empty house: what to do first, in the order that needs no turning back. */
function Beginning({ references }: { references: References }) {
  const first = [
    {
      done: references.angler !== null,
      to: '/settings',
      text: 'Write your profile: what you weigh, your limits, who is ashore.',
    },
    { done: references.craft.length > 0, to: '/boats', text: 'Add a boat.' },
    { done: references.waters.length > 0, to: '/waters', text: 'Add a water: a launch and a place to fish.' },
    { done: references.items.length > 0, to: '/locker', text: 'Put into the locker what you own, safety gear first.' },
  ];
  return (
    <Box sx={{ maxWidth: 640 }}>
      <Typography sx={{ mb: 1 }}>
        No outing yet. {first.every(({ done }) => done) ? 'Begin one with the button above.' : 'Before the first one:'}
      </Typography>
      <Box component="ol" sx={{ pl: 3 }}>
        {first
          .filter(({ done }) => !done)
          .map(({ to, text }) => (
            <li key={to}>
              <Link component={RouterLink} to={to} sx={{ display: 'inline-block', py: 1 }}>
                {text}
              </Link>
            </li>
          ))}
      </Box>
    </Box>
  );
}

interface RowsProps {
  name: string;
  list: readonly Summary[];
  known: References;
  onCopy: (one: Summary) => void;
  onRemove: (one: Summary) => void;
}
function Rows({ name, list, known, onCopy, onRemove }: RowsProps) {
  if (list.length === 0) return null;
  return (
    <Box component="section" sx={{ mb: 4 }}>
      <Typography variant="caption" component="h2" color="textSecondary">
        {name}
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, borderBottom: 1, borderColor: 'divider' }}>
        {list.map((one) => (
          <Row key={one.kept.doc.id} one={one} known={known} onCopy={onCopy} onRemove={onRemove} />
        ))}
      </Box>
    </Box>
  );
}

function Row({ one, known, onCopy, onRemove }: { one: Summary } & Omit<RowsProps, 'name' | 'list'>) {
  const { doc } = one.kept;
  const { brief } = doc;
  const water = known.waters.find((each) => each.id === brief.waterId);
  const craft = known.craft.find((each) => each.id === brief.craftId);
  const [weekday = '', day = '', month = ''] = dayInWords(brief.date).split(' ');
  const { kit, walkRound, ashore } = one.tallies;
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '64px 1fr', md: '76px minmax(0, 1fr) 370px 160px' },
        columnGap: 2,
        rowGap: 0.5,
        alignItems: 'start',
        borderTop: 1,
        borderColor: 'divider',
        py: 2,
      }}
    >
      <Box sx={{ lineHeight: 1.15 }}>
        <Typography variant="h2" component="div" sx={{ fontSize: '1.9rem', lineHeight: 1 }}>
          {day}
        </Typography>
        <Typography variant="caption" color="textSecondary">
          {weekday.slice(0, 3)}, {month.slice(0, 3)}
        </Typography>
      </Box>
      <Box sx={{ minWidth: 0 }}>
        <Typography variant="h3" component="h3">
          <Link
            component={RouterLink}
            to={`/outings/${doc.id}/${doc.log === null ? 'brief' : 'ashore'}`}
            color="textPrimary"
            sx={{ overflowWrap: 'anywhere' }}
          >
            {doc.title}
          </Link>
        </Typography>
        <Typography color="textSecondary" variant="body2">
          {[
            water?.name,
            craft?.name,
            `${brief.launchAt} to ${brief.homeAt}`,
            brief.party === 1 ? 'alone' : `${brief.party} together`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </Typography>
        <Box sx={{ display: 'flex', gap: 2, ml: -1 }}>
          <Button onClick={() => onCopy(one)} aria-label={`Copy ${doc.title}`}>
            Copy
          </Button>
          <Button onClick={() => onRemove(one)} aria-label={`Delete ${doc.title}`}>
            Delete
          </Button>
        </Box>
      </Box>
      <Box sx={{ gridColumn: { xs: '2', md: 'auto' }, display: 'grid', gap: 0.75 }}>
        <Counted name="Kit" counted={kit.counted} of={kit.of} />
        {doc.log === null ? (
          <Counted name="Walk-round" counted={walkRound.counted} of={walkRound.of} />
        ) : (
          <Counted name="Ashore" counted={ashore.counted} of={ashore.of} />
        )}
      </Box>
      <Box sx={{ gridColumn: { xs: '2', md: 'auto' } }}>
        <Standing one={one} zone={water?.timeZone ?? 'local'} />
      </Box>
    </Box>
  );
}

function Counted({ name, counted, of }: { name: string; counted: number; of: number }) {
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column' }}>
      <Typography variant="caption" color="textSecondary" sx={{ lineHeight: 1.2 }}>
        {name}
      </Typography>
      {of === 0 ? (
        <Typography variant="caption">nothing to count yet</Typography>
      ) : (
        <TallyStrokes counted={counted} of={of} size={11} />
      )}
    </Box>
  );
}

function Standing({ one, zone }: { one: Summary; zone: string }) {
  const { counts, signed, gateOpen } = one;
  const { log } = one.kept.doc;
  if (log !== null)
    return (
      <Typography variant="body2">
        Logged: {log.catches.length} {plural(log.catches.length, 'fish', 'fish')},{' '}
        {log.items.filter(({ mark }) => mark === 'lost' || mark === 'broken').length} lost or broken
      </Typography>
    );
  const lines = (['stop', 'mind'] as const).filter((level) => counts[level] > 0);
  return (
    <Box sx={{ display: 'grid', gap: 0.25 }}>
      {lines.map((level) => (
        <Box key={level} sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
          <LevelMark level={level} size={15} />
          <Typography variant="body2">
            {counts[level]} {plural(counts[level], level === 'stop' ? 'Stop' : 'Mind')}
          </Typography>
        </Box>
      ))}
      {signed && (
        <Typography variant="body2" sx={{ fontWeight: 700 }}>
          {signed.stale ? 'Signed, then changed' : `Signed at ${clockAt(Date.parse(signed.at), zone)}`}
        </Typography>
      )}
      {!signed && gateOpen && (
        <Typography variant="body2" sx={{ fontWeight: 700 }}>
          Ready to sign
        </Typography>
      )}
    </Box>
  );
}
