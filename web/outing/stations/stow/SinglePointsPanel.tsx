import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { sayFinding } from '#core/judgement/allRules';
import type { SinglePoint } from '#core/judgement/singlePoints';
import { sayRepair } from '#core/editing/repair';
import { capital, count, plural } from '#core/units/words';
import type { SinglePointsWork } from '../../../workers/singlePoints.worker';
import { useJob } from '../../../workers/useJob';
import { LevelMark } from '../../../ui/LevelMark';
import { useOutingWorkspace } from '../../outingWorkspace';
import { JobPanel } from '../../JobPanel';
import { answerLine } from '../../QuestionPanel';

/**
 * Settled here: what of this outing hangs on one thing alone, and what would stand in for it. What would annoy:
 * a list of everything, with the pump among the lures.
 */
export function SinglePointsPanel({ onClose }: { onClose: () => void }) {
  const { doc, references, answers, now } = useOutingWorkspace();
  const search = useJob<SinglePointsWork, { of: typeof doc; points: readonly SinglePoint[] }>(
    () => new Worker(new URL('../../../workers/singlePoints.worker.ts', import.meta.url), { type: 'module' }),
    async (remote) => ({ of: doc, points: await remote.singlePoints(doc, references, answers, now) }),
  );
  const found = search.job.is === 'done' ? search.job.result : null;
  const points = found?.points ?? [];
  const grave = points.filter(isGrave);
  const rest = points.filter((point) => !isGrave(point));
  return (
    <JobPanel
      {...search}
      label="If one goes"
      working="Taking one thing away after another …"
      sayResult={() => saySum(grave.length, rest.length)}
      changed={found !== null && found.of !== doc}
      onClose={onClose}
    >
      <Points points={grave} />
      {rest.length > 0 && (
        <details>
          <summary>
            {capital(count(rest.length))} more {plural(rest.length, 'thing')}, each with a Mind if it goes
          </summary>
          <Points points={rest} />
        </details>
      )}
      <Typography variant="caption" color="textSecondary" component="p">
        Each thing is taken away by itself, then a companion, then an hour of the day, and the outing is
        judged again. What fails together is not tried.
      </Typography>
    </JobPanel>
  );
}

const isGrave = ({ fails }: SinglePoint) => fails.some(({ level }) => level === 'stop');

function saySum(grave: number, rest: number): string {
  if (grave + rest === 0) return 'Nothing of this outing hangs on one thing alone.';
  if (grave === 0) return 'Nothing that goes alone would forbid this outing.';
  return `${capital(count(grave))} ${plural(grave, 'thing')}: ${grave === 1 ? 'it' : 'each of them'} would forbid this outing if it went.`;
}

function Points({ points }: { points: readonly SinglePoint[] }) {
  const { repair } = useOutingWorkspace();
  return (
    <Box component="ul" sx={{ m: 0, mt: 0.5, p: 0, listStyle: 'none' }}>
      {points.map(({ goes, fails, second }) => (
        <Box component="li" key={goes.what === 'thing' ? goes.itemId : goes.what} sx={answerLine}>
          <LevelMark level={fails[0]?.level ?? 'mind'} />
          <Typography variant="body2" sx={{ flex: 1 }}>
            <strong>{nameOf(goes)}</strong>
            {fails.length > 1 ? `, ${count(fails.length)} jobs` : ''}:{' '}
            {fails.map(({ facts }) => sayFinding(facts).title).join('; ')}.
          </Typography>
          {second ? (
            <Button size="small" onClick={() => repair(second)}>
              {sayRepair(second)}
            </Button>
          ) : (
            <Typography variant="caption" color="textSecondary">
              no second one here
            </Typography>
          )}
        </Box>
      ))}
    </Box>
  );
}

function nameOf(goes: SinglePoint['goes']): string {
  if (goes.what === 'thing') return goes.name;
  return goes.what === 'companion' ? 'One of the party' : 'An hour of the day, home later';
}
