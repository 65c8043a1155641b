import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { dragSheet, driftShare, hullDrag, lateralFromDrift, onWater } from '#core/boat/drag';
import { EMPTY } from '#core/boat/lading';
import type { Craft } from '#core/documents/craft';
import { amount } from '#core/units/amount';
import { figure } from '#core/units/words';
import { NumberField } from '../../ui/NumberField';
import { Fields, Figure, Part } from './Figures';
import { DRAWN_IN, useBoat } from './boatDesk';

type Measured = 'cruiseMps' | 'spareMps' | 'windageM2' | 'lateralAirM2' | 'lateralWaterM2';
const rows: readonly { field: Measured; name: string; unit: string }[] = [
  { field: 'cruiseMps', name: 'Pace held for hours', unit: 'm/s' },
  { field: 'spareMps', name: 'Pace, second propulsion', unit: 'm/s' },
  { field: 'windageM2', name: 'Area to wind ahead', unit: 'm²' },
  { field: 'lateralAirM2', name: 'Area to wind abeam', unit: 'm²' },
  { field: 'lateralWaterM2', name: 'Area to water abeam', unit: 'm²' },
];

/**
 * Settled here: how fast it goes and how the wind takes it. What would annoy: to be asked for an area that
 * nobody can measure.
 */
