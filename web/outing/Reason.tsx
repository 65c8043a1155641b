import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';

const LEAST = 3;
/** Why a finding is accepted: it stands beside the signature. */
export function Reason({ onKeep, onCancel }: { onKeep: (reason: string) => void; onCancel: () => void }) {
  const [text, setText] = useState('');
  const [tried, setTried] = useState(false);
  const short = text.trim().length < LEAST;
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (!short) onKeep(text);
      }}
      sx={{ mt: 1 }}
    >
      <TextField
        label="Why you accept it"
        value={text}
        onChange={(event) => setText(event.target.value)}
        fullWidth
        multiline
        size="small"
        autoFocus
        error={tried && short}
        helperText={tried && short ? 'Say why, in a few words.' : 'It stands beside your signature.'}
        slotProps={{ htmlInput: { maxLength: 400 } }}
      />
      <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
        <Button type="submit" variant="contained">
          Accept
        </Button>
        <Button onClick={onCancel}>Cancel</Button>
      </Box>
    </Box>
  );
}
