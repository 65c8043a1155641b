import type { Hour } from '../documents/outing';
import type { Water } from '../documents/water';
import { DAY_MS, HOUR_MS, type Instant, dateAt, isoAt } from '../units/time';
import { lightOfDay, noonOf } from './light';

/** What a station says of a water: hour by hour, and the water's temperature. Simulated. */
export interface Forecast {
  hours: Hour[];
  waterC: number;
}

/** A number in [0, 1) from text, always the same (FNV-1a with a finishing mix). */
function hashed(text: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < text.length; i += 1) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193);
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return ((h ^ (h >>> 16)) >>> 0) / 2 ** 32;
}

/**
 * A wandering value in [−1, 1]: knots drawn from the seed, joined smoothly, so that near moments are alike.
 */
function wander(seed: string, at: Instant, everyMs: number): number {
  const place = at / everyMs;
  const i = Math.floor(place);
  const part = place - i;
  const smooth = part * part * (3 - 2 * part);
  const [a, b] = [hashed(`${seed} ${i}`), hashed(`${seed} ${i + 1}`)];
  return (a + (b - a) * smooth) * 2 - 1;
}

const SETTING_WIND = { still: 0.75, river: 0.6, estuary: 0.9, coast: 1.05, open: 1.2, flats: 0.95 } as const;

/**
 * The simulated station: deterministic by water, time and seed. Fronts pass every few days and turn the wind;
 * a breeze grows with the day; gusts, rain, visibility and thunder go with both; swell follows the wind of
 * the day before.
 */
export function simulateStation(water: Water, from: Instant, hours: number, seed = 'tally'): Forecast {
  const key = `${seed} ${water.id}`;
  const start = Math.floor(from / HOUR_MS) * HOUR_MS;
  const rows = Array.from({ length: hours }, (_, i) => hourOf(water, key, start + i * HOUR_MS));
  return { hours: rows, waterC: round(waterTemperature(water, key, start), 1) };
}

function hourOf(water: Water, key: string, at: Instant): Hour {
  // 1: a front is over one; 0: none about.
  const front = Math.max(0, wander(`${key} front`, at, 2.2 * DAY_MS) - 0.25) / 0.75;
  const sun = sunHeight(water, at);
  const breeze = Math.max(0, sun - 0.25) * 4.2;
  const base = 3.4 + 2.6 * wander(`${key} wind`, at, 9 * HOUR_MS);
  const windMps = Math.max(0.2, (base + breeze + front * 7.5) * SETTING_WIND[water.setting]);
  const turn =
    90 * wander(`${key} turn`, at, 3 * DAY_MS) + 55 * front + 25 * wander(`${key} back`, at, 7 * HOUR_MS);
  const windFromDeg = (((235 + turn) % 360) + 360) % 360;
  const gustMps =
    windMps * (1.25 + 0.25 * front + 0.12 * (wander(`${key} gust`, at, 3 * HOUR_MS) + 1) * 0.5) + 0.6;
  const airC =
    seasonal(water, at) + 3.6 * (sun - 0.35) - 2.5 * front + 1.8 * wander(`${key} air`, at, 1.5 * DAY_MS);
  const humidityPct = Math.min(
    100,
    Math.max(35, 74 - 18 * (sun - 0.4) + 20 * front + 8 * wander(`${key} damp`, at, 8 * HOUR_MS)),
  );
  const wet = front * 1.6 + wander(`${key} rain`, at, 4 * HOUR_MS) - 0.75;
  const rainMm = wet > 0 ? wet * 2.4 : 0;
  const still = windMps < 3 && humidityPct > 84 ? 1 - windMps / 3 : 0;
  const fog = still * Math.max(0, wander(`${key} fog`, at, 12 * HOUR_MS) + 0.2);
  const visibilityM = Math.max(150, 24_000 * (1 - 0.6 * front) * (1 - fog) ** 3 - 2500 * rainMm);
  const warm = Math.max(0, (airC - 16) / 12);
  const thunderPct = Math.min(
    90,
    Math.max(
      0,
      (front * 55 + 25 * sun * warm) * warm * (0.6 + 0.4 * wander(`${key} storm`, at, 5 * HOUR_MS)),
    ),
  );
  const before = Math.max(0, wander(`${key} front`, at - 0.8 * DAY_MS, 2.2 * DAY_MS) - 0.25) / 0.75;
  const swell =
    water.setting === 'coast' || water.setting === 'open'
      ? 0.25 + 0.25 * (wander(`${key} swell`, at, DAY_MS) + 1) + 1.3 * before
      : null;
  return {
    at: isoAt(at, water.timeZone),
    windMps: round(windMps, 1),
    gustMps: round(gustMps, 1),
    windFromDeg: Math.round(windFromDeg) % 360,
    airC: round(airC, 1),
    waveM: null,
    swellM: swell === null ? null : round(swell, 1),
    swellPeriodS:
      swell === null ? null : round(6 + 4 * before + 1.5 * wander(`${key} period`, at, DAY_MS), 1),
    thunderPct: Math.round(thunderPct),
    rainMm: round(rainMm, 1),
    visibilityM: Math.round(visibilityM / 50) * 50,
    humidityPct: Math.round(humidityPct),
  };
}

/** 0 in the dark, 1 at the middle of the day. */
function sunHeight({ latDeg, lonDeg, timeZone }: Water, at: Instant): number {
  const { sunrise, sunset } = lightOfDay(noonOf(dateAt(at, timeZone), lonDeg), latDeg, lonDeg);
  if (sunrise === null || sunset === null || at <= sunrise || at >= sunset) return 0;
  // The warmth of the day comes two hours after its light.
  return Math.sin((Math.PI * (at - sunrise)) / (sunset - sunrise));
}

/** −1 at midwinter, 1 at midsummer of the water's own hemisphere. */
function season({ latDeg }: Water, at: Instant, lagDays: number): number {
  const day = (at / DAY_MS - lagDays) % 365.25;
  return Math.cos((2 * Math.PI * (day - 172)) / 365.25) * Math.sign(latDeg || 1);
}
function seasonal(water: Water, at: Instant): number {
  const far = Math.abs(water.latDeg);
  return 29 - 0.36 * far + 0.14 * far * season(water, at, 28);
}
function waterTemperature(water: Water, key: string, at: Instant): number {
  const far = Math.abs(water.latDeg);
  const fresh = water.type === 'fresh' ? 1.5 : 1;
  return Math.max(
    0.5,
    28.5 -
      0.34 * far +
      0.09 * far * fresh * season(water, at, 55) +
      0.6 * wander(`${key} water`, at, 5 * DAY_MS),
  );
}

function round(value: number, decimals: number): number {
  return Number(value.toFixed(decimals));
}
