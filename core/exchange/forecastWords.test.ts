import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hourSchema } from '../documents/outing';
import { forceOf, forceToMps } from '../units/beaufort';
import { POINTS, bearingOfPoint, pointOf } from '../units/compass';
import { METRIC, speakIn, spoken } from '../units/speaking';
import { HOUR_MS } from '../units/time';
import { NO_FIGURES } from '../editing/hours';
import { readForecastWords } from './forecastWords';
import { sayChanges, sayHour } from './sayForecast';

const from = Date.parse('2026-06-01T06:00:00Z');
const to = from + 9 * HOUR_MS;
const read = (text: string) => readForecastWords(text, from, to, 'utc');
const at = (text: string, clock: string) => {
  const result = read(text);
  if (!result.taken) throw new Error(`${text}: ${result.why}`);
  return {
    ...result.value.hours.find((hour) => hour.at.includes(`T${clock}`)),
    waterC: result.value.waterC,
    notes: result.value.notes,
  };
};
const force = (n: number) => Math.round(forceToMps(n) * 10) / 10;

/** What a line says of half past nothing: at the clock, these figures. */
const lines: [string, string, object][] = [
  ['SW 4', '06:00', { windMps: force(4), windFromDeg: 225 }],
  ['sw 4', '15:00', { windMps: force(4), windFromDeg: 225 }],
  ['SW4', '06:00', { windMps: force(4), windFromDeg: 225 }],
  ['SW F4', '06:00', { windMps: force(4) }],
  ['south-west force 4', '06:00', { windMps: force(4), windFromDeg: 225 }],
  ['southwesterly 4', '06:00', { windMps: force(4), windFromDeg: 225 }],
  ['south westerly 3 or 4', '06:00', { windMps: force(4), windFromDeg: 225 }],
  ['SW 4-5', '06:00', { windMps: force(5) }],
  ['SW F4 to 5', '06:00', { windMps: force(5), notes: ['Of force 4 to 5 the higher is taken.'] }],
  ['Wind SW 4, gusting 7', '06:00', { windMps: force(4), gustMps: force(7) }],
  ['SW 4 gusting 7 falling later', '15:00', { windMps: force(4), gustMps: force(7) }],
  ['W 15 kn', '06:00', { windMps: 7.7, windFromDeg: 270 }],
  ['W 10-15 knots', '06:00', { windMps: 7.7 }],
  ['W 15kt G25', '06:00', { windMps: 7.7, gustMps: 12.9 }],
  ['W 15 kts gusts to 25 kts', '06:00', { gustMps: 12.9 }],
  ['NNW 20 mph', '06:00', { windMps: 8.9, windFromDeg: 337.5 }],
  ['E 8 m/s gusts 12 m/s', '06:00', { windMps: 8, gustMps: 12, windFromDeg: 90 }],
  ['E 30 km/h', '06:00', { windMps: 8.3 }],
  ['30 kph from the east', '06:00', { windMps: 8.3, windFromDeg: 90 }],
  ['calm', '06:00', { windMps: 0 }],
  ['light airs', '06:00', { windMps: force(1) }],
  ['light winds', '06:00', { windMps: force(2) }],
  ['variable 2', '06:00', { windMps: force(2), windFromDeg: null }],
  ['fresh breeze from the north', '06:00', { windMps: force(5), windFromDeg: 0 }],
  ['strong southerly winds', '06:00', { windMps: force(6), windFromDeg: 180 }],
  ['gale 8 NE', '06:00', { windMps: force(8), windFromDeg: 45 }],
  ['S 3 increasing 5 later', '08:00', { windMps: force(3), windFromDeg: 180 }],
  ['S 3 increasing 5 later', '14:00', { windMps: force(5), windFromDeg: 180 }],
  ['S 3, rising 5 later', '12:00', { windMps: force(5) }],
  ['S 3 increasing to 5 by 10:00', '09:00', { windMps: force(3) }],
  ['S 3 increasing to 5 by 10:00', '10:00', { windMps: force(5) }],
  ['S 3 from 10:00 SW 5', '10:00', { windMps: force(5), windFromDeg: 225 }],
  ['S 3, W 6 after 1 pm', '12:00', { windMps: force(3) }],
  ['S 3, W 6 after 1 pm', '13:00', { windMps: force(6), windFromDeg: 270 }],
  ['S 3 at first, then SW 5', '06:00', { windMps: force(3), windFromDeg: 180 }],
  ['S 3 at first, then SW 5', '10:00', { windMps: force(5), windFromDeg: 225 }],
  ['S 5 decreasing 3 later', '08:00', { windMps: force(5) }],
  ['S 5 decreasing 3 later', '14:00', { windMps: force(3) }],
  ['S 5 easing', '14:00', { windMps: force(5) }],
  [
    'S F4 freshening',
    '14:00',
    { windMps: force(5), notes: ['It rises, without a figure: one force more is taken.'] },
  ],
  ['S 4 rising soon', '09:00', { windMps: force(5) }],
  ['S 4 veering W later', '08:00', { windFromDeg: 180 }],
  ['S 4 veering W later', '14:00', { windFromDeg: 270, windMps: force(4) }],
  ['SE 4 backing east in the afternoon', '11:00', { windFromDeg: 135 }],
  ['SE 4 backing east in the afternoon', '12:00', { windFromDeg: 90 }],
  ['S or SW 4', '06:00', { windFromDeg: 202.5 }],
  ['N to NW 3', '06:00', { windFromDeg: 337.5 }],
  ['SW 3, swell 1.2 m 9 s', '06:00', { swellM: 1.2, swellPeriodS: 9 }],
  ['SW 3, swell W 4 ft at 11 seconds', '06:00', { swellM: 1.2, swellPeriodS: 11 }],
  ['SW 3 no swell', '06:00', { swellM: 0, swellPeriodS: null }],
  ['SW 3, sea slight', '06:00', { waveM: 1.25 }],
  ['SW 3, seas smooth or slight', '06:00', { waveM: 1.25 }],
  ['SW 3 waves 0.4 m', '06:00', { waveM: 0.4 }],
  ['SW 3, visibility good', '06:00', { visibilityM: 9260 }],
  ['SW 3, visibility moderate or poor', '06:00', { visibilityM: 1000 }],
  ['SW 3 fog', '06:00', { visibilityM: 300 }],
  ['SW 3 vis 2 km', '06:00', { visibilityM: 2000 }],
  ['SW 3, thundery showers', '06:00', { thunderPct: 40 }],
  ['SW 3, 60% chance of thunderstorms in the afternoon', '08:00', { thunderPct: 60 }],
  ['SW 3 no thunder, dry', '06:00', { thunderPct: 0 }],
  ['SW 3, rain', '06:00', { rainMm: 1.5 }],
  ['SW 3, showers 2 mm', '06:00', { rainMm: 2 }],
  ['SW 3, 12 °C', '06:00', { airC: 12 }],
  ['SW 3, 12C, water 9', '06:00', { airC: 12, waterC: 9 }],
  ['SW 3, air 54 °F', '06:00', { airC: 12.2 }],
  ['SW 3, air -2 °C, humidity 80 %', '06:00', { airC: -2, humidityPct: 80 }],
  ['W 4 (occasionally 5) sunny spells', '06:00', { windMps: force(5) }],
  // A bare number is in the unit of its gusts where, as a force, it would pass them.
  ['W 12 G 20 kts', '06:00', { windMps: 6.2, gustMps: 10.3 }],
  ['W 4 gusts 28 mph', '06:00', { windMps: force(4), gustMps: 12.5 }],
  // A time goes with what it stands beside; without one, the worse of two holds.
  ['W 3 morning, W 5 afternoon', '11:00', { windMps: force(3) }],
  ['W 3 morning, W 5 afternoon', '12:00', { windMps: force(5) }],
  ['SW 4, 5 later', '06:00', { windMps: force(4) }],
  ['SW 6, then NW 3', '15:00', { windMps: force(6), windFromDeg: 225 }],
  ['At first SW 6, then 3', '08:00', { windMps: force(6) }],
  ['At first SW 6, then 3', '10:00', { windMps: force(3) }],
  ['SW 5 becoming variable 2 later', '08:00', { windMps: force(5) }],
  ['NE 5 until noon then NE 3', '11:00', { windMps: force(5) }],
  ['0600 W 3, 1200 W 5', '12:00', { windMps: force(5) }],
  ['6am: W 3; 2pm: W 5', '13:00', { windMps: force(3) }],
  ['S 3 building to 15 knots by mid afternoon', '13:00', { windMps: force(3) }],
  ['Good, occasionally poor, W 3', '06:00', { visibilityM: 1000 }],
  [
    'SW 3 to 4, occasionally 5 at first. Slight or moderate. Showers. Good',
    '06:00',
    { windMps: force(5), waveM: 2.5 },
  ],
  ['Wind: 12 knots from 240 degrees, 14 degrees', '06:00', { windFromDeg: 240, airC: 14 }],
  ['W 3, wave height 0.5m period 4s, swell 0.8m@10s', '06:00', { waveM: 0.5, swellM: 0.8, swellPeriodS: 10 }],
  ['S 8 knots, sea temp 58F, temp 64F, pressure 1012', '06:00', { waterC: 14.4, airC: 17.8 }],
  ['flat calm, 40% chance of rain', '06:00', { windMps: 0, rainMm: 1.5 }],
  ['southwest four', '06:00', { windMps: force(4) }],
];

