import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormLabel from '@mui/material/FormLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import type { AnswersGiven, Question } from '#core/exchange/imported';

/** An identifier of an element has no gaps. */
const labelOf = (id: string) => `ask-${id.replaceAll(' ', '-')}`;

interface Props {
  list: readonly Question[];
  answers: AnswersGiven;
  onAnswer: (id: string, choice: string) => void;
}
/** What a file leaves open, each with its choices. */
export function Questions({ list, answers, onAnswer }: Props) {
  return list.map(({ id, text, choices }) => (
    <Box key={id} sx={{ my: 1 }}>
      <FormLabel id={labelOf(id)}>{text}</FormLabel>
      <RadioGroup
        row
        aria-labelledby={labelOf(id)}
        value={answers[id] ?? ''}
        onChange={(_, choice) => onAnswer(id, choice)}
      >
        {choices.map((choice) => (
          <FormControlLabel key={choice.id} value={choice.id} control={<Radio />} label={choice.text} />
        ))}
      </RadioGroup>
    </Box>
  ));
}
