import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { StreamHour } from '#core/documents/water';
import { readStreamText, writeStreamText } from '#core/exchange/streamText';
import { unitName } from '#core/units/amount';
import { plural } from '#core/units/words';

interface Props {
  hours: readonly StreamHour[];
  onChange: (hours: StreamHour[]) => void;
}

/** A stream by the hours about high water, as an atlas or a pilot book gives it; what is not understood is said line by line. */
export function StreamTextField({ hours, onChange }: Props) {
  const [text, setText] = useState(() => writeStreamText(hours));
  const read = text.trim() === '' ? null : readStreamText(text);
  return (
    <Box sx={{ display: 'grid', gap: 0.5 }}>
      <TextField
        label="The stream by the hour about high water, if you have it so"
        placeholder={'-2  045  1.2  0.6\n-1  050  0.7  0.3\n+1  225  0.9  0.4'}
        value={text}
        multiline
        minRows={3}
        maxRows={15}
        fullWidth
        error={read !== null && !read.taken}
        helperText={
          read === null
            ? `A line an hour: hours from high water, bearing it runs toward, rate at springs, rate at neaps; in ${unitName('m/s')}, or with kn behind.`
            : read.taken
              ? `Understood: ${read.value.length} ${plural(read.value.length, 'hour')}.`
              : read.why
        }
        onChange={(event) => {
          const next = event.target.value;
          setText(next);
          const result = next.trim() === '' ? null : readStreamText(next);
          if (result === null) onChange([]);
          else if (result.taken) onChange(result.value);
        }}
        slotProps={{ htmlInput: { style: { fontFamily: 'monospace', fontSize: 14 } } }}
      />
      {read?.taken &&
        read.troubles.map((line) => (
          <Typography key={line} variant="body2" color="error">
            {line}
          </Typography>
        ))}
    </Box>
  );
}
