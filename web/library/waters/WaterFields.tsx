import { fetchFor } from '#core/editing/waterFrom';
import { POINTS } from '#core/units/compass';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { type UseFormReturn, useFieldArray } from 'react-hook-form';
import { type Water, type WaterAssumption, getOuts, hazardKinds } from '#core/documents/water';
import { bottoms } from '#core/vocabulary/holding';
import {
  FormChoice,
  FormDate,
  FormNumber,
  FormSwitch,
  FormText,
  type Option,
  asOptions,
} from '../../ui/fields';
import { ChartFile } from './ChartFile';
import { FormPosition } from './FormPosition';
import { MarkChart } from './MarkChart';
import { HarmonicsField } from './HarmonicsField';
import { TideTextField } from './TideTextField';

const freshLaunch = (): Water['launches'][number] => ({
  id: crypto.randomUUID(),
  name: '',
  latDeg: 0,
  lonDeg: 0,
  surf: false,
  barM: null,
  carryM: 50,
  surface: 'firm',
});
const freshArea = (): Water['areas'][number] => ({
  id: crypto.randomUUID(),
  name: '',
  latDeg: 0,
  lonDeg: 0,
  distanceM: 500,
  shoreM: null,
  depthM: 5,
  bottom: 'sand',
});
const freshHazard = (): Water['hazards'][number] => ({
  id: crypto.randomUUID(),
  name: '',
  kind: 'rocks',
  latDeg: 0,
  lonDeg: 0,
  radiusM: 100,
  streamFactor: 1,
});
/** A water's own figures: where it is, its launches and places, what bites, and how it moves. */
export function WaterFields({ form, packs }: { form: UseFormReturn<Water>; packs: readonly Option[] }) {
  const { control } = form;
  const launches = useFieldArray({ control, name: 'launches', keyName: 'key' });
  const areas = useFieldArray({ control, name: 'areas', keyName: 'key' });
  const hazards = useFieldArray({ control, name: 'hazards', keyName: 'key' });
  const positioned = form.watch('positioned');
  useConfirmWhenEdited(form);
  const here = () => ({ latDeg: form.getValues('latDeg'), lonDeg: form.getValues('lonDeg') });
  const two = { display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 };
  return (
    <>
      <FormText control={control} name="name" label="Name" />
      <Box sx={two}>
        <FormChoice
          control={control}
          name="type"
          label="Water"
          options={asOptions(['fresh', 'brackish', 'salt'])}
        />
        <FormChoice
          control={control}
          name="setting"
          label="Setting"
          options={asOptions(['still', 'river', 'estuary', 'coast', 'open', 'flats'])}
        />
        {positioned && <FormPosition form={form} at="water" label="Position of the water" />}
        <FormText control={control} name="timeZone" label="Time zone" />
        <FormChoice control={control} name="rulePackId" label="Rules" options={packs} none="None held" />
        <FormChoice
          control={control}
          name="traffic"
          label="Other boats"
          options={asOptions(['little', 'some', 'busy'])}
        />
        <FormChoice
          control={control}
          name="coverage"
          label="Phone coverage"
          options={asOptions(['good', 'patchy', 'none', 'not known'])}
        />
        <FormChoice control={control} name="getOut" label="One can get out" options={asOptions(getOuts)} />
        <FormNumber control={control} name="rapids" label="Rapids on the way" unit="" />
        <FormSwitch control={control} name="branches" label="Branches over the banks" />
      </Box>
      <Typography variant="h3">Whom one calls who misses somebody there</Typography>
      <Box sx={two}>
        <FormText control={control} name="rescue.name" label="Service" />
        <FormText control={control} name="rescue.phone" label="Its number" type="tel" />
        <FormText control={control} name="rescue.radio" label="Its radio channel" />
      </Box>
      <Typography variant="h3">Launches</Typography>
      {launches.fields.map((launch, i) => (
        <Box key={launch.key} sx={{ ...two, borderTop: 1, borderColor: 'divider', pt: 2 }}>
          <FormText control={control} name={`launches.${i}.name`} label={`Launch ${i + 1}: name`} />
          <FormNumber control={control} name={`launches.${i}.carryM`} label="Carry to the water" unit="m" />
          {positioned && <FormPosition form={form} at={`launches.${i}`} label="Position" />}
          <FormNumber
            control={control}
            name={`launches.${i}.barM`}
            label="Water at chart datum, if the tide matters"
            unit="m"
          />
          <FormChoice
            control={control}
            name={`launches.${i}.surface`}
            label="Surface"
            options={asOptions(['firm', 'soft sand', 'shingle', 'mud', 'grass'])}
          />
          <FormSwitch control={control} name={`launches.${i}.surf`} label="Open to swell or wind sea" />
          {launches.fields.length > 1 && (
            <Button onClick={() => launches.remove(i)}>Take this launch out</Button>
          )}
        </Box>
      ))}
      <Button
        variant="outlined"
        onClick={() => launches.append({ ...freshLaunch(), ...here() })}
        sx={{ justifySelf: 'start' }}
      >
        Another launch
      </Button>
      <Typography variant="h3">Places to fish</Typography>
      {areas.fields.map((area, i) => (
        <Box key={area.key} sx={{ ...two, borderTop: 1, borderColor: 'divider', pt: 2 }}>
          <FormText control={control} name={`areas.${i}.name`} label={`Place ${i + 1}: name`} />
          {positioned && <FormPosition form={form} at={`areas.${i}`} label="Position" />}
          <FormNumber
            control={control}
            name={`areas.${i}.distanceM`}
            label="Farthest from a landing"
            unit="m"
          />
          <FormNumber
            control={control}
            name={`areas.${i}.shoreM`}
            label="Farthest from ground to get out, if known"
            unit="m"
          />
          <FormNumber control={control} name={`areas.${i}.depthM`} label="Depth" unit="m" />
          <FormChoice
            control={control}
            name={`areas.${i}.bottom`}
            label="Bottom"
            options={asOptions(bottoms)}
          />
          {areas.fields.length > 1 && <Button onClick={() => areas.remove(i)}>Take this place out</Button>}
        </Box>
      ))}
      <Button
        variant="outlined"
        onClick={() => areas.append({ ...freshArea(), ...here() })}
        sx={{ justifySelf: 'start' }}
      >
        Another place
      </Button>
      <Typography variant="h3">Hazards</Typography>
      {hazards.fields.map((hazard, i) => (
        <Box key={hazard.key} sx={{ ...two, borderTop: 1, borderColor: 'divider', pt: 2 }}>
          <FormText control={control} name={`hazards.${i}.name`} label={`Hazard ${i + 1}: name`} />
          <FormChoice
            control={control}
            name={`hazards.${i}.kind`}
            label="Kind"
            options={asOptions(hazardKinds)}
          />
          {positioned && <FormPosition form={form} at={`hazards.${i}`} label="Position" />}
          <FormNumber control={control} name={`hazards.${i}.radiusM`} label="Radius" unit="m" />
          <FormNumber
            control={control}
            name={`hazards.${i}.streamFactor`}
            label="Stream there, times the water's own"
            unit="×"
          />
          <Button onClick={() => hazards.remove(i)}>Take this hazard out</Button>
        </Box>
      ))}
      <Button
        variant="outlined"
        onClick={() => hazards.append({ ...freshHazard(), ...here() })}
        sx={{ justifySelf: 'start' }}
      >
        Another hazard
      </Button>
      <Typography variant="h3">Open water upwind</Typography>
      <FetchFromShore form={form} />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(120px, 1fr))', gap: 1.5 }}>
        {POINTS.map((name, i) => (
          <FormNumber key={name} control={control} name={`fetchM.${i}`} label={name} unit="m" />
        ))}
      </Box>
      <Typography variant="h3">Tide and stream</Typography>
      <TideTextField
        turns={form.watch('tide.turns') ?? []}
        zone={form.watch('timeZone')}
        onChange={(turns) => {
          const tide = form.getValues('tide');
          if (tide || turns.length > 0)
            form.setValue('tide', { meanM: 0, constituents: [], ...tide, turns }, { shouldDirty: true });
        }}
      />
      <HarmonicsField form={form} of="tide" />
      <HarmonicsField form={form} of="stream" />
      <Typography variant="h3">Chart</Typography>
      <ShoreChart form={form} />
      <ChartFile chart={form.watch('chart')} onChange={(chart) => form.setValue('chart', chart)} />
      <FormText control={control} name="note" label="Note" lines={2} />
      <FormDate control={control} name="noteOn" label="The note was true on" nullable />
    </>
  );
}

