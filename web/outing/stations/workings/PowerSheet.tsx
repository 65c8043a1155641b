import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { CHEMISTRY, coldFactor } from '#core/power/power';
import { type Supply, chargeLeft, eveningList, healthByAge, powerSheet } from '#core/power/powerSheet';
import { clockAfterLaunch } from '#core/exposures/exposures';
import { amount } from '#core/units/amount';
import { duration, figure } from '#core/units/words';
import { HourChart } from './HourChart';
import { Answer, Figures, InPlace, Nothing, Sheet, Sum } from './parts';
import { useOutingWorkspace } from '../../outingWorkspace';
import { useTrial } from './trialContext';
import { Term } from '../../../ui/Term';
import { byClock } from '#core/units/clockWords';

const chemistryWords = {
  sla: 'sealed lead',
  lifepo4: 'lithium iron',
  liion: 'lithium ion',
  nimh: 'nickel metal hydride',
  alkaline: 'alkaline',
} as const;

/** Whether each battery lasts, by its age and the cold of that day. */
export function PowerSheet() {
  const { looked, e, outing } = useTrial();
  const sheet = powerSheet(looked, e, outing.workings);
  // What is shortest stands first, by what is kept: a number that is tried moves nothing from under the
  // fingers.
  const desk = useOutingWorkspace();
  const kept = powerSheet(desk.looked, desk.assessment.exposures, desk.doc.workings).supplies;
  const spare = new Map(kept.map(({ item, sum }) => [item.id, sum.spareWh]));
  const evening = eveningList(looked);
  if (sheet.supplies.length === 0 && sheet.without.length === 0)
    return <Nothing>Nothing that draws and no battery is aboard. Put them in under Kit.</Nothing>;
  return (
    <Sheet
      title="Power"
      facts={
        <>
          at {amount(sheet.tempC, '°C')}, the coldest air while afloat; <Term id="kept" />{' '}
          <InPlace
            label="Share of the charge kept back"
            value={outing.workings.powerReserve}
            unit="of it"
            change={(value) => ({ on: 'workings', field: 'powerReserve', value })}
          />
        </>
      }
    >
      {sheet.without.length > 0 && (
        <Typography sx={{ mb: 2 }}>
          Nothing aboard feeds: {sheet.without.map(({ item }) => item.name).join(', ')}.
        </Typography>
      )}
      {sheet.supplies
        .toSorted((a, b) => (spare.get(a.item.id) ?? 0) - (spare.get(b.item.id) ?? 0))
        .map((supply) => (
          <Battery
            key={supply.item.id}
            supply={supply}
            tempC={sheet.tempC}
            reserve={outing.workings.powerReserve}
          />
        ))}
      {e.darkMinutes >= 1 && (
        <Sum name="lights against the dark" result={`${duration(e.darkMinutes * 1.5)} wanted`}>
          {duration(e.darkMinutes)} × 1.5
        </Sum>
      )}
      <Typography variant="h3" sx={{ mt: 3 }}>
        The evening before
      </Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {evening.map(({ item, what }) => (
          <li key={item.id}>
            {item.name}: {what}
          </li>
        ))}
      </Box>
    </Sheet>
  );
}

