import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import { clockAt } from '#core/units/time';
import type { Defect } from '#core/walkround/defects';
import { duration, plural } from '#core/units/words';
import { clocksApart } from '#core/documents/answer';
import { clockAheadMs } from '../../../ui/clock';
import type { WalkRecord } from '../../queries';
import { useThemeChoice } from '../../../app/themeChoice';
import { TallyStrokes } from '../../../ui/TallyStrokes';
import { screenOnly } from '../../../ui/screenOnly';
import { BriefFirst } from '../../BriefFirst';
import { useOutingWorkspace } from '../../outingWorkspace';
import { FromWater } from '../word/FromWater';
import { useWord } from '../word/useWord';
import { CallButton } from '../../CallButton';
import { CarriedWords } from '../../CarriedWords';
import { GateView } from './GateView';
import { Procedures } from './Procedures';
import { SignedCard } from './SignedCard';
import { StepList } from './StepList';
import { StepView } from './StepView';
import { WalkSheet } from './WalkSheet';
import { phaseNames } from './phaseNames';
import { useAwake } from './useAwake';
import { useSpoken } from './useSpoken';
import { byClock } from '#core/units/clockWords';

type View = { at: 'step'; index: number } | { at: 'gate' } | { at: 'list' };

/**
 * Settled here: is each thing there and sound, and may one launch. What would annoy: reading, scrolling,
 * small buttons.
 */
export function WalkScreen() {
  const { doc, assessment, answers, walk, changes, looked, now } = useOutingWorkspace();
  const word = useWord(doc.id, now);
  const { steps } = assessment;
  const firstOpen = steps.findIndex((step) => answers.get(step.id)?.verdict !== 'good');
  const [view, setView] = useState<View>(() =>
    firstOpen < 0 ? { at: 'gate' } : { at: 'step', index: firstOpen },
  );
  const [resigning, setResigning] = useState(false);
  /** The fault said last, until it was said what it is. */
  const [asked, setAsked] = useState<Pick<Defect, 'stepId' | 'title'> | null>(null);
  const answered = steps.filter((step) => answers.has(step.id)).length;
  const index = view.at === 'step' ? Math.min(view.index, steps.length - 1) : -1;
  const step = steps[index];
  const awake = useAwake();
  const spoken = useSpoken(view.at === 'step' && step ? `${step.title}. ${step.how}` : '');
  const go = (to: number) =>
    setView(to >= steps.length ? { at: 'gate' } : { at: 'step', index: Math.max(0, to) });

  if (walk.signature && changes && !resigning)
    return (
      <Box sx={{ maxWidth: 520, mx: 'auto' }}>
        <TopLine />
        <SignedCard signature={walk.signature} changes={changes} onAgain={() => setResigning(true)} />
        <CallButton large />
        <Box sx={{ mt: 2 }}>
          <FromWater word={word} />
        </Box>
        <Procedures />
        <OnTheirWay walk={walk} />
      </Box>
    );
  if (!looked.water || !looked.craft)
    return <BriefFirst why="The walk-round is made from boat, water and kit." />;
  return (
    <>
      <WalkSheet />
      <Box
        {...screenOnly}
        sx={{
          maxWidth: 520,
          mx: 'auto',
          display: 'flex',
          flexDirection: 'column',
          minHeight: { xs: 'calc(100dvh - 32px)', sm: 620 },
        }}
      >
        <TopLine />
        <TallyStrokes counted={assessment.tallies['walk-round'].counted} of={steps.length} size={17} bare />
        <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', mt: 0.5 }}>
          <Typography color="textSecondary" role="status">
            {view.at === 'step' && step
              ? `${phaseNames[step.phase]} · step ${index + 1} of ${steps.length}`
              : `${answered} of ${steps.length} ${plural(steps.length, 'step')} answered`}
          </Typography>
          <Button
            sx={{ minHeight: 56 }}
            onClick={() =>
              setView(view.at === 'list' ? { at: 'step', index: Math.max(0, firstOpen) } : { at: 'list' })
            }
          >
            {view.at === 'list' ? 'Back to the steps' : 'All steps'}
          </Button>
        </Box>
        {view.at === 'list' && (
          <StepList
            onOpen={(to) => setView({ at: 'step', index: to })}
            onGate={() => setView({ at: 'gate' })}
          />
        )}
        {view.at === 'gate' && (
          <GateView
            onOpen={(to) => setView({ at: 'step', index: to })}
            onSigned={() => setResigning(false)}
          />
        )}
        {view.at === 'step' && step && (
          <StepView
            key={step.id}
            step={step}
            asked={asked}
            onSaid={() => setAsked(null)}
            onAnswer={(verdict, stepId = step.id) => {
              walk.answer(stepId, verdict);
              const title = step.items.find((one) => one.stepId === stepId)?.name ?? step.title;
              setAsked(verdict === 'fault' ? { stepId, title } : null);
            }}
            onGo={(by) => go(index + by)}
          />
        )}
        <Box {...screenOnly} sx={{ display: 'flex', justifyContent: 'center', alignItems: 'center', gap: 1 }}>
          <CallButton large />
          {spoken && (
            <Button aria-pressed={spoken.on} onClick={spoken.toggle} sx={{ minHeight: 56 }}>
              {spoken.on ? 'Stop reading aloud' : 'Read aloud'}
            </Button>
          )}
          {awake && (
            <Typography variant="caption" color="textSecondary">
              The screen stays on
            </Typography>
          )}
        </Box>
        <OnTheirWay walk={walk} />
      </Box>
    </>
  );
}

