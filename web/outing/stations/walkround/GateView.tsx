import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { sayBar } from '#core/judgement/gate';
import { signedSnapshot } from '#core/signing/snapshot';
import { lastAnswers } from '#core/walkround/answers';
import { verdictOf } from '#core/walkround/defects';
import { capital, count, plural } from '#core/units/words';
import { isReached } from '../../../offline/reach';
import { ApiError } from '../../../documents/api';
import { LevelMark } from '../../../ui/LevelMark';
import { MarginBar } from '../../Margin';
import { useOutingWorkspace } from '../../outingWorkspace';
import { HoldToSign } from './HoldToSign';
import { Procedures } from './Procedures';
import { Defects } from './Defects';

/** What still keeps the gate shut; when nothing does, the signature. */
export function GateView({ onOpen, onSigned }: { onOpen: (index: number) => void; onSigned: () => void }) {
  const { assessment, editor, walk, repair, references } = useOutingWorkspace();
  const { gate, steps } = assessment;
  const [trouble, setTrouble] = useState<string[]>([]);
  const sign = async () => {
    setTrouble([]);
    const [answered] = await Promise.all([walk.flush(), editor.flush()]);
    const { saving, version } = editor.getState();
    if (!isReached() && saving.is !== 'conflict' && saving.is !== 'refused') {
      // Where the server does not answer it is made here, over what was judged here, and judged again when it
      // arrives.
      walk.signHere(signedSnapshot(editor.getState().doc, references, lastAnswers(walk.record)));
      onSigned();
      return;
    }
    if (saving.is !== 'kept' || !answered) {
      setTrouble(['The server has not got everything yet. A signature needs it; try again when it answers.']);
      return;
    }
    try {
      await walk.sign(version);
      onSigned();
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setTrouble([error.message, ...error.fields.map((field) => field.message)]);
    }
  };
  return (
    <>
      <Box sx={{ flex: 1 }}>
        <Typography variant="h1" component="h2" sx={{ fontSize: '2.2rem', mt: 2, mb: 1 }}>
          {gate.open ? 'The gate is open' : 'The gate is shut'}
        </Typography>
        <Typography sx={{ fontSize: '1.15rem', mb: 2 }}>
          {gate.open
            ? 'Everything asked has been answered. Going or staying is yours to decide.'
            : 'It opens when each of these is settled.'}
        </Typography>
        <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {gate.bars.map((bar) => (
            <Box component="li" key={bar.bar} sx={{ borderTop: 1, borderColor: 'divider', py: 1.5 }}>
              <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', fontWeight: 700 }}>
                <LevelMark level={bar.bar === 'stops' ? 'stop' : bar.bar === 'minds' ? 'mind' : 'note'} />
                {sayBar(bar)}
              </Box>
              {bar.bar === 'critical' &&
                bar.steps.slice(0, 6).map((id) => {
                  const index = steps.findIndex((step) => step.id === id);
                  const step = steps[index];
                  return (
                    step && (
                      <Button
                        key={id}
                        onClick={() => onOpen(index)}
                        sx={{ display: 'block', minHeight: 48, textDecoration: 'underline' }}
                      >
                        {step.title}
                      </Button>
                    )
                  );
                })}
              {bar.bar === 'critical' && bar.steps.length > 6 && (
                <Typography color="textSecondary">
                  and {bar.steps.length - 6} more, in the list of all steps
                </Typography>
              )}
              {bar.bar === 'forecast' && (
                <Button
                  onClick={() => repair({ do: 'looked-again' })}
                  sx={{ minHeight: 48, textDecoration: 'underline' }}
                >
                  I have looked again: as written
                </Button>
              )}
            </Box>
          ))}
        </Box>
        <Defects onOpen={onOpen} />
        <LeftOpen />
        <Procedures />
        {trouble.map((line) => (
          <Typography key={line} color="error" role="alert" sx={{ mt: 1 }}>
            {line}
          </Typography>
        ))}
      </Box>
      <Typography variant="body2" color="textSecondary" sx={{ mb: 1 }}>
        Your signature says that you have counted. It does not say that nothing can happen.
      </Typography>
      <HoldToSign onSign={() => void sign()} disabled={!gate.open} />
      <Box sx={{ mt: 1.5 }}>
        <MarginBar station="walk-round" inPlace />
      </Box>
    </>
  );
}

/** Steps that nothing hangs on and that nobody answered: they keep nothing shut, and are said. */
function LeftOpen() {
  const { assessment, answers } = useOutingWorkspace();
  const open = assessment.steps.filter((step) => !step.critical && verdictOf(step, answers) === undefined);
  if (open.length === 0) return null;
  return (
    <Typography color="textSecondary" sx={{ borderTop: 1, borderColor: 'divider', py: 1.5 }}>
      {capital(count(open.length))} more {plural(open.length, 'step is', 'steps are')} not answered; they
      stand in the list of all steps.
    </Typography>
  );
}
