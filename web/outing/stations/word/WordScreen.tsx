import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { floatPlanOf } from '#core/floatplan/make';
import type { FloatPlan } from '#core/floatplan/floatPlan';
import { planSays } from '#core/floatplan/says';
import { sayMoment } from '#core/floatplan/status';
import { decidedIn } from '#core/judgement/decided';
import { listed, plural } from '#core/units/words';
import { ApiError } from '../../../documents/api';
import { Loaded } from '../../../documents/Loaded';
import { useToast } from '../../../ui/Toast';
import { screenOnly } from '../../../ui/screenOnly';
import { BriefFirst } from '../../BriefFirst';
import { useOutingWorkspace } from '../../outingWorkspace';
import { Carry } from './Carry';
import { FromWater } from './FromWater';
import { PlanSheet } from './PlanSheet';
import { Sent } from './Sent';
import { TakeOut } from './TakeOut';
import { Told } from './Told';
import { type Word, useWord } from './useWord';

/**
 * Settled here: is this what somebody frightened at midnight needs, and do they have it. What would annoy:
 * typing again what is known, and not knowing whether it was left.
 */
export function WordScreen() {
  const { doc, looked, assessment, now } = useOutingWorkspace();
  const word = useWord(doc.id, now);
  const plan = useMemo(
    () =>
      floatPlanOf({
        outing: doc,
        looked,
        needs: assessment.needs,
        exposures: assessment.exposures,
        decided: decidedIn(assessment.findings),
        now,
      }),
    [doc, looked, assessment, now],
  );
  if (!plan) return <BriefFirst why="The plan is made from water, launch and hours." />;
  return (
    <Loaded data={word.loaded ? word : undefined} error={word.error}>
      {(loaded) => (
        <Box sx={{ maxWidth: 900, display: 'grid', gap: 2.5 }}>
          {loaded.unreadable > 0 && (
            <Typography variant="body2" color="error">
              {`${loaded.unreadable} ${plural(loaded.unreadable, 'plan')} that ${loaded.unreadable === 1 ? 'was' : 'were'} left cannot be read and ${loaded.unreadable === 1 ? 'counts' : 'count'} for nothing. Leave the plan anew if nothing else was left.`}
            </Typography>
          )}
          <Leaving plan={plan} word={loaded} />
          <TakeOut plan={plan} word={loaded} />
          <Box {...screenOnly}>
            <FromWater word={loaded} />
          </Box>
          <Carry />
          <PlanSheet plan={plan} />
          <Sent word={loaded} />
        </Box>
      )}
    </Loaded>
  );
}

/** Whether somebody has it, what is still to be told, and the press that leaves it. */
function Leaving({ plan, word }: { plan: FloatPlan; word: Word }) {
  const { doc, edit, looked, assessment, now } = useOutingWorkspace();
  const say = useToast();
  const [telling, setTelling] = useState(false);
  const [leaving, setLeaving] = useState(false);
  const { contact } = doc.brief;
  const { left } = doc.word;
  const changed = assessment.findings.some(({ facts }) => facts.code === 'word-changed');
  const about = looked.angler?.about;
  const lacking = [
    ...(contact.name === '' ? ['who waits'] : contact.phone === '' ? ['their telephone'] : []),
    ...(plan.rescue.phone === '' ? ['whom they call'] : []),
    ...(about?.phone ? [] : ['your telephone']),
    ...(about?.wears ? [] : ['what you wear']),
    ...(about?.vehicle ? [] : ['your vehicle']),
  ];
  const leave = async () => {
    setLeaving(true);
    try {
      await word.leave(plan);
      const says = planSays(doc, looked, looked.aboard);
      edit((outing) => ({
        ...outing,
        word: { ...outing.word, left: { at: new Date(now).toISOString(), says: { ...says }, watched: true } },
      }));
      say(
        `Kept for ${contact.name}. Now see that they have it: give them the address, the paper or the text.`,
      );
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      say(`Not left. ${error.message}`);
    } finally {
      setLeaving(false);
    }
  };
  const who = contact.name || 'somebody';
  const moment = (at: string) => sayMoment(Date.parse(at), plan.zone, now);
  const received = () =>
    word.received().catch((error: unknown) => {
      if (!(error instanceof ApiError)) throw error;
      say(error.message);
    });
  return (
    <Box {...screenOnly} component="section" aria-label="Leaving it" sx={{ display: 'grid', gap: 1 }}>
      <Box role="status">
        <Typography variant="h2">
          {left === null
            ? contact.name === ''
              ? 'Nobody is named who waits'
              : `${who} does not have this plan yet`
            : changed
              ? `${who} has an older plan than this`
              : `Written for ${who} at ${moment(left.at)}`}
        </Typography>
        {left !== null && !changed && <Typography>{sayReceived(word, who, moment)}</Typography>}
      </Box>
      {lacking.length > 0 && (
        <Typography color="textSecondary">{`Not written yet: ${listed(lacking)}. What is not written is left out.`}</Typography>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <Button
          variant={left === null || changed ? 'contained' : 'outlined'}
          disabled={leaving || contact.name === ''}
          onClick={() => void leave()}
        >
          {left === null ? `Leave it with ${who}` : 'Leave it again'}
        </Button>
        {left !== null && !changed && word.left?.toldAt === null && (
          <Button variant="outlined" onClick={() => void received()}>
            {`${who} has it`}
          </Button>
        )}
        <Button variant="outlined" onClick={() => setTelling(true)}>
          What they should know
        </Button>
      </Box>
      <Typography variant="body2" color="textSecondary">
        Just what stands below is kept for them, and no more. Nobody else watches: the clock is theirs, so see
        that they know it.
      </Typography>
      {telling && <Told onClose={() => setTelling(false)} />}
    </Box>
  );
}

/** Whether whoever waits has the plan, as far as it is known. */
function sayReceived({ left, messages }: Word, who: string, moment: (at: string) => string): string {
  if (left?.toldAt) return `${who} has it: you said so at ${moment(left.toldAt)}.`;
  if (left?.openedAt) return `Its page was opened at ${moment(left.openedAt)}.`;
  const sent = messages.findLast(({ kind, sentAt }) => kind === 'left' && sentAt !== null);
  if (left && sent?.sentAt && sent.sentAt >= left.at)
    return `Sent to ${sent.toAddress} at ${moment(sent.sentAt)}; its page was not opened yet.`;
  return `Nothing says yet that ${who} has it: give them the address, the paper or the text.`;
}
