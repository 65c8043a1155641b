import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useLayoutEffect, useRef } from 'react';
import { places } from '#core/catalog/gear/places';
import type { Verdict } from '#core/documents/answer';
import type { Step } from '#core/walkround/steps';
import type { Defect } from '#core/walkround/defects';
import { useOutingWorkspace } from '../../outingWorkspace';
import { BoatOutline } from './BoatOutline';
import { AskWhatIsWrong } from './Defects';

interface Props {
  step: Step;
  onAnswer: (verdict: Verdict, stepId?: string) => void;
  /** A fault just said, here or a step before: it is asked what it is, and nothing waits for that. */
  asked: Pick<Defect, 'stepId' | 'title'> | null;
  onSaid: () => void;
  /** Steps forward or back without an answer. */
  onGo: (by: number) => void;
}

const keys: Record<string, Verdict> = { '1': 'good', '2': 'fault', '3': 'not here' };
const answerWords: Record<Verdict, string> = { good: 'Good', fault: 'Fault', 'not here': 'Not here' };

/** One thing to look at, how, what bad looks like, and three answers. Keys 1 2 3, and the arrows to leaf. */
export function StepView({ step, asked, onSaid, onAnswer, onGo }: Props) {
  const { looked, answers } = useOutingWorkspace();
  const heading = useRef<HTMLHeadingElement>(null);
  const given = answers.get(step.id)?.verdict;
  const answer = (verdict: Verdict) => {
    onAnswer(verdict);
    // Each thing of the evening is answered for by itself too: an outing of the next days need not ask again.
    for (const { stepId } of step.phase === 'evening' && verdict === 'good' ? step.items : [])
      if (!answers.has(stepId)) onAnswer('good', stepId);
    onGo(1);
  };
  useEffect(() => heading.current?.focus(), []);
  // Before it is painted: a key pressed at the first sight of a step is an answer to it.
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      if (event.target instanceof HTMLElement && event.target.closest('input, textarea, [role=dialog]'))
        return;
      const verdict = keys[event.key];
      // What is wrong in a list is said of the one thing, not of all.
      if (verdict) {
        if (step.items.length === 0 || verdict === 'good') answer(verdict);
      } else if (event.key === 'ArrowLeft') onGo(-1);
      else if (event.key === 'ArrowRight') onGo(1);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  const big = { minHeight: 64, fontSize: '1.2rem' } as const;
  return (
    <>
      <Box sx={{ flex: 1 }}>
        {asked && <AskWhatIsWrong key={asked.stepId} defect={asked} onDone={onSaid} />}
        {looked.craft && step.along !== null && <BoatOutline craft={looked.craft} along={step.along} />}
        {step.place && step.along === null && (
          <Typography color="textSecondary" sx={{ mt: 1 }}>
            {places[step.place].name}
          </Typography>
        )}
        <Typography
          variant="h1"
          component="h2"
          ref={heading}
          tabIndex={-1}
          sx={{ fontSize: '2.2rem', mt: 1, mb: 1, outline: 'none' }}
        >
          {step.title}
        </Typography>
        <Typography sx={{ fontSize: '1.25rem', lineHeight: 1.4 }}>{step.how}</Typography>
        <Typography sx={{ mt: 1.5 }} color="textSecondary">
          Bad looks like this: {step.bad}
        </Typography>
        {step.items.length > 0 && <Listed step={step} onAnswer={onAnswer} />}
        <Typography variant="body2" color="textSecondary" sx={{ mt: 1 }}>
          {step.serves.length > 0 ? `For: ${step.serves.join(' · ')}. ` : ''}
          {step.critical ? 'Must be good before you sign.' : ''}
          {given ? ` Answered: ${answerWords[given].toLowerCase()}.` : ''}
        </Typography>
      </Box>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5, mt: 2 }}
        role="group"
        aria-label="Your answer"
      >
        <Button
          variant="contained"
          onClick={() => answer('good')}
          sx={{ ...big, gridColumn: '1 / 3', minHeight: 74 }}
          aria-keyshortcuts="1"
        >
          {step.items.length > 0 ? 'The rest is good' : 'Good'}
        </Button>
        {step.items.length === 0 && (
          <>
            <Button variant="outlined" onClick={() => answer('fault')} sx={big} aria-keyshortcuts="2">
              Fault
            </Button>
            <Button variant="outlined" onClick={() => answer('not here')} sx={big} aria-keyshortcuts="3">
              Not here
            </Button>
          </>
        )}
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', mt: 1 }}>
        <Button onClick={() => onGo(-1)} sx={{ minHeight: 56 }}>
          ‹ Back
        </Button>
        <Button onClick={() => onGo(1)} sx={{ minHeight: 56 }}>
          Leave for later ›
        </Button>
      </Box>
    </>
  );
}

/**
 * Things that lie together: each with a way to say that it is not sound, or not there; pressed again, it is.
 */
function Listed({ step, onAnswer }: Pick<Props, 'step' | 'onAnswer'>) {
  const { answers } = useOutingWorkspace();
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, mt: 1.5, p: 0 }}>
      {step.items.map(({ stepId, name, how }) => {
        const given = answers.get(stepId)?.verdict;
        return (
          <Box
            key={stepId}
            component="li"
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 0.5,
              borderTop: 1,
              borderColor: 'divider',
              py: 0.25,
            }}
          >
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Typography sx={{ fontSize: '1.1rem', lineHeight: 1.25 }}>{name}</Typography>
              <Typography variant="body2" color="textSecondary">
                {how}
              </Typography>
            </Box>
            {(['fault', 'not here'] as const).map((verdict) => (
              <Button
                key={verdict}
                variant={given === verdict ? 'contained' : 'text'}
                aria-pressed={given === verdict}
                aria-label={`${name}: ${verdict}`}
                onClick={() => onAnswer(given === verdict ? 'good' : verdict, stepId)}
                sx={{ minWidth: 56, minHeight: 48, whiteSpace: 'nowrap' }}
              >
                {answerWords[verdict]}
              </Button>
            ))}
          </Box>
        );
      })}
    </Box>
  );
}