/** The form's fields by which an assumption is confirmed. */
const assumptionFields: Readonly<Record<WaterAssumption, RegExp>> = {
  depth: /\.depthM$/,
  bottom: /\.bottom$/,
  carry: /\.(carryM|surface)$/,
};
/** Editing an assumed figure confirms it. */
function useConfirmWhenEdited(form: UseFormReturn<Water>) {
  useEffect(
    () =>
      form.subscribe({
        formState: { values: true },
        callback: ({ name }) => {
          const assumed = form.getValues('assumed');
          const left = assumed.filter((assumption) => !assumptionFields[assumption].test(name ?? ''));
          if (left.length < assumed.length) form.setValue('assumed', left, { shouldDirty: true });
        },
      }),
    [form],
  );
}

/** The shore, drawn by hand around the launch. */
function ShoreChart({ form }: { form: UseFormReturn<Water> }) {
  const [chart, setting, areas, launches] = form.watch(['chart', 'setting', 'areas', 'launches']);
  const [launch] = launches;
  if (!launch) return null;
  return (
    <MarkChart
      centre={launch}
      marks={areas.map(({ name, latDeg, lonDeg }) => ({
        name,
        use: 'place to fish',
        at: { latDeg, lonDeg },
      }))}
      chart={chart}
      closes={setting === 'still'}
      onChart={(next) => form.setValue('chart', next, { shouldDirty: true })}
    />
  );
}

/** Fetch is worked out from the shore where the chart shows one. */
function FetchFromShore({ form }: { form: UseFormReturn<Water> }) {
  const [chart, setting, latDeg, lonDeg] = form.watch(['chart', 'setting', 'latDeg', 'lonDeg']);
  const showsLand = chart.features.some(({ properties }) => properties.shows === 'land');
  const fetch = showsLand
    ? fetchFor({ setting, chart, openFrom: [], acrossM: null }, { latDeg, lonDeg })
    : null;
  return (
    <Button
      variant="outlined"
      disabled={fetch === null}
      sx={{ justifySelf: 'start' }}
      onClick={() => fetch && form.setValue('fetchM', fetch, { shouldDirty: true })}
    >
      {fetch === null
        ? 'Worked out from the shore, once the chart shows one'
        : 'Work it out from the chart’s shore'}
    </Button>
  );
}
