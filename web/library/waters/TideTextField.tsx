import Box from '@mui/material/Box';
import { useState } from 'react';
import type { TideTurn } from '#core/documents/water';
import { readTideText, sayTurns, writeTideText } from '#core/exchange/tideText';
import type { AnswersGiven } from '#core/exchange/imported';
import { dateAt } from '#core/units/time';
import { FileButton } from '../../ui/FileButton';
import { useNow } from '../../ui/useNow';
import { Questions } from '../../ui/Questions';
import { ReadText } from './ReadText';
import { fileText } from '../../ui/fileText';

interface Props {
  turns: readonly TideTurn[];
  zone: string;
  onChange: (turns: TideTurn[]) => void;
}

/**
 * High and low waters as they stand in a table: typed, pasted or from a file; how they were understood stands
 * under them.
 */
export function TideTextField({ turns, zone, onChange }: Props) {
  const today = dateAt(useNow(), zone);
  const [text, setText] = useState(() => writeTideText(turns, zone));
  const [answers, setAnswers] = useState<AnswersGiven>({});
  const read = text.trim() === '' ? null : readTideText(text, today, zone, answers);
  const asked = read?.taken ? read.value.asked : (read?.asks ?? []);
  /** What was kept stays until a whole table is understood. */
  const take = (next: string, given: AnswersGiven = {}) => {
    setText(next);
    setAnswers(given);
    const result = next.trim() === '' ? null : readTideText(next, today, zone, given);
    if (result === null) onChange([]);
    else if (result.taken) onChange(result.value.turns);
  };
  return (
    <Box sx={{ display: 'grid', gap: 0.5, justifyItems: 'start' }}>
      <ReadText
        label="High and low waters, by the water’s own clock"
        placeholder={'27 Nov  HW 05:12 4.3 m  LW 11:30 0.9 m  HW 17:40 4.5 m  LW 23:58 0.7 m'}
        hint="A line a day, as many days as you have. Heights over chart datum; between them half a cosine, an estimate."
        text={text}
        read={read}
        understood={(value) =>
          `${sayTurns(value.turns, zone)}${value.feet ? ', from feet' : ''}${value.clock === null ? '' : `, from ${value.clock} turned to the water’s clock`}`
        }
        maxRows={10}
        onChange={(next) => take(next)}
      />
      <Questions
        list={asked}
        answers={answers}
        onAnswer={(id, choice) => take(text, { ...answers, [id]: choice })}
      />
      <FileButton
        name="Read a tide table from a file"
        label="Tide table"
        accept=".csv,.txt,text/plain,text/csv"
        onFile={(file) => void fileText(file).then((written) => take(written))}
      />
    </Box>
  );
}
