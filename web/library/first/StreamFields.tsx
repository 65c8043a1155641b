import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { NumberField } from '../../ui/NumberField';
import type { StreamDraft, WaterDraft } from './waterDraft';
import { StreamTextField } from '../waters/StreamTextField';

/** A tidal stream by what is known of most: how hard at springs, which way as it floods, when it is slack. */
export function StreamFields({
  draft,
  onChange,
}: {
  draft: WaterDraft;
  onChange: (change: Partial<WaterDraft>) => void;
}) {
  const { stream } = draft;
  const set = (change: Partial<StreamDraft>) => stream && onChange({ stream: { ...stream, ...change } });
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <FormControlLabel
        control={
          <Switch
            checked={stream !== null}
            onChange={(_, on) =>
              onChange({
                stream: on
                  ? { springMps: null, neapMps: null, floodTowardDeg: null, floodEndsH: 0, hours: [] }
                  : null,
              })
            }
          />
        }
        label="A tidal stream runs there"
      />
      {stream && (
        <>
          <StreamTextField hours={stream.hours} onChange={(hours) => set({ hours })} />
          {stream.hours.length === 0 && (
            <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 2 }}>
              <NumberField
                label="Hardest at springs"
                unit="m/s"
                value={stream.springMps}
                onChange={(springMps) => set({ springMps })}
                error={stream.springMps === null ? 'How hard it runs; 1 kn may be typed.' : undefined}
              />
              <NumberField
                label="Hardest at neaps, if known"
                unit="m/s"
                value={stream.neapMps}
                onChange={(neapMps) => set({ neapMps })}
              />
              <NumberField
                label="The flood runs toward"
                unit="°"
                value={stream.floodTowardDeg}
                onChange={(floodTowardDeg) => set({ floodTowardDeg })}
                error={stream.floodTowardDeg === null ? 'A bearing, or a point such as SE.' : undefined}
              />
              <NumberField
                label="The flood ends, after high water"
                unit="h"
                value={stream.floodEndsH}
                onChange={(floodEndsH) => set({ floodEndsH })}
              />
            </Box>
          )}
          {draft.turns.length === 0 && (
            <Typography variant="body2" color="textSecondary">
              Its hours follow high water: without a tide table above it is not reckoned, and the outing says
              so.
            </Typography>
          )}
        </>
      )}
    </Box>
  );
}
