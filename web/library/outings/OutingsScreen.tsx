import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { Link as RouterLink } from 'react-router';
import { clockAt, dateAt, dayInWords, morningAfter } from '#core/units/time';
import { count, plural } from '#core/units/words';
import { Suspense, lazy, useState } from 'react';
import { ApiError } from '../../documents/api';
import { LevelMark } from '../../ui/LevelMark';
import { Loaded } from '../../documents/Loaded';
import { Page } from '../../ui/Page';
import { useToast } from '../../ui/Toast';
import { TallyStrokes } from '../../ui/TallyStrokes';
import { useNow } from '../../ui/useNow';
import type { Summary } from '#core/judgement/summary';
import { Again } from './Again';
import { FirstEvening } from './FirstEvening';
import { Out } from './Out';
import { SampleNotice } from './SampleNotice';
import { useOut, useOutingActions, useSample, useSummaries } from './queries';
import { byClock } from '#core/units/clockWords';

// The list is all that the front page waits for: what is asked of it seldom comes when it is asked.
const SetAsideNotice = lazy(async () => ({
  default: (await import('../../documents/SetAsideNotice')).SetAsideNotice,
}));

const CarriedList = lazy(async () => ({ default: (await import('./CarriedList')).CarriedList }));
const AlongList = lazy(async () => ({ default: (await import('./AlongList')).AlongList }));
const BackupNotice = lazy(async () => ({ default: (await import('./BackupNotice')).BackupNotice }));

const FIRST = { ahead: 12, gone: 8 };
const MORE = 50;

/**
 * Settled here: which outing to go on with, and how far each is. What would annoy: having to open one to
 * learn that.
 */
export function OutingsScreen() {
  const now = useNow();
  const today = dateAt(now, 'local');
  const [most, setMost] = useState(FIRST);
  const { data, error } = useSummaries(today, most);
  // What stands above the list comes with it: it would push the list down under the finger.
  const asked = [useOut(), useSample(), { data, error }];
  const isKnown = asked.every((one) => one.data !== undefined || one.error !== undefined);
  const actions = useOutingActions();
  const navigate = useNavigate();
  const say = useToast();
  const [busy, setBusy] = useState(false);
  const tell = (failure: unknown) =>
    say(failure instanceof ApiError ? failure.message : 'That did not work.');
  const begin = async () => {
    const id = crypto.randomUUID();
    setBusy(true);
    try {
      const { newOuting, readReferences, readOuting } = await import('./beginOuting');
      const last = data?.ahead[0] ?? data?.gone[0];
      const before = last ? await readOuting(last.id) : null;
      await actions.create(newOuting(id, morningAfter(now, 'local'), await readReferences(), before));
      await navigate(`/outings/${id}/brief`);
    } catch (failure) {
      tell(failure);
    } finally {
      setBusy(false);
    }
  };
  const again = (one: Summary, date: string) => {
    const id = crypto.randomUUID();
    actions.copy(one.id, id, date).then(() => {
      say(
        'As it was: the brief, what comes along and where it lies, the numbers of the sheets. Anew: the weather, the answers, the walk-round.',
      );
      return navigate(`/outings/${id}/brief`);
    }, tell);
  };
  const remove = ({ id, version, title }: Summary) => {
    actions.remove(id, version).then(
      () =>
        say(`Deleted: ${title}.`, {
          name: 'Undo',
          run: () => void actions.restore(id).catch(tell),
        }),
      tell,
    );
  };
  return (
    <Page
      title="Outings"
      lead="Count it the evening before, finish beside the water."
      action={
        <Button variant="contained" onClick={() => void begin()} disabled={busy}>
          New outing
        </Button>
      }
    >
      {isKnown && <Out />}
      <Suspense>
        <CarriedList />
        <AlongList />
      </Suspense>
      <Loaded data={isKnown ? data : undefined} error={error}>
        {({ ahead, gone, of, house, setAside }) => (
          <>
            {setAside.length > 0 && (
              <Suspense>
                <SetAsideNotice list={setAside} onGone={() => void actions.refresh()} />
              </Suspense>
            )}
            <FirstEvening
              house={house}
              outings={of.ahead + of.gone}
              onOuting={() => void begin()}
              busy={busy}
            />
            <SampleNotice />
            <Suspense>
              <BackupNotice />
            </Suspense>
            <Rows name="Ahead" list={ahead} onAgain={again} onRemove={remove} />
            <More
              left={of.ahead - ahead.length}
              onMore={() => setMost({ ...most, ahead: most.ahead + MORE })}
            />
            <Rows name="Gone by" list={gone} onAgain={again} onRemove={remove} />
            <More left={of.gone - gone.length} onMore={() => setMost({ ...most, gone: most.gone + MORE })} />
          </>
        )}
      </Loaded>
    </Page>
  );
}

