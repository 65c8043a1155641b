import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { MOST_LINE } from '#core/documents/field';
import { type Trouble, sayTrouble, troublesIn } from '#core/walkround/troubles';
import { useOutingWorkspace } from '../../outingWorkspace';

/** All that was found not sound or not there: before one signs it is read once more, and said what it is. */
export function Troubles({ onOpen }: { onOpen: (index: number) => void }) {
  const { assessment, answers } = useOutingWorkspace();
  const troubles = troublesIn(assessment.steps, answers);
  if (troubles.length === 0) return null;
  return (
    <Box
      component="section"
      aria-label="Found on the walk-round"
      sx={{ borderTop: 1, borderColor: 'divider', py: 1.5 }}
    >
      <Typography sx={{ fontWeight: 700 }}>Found on the walk-round</Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {troubles.map((trouble) => (
          <li key={trouble.stepId}>
            <Button
              onClick={() => onOpen(trouble.index)}
              sx={{ minHeight: 48, px: 0, textAlign: 'left', textDecoration: 'underline' }}
            >
              {sayTrouble(trouble)}
            </Button>
            {trouble.verdict === 'fault' && trouble.note === '' && <SayWhat trouble={trouble} />}
          </li>
        ))}
      </Box>
    </Box>
  );
}

/** Asks what a fault is, in a few words; left empty it stays a fault. */
export function SayWhat({
  trouble,
  onDone,
}: {
  trouble: Pick<Trouble, 'stepId' | 'title'>;
  onDone?: () => void;
}) {
  const { walk } = useOutingWorkspace();
  const [note, setNote] = useState('');
  const keep = () => {
    if (note.trim() !== '') walk.answer(trouble.stepId, 'fault', { note: note.trim() });
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
        helperText={trouble.title}
        value={note}
        onChange={(event) => setNote(event.target.value)}
        fullWidth
        slotProps={{
          htmlInput: { maxLength: MOST_LINE, 'aria-label': `${trouble.title}: what is wrong?` },
        }}
      />
      <Button type="submit" variant="outlined" sx={{ minHeight: 56 }}>
        {note.trim() === '' && onDone ? 'Later' : 'Keep'}
      </Button>
    </Box>
  );
}
