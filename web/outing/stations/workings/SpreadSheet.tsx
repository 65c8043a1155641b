import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { CROWD_M } from '#core/tackle/spread';
import { trollingSpread } from '#core/tackle/tackleSheet';
import { amount, thumb } from '#core/units/amount';
import { count } from '#core/units/words';
import { Answer, InPlace, Nothing, Sheet, Sum } from './parts';
import { useTrial } from './trialContext';

/** Two rods held out, seen from above; in a crowd one across the bow. */
export function SpreadSheet() {
  const { looked, e, outing } = useTrial();
  const { inks } = useTheme();
  const sum = trollingSpread(looked, outing.workings);
  const { craft, rulePack } = looked;
  if (!sum || !craft) return <Nothing>No rod with a length is aboard. Put one in under Kit.</Nothing>;
  const { holderHalfSpanM: half, outAngleDeg, elevationDeg } = outing.workings;
  const crowd = e.traffic === 'busy';
  const permitted = rulePack?.rules.find((rule) => rule.rule === 'rods');
  const radians = (deg: number) => (deg * Math.PI) / 180;
  const scale = 46;
  const [mx, my] = [170, 150];
  const tip = {
    x: (half + sum.rodM * Math.cos(radians(elevationDeg)) * Math.sin(radians(outAngleDeg))) * scale,
    y: sum.rodM * Math.cos(radians(elevationDeg)) * Math.cos(radians(outAngleDeg)) * scale,
  };
  const halfBeam = (craft.beamM / 2) * scale;
  const halfLength = (craft.lengthM / 2) * scale;
  return (
    <Sheet title="Trolling spread" facts={`${sum.rod.name}, the longest aboard, on both sides`}>
      <svg
        width={340}
        height={250}
        role="img"
        aria-label={`Two rods held out, ${amount(sum.spreadM, 'm')} from tip to tip, seen from above${crowd ? '; in a crowd one rod across the bow instead' : ''}`}
        fill="none"
        style={{ maxWidth: '100%' }}
      >
        <path
          d={`M${mx} ${my - halfLength}Q${mx + halfBeam * 1.5} ${my - halfLength * 0.2} ${mx + halfBeam * 0.7} ${my + halfLength}L${mx - halfBeam * 0.7} ${my + halfLength}Q${mx - halfBeam * 1.5} ${my - halfLength * 0.2} ${mx} ${my - halfLength}Z`}
          stroke={inks.ink}
          strokeWidth={1.8}
          fill={inks.paper}
        />
        {[-1, 1].map((side) => (
          <path
            key={side}
            d={`M${mx + side * half * scale} ${my - 10}L${mx + side * tip.x} ${my - 10 - tip.y}`}
            stroke={crowd ? inks.slate : inks.ink}
            strokeWidth={2.2}
            strokeDasharray={crowd ? '5 5' : ''}
          />
        ))}
        {crowd && (
          <path
            d={`M${mx} ${my - 10}L${mx + sum.rodM * scale * 0.35} ${my - 10 - sum.rodM * scale * 0.6}`}
            stroke={inks.clay}
            strokeWidth={2.4}
          />
        )}
        <path
          d={`M${mx - tip.x} ${my - 22 - tip.y}H${mx + tip.x}`}
          stroke={inks.tide}
          strokeDasharray="3 3"
        />
        <text x={mx - tip.x} y={my - 28 - tip.y} fontSize={13} textAnchor="start" fill={inks.tide}>
          {amount(sum.spreadM, 'm', 2)}
        </text>
      </svg>
      <Sum name="spread" result={amount(sum.spreadM, 'm', 2)}>
        2 × (
        <InPlace
          label="Half span of the holders"
          value={half}
          unit="m"
          change={(value) => ({ on: 'workings', field: 'holderHalfSpanM', value })}
        />{' '}
        +{' '}
        <InPlace
          label="Length of the rod"
          value={sum.rodM}
          unit="m"
          change={(value) => ({ on: 'item', itemId: sum.rod.id, field: 'lengthM', value })}
        />{' '}
        × cos{' '}
        <InPlace
          label="Rods up"
          value={elevationDeg}
          unit="°"
          change={(value) => ({ on: 'workings', field: 'elevationDeg', value })}
        />{' '}
        × sin{' '}
        <InPlace
          label="Rods out"
          value={outAngleDeg}
          unit="°"
          change={(value) => ({ on: 'workings', field: 'outAngleDeg', value })}
        />
        )
      </Sum>
      <Box sx={{ mt: 2 }}>
        <Answer
          of="tip to tip"
          value={amount(sum.spreadM, 'm')}
          limit={
            crowd
              ? `others pass close: over ${thumb(CROWD_M, 'm')}, one rod across the bow instead`
              : 'open water: as wide as the holders allow'
          }
          level={crowd && sum.spreadM > CROWD_M && e.rods > 1 ? 'mind' : null}
        />
      </Box>
      <Sum
        name="rods"
        result={`${count(e.rods)} aboard, ${permitted?.rule === 'rods' ? `${count(permitted.most)} allowed${permitted.withPermission === null ? '' : `, ${count(permitted.withPermission)} with the permission`}; confirm with the authority` : 'no rule is held'}`}
      />
    </Sheet>
  );
}
