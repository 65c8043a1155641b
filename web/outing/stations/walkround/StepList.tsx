import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useOutingWorkspace } from '../../outingWorkspace';
import { FromPaper } from './FromPaper';
import { kinds } from '#core/catalog/gear/kinds';
import { carriedStep } from '#core/walkround/answers';
import { verdictOf } from '#core/walkround/defects';
import { dateAt, dayInWords } from '#core/units/time';

/**
 * All steps at a glance, to go back to one. Answers are given one by one; what was ticked on paper is written
 * in box by box.
 */
export function StepList({ onOpen, onGate }: { onOpen: (index: number) => void; onGate: () => void }) {
  const { assessment, answers } = useOutingWorkspace();
  const [paper, setPaper] = useState(false);
  return (
    <>
      <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0, flex: 1 }}>
        {assessment.steps.map((step, i) => {
          const verdict = verdictOf(step, answers);
          return (
            <Box component="li" key={step.id} sx={{ borderTop: 1, borderColor: 'divider' }}>
              <ButtonBase
                onClick={() => onOpen(i)}
                sx={{
                  width: '100%',
                  minHeight: 56,
                  justifyContent: 'space-between',
                  textAlign: 'left',
                  font: 'inherit',
                  gap: 2,
                }}
              >
                <span>
                  {step.title}
                  {step.phase === 'evening' && (
                    <Typography component="span" variant="caption" color="textSecondary">
                      {' '}
                      the evening before
                    </Typography>
                  )}
                </span>
                <Typography
                  component="span"
                  sx={{
                    fontWeight: verdict && verdict !== 'good' ? 700 : 400,
                    color: verdict && verdict !== 'good' ? 'error.main' : 'text.secondary',
                    whiteSpace: 'nowrap',
                  }}
                >
                  {verdict ?? (step.critical ? 'must be good' : 'open')}
                </Typography>
              </ButtonBase>
            </Box>
          );
        })}
      </Box>
      <NotAskedAgain />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
        <Button onClick={() => window.print()} sx={{ minHeight: 56 }}>
          Print it, with boxes
        </Button>
        <Button onClick={() => setPaper(true)} sx={{ minHeight: 56 }}>
          Write in from paper
        </Button>
      </Box>
      {paper && <FromPaper onClose={() => setPaper(false)} />}
      <Button variant="contained" onClick={onGate} sx={{ my: 2, minHeight: 64 }}>
        To the gate
      </Button>
    </>
  );
}

/** What was looked over for an outing of the last days, and when. */
function NotAskedAgain() {
  const { looked, answers } = useOutingWorkspace();
  const carried = looked.aboard.flatMap(({ item }) => {
    const look = kinds[item.kind].eveningStands ? answers.get(carriedStep(item.id)) : undefined;
    return look
      ? [`${item.name}, ${dayInWords(dateAt(Date.parse(look.at), looked.water?.timeZone ?? 'utc'))}`]
      : [];
  });
  if (carried.length === 0) return null;
  return (
    <Typography variant="body2" color="textSecondary" sx={{ borderTop: 1, borderColor: 'divider', pt: 1.5 }}>
      Looked over the evening before another outing, and not asked again: {carried.join('; ')}.
    </Typography>
  );
}