export function PacePart() {
  const { craft, change, angler, gear } = useBoat();
  const sheet = dragSheet(craft, angler, gear ?? EMPTY, DRAWN_IN);
  const used = onWater(craft, null);
  const pace = sheet ? hullDrag(sheet.hull, sheet.massKg, sheet.estimated.cruiseMps, DRAWN_IN) : null;
  return (
    <>
      <Part name="What the outings reckon with">
        <Table size="small" aria-label="Pace and drag areas">
          <TableBody>
            {rows.map(({ field, name, unit }) => (
              <TableRow key={field}>
                <TableCell sx={{ pl: 0 }}>{name}</TableCell>
                <TableCell align="right">{amount(craft[field] ?? used[field], unit, 2)}</TableCell>
                <TableCell>
                  {craft[field] === null ? (
                    'estimated from the hull'
                  ) : (
                    <>
                      as measured or typed; the hull would give{' '}
                      {sheet ? amount(sheet.estimated[field], unit, 2) : 'none'}{' '}
                      <Button size="small" onClick={() => change((one) => ({ ...one, [field]: null }))}>
                        Use the estimate
                      </Button>
                    </>
                  )}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Part>
      {sheet && pace && (
        <Part name="How it is estimated">
          <Typography component="div" variant="body2" sx={{ '& p': { m: 0, mb: 1 } }}>
            <p>
              Laden with {amount(sheet.massKg, 'kg', 0)} all told it lies {amount(sheet.hull.draftM, 'm', 2)}{' '}
              deep, is {amount(sheet.hull.waterlineM, 'm', 2)} long in the water and wets{' '}
              {amount(sheet.hull.wettedM2, 'm²', 2)}.
            </p>
            <p>
              At {amount(sheet.estimated.cruiseMps, 'm/s', 2)}: friction {amount(pace.frictionN, 'N')} (ITTC
              1957 line × 1.2 for form) + waves {amount(pace.wavesN, 'N')} (Froude number{' '}
              {figure(pace.froude, 2)}), × 1.15 for scuppers, drive and wash = {amount(pace.dragN, 'N')}.
              Times the pace, that is {amount(pace.dragN * sheet.estimated.cruiseMps, 'W', 0)}: half of the{' '}
              {amount(craft.powerW, 'W', 0)} given.
            </p>
            <p>
              Wind from the side: the body {amount(sheet.personAbeamM2, 'm²', 2)} + 0.8 ×{' '}
              {amount(sheet.hull.overM2, 'm²', 2)} of hull over water
              {sheet.fittingsAbeamM2 > 0
                ? ` + ${amount(sheet.fittingsAbeamM2, 'm²', 2)} of what stands on deck`
                : ''}{' '}
              = {amount(sheet.estimated.lateralAirM2, 'm²', 2)}. From ahead: 0.6 × the body + 0.5 ×{' '}
              {amount(sheet.hull.aheadM2, 'm²', 2)} = {amount(sheet.estimated.windageM2, 'm²', 2)}. Water from
              the side: 1.2 × {amount(sheet.hull.underM2, 'm²', 2)} ={' '}
              {amount(sheet.estimated.lateralWaterM2, 'm²', 2)}.
            </p>
            <p>
              Rules of thumb, to a fifth for the pace and a third for the areas. What you have measured is
              better.
            </p>
          </Typography>
        </Part>
      )}
      <TimedKilometre />
      <TimedDrift />
      <Part name="Or typed">
        <Fields>
          {rows.map(({ field, name, unit }) => (
            <Figure
              key={field}
              label={name}
              unit={unit}
              value={craft[field]}
              set={(one: Craft, value) => ({ ...one, [field]: value })}
              clear={(one: Craft) => ({ ...one, [field]: null })}
            />
          ))}
          <Figure
            label="Power given, rule of thumb"
            unit="W"
            value={craft.powerW}
            set={(one, powerW) => ({ ...one, powerW })}
          />
          <Figure
            label="Power with the second"
            unit="W"
            value={craft.sparePowerW}
            set={(one, sparePowerW) => ({ ...one, sparePowerW })}
          />
        </Fields>
      </Part>
    </>
  );
}

/** A stretch of still water, there and back, by the watch. */
function TimedKilometre() {
  const { change } = useBoat();
  const [metres, setMetres] = useState<number | null>(1000);
  const [minutes, setMinutes] = useState<number | null>(null);
  const [said, setSaid] = useState('');
  const mps = metres && minutes ? metres / (minutes * 60) : null;
  return (
    <Part name="A timed kilometre">
      <Typography variant="body2" color="textSecondary">
        Still water and no wind; else there and back, and the mean. At the pace you keep for hours.
      </Typography>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
        <Box sx={{ width: 150 }}>
          <NumberField live label="Distance" unit="m" size="small" value={metres} onChange={setMetres} />
        </Box>
        <Box sx={{ width: 150 }}>
          <NumberField live label="Time" unit="min" size="small" value={minutes} onChange={setMinutes} />
        </Box>
        <Button
          variant="outlined"
          disabled={mps === null || !Number.isFinite(mps)}
          onClick={() =>
            setSaid(
              change((one) => ({ ...one, cruiseMps: Math.round((mps ?? 0) * 100) / 100 })) ??
                `Kept: ${amount(mps ?? 0, 'm/s', 2)}.`,
            )
          }
        >
          {mps === null || !Number.isFinite(mps) ? 'Keep the pace' : `Keep ${amount(mps, 'm/s', 2)}`}
        </Button>
        <Typography role="status" variant="body2">
          {said}
        </Typography>
      </Box>
    </Part>
  );
}

/** A free drift across the wind, timed by a position: gives how the water holds it against the wind. */
function TimedDrift() {
  const { craft, change, angler, gear } = useBoat();
  const [windMps, setWind] = useState<number | null>(null);
  const [driftMps, setDrift] = useState<number | null>(null);
  const [said, setSaid] = useState('');
  const air =
    craft.lateralAirM2 ?? dragSheet(craft, angler, gear ?? EMPTY, DRAWN_IN)?.estimated.lateralAirM2 ?? null;
  const share = windMps && driftMps ? driftShare(windMps, driftMps) : null;
  const water = share !== null && air !== null ? lateralFromDrift(air, share, DRAWN_IN) : null;
  return (
    <Part name="A drift by position">
      <Typography variant="body2" color="textSecondary">
        Where no stream runs: lie beam on to a steady wind for ten minutes, and read how far you went.
      </Typography>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
        <Box sx={{ width: 150 }}>
          <NumberField live label="Wind" unit="wind" size="small" value={windMps} onChange={setWind} />
        </Box>
        <Box sx={{ width: 150 }}>
          <NumberField live label="Drift" unit="m/s" size="small" value={driftMps} onChange={setDrift} />
        </Box>
        <Button
          variant="outlined"
          disabled={water === null}
          onClick={() =>
            water !== null &&
            setSaid(
              change((one) => ({ ...one, lateralWaterM2: Math.round(water * 100) / 100 })) ??
                `Kept: ${amount(water, 'm²', 2)} to the water, against ${amount(air ?? 0, 'm²', 2)} to the wind.`,
            )
          }
        >
          {water === null ? 'Keep what it gives' : `Keep ${amount(water, 'm²', 2)}`}
        </Button>
        <Typography role="status" variant="body2">
          {windMps && driftMps && share === null ? 'A drift is slower than half the wind.' : said}
        </Typography>
      </Box>
    </Part>
  );
}
