import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { jigForces } from '#core/tackle/jig';
import { drogueAboard, jigHours, jigLine } from '#core/tackle/tackleSheet';
import { SALT_WATER } from '#core/units/constants';
import { amount, mass, headed, amountOnly } from '#core/units/amount';
import { figure } from '#core/units/words';
import { HourChart } from './HourChart';
import { Answer, Figures, InPlace, Nothing, Sheet, Sum } from './parts';
import { useTrial } from './trialContext';
import { byClock } from '#core/units/clockWords';
import { Term } from '../../../ui/Term';

/** The least mass that keeps the line near straight down, hour by hour. */
export function JigSheet() {
  const { looked, e, outing } = useTrial();
  const main = jigLine(outing.rigs, looked);
  const lineMm = main?.attributes.diameterMm ?? null;
  const drogue = outing.brief.techniques.includes('drifting') ? drogueAboard(looked) : null;
  const hours = jigHours(looked, e, outing.workings, drogue?.mouthM ?? null, lineMm);
  const [first] = hours;
  if (!first)
    return (
      <Nothing>
        Say in the brief which boat, which place and which hours. The jig follows drift and depth.
      </Nothing>
    );
  const most = hours.reduce((a, b) => (b.massG > a.massG ? b : a));
  const forces = jigForces(most.input, most.massG / 1000);
  const flow = { density: most.input.waterDensity ?? SALT_WATER, mps: most.driftMps };
  const heaviest = Math.max(0, ...looked.aboard.map(({ item }) => item.attributes.lureG ?? 0));
  return (
    <Sheet
      title="Jig mass"
      facts={`a lead ball on ${amount(lineMm ?? 0.18, 'mm', 2)} of line${main ? ` (${main.name})` : ', usual'}; ${drogue ? `drifting with ${drogue.item.name}` : 'drifting without a drogue'}`}
    >
      <Sum
        name="the line leans by"
        result={`${figure(outing.workings.jigAngleDeg, 0)}° from straight down, at most`}
      >
        <InPlace
          label="Angle of the line"
          value={outing.workings.jigAngleDeg}
          unit="°"
          change={(value) => ({ on: 'workings', field: 'jigAngleDeg', value })}
        />
      </Sum>
      <Drag of="ball" label="Drag coefficient of the jig" field="jigCd" newtons={forces.ballN} {...flow}>
        {figure(forces.ballM2 * 1e4, 1)} cm²
      </Drag>
      <Drag of="line" label="Drag coefficient of the line" field="lineCd" newtons={forces.lineN} {...flow}>
        {main ? (
          <InPlace
            label="Diameter of the line"
            value={lineMm ?? most.input.lineDiameterMm}
            unit="mm"
            change={(value) => ({ on: 'item', itemId: main.id, field: 'diameterMm', value })}
          />
        ) : (
          amount(most.input.lineDiameterMm, 'mm', 2)
        )}{' '}
        × {amount(most.hour.depthM, 'm')}
      </Drag>
      <Sum name="weight in water" result={amount(forces.weightN, 'N', 2)}>
        {amount(most.massG, 'g', 0)} of lead, at {byClock(most.hour.clock)}
      </Sum>
      <Sum
        name="held at that angle"
        result={`${amount(forces.ballN + forces.lineN, 'N', 2)}, as much as the two drags`}
      >
        {amount(forces.weightN, 'N', 2)} × tan {figure(outing.workings.jigAngleDeg, 0)}°
      </Sum>
      {most.sinkMps !== null && most.sinkS !== null && (
        <Sum name="sinks" result={`${figure(most.sinkS, 0)} s to the bottom, its line left out`} thumb>
          {amount(most.hour.depthM, 'm')} ÷ {amount(most.sinkMps, 'm/s', 2)}
        </Sum>
      )}
      <Box sx={{ my: 2 }}>
        <Answer
          of="the most that any half hour asks for"
          value={mass(most.massG / 1000)}
          limit={
            heaviest > 0 ? `heaviest aboard: ${mass(heaviest / 1000)}` : 'no mass is written on a lure aboard'
          }
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
        heads={['Time', headed('Depth', 'm'), headed('Drift', 'm/s'), headed('Jig', 'g'), 'Sinks in, s']}
        rows={hours.map((one) => [
          one.hour.clock,
          amountOnly(one.hour.depthM, 'm'),
          amountOnly(one.driftMps, 'm/s', 2),
          amountOnly(one.massG, 'g', 0),
          one.sinkS === null ? 'no flow' : figure(one.sinkS, 0),
        ])}
      />
    </Sheet>
  );
}

interface DragProps {
  of: string;
  label: string;
  field: 'jigCd' | 'lineCd';
  newtons: number;
  density: number;
  mps: number;
  /** What stands across the flow. */
  children: ReactNode;
}
/**
 * What the flow pulls at a part: half its density, a coefficient, what stands across it, its speed squared.
 */
function Drag({ of, label, field, newtons, density, mps, children }: DragProps) {
  const { outing } = useTrial();
  return (
    <Sum name={`drag of the ${of}`} result={amount(newtons, 'N', 2)} thumb>
      ½ × {density} kg/m³ ×{' '}
      <InPlace
        label={label}
        value={outing.workings[field]}
        unit=""
        change={(value) => ({ on: 'workings', field, value })}
      />{' '}
      (<Term id="dragCoefficient" />) × {children} × {figure(mps, 2)}² m²/s²
    </Sum>
  );
}
