import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { MOST_LINE } from '#core/documents/field';
import { type Defect, sayDefect, defectsIn } from '#core/walkround/defects';
import { useOutingWorkspace } from '../../outingWorkspace';

/** All that was found not sound or not there: before one signs it is read once more, and said what it is. */
export function Defects({ onOpen }: { onOpen: (index: number) => void }) {
  const { assessment, answers } = useOutingWorkspace();
  const defects = defectsIn(assessment.steps, answers);
  if (defects.length === 0) return null;
  return (
    <Box
      component="section"
      aria-label="Found on the walk-round"
      sx={{ borderTop: 1, borderColor: 'divider', py: 1.5 }}
    >
      <Typography sx={{ fontWeight: 700 }}>Found on the walk-round</Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {defects.map((defect) => (
          <li key={defect.stepId}>
            <Button
              onClick={() => onOpen(defect.index)}
              sx={{ minHeight: 48, px: 0, textAlign: 'left', textDecoration: 'underline' }}
            >
              {sayDefect(defect)}
            </Button>
            {defect.verdict === 'fault' && defect.note === '' && <AskWhatIsWrong defect={defect} />}
          </li>
        ))}
      </Box>
    </Box>
  );
}

/** Asks what a fault is, in a few words; left empty it stays a fault. */
export function AskWhatIsWrong({
  defect,
  onDone,
}: {
  defect: Pick<Defect, 'stepId' | 'title'>;
  onDone?: () => void;
}) {
  const { walk } = useOutingWorkspace();
  const [note, setNote] = useState('');
  const keep = () => {
    if (note.trim() !== '') walk.answer(defect.stepId, 'fault', { note: note.trim() });
    onDone?.();
  };
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
      sx={{ display: 'flex', gap: 1, alignItems: 'flex-start', my: 1 }}
    >
      <TextField
        label="What is wrong?"
        helperText={defect.title}
        value={note}
        onChange={(event) => setNote(event.target.value)}
        fullWidth
        slotProps={{
          htmlInput: { maxLength: MOST_LINE, 'aria-label': `${defect.title}: what is wrong?` },
        }}
      />
      <Button
        type="submit"
        variant="outlined"
        disabled={note.trim() === '' && !onDone}
        sx={{ minHeight: 56 }}
      >
        {note.trim() === '' && onDone ? 'Later' : 'Keep'}
      </Button>
    </Box>
  );
}
