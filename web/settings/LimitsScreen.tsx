import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { type Control, useWatch } from 'react-hook-form';
import { Link as RouterLink } from 'react-router';
import { type Angler, anglerSchema } from '#core/documents/angler';
import { practice, schoolIds } from '#core/needs/practice';
import { FormChoice, FormNumber, FormSpeech, asOptions } from '../ui/fields';
import { Profile } from './Profile';
import { profileGrid } from './profileGrid';

/**
 * Settled here: in which units one reads, and with what limits one goes. What would annoy: limits set by
 * somebody else.
 */
export function LimitsScreen() {
  return <Profile fields={LimitFields} />;
}

function LimitFields({ control }: { control: Control<Angler> }) {
  // The fields below show other figures once other units are chosen.
  useWatch({ control, name: 'units' });
  return (
    <>
      <Typography variant="h2">Units</Typography>
      <Typography variant="body2" color="textSecondary">
        What you read and type in. Nothing is kept or judged in it, so it may be changed at any time.
      </Typography>
      <Box sx={profileGrid}>
        <FormSpeech control={control} each />
      </Box>
      <Typography variant="h2">Your own limits</Typography>
      <Typography variant="body2" color="textSecondary">
        They may be stricter than the ceilings by skill, never laxer.{' '}
        <Link component={RouterLink} to="/reference/limits">
          Where those stand
        </Link>
      </Typography>
      <Box sx={profileGrid}>
        <FormNumber control={control} name="limits.windMps" label="Wind" unit="wind" />
        <FormNumber control={control} name="limits.gustMps" label="Gusts" unit="wind" />
        <FormNumber control={control} name="limits.breakerM" label="Breakers at the launch" unit="m" />
        <FormNumber control={control} name="limits.waveM" label="Waves, if you set a limit" unit="m" />
      </Box>
      <Typography variant="h2">Your school, where practice differs</Typography>
      <Typography variant="body2" color="textSecondary">
        Both sides of each are sound. What you choose here is proposed first; it never lowers what must be
        aboard.{' '}
        <Link component={RouterLink} to="/reference/practice">
          What each side says
        </Link>
      </Typography>
      <Box sx={profileGrid}>
        {schoolIds.map((id) => (
          <FormChoice
            key={id}
            control={control}
            name={`schools.${id}`}
            label={practice[id].question}
            options={asOptions(anglerSchema.shape.schools.shape[id].options)}
          />
        ))}
      </Box>
    </>
  );
}
