import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { assess } from '#core/judgement/assess';
import { differenceOf } from '#core/judgement/difference';
import { levelNames } from '#core/vocabulary/levels';
import { sayFinding } from '#core/judgement/allRules';
import { type Attempt, changeKey } from '#core/editing/trial';
import { ApiError } from '../../../documents/api';
import { useToast } from '../../../ui/Toast';
import { LevelMark } from '../../../ui/LevelMark';
import { useOutingWorkspace } from '../../outingWorkspace';
import { useTrial } from './trialContext';
import { useKeeping } from './useKeeping';
import { screenOnly } from '../../../ui/screenOnly';

/** What is being tried and not kept: each can be kept where it belongs, or put back. */
export function TriedBar({
  changes,
  onDone,
}: {
  changes: readonly Attempt[];
  onDone: (rest: readonly Attempt[]) => void;
}) {
  const { say: words, keep: keepOne, isHabit, keepForAll } = useKeeping();
  const say = useToast();
  const [trouble, setTrouble] = useState<string | null>(null);
  if (changes.length === 0) return null;
  const keep = async (change: Attempt, forAll = false) => {
    setTrouble(null);
    try {
      await (forAll ? keepForAll(change) : keepOne(change));
      say(`Kept ${forAll ? 'for every outing' : words(change).where}: ${words(change).what}.`);
      onDone(changes.filter((one) => changeKey(one) !== changeKey(change)));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setTrouble(error.message);
    }
  };
  return (
    <Box
      component="section"
      aria-label="Tried, not kept"
      {...screenOnly}
      sx={{
        border: 1,
        borderColor: 'text.primary',
        borderRadius: 1,
        p: 1.5,
        mb: 2,
      }}
    >
      <Typography variant="body2" sx={{ fontWeight: 700 }}>
        Tried, not kept
      </Typography>
      {changes.map((change) => {
        const { what, where } = words(change);
        return (
          <Box
            key={changeKey(change)}
            sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1 }}
          >
            <Typography variant="body2" sx={{ flex: '1 1 200px' }}>
              {what}
            </Typography>
            <Button onClick={() => void keep(change)}>Keep {where}</Button>
            {isHabit(change) && (
              <Button onClick={() => void keep(change, true)}>Keep for every outing</Button>
            )}
            <Button onClick={() => onDone(changes.filter((one) => changeKey(one) !== changeKey(change)))}>
              Put back
            </Button>
          </Box>
        );
      })}
      <Felt />
      {trouble && (
        <Alert severity="warning" variant="outlined" sx={{ mt: 1 }}>
          {trouble}
        </Alert>
      )}
    </Box>
  );
}

/** What the judgement would say with it: what comes, goes, or reads otherwise. */
function Felt() {
  const { outing, references } = useTrial();
  const { assessment, answers, now } = useOutingWorkspace();
  const difference = useMemo(
    () =>
      differenceOf(
        assessment.findings,
        assess(outing, references, answers, now, { withRepairs: false }).findings,
      ),
    [assessment, outing, references, answers, now],
  );
  const lines = (['come', 'turned', 'gone'] as const).flatMap((way) =>
    difference[way].map((finding) => ({ way, finding })),
  );
  return (
    <Box
      component="ul"
      aria-label="What the judgement would say"
      sx={{ listStyle: 'none', m: 0, mt: 0.5, p: 0 }}
    >
      {lines.length === 0 && (
        <Typography component="li" variant="body2" color="textSecondary">
          Kept, no Stop or Mind would come or go.
        </Typography>
      )}
      {lines.map(({ way, finding }) => (
        <Box
          component="li"
          key={finding.key}
          sx={{ display: 'flex', gap: 1, alignItems: 'center', typography: 'body2', py: 0.25 }}
        >
          <LevelMark level={finding.level} size={15} />
          <span>
            {feltWords[way]} {levelNames[finding.level]} <b>{sayFinding(finding.facts).title}</b>
          </span>
        </Box>
      ))}
    </Box>
  );
}
const feltWords = { come: 'would come:', turned: 'would read:', gone: 'would be settled:' } as const;
