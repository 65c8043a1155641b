import Box from '@mui/material/Box';
import { buildRig } from '#core/tackle/builtRig';
import { drogueAboard, jigHours } from '#core/tackle/tackleSheet';
import { figure, mass } from '#core/units/words';
import { HourChart } from './HourChart';
import { Answer, Figures, InPlace, Nothing, Sheet, Sum } from './parts';
import { useTrial } from './trialContext';

/** The least mass that keeps the line near straight down, hour by hour. */
export function JigSheet() {
  const { looked, e, outing } = useTrial();
  const rig = outing.rigs.find((one) => one.purpose === 'jig');
  const main = rig ? buildRig(rig, looked.items).main : null;
  const lineMm = main?.attributes.diameterMm ?? null;
  const drogue = outing.brief.techniques.includes('drifting') ? drogueAboard(looked) : null;
  const hours = jigHours(looked, e, outing.workings, drogue?.mouthM ?? null, lineMm);
  const [first] = hours;
  if (!first)
    return (
      <Nothing>Say in the brief which boat, which place and which hours. The jig follows drift and depth.</Nothing>
    );
  const most = hours.reduce((a, b) => (b.massG > a.massG ? b : a));
  const heaviest = Math.max(0, ...looked.aboard.map(({ item }) => item.attributes.lureG ?? 0));
  return (
    <Sheet
      title="Jig mass"
      facts={`a lead ball on ${figure(lineMm ?? 0.18, 2)} mm of line${main ? ` (${main.name})` : ', usual'}; ${drogue ? `drifting with ${drogue.item.name}` : 'drifting without a drogue'}`}
    >
      <Sum name="the line leans by" result={`${figure(outing.workings.jigAngleDeg, 0)}° from straight down, at most`}>
        <InPlace
          label="Angle of the line"
          value={outing.workings.jigAngleDeg}
          unit="°"
          change={(value) => ({ on: 'workings', field: 'jigAngleDeg', value })}
        />
      </Sum>
      {main && lineMm !== null && (
        <Sum name="line" result={`${figure(lineMm * most.hour.depthM, 1)} mm·m across the flow`}>
          <InPlace
            label="Diameter of the line"
            value={lineMm}
            unit="mm"
            change={(value) => ({ on: 'item', itemId: main.id, field: 'diameterMm', value })}
          />{' '}
          × {figure(most.hour.depthM)} m
        </Sum>
      )}
      <Sum name={`at ${most.hour.clock}`} result={`${figure(most.massG, 0)} g`}>
        {figure(most.hour.depthM)} m deep, {figure(most.driftMps, 2)} m/s past the line: weight × tan{' '}
        {figure(outing.workings.jigAngleDeg, 0)}° = drag of ball and line
      </Sum>
      <Box sx={{ my: 2 }}>
        <Answer
          of="the most that any half hour asks for"
          value={mass(most.massG / 1000)}
          limit={heaviest > 0 ? `heaviest aboard: ${mass(heaviest / 1000)}` : 'no mass is written on a lure aboard'}
          level={heaviest > 0 && most.massG > heaviest ? 'note' : null}
        />
      </Box>
      <HourChart
        clocks={hours.map(({ hour }) => hour.clock)}
        lines={[{ name: 'jig', unit: 'g', values: hours.map((one) => one.massG) }]}
        {...(heaviest > 0 ? { limit: { value: heaviest, name: 'heaviest aboard' } } : {})}
        label="Jig mass by the half hour; the same figures stand in the table"
      />
      <Figures
        name="Jig by the half hour"
        heads={['Time', 'Depth, m', 'Drift, m/s', 'Jig, g', 'Sinks in, s']}
        rows={hours.map((one) => [
          one.hour.clock,
          figure(one.hour.depthM),
          figure(one.driftMps, 2),
          figure(one.massG, 0),
          one.sinkS === null ? 'no flow' : figure(one.sinkS, 0),
        ])}
      />
    </Sheet>
  );
}
