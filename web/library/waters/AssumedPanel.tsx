import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Versioned } from '#core/documents/kept';
import { type Water, type WaterAssumption, withConfirmed } from '#core/documents/water';
import { withPosition } from '#core/editing/waterPosition';
import { amount } from '#core/units/amount';
import type { Position } from '#core/units/position';
import { capital, listed } from '#core/units/words';
import { ApiError } from '../../documents/api';
import { useDocuments } from '../../documents/queries';
import { PositionField } from '../../ui/PositionField';
import { useToast } from '../../ui/Toast';

const places = ({ launches, areas }: Water): Readonly<Record<WaterAssumption, string>> => ({
  depth: `depth (${listed(areas.map(({ name, depthM }) => `${name} ${amount(depthM, 'm')}`))})`,
  bottom: `bottom (${listed(areas.map(({ name, bottom }) => `${name} ${bottom}`))})`,
  carry: `carry to the water (${listed(launches.map(({ name, carryM, surface }) => `${name} ${amount(carryM, 'm', 0)} over ${surface === 'firm' ? 'firm ground' : surface}`))})`,
});

/**
 * Settled here: what the program filled in by itself, and where the water lies, if it was told without a
 * position. What would annoy: to be asked again for what was confirmed.
 */
export function AssumedPanel({ kept, may }: { kept: Versioned<Water>; may: boolean }) {
  const { doc: water } = kept;
  const documents = useDocuments('waters');
  const say = useToast();
  const [at, setAt] = useState<Position | null>(null);
  if (water.positioned && water.assumed.length === 0) return null;
  const keep = async (next: Water) => {
    try {
      await documents.put(next, kept.version);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      say(error.message);
    }
  };
  const words = places(water);
  return (
    <Box sx={{ display: 'grid', gap: 1.5, mb: 2.5, maxWidth: 860 }}>
      {!water.positioned && (
        <Alert severity="info" variant="outlined" icon={false}>
          <Typography>
            Where it lies is not written: distances and directions are as they were told, the sun is guessed
            by the clock.
          </Typography>
          {may && (
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'start', mt: 1.5 }}>
              <Box sx={{ flex: '1 1 260px' }}>
                <PositionField
                  label={`Position of ${water.launches[0]?.name ?? water.name}`}
                  value={at}
                  onChange={setAt}
                  here
                />
              </Box>
              <Button
                variant="contained"
                disabled={at === null}
                onClick={() => at && void keep(withPosition(water, at))}
              >
                It lies there
              </Button>
            </Box>
          )}
        </Alert>
      )}
      {water.assumed.map((assumption) => (
        <Box key={assumption} sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
          <Typography variant="body2" sx={{ flex: '1 1 260px' }}>
            {capital(words[assumption])}: as is usual for such a water; nobody has said it.
          </Typography>
          {may && (
            <Button
              size="small"
              onClick={() => void keep(withConfirmed(water, assumption))}
              aria-label={`${capital(assumption)}: it is so`}
            >
              It is so
            </Button>
          )}
        </Box>
      ))}
    </Box>
  );
}
