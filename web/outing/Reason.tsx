import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useState } from 'react';

const LEAST = 3;
/** Why a finding is accepted: it stands beside the signature. */
export function Reason({
  water,
  onKeep,
  onCancel,
}: {
  /** The water that the reason may be kept for; null: for this outing only. */
  water: string | null;
  onKeep: (reason: string, forWater: boolean) => void;
  onCancel: () => void;
}) {
  const [forWater, setForWater] = useState(false);
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
        if (!short) onKeep(text, forWater);
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
      {water !== null && (
        <FormControlLabel
          control={<Checkbox checked={forWater} onChange={(_, on) => setForWater(on)} />}
          label={`Keep it for every outing on ${water}`}
        />
      )}
      <Box sx={{ display: 'flex', gap: 1, mt: 1 }}>
        <Button type="submit" variant="contained">
          Accept
        </Button>
        <Button onClick={onCancel}>Cancel</Button>
      </Box>
    </Box>
  );
}
