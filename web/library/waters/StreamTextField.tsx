import Box from '@mui/material/Box';
import { useState } from 'react';
import type { StreamHour } from '#core/documents/water';
import { readStreamText, writeStreamText } from '#core/exchange/streamText';
import { unitName } from '#core/units/amount';
import { plural } from '#core/units/words';
import { ReadText } from './ReadText';

interface Props {
  hours: readonly StreamHour[];
  onChange: (hours: StreamHour[]) => void;
}

/**
 * A stream by the hours about high water, as an atlas or a pilot book gives it; what is not understood is
 * said line by line.
 */
export function StreamTextField({ hours, onChange }: Props) {
  const [text, setText] = useState(() => writeStreamText(hours));
  const read = text.trim() === '' ? null : readStreamText(text);
  return (
    <Box sx={{ display: 'grid', gap: 0.5 }}>
      <ReadText
        label="The stream by the hour about high water, if you have it so"
        placeholder={'-2  045  1.2  0.6\n-1  050  0.7  0.3\n+1  225  0.9  0.4'}
        hint={`A line an hour: hours from high water, bearing it runs toward, rate at springs, rate at neaps; in ${unitName('m/s')}, or with kn behind.`}
        text={text}
        read={read}
        understood={({ length }) => `${length} ${plural(length, 'hour')}`}
        maxRows={15}
        onChange={(next) => {
          setText(next);
          const result = next.trim() === '' ? null : readStreamText(next);
          if (result === null) onChange([]);
          else if (result.taken) onChange(result.value);
        }}
      />
    </Box>
  );
}
