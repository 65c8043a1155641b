import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { WET_SACK_HOURS, clockAfterLaunch } from '#core/exposures/exposures';
import { supplies } from '#core/provisions/supplies';
import { amount, mass, headed, amountOnly } from '#core/units/amount';
import { figure } from '#core/units/words';
import { HourChart } from './HourChart';
import { Answer, Figures, InPlace, Nothing, Sheet, Sum } from './parts';
import { useTrial } from './trialContext';
import { Term } from '../../../ui/Term';

/** Whether what is kept stays cold, in the store that is aboard. */
export function IceSheet() {
  const { looked, e, outing } = useTrial();
  const { ice } = supplies(looked, e);
  if (!ice) return <Nothing>Every fish goes back today: nothing is to be kept cold.</Nothing>;
  const { store, left } = ice;
  const { targetC, iceStartC } = outing.workings;
  const hours = Math.min(e.hoursAfloat ?? 0, 24);
  const enough = ice.carriedKg + 0.05 >= ice.iceKg;
  const longest = Math.max(0, ...looked.targets.map((one) => one.usual.lengthM));
  const inside = store?.attributes.lengthM;
  const clockAfter = clockAfterLaunch(e, looked);
  const clocks = left.map(({ hour }) => clockAfter(hour));
  return (
    <Sheet
      title="Ice"
      facts={`${mass(e.keepKg)} of fish at ${amount(ice.fishStartC, '°C')}, ${figure(hours)} h, air to ${amount(ice.ambientC, '°C')}; ${store ? store.name : 'a usual soft bag: no store is aboard'}`}
    >
      <Sum name="fish" result={`${figure(ice.fishKj, 0)} kJ`}>
        {amount(e.keepKg, 'kg')} × 3.6 × ({figure(ice.fishStartC)} −{' '}
        <InPlace
          label="Fish kept at"
          value={targetC}
          unit="°C"
          change={(value) => ({ on: 'workings', field: 'targetC', value })}
        />
        )
      </Sum>
      <Sum name={<Term id="heatLetIn">walls</Term>} result={`${figure(ice.wallsKj, 0)} kJ`} thumb>
        {store ? (
          <InPlace
            label="Heat let in by the store"
            value={ice.uaWK}
            unit="W/K"
            change={(value) => ({ on: 'item', itemId: store.id, field: 'uaWK', value })}
          />
        ) : (
          <InPlace
            label="Heat let in by a usual store"
            value={outing.workings.storeUaWK}
            unit="W/K"
            change={(value) => ({ on: 'workings', field: 'storeUaWK', value })}
          />
        )}{' '}
        × {figure(Math.max(0, ice.ambientC - targetC))} K × {figure(hours)} h × 3.6
      </Sum>
      <Sum name="a kilogram of ice takes up" result={`${figure(ice.perKgKj, 0)} kJ`}>
        334 + 2.1 ×{' '}
        <InPlace
          label="Ice starts at"
          value={iceStartC}
          unit="°C"
          change={(value) => ({ on: 'workings', field: 'iceStartC', value })}
        />{' '}
        (below nought) + 4.19 × {figure(targetC)}
      </Sum>
      <Sum name="ice" result={mass(ice.iceKg)}>
        {figure(ice.heatKj, 0)} kJ ÷ {figure(ice.perKgKj, 0)} kJ/kg
      </Sum>
      <Box sx={{ my: 2 }}>
        <Answer
          of="ice wanted"
          value={amount(ice.iceKg, 'kg', 2)}
          limit={`aboard: ${amount(ice.carriedKg, 'kg', 2)}, a frozen bottle counted half`}
          level={enough ? null : 'mind'}
        />
      </Box>
      {store?.kind === 'wet-sack' && (
        <Typography sx={{ mb: 1 }}>
          A wet sack cools by drying: in dry air, and for at most {WET_SACK_HOURS} hours.
        </Typography>
      )}
      {inside !== undefined && (
        <Sum name="room" result={inside >= longest ? 'it fits' : 'too short'}>
          {amount(inside * 100, 'cm', 0)} inside for a fish of {amount(longest * 100, 'cm', 0)}
        </Sum>
      )}
      <HourChart
        clocks={clocks}
        lines={[{ name: 'ice left', unit: 'kg', values: left.map(({ kg }) => kg) }]}
        label="Ice left by the half hour, the fish coming evenly; the same figures stand in the table"
      />
      <Figures
        name="Ice by the half hour"
        heads={['Time', headed('Ice left', 'kg')]}
        rows={left.map(({ kg }, i) => [clocks[i] ?? '', amountOnly(kg, 'kg', 2)])}
      />
    </Sheet>
  );
}
