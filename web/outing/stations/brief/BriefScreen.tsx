import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { styled } from '@mui/material/styles';
import { Suspense, lazy, useState } from 'react';
import { sayTideSource } from '#core/environment/waterTide';
import { sayExposures } from '#core/exposures/sayExposures';
import { Calm } from '../../Calm';
import { useOutingWorkspace } from '../../outingWorkspace';
import { DayStrip } from './DayStrip';
import { Forecast } from './Forecast';
import { Legs, TurnFor } from './Passage';
import { RouteChart } from './RouteChart';
import { Sentence } from './sentence/Sentence';

const Meanings = styled('dl')(({ theme }) => ({
  margin: 0,
  display: 'grid',
  gridTemplateColumns: 'repeat(auto-fit, minmax(min(100%, 300px), 1fr))',
  columnGap: 32,
  div: { borderTop: `1px solid ${theme.inks.rule}`, padding: '10px 0' },
  dt: { fontWeight: 700 },
  dd: { margin: 0, fontSize: '0.92rem', lineHeight: 1.45 },
}));

// Judged when asked for: the dialog comes with its question.
const BetterHours = lazy(async () => ({ default: (await import('./BetterHours')).BetterHours }));
const questions = [
  { id: 'rehearse', name: 'Rehearse' },
  { id: 'ways out', name: 'Ways out' },
  { id: 'before', name: 'Before the launch' },
] as const;
const BeforePanel = lazy(async () => ({ default: (await import('./BeforePanel')).BeforePanel }));
const WaysOut = lazy(async () => ({ default: (await import('./WaysOut')).WaysOut }));
const RehearsePanel = lazy(async () => ({ default: (await import('./RehearsePanel')).RehearsePanel }));

/**
 * Settled here: for what, where, when, with whom, and what that exposes one to. What would annoy: a form of
 * twenty fields.
 */
export function BriefScreen() {
  const { assessment, doc, looked } = useOutingWorkspace();
  const [comparing, setComparing] = useState(false);
  const [asked, setAsked] = useState<(typeof questions)[number]['id'] | null>(null);
  const exposed = sayExposures(assessment.exposures);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2.5, maxWidth: 1040 }}>
      <Sentence />
      <DayStrip />
      {looked.water && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: -1.5 }}>
          <Button variant="outlined" onClick={() => setComparing(true)}>
            Better hours
          </Button>
          {questions.map(({ id, name }) => (
            <Button
              key={id}
              variant="outlined"
              aria-expanded={asked === id}
              onClick={() => setAsked((now) => (now === id ? null : id))}
            >
              {name}
            </Button>
          ))}
          <Typography variant="caption" color="textSecondary" sx={{ alignSelf: 'center' }}>
            {[
              sayTideSource(looked.water),
              doc.conditions.source === 'station' ? 'The station’s weather is simulated.' : '',
            ]
              .filter(Boolean)
              .join(' ')}
          </Typography>
        </Box>
      )}
      <Suspense fallback={null}>
        {asked === 'rehearse' && <RehearsePanel onClose={() => setAsked(null)} />}
        {asked === 'before' && <BeforePanel onClose={() => setAsked(null)} />}
        {asked === 'ways out' && <WaysOut onClose={() => setAsked(null)} />}
      </Suspense>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: '176px minmax(0, 1fr) minmax(236px, 280px)' },
          gap: 3,
          alignItems: 'start',
        }}
      >
        <TurnFor />
        <Legs />
        <Calm>
          <RouteChart />
        </Calm>
      </Box>
      <Calm>
        <Forecast />
      </Calm>
      <Box component="section" aria-labelledby="exposed">
        <Typography variant="h2" id="exposed" sx={{ mb: 1 }}>
          What that means
        </Typography>
        {exposed.length === 0 && (
          <Typography color="textSecondary">Fill the sentence: what follows from it appears here.</Typography>
        )}
        <Meanings>
          {exposed.map(({ id, title, text }) => (
            <div key={id}>
              <dt>{title}</dt>
              <dd>{text}</dd>
            </div>
          ))}
        </Meanings>
      </Box>
      {comparing && (
        <Suspense>
          <BetterHours onClose={() => setComparing(false)} />
        </Suspense>
      )}
    </Box>
  );
}
