import { type Constituent, harmonicSeries, turnsOfTide } from '../environment/tide';
import { DAY_MS, type Instant } from '../units/time';

/** Speeds of the constituents used here, degrees per hour. */
const speeds: Record<string, number> = {
  M2: 28.9841042,
  S2: 30,
  N2: 28.4397295,
  K1: 15.0410686,
  O1: 13.9430356,
};

/** Invented constituents whose tops all fall together at a moment: springs, with high water then. */
export function peakingAt(amplitudes: Readonly<Record<string, number>>, peak: Instant): Constituent[] {
  return Object.entries(amplitudes).map(([name, amplitude]) => {
    const alone = harmonicSeries([{ name, amplitude: 1, phaseDeg: 0 }], peak - DAY_MS, peak + DAY_MS);
    const [top] = turnsOfTide(alone, peak - DAY_MS, peak + DAY_MS).filter(({ high }) => high);
    const late = top ? (peak - top.at) / 3_600_000 : 0;
    const phase = ((((speeds[name] ?? 0) * late) % 360) + 360) % 360;
    return { name, amplitude, phaseDeg: Number(phase.toFixed(1)) };
  });
}
