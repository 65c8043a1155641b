import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Control } from 'react-hook-form';
import type { Angler } from '#core/documents/angler';
import { FormNumber, FormText } from '../ui/fields';
import { Profile } from './Profile';
import { profileGrid } from './profileGrid';

/** Settled here: who waits ashore, and what they are told. What would annoy: to write it for every outing. */
export function AshoreScreen() {
  return <Profile fields={AshoreFields} />;
}

function AshoreFields({ control }: { control: Control<Angler> }) {
  return (
    <>
      <Typography variant="h2">Person ashore</Typography>
      <Box sx={profileGrid}>
        <FormText control={control} name="contact.name" label="Their name" />
        <FormText control={control} name="contact.phone" label="Their number" type="tel" />
        <FormText control={control} name="contact.email" label="Their address for mail" />
      </Box>
      <Typography variant="h2">What they are told of you</Typography>
      <Typography variant="body2" color="textSecondary">
        It stands on the plans you leave, and nowhere else. What is empty is left out.
      </Typography>
      <Box sx={profileGrid}>
        <FormText control={control} name="about.phone" label="Your telephone" type="tel" />
        <FormNumber control={control} name="about.ageYears" label="Age" unit="" />
        <FormText control={control} name="about.wears" label="What you wear, with its colours" />
        <FormText control={control} name="about.vehicle" label="Vehicle: make, colour, plate" />
        <FormText control={control} name="about.callSign" label="Call sign of your radio" />
        <FormText control={control} name="about.medical" label="Medical notes, if you wish" />
      </Box>
    </>
  );
}