function Battery({ supply, tempC, reserve }: { supply: Supply; tempC: number; reserve: number }) {
  const { item, battery, devices, motor, sum, emptyAt, darkWh, darkAt, lasts } = supply;
  const { e, looked } = useTrial();
  const left = chargeLeft(supply, e);
  const aged = healthByAge(item, e.launchAt);
  const clockAfter = clockAfterLaunch(e, looked);
  const usual = CHEMISTRY[battery.chemistry];
  const share = battery.usable ?? usual.usable;
  const cold = coldFactor(battery.chemistry, tempC, battery.atZero);
  const unhurried = battery.volts * battery.ampHours * share * cold * (battery.health ?? 1);
  const set =
    (field: 'volts' | 'ampHours' | 'healthPct' | 'usablePct' | 'atZeroPct' | 'peukert') =>
    (value: number) => ({
      on: 'item' as const,
      itemId: item.id,
      field,
      value,
    });
  const clocks = left.map(({ hour }) => clockAfter(hour));
  return (
    <Box
      component="section"
      aria-label={item.name}
      sx={{ borderTop: 1, borderColor: 'divider', pt: 1.5, mb: 3 }}
    >
      <Typography variant="h3">{item.name}</Typography>
      {devices.length === 0 && motor === null && (
        <Typography color="textSecondary">Nothing aboard draws on it.</Typography>
      )}
      {motor && (
        <Sum name="motor" result={`${figure(motor.watts * (motor.outH + motor.homeH))} Wh`}>
          {amount(motor.watts, 'W', 0)} × {duration(motor.outH * 60)} out and {duration(motor.homeH * 60)}{' '}
          home, against wind and stream
        </Sum>
      )}
      {devices.map((one) => (
        <Sum key={one.item.id} name={one.item.name} result={`${figure(one.watts * one.duty * one.hours)} Wh`}>
          <InPlace
            label={`Watts of ${one.item.name}`}
            value={one.watts}
            unit="W"
            change={(value) => ({ on: 'item', itemId: one.item.id, field: 'watts', value })}
          />{' '}
          ×{' '}
          <InPlace
            label={`Share of the time ${one.item.name} draws`}
            value={one.duty * 100}
            unit="%"
            change={(value) => ({ on: 'item', itemId: one.item.id, field: 'dutyPct', value })}
          />{' '}
          ×{' '}
          <InPlace
            label={`Hours of ${one.item.name}`}
            value={one.hours}
            unit="h"
            change={(value) => ({ on: 'device', itemId: one.item.id, value })}
          />
        </Sum>
      ))}
      <Sum name="gives" result={`${figure(sum.usableWh)} Wh`} thumb>
        <InPlace label={`Voltage of ${item.name}`} value={battery.volts} unit="V" change={set('volts')} /> ×{' '}
        <InPlace
          label={`Capacity of ${item.name}`}
          value={item.attributes.ampHours ?? battery.ampHours}
          unit="Ah"
          change={set('ampHours')}
        />{' '}
        ×{' '}
        <InPlace
          label={`Share of a full charge of ${item.name} that may be drawn`}
          value={share * 100}
          unit="%"
          change={set('usablePct')}
        />{' '}
        usable of {chemistryWords[battery.chemistry]} ×{' '}
        <InPlace
          label={`Health of ${item.name}`}
          value={(battery.health ?? 1) * 100}
          unit="% health"
          change={set('healthPct')}
        />{' '}
        {aged && `(by its age, ${figure(aged.years)} years: a rule of thumb until you measure it) `}×{' '}
        {figure(cold, 2)} in the cold
        {sum.usableWh < unhurried * 0.995 && ` ÷ ${figure(unhurried / sum.usableWh, 2)} for a hard draw`}
      </Sum>
      <Typography variant="body2" color="textSecondary" sx={{ pl: 1, pb: 1 }}>
        The cold by{' '}
        <InPlace
          label={`Share that ${item.name} has left at freezing`}
          value={(battery.atZero ?? usual.cold[1]) * 100}
          unit="%"
          change={set('atZeroPct')}
        />{' '}
        left at freezing; a hard draw by the <Term id="peukert" />{' '}
        <InPlace
          label={`Peukert exponent of ${item.name}`}
          value={battery.peukert ?? usual.peukert}
          unit=""
          change={set('peukert')}
        />{' '}
        .
      </Typography>
      <Sum name="until dark" result={`${figure(darkWh)} Wh`} thumb>
        all that it gives, spared or not
        {darkAt === null ? '' : byClock(`; dark about ${clockAfter(darkAt)}`)}
      </Sum>
      <Sum name="to spare" result={`${figure(sum.spareWh)} Wh`}>
        {figure(sum.usableWh)} × {figure(1 - reserve, 2)} − {figure(sum.neededWh)}
      </Sum>
      <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', my: 1.5 }}>
        <Answer
          of={
            sum.enough
              ? 'kept well, with so much to spare'
              : lasts
                ? 'stays lit, drawn too deep by'
                : 'short by'
          }
          value={`${figure(Math.abs(sum.spareWh), 0)} Wh`}
          limit={
            emptyAt === null
              ? sum.hoursToEmpty === null
                ? 'nothing draws on it'
                : `empty after about ${duration(sum.hoursToEmpty * 60)} of such a draw`
              : `past what spares it about ${clockAfter(emptyAt)}, an estimate`
          }
          level={sum.enough ? null : lasts ? 'note' : 'mind'}
        />
        {!sum.enough && (
          <Typography variant="body2" sx={{ pt: 2, maxWidth: 300 }}>
            It lasts without: {lastsWithout(supply, reserve)}.
          </Typography>
        )}
      </Box>
      {devices.length > 0 && (
        <>
          <HourChart
            clocks={clocks}
            lines={[{ name: 'left', unit: 'Wh', values: left.map(({ wh }) => wh) }]}
            limit={{ value: sum.usableWh * reserve, name: 'kept back' }}
            label={`Charge left in ${item.name} by the half hour; the same figures stand in the table`}
          />
          <Figures
            name={`Charge left in ${item.name}`}
            heads={['Time', 'Left, Wh']}
            rows={left.map(({ wh }, i) => [clocks[i] ?? '', figure(wh, 0)])}
          />
        </>
      )}
    </Box>
  );
}

/** Each device that would settle it by staying off. */
function lastsWithout({ devices, sum }: Supply, reserve: number): string {
  const names = devices
    .filter((one) => sum.usableWh * (1 - reserve) >= sum.neededWh - one.watts * one.duty * one.hours)
    .map((one) => one.item.name);
  return names.length > 0 ? names.join(', or ') : 'no single device; another battery, or several off';
}
