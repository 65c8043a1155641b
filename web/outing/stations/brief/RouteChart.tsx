import CloseOutlined from '@mui/icons-material/CloseOutlined';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState, memo } from 'react';
import { Link as RouterLink } from 'react-router';
import type { Waypoint } from '#core/documents/outing';
import type { Place } from '#core/environment/geo';
import { toSixPlaces } from '#core/units/position';
import { WaterChart } from '../../../ui/chart/WaterChart';
import { useOutingWorkspace } from '../../outingWorkspace';
import { RouteFiles } from './RouteFiles';

const MOST_WAYPOINTS = 60;
type Way = 'out' | 'home';

/**
 * The way out and home on the water's chart; drawn by pressing, listed beside it, read from and written to
 * files.
 */
export const RouteChart = memo(function RouteChart() {
  const { doc, edit, looked } = useOutingWorkspace();
  const [drawing, setDrawing] = useState<Way | null>(null);
  const { water, launch, area, landing } = looked;
  if (!water || !launch || !area || !landing) return null;
  const { route } = doc.brief;
  const set = (way: Way, points: Waypoint[], group = '') =>
    edit(
      (outing) => ({
        ...outing,
        brief: { ...outing.brief, route: { ...outing.brief.route, [way]: points } },
      }),
      group,
    );
  const add = (at: Place) => {
    if (!drawing || route[drawing].length >= MOST_WAYPOINTS) return;
    const point = {
      ...toSixPlaces(at),
      name: `point ${route[drawing].length + 1}`,
    };
    set(drawing, [...route[drawing], point]);
  };
  return (
    <Box component="section" aria-label="The way on the chart">
      <WaterChart
        water={water}
        height={230}
        label={`${water.name}, with the way out and home`}
        lines={[
          { name: 'out', points: [launch, ...route.out, area], dashed: false },
          { name: 'home', points: [area, ...route.home, landing], dashed: true },
        ]}
        {...(drawing ? { onPlace: add } : {})}
      />
      {water.positioned ? (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, mt: 1 }}>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={drawing}
            onChange={(_, way: Way | null) => setDrawing(way)}
            aria-label="Draw the way"
          >
            <ToggleButton value="out" sx={{ minHeight: 44 }}>
              Draw out
            </ToggleButton>
            <ToggleButton value="home" sx={{ minHeight: 44 }}>
              Draw home
            </ToggleButton>
          </ToggleButtonGroup>
          <RouteFiles />
        </Box>
      ) : (
        <Link component={RouterLink} to={`/waters/${water.id}`}>
          A way is drawn, read and written once it is known where {water.name} lies
        </Link>
      )}
      {drawing && (
        <>
          <Typography variant="caption" color="textSecondary" component="p" sx={{ mt: 1 }}>
            Press the chart to add a point to the way {drawing}. By keyboard: move the chart with the arrows,
            Enter sets a point at the cross.
          </Typography>
          <Points points={route[drawing]} onChange={(points, group) => set(drawing, points, group)} />
        </>
      )}
    </Box>
  );
});

function Points({
  points,
  onChange,
}: {
  points: readonly Waypoint[];
  onChange: (points: Waypoint[], group?: string) => void;
}) {
  if (points.length === 0) return <Typography variant="body2">No point between: straight there.</Typography>;
  return (
    <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {points.map((point, i) => (
        <Box component="li" key={i} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <TextField
            value={point.name}
            variant="standard"
            fullWidth
            onChange={(event) =>
              onChange(
                points.map((one, j) => (j === i ? { ...one, name: event.target.value } : one)),
                `point${i}`,
              )
            }
            slotProps={{ htmlInput: { 'aria-label': `Name of point ${i + 1}`, maxLength: 200 } }}
          />
          <IconButton
            aria-label={`Take out point ${i + 1}`}
            onClick={() => onChange(points.filter((_, j) => j !== i))}
          >
            <CloseOutlined sx={{ fontSize: 16 }} />
          </IconButton>
        </Box>
      ))}
      <li>
        <Button onClick={() => onChange([])}>Take all out</Button>
      </li>
    </Box>
  );
}
