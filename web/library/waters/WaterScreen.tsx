import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { type ReactNode, useState } from 'react';
import { Link as RouterLink, useNavigate, useParams } from 'react-router';
import { type Hazard, type Water } from '#core/documents/water';
import { dateAt } from '#core/units/time';
import { amount, distance } from '#core/units/amount';
import { capital, dayWords, figure } from '#core/units/words';
import type { Versioned } from '#core/documents/kept';
import { Loaded } from '../../documents/Loaded';
import { NotFoundScreen } from '../../ui/NotFoundScreen';
import { Page } from '../../ui/Page';
import { WaterChart } from '../../ui/chart/WaterChart';
import { useNow } from '../../ui/useNow';
import { DocumentDialog } from '../../documents/DocumentDialog';
import { ApiError } from '../../documents/api';
import { useDocuments, useKept } from '../../documents/queries';
import { useToast } from '../../ui/Toast';
import { copyWater } from '#core/editing/waterFrom';
import { OwnershipPanel } from '../../people/OwnershipPanel';
import { useMayChange } from '../../people/queries';
import { Fetch } from './Fetch';
import { TideToday } from './TideToday';
import { packOptions } from './packs';
import { AssumedPanel } from './AssumedPanel';
import { WaterFields } from './WaterFields';
import { Term } from '../../ui/Term';

/**
 * Settled here: what this water does and where it bites. What would annoy: a chart that hides what is written
 * about it.
 */
export function WaterScreen() {
  const { waterId } = useParams();
  const { data, error } = useKept();
  const found = data?.waters.find(({ doc }) => doc.id === waterId);
  if (data && !found) return <NotFoundScreen />;
  const packs = packOptions(data?.rulePacks ?? []);
  return (
    <Loaded data={found} error={error}>
      {(kept) => <OneWater kept={kept} packs={packs} />}
    </Loaded>
  );
}

function OneWater({
  kept,
  packs,
}: {
  kept: Versioned<Water>;
  packs: readonly { value: string; name: string }[];
}) {
  const { doc: water } = kept;
  const [editing, setEditing] = useState(false);
  const today = dateAt(useNow(), water.timeZone);
  const waters = useDocuments('waters');
  const mayChange = useMayChange();
  const navigate = useNavigate();
  const say = useToast();
  const copy = async () => {
    try {
      const own = copyWater(water, () => crypto.randomUUID());
      await waters.create(own);
      say(`Copied: ${own.name}.`);
      await navigate(`/waters/${own.id}`);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      say(error.message);
    }
  };
  return (
    <Page
      title={water.name}
      lead={`${capital(water.type)} water, ${water.setting}. ${water.invented ? 'Invented, for the demonstration.' : ''}`}
      action={
        <>
          <Link component={RouterLink} to="/waters" sx={{ py: 1.5 }}>
            All waters
          </Link>
          <Button onClick={() => void copy()}>Copy</Button>
          {mayChange(kept) && (
            <Button variant="contained" onClick={() => setEditing(true)}>
              Edit
            </Button>
          )}
        </>
      }
    >
      <OwnershipPanel kind="waters" kept={kept} />
      <AssumedPanel kept={kept} may={mayChange(kept)} />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 330px' },
          gap: 3,
          alignItems: 'start',
        }}
      >
        <Box sx={{ minWidth: 0, display: 'grid', gap: 3 }}>
          <WaterChart water={water} height={430} label={`Chart of ${water.name}`} />
          <TideToday water={water} date={today} />
        </Box>
        <Box sx={{ display: 'grid', gap: 2.5 }}>
          {water.note !== '' && (
            <Block name="Known">
              <Typography>{water.note}</Typography>
              {water.noteOn && (
                <Typography variant="caption" color="textSecondary">
                  true on {dayWords(water.noteOn)}
                </Typography>
              )}
            </Block>
          )}
          <Block name="Launches and landings">
            {water.launches.map((launch) => (
              <Line key={launch.id} name={capital(launch.name)}>
                {`${amount(launch.carryM, 'm', 0)} over ${launch.surface === 'firm' ? 'firm ground' : launch.surface}${launch.surf ? ', open to surf' : ''}${
                  launch.barM === null
                    ? ''
                    : `, ${launch.barM < 0 ? `dries ${amount(-launch.barM, 'm')}` : `${amount(launch.barM, 'm')} at chart datum`}`
                }`}
              </Line>
            ))}
          </Block>
          <Block name="Places to fish">
            {water.areas.map((area) => (
              <Line
                key={area.id}
                name={capital(area.name)}
              >{`${distance(area.distanceM)} out, ${amount(area.depthM, 'm')} over ${area.bottom}`}</Line>
            ))}
          </Block>
          {water.hazards.length > 0 && (
            <Block name="Hazards">
              {water.hazards.map((hazard) => (
                <Line key={hazard.id} name={capital(hazard.name)}>
                  {hazardWords(hazard)}
                </Line>
              ))}
            </Block>
          )}
          <Block name="Open water upwind">
            <Typography variant="caption" color="textSecondary" component="p">
              <Term id="fetch">Fetch</Term>, by where the wind comes from
            </Typography>
            <Fetch fetchM={water.fetchM} />
          </Block>
          <Typography variant="body2" color="textSecondary">
            {`Other boats: ${water.traffic}. Phone coverage: ${water.coverage}. Rules: ${packs.find((pack) => pack.value === water.rulePackId)?.name ?? 'none held'}. To call when somebody is missed: ${[water.rescue.name, water.rescue.phone].filter(Boolean).join(', ') || 'nobody is written yet'}.`}
          </Typography>
        </Box>
      </Box>
      {editing && (
        <DocumentDialog
          kind="waters"
          what="water"
          kept={kept}
          initial={water}
          onClose={() => setEditing(false)}
        >
          {(form) => <WaterFields form={form} packs={packs} />}
        </DocumentDialog>
      )}
    </Page>
  );
}

function hazardWords({ kind, radiusM, streamFactor }: Hazard): string {
  const faster = streamFactor > 1 ? `, the stream ${figure(streamFactor)} times as fast` : '';
  return `${kind}, ${distance(radiusM)} about it${faster}`;
}

function Block({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box component="section">
      <Typography variant="h3" component="h2" sx={{ mb: 0.5 }}>
        {name}
      </Typography>
      {children}
    </Box>
  );
}
function Line({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box sx={{ borderTop: 1, borderColor: 'divider', py: 0.75 }}>
      {name}
      <Box sx={{ typography: 'body2', color: 'text.secondary' }}>{children}</Box>
    </Box>
  );
}
