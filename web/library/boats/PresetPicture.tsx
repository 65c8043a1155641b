import { useTheme } from '@mui/material/styles';
import { presetFigures } from '#core/boat/build';
import { shapeFrom } from '#core/boat/hull/presets';
import { stationsOf } from '#core/boat/hull/shape';
import type { HullPreset } from '#core/vocabulary/boat';
import { pathThrough } from '../../ui/boat/scale';

const W = 120;
const H = 58;
const HULL = { lengthM: 3.7, beamM: 0.86, depthM: 0.32, rockerM: 0, sheerM: 0 };

/** A bottom as it is amidships, looked at from astern, on the water. */
export function PresetPicture({ preset }: { preset: HullPreset }) {
  const { inks } = useTheme();
  const { lengthM, beamM, ...figures } = HULL;
  const shape = shapeFrom({ ...figures, ...presetFigures(preset) }, { lengthM, beamM });
  const stations = 'form' in shape ? stationsOf(shape.form, 5, 24) : shape.stations;
  const middle = stations[Math.floor(stations.length / 2)]?.outline ?? [];
  const at = (yM: number, zM: number) => [W / 2 + yM * 120, H - 10 - zM * 110] as const;
  const half = middle.map(({ yM, zM }) => at(yM, zM));
  const other = middle.toReversed().map(({ yM, zM }) => at(-yM, zM));
  return (
    <svg viewBox={`0 0 ${W} ${H}`} width={W} height={H} aria-hidden style={{ display: 'block' }}>
      <path d={`M0 ${H - 23}H${W}`} stroke={inks.tide} strokeWidth={1.4} />
      <path
        d={pathThrough([...half, ...other], true)}
        fill={inks.raised}
        stroke={inks.ink}
        strokeWidth={1.8}
        strokeLinejoin="round"
      />
    </svg>
  );
}
