import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { type Mark, type MarkUse, markUses } from '#core/editing/waterFrom';
import { bearingBetween, distanceBetween, placeAt } from '#core/environment/geo';
import { readWaypoints } from '#core/exchange/gpx';
import { type Position, sayPosition } from '#core/units/position';
import { distance } from '#core/units/amount';
import { pointOf } from '#core/units/compass';
import { FileButton } from '../../ui/FileButton';
import { NumberField } from '../../ui/NumberField';
import { PositionField } from '../../ui/PositionField';
import { fileText } from '../../ui/fileText';

interface Props {
  marks: readonly Mark[];
  launch: Position | null;
  /** Whether the launch stands where it really is: else marks are told by distance and bearing alone. */
  positioned: boolean;
  onChange: (marks: readonly Mark[]) => void;
  /** The first point of a file becomes the launch where there is none yet. */
  onLaunch: (at: Position, name: string) => void;
}
type Way = 'bearing' | 'position' | null;

/** Marks of a water, each with what it is; added from a file, by distance and bearing, or by a position. */
export function MarkList({ marks, launch, positioned, onChange, onLaunch }: Props) {
  const [way, setWay] = useState<Way>(null);
  const [told, setTold] = useState<readonly string[]>([]);
  const set = (i: number, change: Partial<Mark>) =>
    onChange(marks.map((mark, at) => (at === i ? { ...mark, ...change } : mark)));
  const add = (at: Position) => {
    onChange([...marks, { name: `Mark ${marks.length + 1}`, use: 'place to fish', at }]);
    setWay(null);
  };
  const read = async (file: File) => {
    const result = readWaypoints(await fileText(file));
    if (!result.taken) {
      setTold([result.why]);
      return;
    }
    setTold(result.troubles);
    const points = result.value.map(({ name, latDeg, lonDeg }) => ({ name, at: { latDeg, lonDeg } }));
    const [first] = points;
    if (launch === null && first) onLaunch(first.at, first.name);
    const rest = launch === null ? points.slice(1) : points;
    onChange([...marks, ...rest.map((point) => ({ ...point, use: 'place to fish' as const }))]);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      {marks.map((mark, i) => (
        <Box
          key={i}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', sm: '1fr 180px auto' },
            gap: 1,
            alignItems: 'start',
          }}
        >
          <TextField
            size="small"
            label={`Mark ${i + 1}`}
            value={mark.name}
            onChange={(event) => set(i, { name: event.target.value })}
            helperText={[
              ...(positioned ? [sayPosition(mark.at)] : []),
              ...(launch
                ? [
                    `${distance(distanceBetween(launch, mark.at))} from the launch${positioned ? '' : `, ${pointOf(bearingBetween(launch, mark.at))}`}`,
                  ]
                : []),
            ].join(', ')}
          />
          <TextField
            size="small"
            select
            label="It is"
            value={mark.use}
            onChange={(event) => set(i, { use: event.target.value as MarkUse })}
          >
            {markUses.map((use) => (
              <MenuItem key={use} value={use}>
                {use}
              </MenuItem>
            ))}
          </TextField>
          <Button
            onClick={() => onChange(marks.filter((_, at) => at !== i))}
            aria-label={`Take ${mark.name} out`}
          >
            Out
          </Button>
        </Box>
      ))}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {positioned && (
          <FileButton
            name="Waypoints from a GPX file"
            label="GPX file of waypoints"
            variant="outlined"
            accept=".gpx,application/gpx+xml"
            onFile={(file) => void read(file)}
          />
        )}
        <Button
          variant="outlined"
          disabled={!launch}
          onClick={() => setWay(way === 'bearing' ? null : 'bearing')}
        >
          By distance and bearing
        </Button>
        {positioned && (
          <Button variant="outlined" onClick={() => setWay(way === 'position' ? null : 'position')}>
            By a position
          </Button>
        )}
      </Box>
      {told.map((line) => (
        <Typography key={line} variant="body2" color="error">
          {line}
        </Typography>
      ))}
      {way === 'bearing' && launch && <ByBearing from={launch} onAdd={add} />}
      {way === 'position' && positioned && <ByPosition known={launch ? [launch] : []} onAdd={add} />}
    </Box>
  );
}

function ByBearing({ from, onAdd }: { from: Position; onAdd: (at: Position) => void }) {
  const [metres, setMetres] = useState<number | null>(null);
  const [bearing, setBearing] = useState<number | null>(null);
  const far = metres !== null && metres > 0 && metres <= 40_000;
  const toward = bearing !== null && Number.isFinite(bearing);
  return (
    <Box sx={addRow}>
      <NumberField
        live
        label="From the launch"
        unit="m"
        size="small"
        value={metres}
        onChange={setMetres}
        error={metres !== null && !far ? `More than 0 and at most ${distance(40_000)}.` : undefined}
      />
      <NumberField live label="Bearing, true" unit="°" size="small" value={bearing} onChange={setBearing} />
      <Button
        variant="outlined"
        disabled={!far || !toward}
        onClick={() => far && toward && onAdd(placeAt(from, bearing, metres))}
      >
        Add it
      </Button>
    </Box>
  );
}
function ByPosition({ known, onAdd }: { known: readonly Position[]; onAdd: (at: Position) => void }) {
  const [at, setAt] = useState<Position | null>(null);
  return (
    <Box sx={{ ...addRow, gridTemplateColumns: { xs: '1fr', sm: '1fr auto' } }}>
      <PositionField label="Position of the mark" value={at} known={known} onChange={setAt} />
      <Button variant="outlined" disabled={at === null} onClick={() => at && onAdd(at)}>
        Add it
      </Button>
    </Box>
  );
}
const addRow = {
  display: 'grid',
  gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr auto' },
  gap: 1,
  alignItems: 'start',
};