describe('a forecast typed as a line', () => {
  it('is understood in sixty ways and more', () => expect(lines.length).toBeGreaterThanOrEqual(60));
  it.each(lines)('%s, at %s', (text, clock, figures) => {
    expect(at(text, clock)).toMatchObject(figures);
  });
  it('says what was taken otherwise than it may have been meant', () => {
    expect(at('SW 4 gusting 7 falling later', '06:00').notes).toEqual([
      'It falls, without a figure: that is not counted on.',
      'A wind without a unit is taken as a force: 4 is 6.7 m/s.',
    ]);
    expect(at('S 3 increasing 5 later', '06:00').notes).toEqual([
      'A wind without a unit is taken as a force: 3 is 4.3 m/s and 5 is 9.3 m/s.',
    ]);
    for (const told of ['SW F4', 'SW force 4', 'SW 12 kn']) expect(at(told, '06:00').notes).toEqual([]);
  });
  it.each([
    ['', /Nothing is written/],
    ['bananas', /"bananas" is not understood/],
    ['SW 4 with sharks', /"sharks" is not understood/],
    ['SW 12', /12: a force, or a speed\? Write F12, or 12 kn/],
    ['S 3 rising 9 later', /9: a force, or a speed/],
    ['SW 15', /of what\? A force goes to 12/],
    ['SW 4 gusts 30', /Gusts of 30: of what/],
    ['SW 300 kn', /past what can be written/],
    ['SW 4 rising 5 by 25:00', /is no time/],
    ['sunny', /No figure is in it/],
    ['1014 hPa', /No figure is in it/],
    ['gusty W 4', /"gusty": by how much/],
    ['W 3, swell low', /how high, and how far apart/],
    ['W 3. Moderate.', /the sea, or the sight/],
    ['W 3, 365 degrees', /no direction/],
    ['SW 3, air 99 °C', /^Air: .*55 °C/],
    ['SW 3, swell 1 m 40 s', /^Period of the swell: /],
  ])('is refused in words: %s', (text, why) => {
    const result = read(text);
    expect(result.taken ? 'taken' : result.why).toMatch(why);
  });
  it('never makes an hour that cannot be kept, whatever is typed', () => {
    const word = fc.constantFrom(
      'SW',
      'n',
      '4',
      '7',
      '99',
      'kn',
      'gusting',
      'later',
      'rising',
      'swell',
      'm',
      '12',
      '°C',
      'fog',
      'by 10:00',
      '-',
      ',',
      'air',
      '%',
      'force',
    );
    fc.assert(
      fc.property(fc.array(word, { maxLength: 12 }), (words) => {
        const result = read(words.join(' '));
        return !result.taken || result.value.hours.every((hour) => hourSchema.safeParse(hour).success);
      }),
    );
  });
});

