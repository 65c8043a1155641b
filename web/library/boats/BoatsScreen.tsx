import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { type Craft } from '#core/documents/craft';
import { amount, mass } from '#core/units/amount';
import type { Versioned } from '#core/documents/kept';
import { Loaded } from '../../documents/Loaded';
import { Page } from '../../ui/Page';
import { FormChoice, FormNumber, FormSwitch, FormText, asOptions } from '../../ui/fields';
import { DocumentDialog } from '../../documents/DocumentDialog';
import { type Column, DocumentTable } from '../../documents/DocumentTable';
import { useKept } from '../../documents/queries';

const fresh = (): Craft => ({
  format: 'craft/3',
  id: crypto.randomUUID(),
  name: '',
  deck: 'sit-on-top',
  hull: 'rigid',
  drive: 'paddle',
  lengthM: 3.6,
  beamM: 0.8,
  massKg: 30,
  ratedLoadKg: 160,
  wellKg: null,
  colour: '',
  marked: false,
  drainPlugs: 1,
  plugNames: '',
  hatches: 1,
  cruiseMps: 1.2,
  spareMps: 0.9,
  powerW: 45,
  sparePowerW: 45,
  windageM2: 0.45,
  lateralAirM2: 1.1,
  lateralWaterM2: 0.5,
  outingsLogged: 0,
  condition: 'good',
  note: '',
});

const columns: Column<Versioned<Craft>>[] = [
  { name: 'Drive', cell: ({ doc }) => doc.drive },
  { name: 'Hull', cell: ({ doc }) => `${doc.hull}, ${doc.deck}`, wideOnly: true },
  { name: 'Length', number: true, cell: ({ doc }) => amount(doc.lengthM, 'm', 2) },
  { name: 'Beam', number: true, cell: ({ doc }) => amount(doc.beamM, 'm', 2), wideOnly: true },
  { name: 'Hull mass', number: true, cell: ({ doc }) => mass(doc.massKg), wideOnly: true },
  { name: 'Rated load', number: true, cell: ({ doc }) => mass(doc.ratedLoadKg) },
  { name: 'Pace held', number: true, cell: ({ doc }) => amount(doc.cruiseMps, 'm/s', 2), wideOnly: true },
  { name: 'Outings', number: true, cell: ({ doc }) => doc.outingsLogged, wideOnly: true },
  {
    name: 'State',
    cell: ({ doc }) => (
      <Box sx={{ color: doc.condition === 'good' ? 'text.secondary' : 'error.main' }}>{doc.condition}</Box>
    ),
  },
];

/** Settled here: what each boat is, carries and does. What would annoy: a form that asks for what nobody can measure. */
export function BoatsScreen() {
  const { data, error } = useKept();
  const [open, setOpen] = useState<Versioned<Craft> | 'new' | null>(null);
  return (
    <Page
      title="Boats"
      lead="Each hull as it is, not as it was sold. The maker’s rating always wins over any sum here."
      action={
        <Button variant="contained" onClick={() => setOpen('new')}>
          Add a boat
        </Button>
      }
    >
      <Loaded data={data} error={error}>
        {({ craft }) => (
          <>
            {craft.length === 0 ? (
              <Typography>No boat yet. Add the one you take out most.</Typography>
            ) : (
              <DocumentTable
                label="Boats"
                rows={craft}
                keyOf={({ doc }) => doc.id}
                nameOf={({ doc }) => doc.name}
                columns={columns}
                onOpen={setOpen}
              />
            )}
            {open && (
              <DocumentDialog
                kind="craft"
                what="boat"
                kept={open === 'new' ? null : open}
                initial={fresh()}
                onClose={() => setOpen(null)}
              >
                {({ control }) => (
                  <>
                    <FormText control={control} name="name" label="Name" />
                    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 }}>
                      <FormChoice
                        control={control}
                        name="deck"
                        label="Deck"
                        options={asOptions(['sit-on-top', 'sit-inside'])}
                      />
                      <FormChoice
                        control={control}
                        name="hull"
                        label="Hull"
                        options={asOptions(['rigid', 'inflatable'])}
                      />
                      <FormChoice
                        control={control}
                        name="drive"
                        label="Drive"
                        options={asOptions(['paddle', 'pedal', 'motor'])}
                      />
                      <FormChoice
                        control={control}
                        name="condition"
                        label="Condition"
                        options={asOptions(['good', 'under repair'])}
                      />
                      <FormNumber control={control} name="lengthM" label="Length" unit="m" />
                      <FormNumber control={control} name="beamM" label="Beam" unit="m" />
                      <FormNumber control={control} name="massKg" label="Hull mass" unit="kg" />
                      <FormNumber control={control} name="ratedLoadKg" label="Rated load, all told" unit="kg" />
                      <FormNumber
                        control={control}
                        name="wellKg"
                        label="Rated load behind the seat, if told"
                        unit="kg"
                      />
                      <FormNumber control={control} name="cruiseMps" label="Pace you hold for hours" unit="m/s" />
                      <FormNumber
                        control={control}
                        name="spareMps"
                        label="Pace with the second propulsion"
                        unit="m/s"
                      />
                      <FormNumber control={control} name="powerW" label="Power at that pace, rule of thumb" unit="W" />
                      <FormNumber
                        control={control}
                        name="sparePowerW"
                        label="Power with the second, rule of thumb"
                        unit="W"
                      />
                      <FormNumber control={control} name="windageM2" label="Wind drag area, ahead" unit="m²" />
                      <FormNumber control={control} name="lateralAirM2" label="Wind drag area, abeam" unit="m²" />
                      <FormNumber control={control} name="lateralWaterM2" label="Water drag area, abeam" unit="m²" />
                      <FormNumber control={control} name="drainPlugs" label="Drain plugs" unit="" />
                      <FormText control={control} name="plugNames" label="Where the plugs are: stern, left scupper" />
                      <FormNumber control={control} name="hatches" label="Hatches" unit="" />
                      <FormText control={control} name="colour" label="Colour, as seen from afar" />
                      <FormNumber control={control} name="outingsLogged" label="Outings with it so far" unit="" />
                    </Box>
                    <FormSwitch control={control} name="marked" label="Name and number are on the hull" />
                    <FormText control={control} name="note" label="Note" lines={2} />
                  </>
                )}
              </DocumentDialog>
            )}
          </>
        )}
      </Loaded>
    </Page>
  );
}
