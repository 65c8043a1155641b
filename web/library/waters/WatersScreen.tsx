import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { packOptions } from './packs';
import { Link as RouterLink, useNavigate } from 'react-router';
import type { Water } from '#core/documents/water';
import { distance } from '#core/units/amount';
import type { Versioned } from '#core/documents/kept';
import { Loaded } from '../../documents/Loaded';
import { Page } from '../../ui/Page';
import { type Column, DocumentTable } from '../../documents/DocumentTable';
import { useKept } from '../../documents/queries';

/**
 * Settled here: where one launches and how far out it goes. What would annoy: figures one has to invent to
 * get on.
 */
export function WatersScreen() {
  const { data, error } = useKept();
  const navigate = useNavigate();
  const packs = packOptions(data?.rulePacks ?? []);
  const columns: Column<Versioned<Water>>[] = [
    { name: 'Kind', cell: ({ doc }) => `${doc.type}, ${doc.setting}` },
    {
      name: 'Launches',
      cell: ({ doc }) => doc.launches.map((launch) => launch.name).join(' · '),
      wideOnly: true,
    },
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
        <Button component={RouterLink} to="/first/water" variant="contained">
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
          </>
        )}
      </Loaded>
    </Page>
  );
}
