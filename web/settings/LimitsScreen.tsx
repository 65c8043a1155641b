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
      <Typography variant="h2">The road, and the time before</Typography>
      <Typography variant="body2" color="textSecondary">
        A boat that stands out past the tail asks for a flag; the alarm is worked out backwards from the
        launch. What is left empty is not judged, or a usual time is taken.
      </Typography>
      <Box sx={profileGrid}>
        <FormChoice
          control={control}
          name="vehicle.carries"
          label="The boat travels"
          options={[
            { value: 'not told', name: 'Not told' },
            { value: 'roof', name: 'On the roof' },
            { value: 'bed', name: 'In the bed' },
            { value: 'trailer', name: 'On a trailer' },
          ]}
        />
        <FormNumber
          control={control}
          name="vehicle.lengthM"
          label="Length of the vehicle, the bed or the trailer"
          unit="m"
        />
        <FormNumber control={control} name="vehicle.ratedKg" label="Bars are rated for" unit="kg" />
        <FormNumber control={control} name="times.readyMin" label="From waking to leaving" unit="min" />
        <FormNumber control={control} name="times.driveMin" label="On the road" unit="min" />
        <FormNumber control={control} name="times.rigMin" label="Making ready at the water" unit="min" />
        <FormNumber control={control} name="times.carryMin" label="A way to the water and back" unit="min" />
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
