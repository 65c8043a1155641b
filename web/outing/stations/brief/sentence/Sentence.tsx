import Typography from '@mui/material/Typography';
import { serif } from '../../../../app/theme';
import { Ashore } from './Ashore';
import { Boat } from './Boat';
import { Catch } from './Catch';
import { Company } from './Company';
import { Hours } from './Hours';
import { Manner } from './Manner';
import { Way } from './Way';

/** The brief as one sentence with blanks. */
export function Sentence() {
  return (
    <Typography
      component="section"
      aria-label="The outing in one sentence"
      sx={{
        fontFamily: serif,
        fontSize: { xs: '1.25rem', sm: '1.42rem' },
        lineHeight: { xs: '44px', sm: 1.5 },
      }}
    >
      <Catch />
      <Way />
      <Hours />
      <Company />
      <Boat />
      <Manner />
      <Ashore />
    </Typography>
  );
}
