import Box from '@mui/material/Box';
import type { Control } from 'react-hook-form';
import type { Angler } from '#core/documents/angler';
import { FormChoice, FormNumber, FormSwitch, FormText, asOptions } from '../ui/fields';
import { Profile } from './Profile';
import { profileGrid } from './profileGrid';

/** Settled here: who goes. What would annoy: being asked for what nothing is judged by. */
export function YouScreen() {
  return <Profile fields={YouFields} />;
}

function YouFields({ control }: { control: Control<Angler> }) {
  return (
    <Box sx={profileGrid}>
      <FormText control={control} name="name" label="Name" />
      <FormNumber control={control} name="massKg" label="Mass, dressed" unit="kg" />
      <FormNumber control={control} name="heightM" label="Height" unit="m" />
      <FormChoice
        control={control}
        name="hand"
        label="Stronger hand"
        options={asOptions(['right', 'left'])}
      />
      <FormChoice
        control={control}
        name="clearSide"
        label="Side kept clear"
        options={asOptions(['right', 'left'])}
      />
      <FormChoice
        control={control}
        name="swims"
        label="Swims"
        options={asOptions(['well', 'a little', 'not'])}
      />
      <FormChoice
        control={control}
        name="experience"
        label="Experience"
        options={asOptions(['new', 'some', 'experienced'])}
      />
      <FormSwitch control={control} name="reentryPractised" label="I have practised getting back in" />
    </Box>
  );
}