/** The way back, the light, and the time at the water. */
function TopLine() {
  const { doc, looked, now } = useOutingWorkspace();
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', mb: 0.5 }}>
      <Link
        component={RouterLink}
        to={`/outings/${doc.id}/kit`}
        noWrap
        color="textSecondary"
        sx={{ display: { sm: 'none' }, py: 1.5, maxWidth: 210 }}
      >
        ‹ {doc.title}
      </Link>
      <HalfLight />
      <Typography color="textSecondary">
        {byClock(clockAt(now, looked.water?.timeZone ?? 'local'))}
      </Typography>
    </Box>
  );
}

/** Red on black, to spare night eyes; pressed again, the theme that was before. */
function HalfLight() {
  const { name, toggleHalfLight } = useThemeChoice();
  const on = name === 'half-light';
  return (
    <Button aria-pressed={on} onClick={toggleHalfLight} sx={{ mx: 'auto', minHeight: 56 }}>
      {on ? 'Full light' : 'Half-light'}
    </Button>
  );
}

/** What of the answers is not on the server, and whether the two clocks agree. */
function OnTheirWay({ walk }: { walk: WalkRecord }) {
  const apart = clocksApart(clockAheadMs());
  return (
    <Box sx={{ textAlign: 'center', display: 'grid', justifyItems: 'center' }}>
      <CarriedWords />
      {walk.unkept && (
        <Typography variant="caption" role="alert" color="error">
          This device is full: the answers are in this page alone. Do not close it before the server has them.
        </Typography>
      )}
      {walk.unsent > 0 && (
        <Typography variant="caption" role="status" color="textSecondary">
          {`${walk.unsent} ${plural(walk.unsent, 'answer')} kept on this device, not yet on the server`}
        </Typography>
      )}
      {walk.held > 0 && (
        <>
          <Typography variant="caption" role="status" color="error">
            {`${walk.held} ${plural(walk.held, 'answer')} kept on this device: the server did not take ${walk.held === 1 ? 'it' : 'them'}. ${walk.refused ?? ''}`}
          </Typography>
          <Button onClick={walk.sendAgain}>Send again</Button>
        </>
      )}
      {walk.leftOut > 0 && (
        <Typography variant="caption" color="error">
          {`${walk.leftOut} earlier ${plural(walk.leftOut, 'answer')} cannot be read and ${walk.leftOut === 1 ? 'counts' : 'count'} for nothing.`}
        </Typography>
      )}
      {apart !== null && (
        <Typography variant="caption" color="textSecondary">
          {`This device’s clock is ${duration(Math.abs(apart) / 60_000)} ${apart > 0 ? 'behind' : 'ahead of'} the server’s. Both are kept; the server’s is reckoned with.`}
        </Typography>
      )}
    </Box>
  );
}
