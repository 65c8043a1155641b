import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useFieldArray } from 'react-hook-form';
import { EMPTY_CHART } from '#core/outing/chart';
import { FETCH_BEARINGS, type Water, bottoms, waterSchema } from '#core/outing/water';
import type { UseFormReturn } from 'react-hook-form';
import { distance } from '#core/units/words';
import type { Kept } from '../../app/api';
import { Loaded } from '../../parts/Loaded';
import { Page } from '../../parts/Page';
import { FormChoice, FormNumber, FormSwitch, FormText, type Option, asOptions } from '../../parts/fields';
import { DocumentDialog } from '../reference/DocumentDialog';
import { type Column, DocumentTable } from '../reference/DocumentTable';
import { useKept } from '../reference/queries';

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
  depthM: 5,
  bottom: 'sand',
});
const fresh = (): Water => ({
  format: 'water/1',
  id: crypto.randomUUID(),
  name: '',
  type: 'fresh',
  setting: 'still',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  latDeg: 0,
  lonDeg: 0,
  launches: [freshLaunch()],
  areas: [freshArea()],
  traffic: 'little',
  coverage: 'not known',
  hazards: [],
  fetchM: Array.from({ length: FETCH_BEARINGS }, () => 500),
  tide: null,
  stream: null,
  chart: EMPTY_CHART,
  rapids: 0,
  branches: false,
  rulePackId: null,
  note: '',
  noteOn: null,
  invented: false,
  authorityNote: '',
});

/** Settled here: where one launches and how far out it goes. What would annoy: figures one has to invent to get on. */
export function WatersScreen() {
  const { data, error } = useKept();
  const [open, setOpen] = useState<Kept<Water> | 'new' | null>(null);
  const packs = (data?.rulePacks ?? []).map(({ doc }) => ({ value: doc.id, name: doc.name }));
  const columns: Column<Kept<Water>>[] = [
    { name: 'Kind', cell: ({ doc }) => `${doc.type}, ${doc.setting}` },
    { name: 'Launches', cell: ({ doc }) => doc.launches.map((launch) => launch.name).join(' · '), wideOnly: true },
    {
      name: 'Places',
      cell: ({ doc }) => doc.areas.map((area) => `${area.name}, ${distance(area.distanceM)} out`).join(' · '),
    },
    {
      name: 'Rules',
      cell: ({ doc }) => packs.find((pack) => pack.value === doc.rulePackId)?.name ?? 'none held',
      wideOnly: true,
    },
  ];
  return (
    <Page
      title="Waters"
      lead="Where you launch, where you go from there, and what is known of it."
      action={
        <Button variant="contained" onClick={() => setOpen('new')}>
          Add a water
        </Button>
      }
    >
      <Loaded data={data} error={error}>
        {({ waters }) => (
          <>
            {waters.length === 0 ? (
              <Typography>
                No water yet. Add the one you fish most; a name, a launch and a distance are enough to begin.
              </Typography>
            ) : (
              <DocumentTable
                label="Waters"
                rows={waters}
                keyOf={({ doc }) => doc.id}
                nameOf={({ doc }) => doc.name}
                columns={columns}
                onOpen={setOpen}
              />
            )}
            {open && (
              <DocumentDialog
                kind="waters"
                what="water"
                schema={waterSchema}
                kept={open === 'new' ? null : open}
                initial={fresh()}
                onClose={() => setOpen(null)}
              >
                {(form) => <WaterFields form={form} packs={packs} />}
              </DocumentDialog>
            )}
          </>
        )}
      </Loaded>
    </Page>
  );
}

function WaterFields({ form, packs }: { form: UseFormReturn<Water>; packs: readonly Option[] }) {
  const { control } = form;
  const launches = useFieldArray({ control, name: 'launches', keyName: 'key' });
  const areas = useFieldArray({ control, name: 'areas', keyName: 'key' });
  const two = { display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 };
  return (
    <>
      <FormText control={control} name="name" label="Name" />
      <Box sx={two}>
        <FormChoice control={control} name="type" label="Water" options={asOptions(['fresh', 'brackish', 'salt'])} />
        <FormChoice
          control={control}
          name="setting"
          label="Setting"
          options={asOptions(['still', 'river', 'estuary', 'coast', 'open', 'flats'])}
        />
        <FormNumber control={control} name="latDeg" label="Latitude, north positive" unit="°" />
        <FormNumber control={control} name="lonDeg" label="Longitude, east positive" unit="°" />
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
        <FormNumber control={control} name="rapids" label="Rapids on the way" unit="" />
        <FormSwitch control={control} name="branches" label="Branches over the banks" />
      </Box>
      <Typography variant="h3">Launches</Typography>
      {launches.fields.map((launch, i) => (
        <Box key={launch.key} sx={{ ...two, borderTop: 1, borderColor: 'divider', pt: 2 }}>
          <FormText control={control} name={`launches.${i}.name`} label={`Launch ${i + 1}: name`} />
          <FormNumber control={control} name={`launches.${i}.carryM`} label="Carry to the water" unit="m" />
          <FormChoice
            control={control}
            name={`launches.${i}.surface`}
            label="Surface"
            options={asOptions(['firm', 'soft sand', 'shingle', 'mud', 'grass'])}
          />
          <FormSwitch control={control} name={`launches.${i}.surf`} label="Open to surf" />
          {launches.fields.length > 1 && <Button onClick={() => launches.remove(i)}>Take this launch out</Button>}
        </Box>
      ))}
      <Button variant="outlined" onClick={() => launches.append(freshLaunch())} sx={{ justifySelf: 'start' }}>
        Another launch
      </Button>
      <Typography variant="h3">Places to fish</Typography>
      {areas.fields.map((area, i) => (
        <Box key={area.key} sx={{ ...two, borderTop: 1, borderColor: 'divider', pt: 2 }}>
          <FormText control={control} name={`areas.${i}.name`} label={`Place ${i + 1}: name`} />
          <FormNumber control={control} name={`areas.${i}.distanceM`} label="Farthest from a landing" unit="m" />
          <FormNumber control={control} name={`areas.${i}.depthM`} label="Depth" unit="m" />
          <FormChoice control={control} name={`areas.${i}.bottom`} label="Bottom" options={asOptions(bottoms)} />
          {areas.fields.length > 1 && <Button onClick={() => areas.remove(i)}>Take this place out</Button>}
        </Box>
      ))}
      <Button variant="outlined" onClick={() => areas.append(freshArea())} sx={{ justifySelf: 'start' }}>
        Another place
      </Button>
      <FormText control={control} name="note" label="Note" lines={2} />
      <FormText control={control} name="noteOn" label="The note was true on" type="date" nullable />
    </>
  );
}
