import Box from '@mui/material/Box';
import type { UseFormReturn } from 'react-hook-form';
import type { OwnSpecies } from '#core/documents/ownSpecies';
import { habitats } from '#core/catalog/species/speciesRows';
import { FormSeveral } from '../../../ui/FormSeveral';
import { FormChoice, FormNumber, FormText, asOptions } from '../../../ui/fields';

const ranges = [
  { name: 'depthM', label: 'Depth', unit: 'm' },
  { name: 'forageCm', label: 'Its food', unit: 'cm' },
  { name: 'rodM', label: 'Rod', unit: 'm' },
  { name: 'lineKg', label: 'Line', unit: 'kg' },
  { name: 'leaderKg', label: 'Leader', unit: 'kg' },
  { name: 'lureG', label: 'Lures', unit: 'g' },
] as const;

/** A fish of one's own, told as the reference table tells the rest. */
export function SpeciesFields({ form }: { form: UseFormReturn<OwnSpecies> }) {
  const { control } = form;
  const two = { display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 };
  return (
    <>
      <FormText control={control} name="name" label="Its name" />
      <FormSeveral control={control} name="habitats" label="Lives in" options={habitats} />
      <Box sx={two}>
        <FormText control={control} name="continents" label="Where on the map" />
        <FormText control={control} name="stands" label="Where it stands" />
        <FormNumber control={control} name="usual.lengthM" label="Usual length" unit="m" />
        <FormNumber control={control} name="usual.massKg" label="Usual mass" unit="kg" />
        <FormNumber control={control} name="largest.lengthM" label="Largest likely length" unit="m" />
        <FormNumber control={control} name="largest.massKg" label="Largest likely mass" unit="kg" />
        <FormChoice
          control={control}
          name="teeth"
          label="Teeth"
          options={asOptions(['none', 'fine', 'sharp'])}
        />
        <FormChoice control={control} name="mouth" label="Mouth" options={asOptions(['small', 'large'])} />
        <FormChoice
          control={control}
          name="shape"
          label="Built"
          options={[
            { value: 'round', name: 'Round, drawn from the side' },
            { value: 'flat', name: 'Flat, drawn from above' },
            { value: 'ray', name: 'A ray, drawn from above' },
          ]}
        />
        <FormText control={control} name="hazard" label="What hurts the hand, if anything" />
        <FormNumber control={control} name="airS" label="Longest out of water when released" unit="s" />
        <FormText control={control} name="forage" label="What it eats" />
        <FormText control={control} name="hooks" label="Hooks" />
        <FormNumber control={control} name="runM" label="Longest run to reckon with" unit="m" />
      </Box>
      <Box sx={two}>
        {ranges.flatMap(({ name, label, unit }) => [
          <FormNumber
            key={`${name}0`}
            control={control}
            name={`${name}.0`}
            label={`${label}, from`}
            unit={unit}
          />,
          <FormNumber
            key={`${name}1`}
            control={control}
            name={`${name}.1`}
            label={`${label}, to`}
            unit={unit}
          />,
        ])}
      </Box>
      <FormText control={control} name="note" label="Note: rules, numbers, care" />
    </>
  );
}
