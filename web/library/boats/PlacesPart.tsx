import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { memo } from 'react';
import { seatedIn } from '#core/boat/build';
import { reachOf, zonesOf } from '#core/boat/zones';
import type { Zone } from '#core/documents/boatParts';
import type { Craft } from '#core/documents/craft';
import { withNewZone, withZone, withoutZone } from '#core/editing/boats';
import { amount, amountOnly, mass, unitName } from '#core/units/amount';
import { type ZoneKind, dryness, offBoat, reaches, zoneKinds } from '#core/vocabulary/boat';
import { VisuallyHidden } from '../../ui/VisuallyHidden';
import { Choice, Fields, Figure, Part, Words } from './Figures';
import { useBoat } from './boatDesk';

/** What each reach means, in words. */
const reachWords = {
  hand: 'at hand',
  turn: 'a turn away',
  move: 'out of the seat',
  ashore: 'ashore only',
} as const;
const drynessWords = {
  open: 'open',
  spray: 'keeps spray out',
  splash: 'keeps splashes out',
  sealed: 'sealed',
} as const;

/**
 * Settled here: where things can go, how large it is there and how it is reached. What would annoy: a drawing
 * that the list does not follow.
 */
export const PlacesPart = memo(function PlacesPart({
  chosen,
  choose,
}: {
  chosen: string | null;
  choose: (id: string | null) => void;
}) {
  const { craft, change, angler } = useBoat();
  const zones = zonesOf(craft);
  const zone = zones.find(({ id }) => id === chosen) ?? null;
  const stance = seatedIn(craft);
  const add = (kind: ZoneKind) => {
    const id = crypto.randomUUID();
    if (change((one) => withNewZone(one, kind, id)) === null) choose(id);
  };
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 340px' },
        gap: 3,
      }}
    >
      <Box sx={{ minWidth: 0 }}>
        <Table size="small" aria-label="Places aboard">
          <TableHead>
            <TableRow>
              <TableCell sx={{ width: 28, pl: 0 }}>
                <VisuallyHidden>Number</VisuallyHidden>
              </TableCell>
              <TableCell>Place</TableCell>
              <TableCell sx={{ display: { xs: 'none', sm: 'table-cell' } }}>
                Long × wide × high, {unitName('m')}
              </TableCell>
              <TableCell>Reached</TableCell>
              <TableCell sx={{ display: { xs: 'none', sm: 'table-cell' } }}>Water</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {zones.map((one, i) => (
              <TableRow key={one.id} hover selected={one.id === chosen} onClick={() => choose(one.id)}>
                <TableCell sx={{ pl: 0, color: 'text.secondary' }}>{i + 1}</TableCell>
                <TableCell>
                  <Button
                    size="small"
                    onClick={() => choose(one.id)}
                    aria-pressed={one.id === chosen}
                    sx={{ p: 0.5, minHeight: 36, justifyContent: 'flex-start', textAlign: 'left' }}
                  >
                    {one.name}
                  </Button>
                </TableCell>
                <TableCell sx={{ display: { xs: 'none', sm: 'table-cell' } }}>
                  {[one.lengthM, one.widthM, one.heightM].map((side) => amountOnly(side, 'm', 2)).join(' × ')}
                </TableCell>
                <TableCell>{reachWords[reachOf(one, craft, angler, stance)]}</TableCell>
                <TableCell sx={{ display: { xs: 'none', sm: 'table-cell' } }}>
                  {drynessWords[one.dryness]}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
        <Typography variant="body2" color="textSecondary" sx={{ mt: 1 }}>
          And on no boat: {offBoat.join(', ')}.
        </Typography>
      </Box>
      <Box>
        <TextField
          select
          fullWidth
          size="small"
          label="Add a place"
          value=""
          onChange={(event) => add(event.target.value as ZoneKind)}
          sx={{ mb: 2 }}
        >
          {zoneKinds.map((kind) => (
            <MenuItem key={kind} value={kind}>
              {kind}
            </MenuItem>
          ))}
        </TextField>
        {zone ? (
          <OnePlace key={zone.id} zone={zone} onRemove={() => choose(null)} />
        ) : (
          <Typography color="textSecondary">
            Choose a place in the drawing or the list. Drag it, stretch it by its corner; arrow keys do the
            same.
          </Typography>
        )}
      </Box>
    </Box>
  );
});

