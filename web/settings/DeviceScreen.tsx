import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Typography from '@mui/material/Typography';
import { VERSION } from '#core/vocabulary/version';
import { type ThemeName, themeNames } from '../app/palettes';
import { useThemeChoice } from '../app/themeChoice';
import { Account } from './Account';

const themeWords: Record<ThemeName, string> = {
  paper: 'Paper, for the table',
  dark: 'Dark, for the evening',
  'half-light': 'Half-light, red on black, to spare night eyes',
};

/** Settled here: the light one reads in, and where one is signed in. What would annoy: glare in the dark. */
export function DeviceScreen() {
  const { name, choose } = useThemeChoice();
  return (
    <>
      <Typography variant="h2" id="theme-heading" sx={{ mb: 1 }}>
        Light
      </Typography>
      <RadioGroup
        aria-labelledby="theme-heading"
        value={name}
        onChange={(_, value) => choose(value as ThemeName)}
        sx={{ mb: 4 }}
      >
        {themeNames.map((theme) => (
          <FormControlLabel key={theme} value={theme} control={<Radio />} label={themeWords[theme]} />
        ))}
      </RadioGroup>
      <Account />
      <Typography variant="body2" color="textSecondary" sx={{ mt: 4 }}>
        Version {VERSION} of this program.
      </Typography>
    </>
  );
}