describe('points and forces', () => {
  it('go there and back', () => {
    for (const [i, point] of POINTS.entries()) {
      expect(bearingOfPoint(point)).toBe(i * 22.5);
      expect(pointOf(i * 22.5 + 11)).toBe(point);
    }
    expect([
      pointOf(-10),
      pointOf(359),
      bearingOfPoint('north-north-west'),
      bearingOfPoint('somewhere'),
    ]).toEqual(['N', 'N', 337.5, null]);
    for (let n = 0; n <= 12; n += 1) expect(forceOf(forceToMps(n))).toBe(n);
    expect([forceOf(5.4), forceOf(5.5)]).toEqual([3, 4]);
  });
});

describe('gusts', () => {
  it('said before the wind rises are never less than the wind', () => {
    expect(at('SW 3 gusting 4, rising 5 later', '15:00')).toMatchObject({
      windMps: force(5),
      gustMps: force(5),
    });
    expect(at('SW 3 gusting 4, rising 5 later', '06:00')).toMatchObject({ gustMps: force(4) });
  });
});

describe('hours said back', () => {
  it('name only what is written, and only where it changes', () => {
    const result = read('S 3 increasing to 5 by 10:00, swell 1 m 8 s');
    expect(result.taken && sayChanges(result.value.hours, 'utc')).toEqual([
      'from 06:00 wind S 4.3 m/s (force 3), swell 1 m every 8 s',
      'from 10:00 wind S 9.3 m/s (force 5), swell 1 m every 8 s',
    ]);
    expect(sayHour({ ...NO_FIGURES, windFromDeg: 90, visibilityM: 2000 })).toBe('from E, sight 2 km');
  });
});

describe('a bare temperature', () => {
  it.each([
    ['°C', 'SW 4, air 12, water 8', 12, 8],
    ['°F', 'SW 4, air 43, water 45', 6.1, 7.2],
    ['°F', 'SW 4, 45 degrees', 7.2, null],
    ['°F', 'SW 4, air 12C', 12, null],
    ['°C', 'SW 4, air 43F', 6.1, null],
  ] as const)('is in the reader’s %s: %s', (temperature, text, airC, waterC) => {
    const was = spoken();
    speakIn({ ...METRIC, temperature });
    try {
      expect(at(text, '06:00')).toMatchObject({ airC, waterC });
    } finally {
      speakIn(was);
    }
  });
});
