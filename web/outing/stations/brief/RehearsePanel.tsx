import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { sayRepair } from '#core/editing/repair';
import { type Rehearsal, type Unrehearsed, effectOf } from '#core/simulation/rehearsal';
import {
  NOT_IN_IT,
  sayAge,
  sayCounts,
  sayHome,
  sayOption,
  sayWrong,
  shareInWords,
} from '#core/simulation/sayRehearsal';
import { byClock } from '#core/units/clockWords';
import { figure } from '#core/units/words';
import type { RehearseWork } from '../../../workers/rehearse.worker';
import { useJob } from '../../../workers/useJob';
import { JobPanel } from '../../JobPanel';
import { answerLine } from '../../QuestionPanel';
import { useOutingWorkspace } from '../../outingWorkspace';

/** Enough to settle a count to about one in a hundred, and the same days each time one looks. */
const DAYS = 10_000;
const SEED = 1;

/**
 * Settled here: whether one still gets in when the day turns out otherwise than written, and what would help
 * most. What would annoy: a percentage that pretends to know.
 */
export function RehearsePanel({ onClose }: { onClose: () => void }) {
  const { doc, references, now } = useOutingWorkspace();
  const search = useJob<RehearseWork, { of: typeof doc; made: Rehearsal | Unrehearsed }>(
    () => new Worker(new URL('../../../workers/rehearse.worker.ts', import.meta.url), { type: 'module' }),
    async (remote) => ({
      of: doc,
      made: await remote.rehearsalOf(doc, references, now, { days: DAYS, seed: SEED }),
    }),
  );
  const found = search.job.is === 'done' ? search.job.result : null;
  const one = found && !('why' in found.made) ? found.made : null;
  return (
    <JobPanel
      {...search}
      label="Rehearse"
      working={`Going through ${figure(DAYS, 0)} such days …`}
      sayResult={({ made }) => ('why' in made ? made.why : sayHome(made))}
      changed={found !== null && found.of !== doc}
      onClose={onClose}
    >
      {one && <Told one={one} />}
    </JobPanel>
  );
}

function Told({ one }: { one: Rehearsal }) {
  return (
    <>
      <Arrivals one={one} />
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {[...sayCounts(one), sayWrong(one)].map((text) => (
          <Typography component="li" variant="body2" key={text}>
            {text}
          </Typography>
        ))}
      </Box>
      <Options one={one} />
      <Typography variant="caption" color="textSecondary" component="p" sx={{ mt: 1 }}>
        {sayAge(one)} {NOT_IN_IT}
      </Typography>
    </>
  );
}

/** The days by the quarter of an hour in which one came home. */
function Arrivals({ one }: { one: Rehearsal }) {
  const most = Math.max(1, ...one.bins.map(({ days }) => days));
  const [first] = one.bins;
  const last = one.bins.at(-1);
  if (!first || !last) return null;
  return (
    <Box
      role="img"
      aria-label={`Coming home, by the quarter of an hour: ${one.bins
        .filter(({ days }) => days > 0)
        .map(({ from, days }) => `${byClock(from)}, ${shareInWords(days, one.days)}`)
        .join('; ')}.`}
      sx={{ my: 1 }}
    >
      <Box
        sx={{
          display: 'flex',
          alignItems: 'flex-end',
          height: 64,
          gap: '1px',
          borderBottom: 1,
          borderColor: 'text.primary',
        }}
      >
        {one.bins.map(({ from, days }) => (
          <Box
            key={from}
            title={`${byClock(from)}: ${shareInWords(days, one.days)}`}
            sx={{
              flex: 1,
              maxWidth: 28,
              minHeight: days > 0 ? 2 : 0,
              height: `${(100 * days) / most}%`,
              bgcolor: isLate(from, one) ? 'error.main' : 'text.secondary',
            }}
          />
        ))}
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', maxWidth: one.bins.length * 29 }}>
        <Typography variant="caption">home from {byClock(first.from)}</Typography>
        <Typography variant="caption">{byClock(last.from)}</Typography>
      </Box>
      {one.late > 0 && (
        <Typography variant="caption" color="error">
          Later than written, {byClock(one.deadline)}
        </Typography>
      )}
    </Box>
  );
}
/** Clock times in the order of the strip: what comes before its first is the next morning. */
function isLate(from: string, { bins, deadline }: Rehearsal): boolean {
  const first = bins[0]?.from ?? '';
  const isNext = (clock: string) => clock < first;
  return isNext(from) === isNext(deadline) ? from >= deadline : isNext(from);
}

/** What one could change: what helps most first, then what makes it worse; the rest is said in one line. */
function Options({ one }: { one: Rehearsal }) {
  const { repair } = useOutingWorkspace();
  const sized = one.options.map((option) => {
    const { wrong, late } = effectOf(option, one);
    return { option, by: wrong === 0 ? late : wrong };
  });
  const [better, worse, idle] = [
    sized.filter(({ by }) => by < 0),
    sized.filter(({ by }) => by > 0),
    sized.filter(({ by }) => by === 0),
  ];
  return (
    <Box sx={{ mt: 1 }}>
      <Typography variant="h3" component="h3">
        {better.length > 0 ? 'What would help most' : 'Nothing tried here would help'}
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {better.map(({ option }) => (
          <Box component="li" key={sayRepair(option.repair)} sx={answerLine}>
            <Typography variant="body2" sx={{ flex: 1 }}>
              {sayOption(option, one)}
            </Typography>
            <Button
              size="small"
              aria-label={`Take it: ${sayRepair(option.repair)}`}
              onClick={() => repair(option.repair)}
            >
              Take it
            </Button>
          </Box>
        ))}
      </Box>
      {worse.length > 0 && (
        <Typography variant="body2" sx={{ borderTop: 1, borderColor: 'divider', pt: 0.75 }}>
          Worse: {worse.map(({ option }) => sayOption(option, one)).join(' ')}
        </Typography>
      )}
      {idle.length > 0 && (
        <Typography variant="body2" color="textSecondary" sx={{ mt: 0.5 }}>
          No more than chance: {idle.map(({ option }) => sayRepair(option.repair)).join('; ')}.
        </Typography>
      )}
    </Box>
  );
}
