import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { packOptions } from './packs';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { EMPTY_CHART } from '#core/documents/chart';
import { type Water, FETCH_BEARINGS } from '#core/documents/water';
import { distance } from '#core/units/words';
import type { Versioned } from '#core/documents/kept';
import { Loaded } from '../../documents/Loaded';
import { Page } from '../../ui/Page';
import { DocumentDialog } from '../../documents/DocumentDialog';
import { type Column, DocumentTable } from '../../documents/DocumentTable';
import { useKept } from '../../documents/queries';
import { WaterFields, freshArea, freshLaunch } from './WaterFields';

const fresh = (): Water => ({
  format: 'water/3',
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
  getOut: 'by the chart',
  answered: [],
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
  const [adding, setAdding] = useState(false);
  const navigate = useNavigate();
  const packs = packOptions(data?.rulePacks ?? []);
  const columns: Column<Versioned<Water>>[] = [
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
        <Button variant="contained" onClick={() => setAdding(true)}>
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
                onOpen={({ doc }) => void navigate(`/waters/${doc.id}`)}
              />
            )}
            {adding && (
              <DocumentDialog kind="waters" what="water" kept={null} initial={fresh()} onClose={() => setAdding(false)}>
                {(form) => <WaterFields form={form} packs={packs} />}
              </DocumentDialog>
            )}
          </>
        )}
      </Loaded>
    </Page>
  );
}
