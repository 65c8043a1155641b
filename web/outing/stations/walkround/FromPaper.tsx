import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { clockAt, dateAt, instantOf } from '#core/units/time';
import { plural } from '#core/units/words';
import type { Verdict } from '#core/documents/answer';
import { useToast } from '../../../ui/Toast';
import { WhenField } from '../../../ui/WhenField';
import { useOutingWorkspace } from '../../outingWorkspace';

/**
 * What was ticked on paper, written in at one go with the hour at which it was: each box is looked at once
 * more, and none is ticked beforehand.
 */
export function FromPaper({ onClose }: { onClose: () => void }) {
  const { assessment, walk, looked, now } = useOutingWorkspace();
  const say = useToast();
  const zone = looked.water?.timeZone ?? 'local';
  const [clock, setClock] = useState<string | null>(clockAt(now, zone));
  const [day, setDay] = useState<string | null>(dateAt(now, zone));
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const at = clock !== null && day !== null ? instantOf(day, clock, zone) : null;
  const trouble = at === null ? 'Say when.' : at > now + 60_000 ? 'That is still to come.' : null;
  const [dayField, clockField] = [
    useRef<{ commit: () => boolean }>(null),
    useRef<{ commit: () => boolean }>(null),
  ];
  const keep = () => {
    // What is no day or hour is not written in with the one that stood there before.
    if ([dayField, clockField].some(({ current }) => current?.commit() === false)) return;
    if (at === null || trouble !== null) return;
    const verdict: Verdict = 'good';
    for (const step of assessment.steps)
      if (ticked.has(step.id)) {
        walk.answer(step.id, verdict, { at });
        for (const { stepId } of step.phase === 'evening' ? step.items : [])
          walk.answer(stepId, verdict, { at });
      }
    say(
      `${ticked.size} ${plural(ticked.size, 'step')} written in. What was not good is answered step by step.`,
    );
    onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="paper-title">
      <DialogTitle id="paper-title">Written in from paper</DialogTitle>
      <DialogContent>
        <Typography color="textSecondary" sx={{ mb: 2 }}>
          Tick what is ticked on the sheet. It counts from the hour at which it was looked at.
        </Typography>
        <Box
          sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2, mb: 1, mt: 1 }}
        >
          <WhenField handle={dayField} kind="date" label="Looked at on" value={day} onChange={setDay} />
          <WhenField
            handle={clockField}
            kind="time"
            label="Looked at by"
            value={clock}
            onChange={setClock}
            error={trouble ?? undefined}
          />
        </Box>
        {assessment.steps.map((step) => (
          <FormControlLabel
            key={step.id}
            sx={{ display: 'flex', minHeight: 48, borderTop: 1, borderColor: 'divider', mr: 0 }}
            label={step.title}
            control={
              <Checkbox
                checked={ticked.has(step.id)}
                onChange={({ target }) =>
                  setTicked(
                    (was) =>
                      new Set(target.checked ? [...was, step.id] : [...was].filter((id) => id !== step.id)),
                  )
                }
              />
            }
          />
        ))}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button variant="contained" onClick={keep} disabled={trouble !== null || ticked.size === 0}>
          Write in {ticked.size}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
