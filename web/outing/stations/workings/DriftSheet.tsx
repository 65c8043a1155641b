import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { onWater } from '#core/boat/drag';
import { drift } from '#core/holding/drift';
import { densityOf } from '#core/environment/density';
import { AIR_DENSITY } from '#core/units/constants';
import { clockOf } from '#core/exposures/exposures';
import { byClock } from '#core/units/clockWords';
import { amount, headed, amountOnly } from '#core/units/amount';
import { figure } from '#core/units/words';
import { type Drifted, driftPath, groundDrift } from '#core/holding/driftPath';
import { bearingOf, speedOf } from '#core/environment/flow';
import type { Flow } from '#core/environment/flow';
import { WaterChart } from '../../../ui/chart/WaterChart';
import { HourChart } from './HourChart';
import { Answer, Figures, InPlace, Nothing, Sheet, Sum } from './parts';
import { useTrial } from './trialContext';
import { screenOnly } from '../../../ui/screenOnly';
import { Term } from '../../../ui/Term';

/** How fast the boat leaves the mark, with and without each drogue. */
export function DriftSheet() {
  const { looked, e, outing, references } = useTrial();
  const { craft, water, area } = looked;
  const [first] = e.spot;
  if (!craft || !water || !area || !first)
    return (
      <Nothing>
        Say in the brief which boat, which place and which hours. The drift is worked out from there.
      </Nothing>
    );
  const boat = onWater(craft, looked.loaded);
  const waterDensity = densityOf(water);
  const target = outing.workings.targetDriftMps;
  const drogues = references.items.flatMap((item) =>
    item.attributes.drogueM !== undefined && item.condition === 'good'
      ? [{ item, mouthM: item.attributes.drogueM }]
      : [],
  );
  const cd = outing.workings.drogueCd;
  const at = (windMps: number, mouthM: number | null) =>
    drift({
      windMps,
      lateralAirM2: boat.lateralAirM2,
      lateralWaterM2: boat.lateralWaterM2,
      drogue: mouthM === null ? null : { diameterM: mouthM, cd },
      targetMps: target,
      waterDensity,
    });
  const windiest = e.spot.reduce((a, b) => (b.windMps > a.windMps ? b : a));
  // A drogue of no size: what it would have to be is asked by the same coefficient.
  const most = at(windiest.windMps, 0);
  const r = Math.sqrt((AIR_DENSITY * boat.lateralAirM2) / (waterDensity * boat.lateralWaterM2));
  const wanted = most.diameterForTargetM ?? 0;
  const widest = drogues.length > 0 ? Math.max(...drogues.map((one) => one.mouthM)) : null;
  const bare = driftPath(area, e.spot, water.chart, (hour) => at(hour.windMps, null).withoutDrogueMps);
  const slowed =
    widest === null
      ? null
      : driftPath(area, e.spot, water.chart, (hour) => at(hour.windMps, widest).driftMps ?? 0);
  const ashore = ({ ashoreAt }: Drifted) =>
    ashoreAt === null
      ? 'it comes to no shore in these hours'
      : byClock(`it comes ashore about ${clockOf(e, looked)(ashoreAt)}`);
  const lines = [
    { name: 'no drogue', unit: 'm/s', values: e.spot.map((hour) => at(hour.windMps, null).withoutDrogueMps) },
    ...drogues.slice(0, 3).map(({ item, mouthM }) => ({
      name: item.name,
      unit: 'm/s',
      dashed: true,
      values: e.spot.map((hour) => at(hour.windMps, mouthM).driftMps ?? 0),
    })),
  ];
  return (
    <Sheet
      title={`Drift over ${area.name}`}
      facts={`through the water, by the wind; at its windiest, ${windiest.clock}, ${amount(windiest.windMps, 'wind')}`}
    >
      <Sum name="r" result={figure(r, 4)}>
        √({AIR_DENSITY} ×{' '}
        <InPlace
          label="Side to the wind"
          value={boat.lateralAirM2}
          unit="m²"
          change={(value) => ({ on: 'craft', field: 'lateralAirM2', value })}
        />{' '}
        ÷ ({waterDensity} ×{' '}
        <InPlace
          label="Side to the water"
          value={boat.lateralWaterM2}
          unit="m²"
          change={(value) => ({ on: 'craft', field: 'lateralWaterM2', value })}
        />
        ))
      </Sum>
      <Sum
        name={
          <>
            drift without a <Term id="drogue" />
          </>
        }
        result={amount(most.withoutDrogueMps, 'm/s', 3)}
        thumb
      >
        {amount(windiest.windMps, 'wind')} × r ÷ (1 + r)
      </Sum>
      {drogues.map(({ item, mouthM }) => {
        const sum = at(windiest.windMps, mouthM);
        return (
          <Sum
            key={item.id}
            name={`with ${item.name}`}
            result={`${amount(sum.driftMps ?? 0, 'm/s', 3)}, pulling ${amount(sum.drogueForceN ?? 0, 'N')}`}
            thumb
          >
            <InPlace
              label="Drag coefficient of a drogue"
              value={cd}
              unit=""
              change={(value) => ({ on: 'workings', field: 'drogueCd', value })}
            />{' '}
            (<Term id="dragCoefficient" />) × π ×{' '}
            <InPlace
              label={`Mouth of ${item.name}`}
              value={mouthM}
              unit="m"
              change={(value) => ({ on: 'item', itemId: item.id, field: 'drogueM', value })}
            />
            ² ÷ 4 more to the water
          </Sum>
        );
      })}
      <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', my: 2 }}>
        <Answer
          of="a mouth that gives the drift wanted"
          value={wanted === 0 ? 'none' : amount(wanted, 'm', 2)}
          limit={
            wanted === 0 ? 'it is slow enough without' : `for ${amount(target, 'm/s', 2)} at the windiest`
          }
          level={null}
        />
        <Box sx={{ pt: 2 }}>
          wanted:{' '}
          <InPlace
            label="Drift wanted"
            value={target}
            unit="m/s"
            change={(value) => ({ on: 'workings', field: 'targetDriftMps', value })}
          />
        </Box>
      </Box>
      <HourChart
        clocks={e.spot.map((hour) => hour.clock)}
        lines={lines}
        limit={{ value: target, name: 'wanted' }}
        label="Drift by the hour, without and with each drogue; the same figures stand in the table"
      />
      <Box {...screenOnly}>
        <WaterChart
          water={water}
          height={220}
          label="The way of a boat left to drift from the mark, with the stream: without a drogue, and dashed with the widest"
          around={{ place: area, radiusM: 900 }}
          lines={[
            { points: bare.points, dashed: false, name: 'no drogue' },
            ...(slowed === null ? [] : [{ points: slowed.points, dashed: true, name: 'widest' }]),
          ]}
        />
        <Typography variant="caption" color="textSecondary" component="p">
          Left to drift from the mark, a ring each half hour{slowed ? '; dashed with the widest drogue' : ''}.{' '}
          {water.chart.features.length === 0
            ? 'No shore is drawn on this chart.'
            : [
                `Without a drogue ${ashore(bare)}`,
                ...(slowed ? [`with the widest ${ashore(slowed)}`] : []),
              ].join(', ') + '. An estimate.'}
        </Typography>
      </Box>
      <Figures
        name="Drift by the half hour"
        heads={[
          'Time',
          headed('Wind', 'wind'),
          ...lines.map((line) => `${headed(line.name, 'm/s')}`),
          headed('Stream', 'm/s'),
          'Over the ground in an hour, without',
        ]}
        rows={e.spot.map((hour, i) => [
          hour.clock,
          amountOnly(hour.windMps, 'wind'),
          ...lines.map((line) => amountOnly(line.values[i] ?? 0, 'm/s', 2)),
          amountOnly(hour.streamMps, 'm/s', 2),
          overGround(groundDrift(hour, lines[0]?.values[i] ?? 0)),
        ])}
      />
    </Sheet>
  );
}

function overGround(flow: Flow): string {
  return `${amount(speedOf(flow) * 3600, 'm', 0)} toward ${figure(bearingOf(flow), 0)}°`;
}