function More({ left, onMore }: { left: number; onMore: () => void }) {
  if (left <= 0) return null;
  return (
    <Button variant="outlined" onClick={onMore} sx={{ mb: 4 }}>
      {left} more
    </Button>
  );
}

interface RowsProps {
  name: string;
  list: readonly Summary[];
  onAgain: (one: Summary, date: string) => void;
  onRemove: (one: Summary) => void;
}
function Rows({ name, list, onAgain, onRemove }: RowsProps) {
  if (list.length === 0) return null;
  return (
    <Box component="section" sx={{ mb: 4 }}>
      <Typography variant="caption" component="h2" color="textSecondary">
        {name}
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, borderBottom: 1, borderColor: 'divider' }}>
        {list.map((one) => (
          <Row key={one.id} one={one} onAgain={onAgain} onRemove={onRemove} />
        ))}
      </Box>
    </Box>
  );
}

function Row({ one, onAgain, onRemove }: { one: Summary } & Omit<RowsProps, 'name' | 'list'>) {
  const { id, title, logged } = one;
  const [weekday = '', day = '', month = ''] = dayInWords(one.date).split(' ');
  const { kit, 'walk-round': walkRound, ashore } = one.tallies;
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
            to={`/outings/${id}/${logged === null ? 'brief' : 'ashore'}`}
            color="textPrimary"
            sx={{ overflowWrap: 'anywhere' }}
          >
            {title}
          </Link>
        </Typography>
        <Typography color="textSecondary" variant="body2">
          {[
            one.water,
            one.craft,
            byClock(`${one.launchAt} to ${one.homeAt}`),
            one.nights > 0 && `${count(one.nights)} ${plural(one.nights, 'night')} out`,
            one.party === 1 ? 'alone' : `${one.party} together`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </Typography>
        <Box sx={{ display: 'flex', gap: 2, ml: -1 }}>
          <Again title={title} onDay={(date) => onAgain(one, date)} />
          <Button onClick={() => onRemove(one)} aria-label={`Delete ${title}`}>
            Delete
          </Button>
        </Box>
      </Box>
      <Box sx={{ gridColumn: { xs: '2', md: 'auto' }, display: 'grid', gap: 0.75 }}>
        <Counted name="Kit" counted={kit.counted} of={kit.of} />
        {logged === null ? (
          <Counted name="Walk-round" counted={walkRound.counted} of={walkRound.of} />
        ) : (
          <Counted name="Ashore" counted={ashore.counted} of={ashore.of} />
        )}
      </Box>
      <Box sx={{ gridColumn: { xs: '2', md: 'auto' } }}>
        <Standing one={one} zone={one.timeZone ?? 'local'} />
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
  const { counts, signed, gateOpen, logged } = one;
  if (logged !== null)
    return (
      <Typography variant="body2">
        Logged: {logged.fish} {plural(logged.fish, 'fish', 'fish')}, {logged.lostOrBroken} lost or broken
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
          {signed.stale
            ? 'Signed, then changed'
            : byClock(`Signed at ${clockAt(Date.parse(signed.at), zone)}`)}
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
