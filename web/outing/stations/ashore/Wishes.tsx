import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Log } from '#core/documents/log';
import { Written } from './Written';

/** What was missed, and anything else to remember. */
export function Wishes({ log, onChange }: { log: Log; onChange: (log: Log) => void }) {
  const [text, setText] = useState('');
  const add = () => {
    const wish = text.trim().slice(0, 120);
    if (wish === '') return;
    onChange({ ...log, wishes: [...log.wishes, { key: crypto.randomUUID(), text: wish }] });
    setText('');
  };
  return (
    <Box component="section" aria-label="Missed">
      <Typography variant="h2">Missed</Typography>
      <Written
        list={log.wishes}
        name={(one) => one.text}
        text={(one) => one.text}
        onChange={(wishes) => onChange({ ...log, wishes })}
      />
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
        sx={{ display: 'flex', gap: 2, mt: 1 }}
      >
        <TextField
          size="small"
          label="What would have helped"
          value={text}
          onChange={(event) => setText(event.target.value)}
          sx={{ flex: 1 }}
        />
        <Button type="submit" variant="outlined">
          Add
        </Button>
      </Box>
      <TextField
        label="Anything else to remember"
        multiline
        minRows={2}
        fullWidth
        value={log.note}
        onChange={(event) => onChange({ ...log, note: event.target.value.slice(0, 2000) })}
        sx={{ mt: 2 }}
      />
    </Box>
  );
}