function OnePlace({ zone, onRemove }: { zone: Zone; onRemove: () => void }) {
  const { craft, change, angler } = useBoat();
  const set = (field: keyof Zone) => (one: Craft, value: number | string) =>
    withZone(one, zone.id, { [field]: value });
  const flag = (field: 'cord' | 'padded', label: string) => (
    <FormControlLabel
      control={
        <Checkbox
          checked={zone[field]}
          onChange={(_, on) => change((one) => withZone(one, zone.id, { [field]: on }))}
        />
      }
      label={label}
    />
  );
  const worked = reachWords[reachOf({ ...zone, reach: null }, craft, angler)];
  return (
    <Part name={zone.name}>
      <Words label="What you call it" value={zone.name} set={set('name')} />
      <Fields>
        <Choice label="What it is" value={zone.kind} options={zoneKinds} set={set('kind')} />
        <Choice
          label="Water"
          value={zone.dryness}
          options={dryness}
          say={(one) => drynessWords[one]}
          set={set('dryness')}
        />
        <Figure label="Length" unit="m" value={zone.lengthM} set={set('lengthM')} />
        <Figure label="Width" unit="m" value={zone.widthM} set={set('widthM')} />
        <Figure label="Height" unit="m" value={zone.heightM} set={set('heightM')} />
        <Figure label="Floor over the keel" unit="m" value={zone.floorM} set={set('floorM')} />
        <Figure label="Forward of the stern" unit="m" value={zone.xM} set={set('xM')} />
        <Figure label="Right of the middle" unit="m" value={zone.yM} set={set('yM')} />
        <Figure
          label="Carries at most"
          unit="kg"
          value={zone.maxKg}
          set={set('maxKg')}
          clear={(one) => withZone(one, zone.id, { maxKg: null })}
        />
        <Figure label="Leashes it takes" unit="" value={zone.leashes} set={set('leashes')} />
        {zone.opening !== null && (
          <>
            <Figure
              label="Opening, longer side"
              unit="m"
              value={zone.opening.longM}
              set={(one, longM) =>
                withZone(one, zone.id, { opening: { longM, shortM: zone.opening?.shortM ?? longM } })
              }
            />
            <Figure
              label="Opening, shorter side"
              unit="m"
              value={zone.opening.shortM}
              set={(one, shortM) =>
                withZone(one, zone.id, { opening: { longM: zone.opening?.longM ?? shortM, shortM } })
              }
            />
          </>
        )}
        {zone.angleDeg !== null && (
          <Figure label="Leans from upright" unit="°" value={zone.angleDeg} set={set('angleDeg')} />
        )}
        <Choice
          label="Reached"
          value={zone.reach ?? 'worked out'}
          options={['worked out', ...reaches]}
          say={(one) => (one === 'worked out' ? `worked out: ${worked}` : reachWords[one])}
          set={(one, reach) => withZone(one, zone.id, { reach: reach === 'worked out' ? null : reach })}
        />
        {craft.fittings.length > 0 && (
          <Choice
            label="There while this is on"
            value={zone.fittingId ?? 'always'}
            options={['always', ...craft.fittings.map(({ id }) => id)]}
            say={(id) => craft.fittings.find((one) => one.id === id)?.name ?? 'always'}
            set={(one, id) => withZone(one, zone.id, { fittingId: id === 'always' ? null : id })}
          />
        )}
      </Fields>
      <Box>
        {flag('cord', 'Has a cord or strap')}
        {flag('padded', 'Is padded')}
      </Box>
      <Typography variant="body2" color="textSecondary">
        About {amount(zone.lengthM * zone.widthM * zone.heightM * 1000, 'L', 0)}
        {zone.maxKg === null ? '' : `, at most ${mass(zone.maxKg)}`}; its floor{' '}
        {amount(Math.abs(zone.floorM), 'm', 2)} over the keel.
      </Typography>
      <Button
        color="error"
        sx={{ justifySelf: 'start', color: 'error.main' }}
        onClick={() => {
          change((one) => withoutZone(one, zone.id));
          onRemove();
        }}
      >
        Take this place out
      </Button>
    </Part>
  );
}
