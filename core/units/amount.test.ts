import { afterEach, describe, expect, it } from 'vitest';
import { amount, amountTyped, distance, headed, inWords, mass, parseAmount, thumb } from './amount';
import { byClock } from './clockWords';
import { METRIC, type Speech, speakIn, speechNameOf, speechNames, speeches, spoken } from './speaking';

afterEach(() => speakIn(METRIC));
const inUnits = (speech: Partial<Speech>) => speakIn({ ...METRIC, ...speech });
const typed = (text: string, unit: string) => {
  const read = parseAmount(text, unit);
  return read.is === 'amount' ? read.value : read.why;
};

describe('an amount', () => {
  it('is said in the reader’s units, each measure by its own choice', () => {
    expect([amount(6, 'wind'), amount(0.5, 'm/s', 2), amount(4.3, 'm'), amount(12, '°C')]).toEqual([
      '6 m/s',
      '0.5 m/s',
      '4.3 m',
      '12 °C',
    ]);
    inUnits({ wind: 'kn', mass: 'lb' });
    expect([amount(6, 'wind'), amount(0.5, 'm/s', 2), amount(4.3, 'm'), amount(12, 'kg')]).toEqual([
      '11.7 kn',
      '0.5 m/s',
      '4.3 m',
      '26.5 lb',
    ]);
    speakIn(speeches['imperial, US']);
    expect([
      amount(6, 'wind'),
      amount(4.3, 'm'),
      amount(12, '°C'),
      amount(-40, '°C'),
      amount(2, 'L'),
    ]).toEqual(['13.4 mph', '14.1 ft', '54 °F', '−40 °F', '2.1 US qt']);
    expect([
      amount(32, 'cm', 0),
      amount(0.18, 'mm', 2),
      amount(92, 'g', 0),
      amount(16.1, 'N'),
      amount(0.5, 'm²', 2),
    ]).toEqual(['12.6 in', '0.0071 in', '3.25 oz', '3.62 lbf', '5.4 ft²']);
  });
  it('keeps units that have no others, and names a column by the unit', () => {
    speakIn(speeches['imperial, US']);
    expect([amount(7, 'h'), amount(40, '%'), amount(3, 'persons')]).toEqual(['7 h', '40 %', '3 persons']);
    expect([headed('Wind', 'wind'), headed('Depth', 'm'), headed('Load', '%')]).toEqual([
      'Wind, mph',
      'Depth, ft',
      'Load, %',
    ]);
  });
  it('far away is said in miles down to a tenth, then in feet or metres', () => {
    expect([distance(84), distance(994), distance(996), distance(12_340)]).toEqual([
      '80 m',
      '990 m',
      '1 km',
      '12.3 km',
    ]);
    inUnits({ distance: 'nmi' });
    expect([distance(84), distance(500), distance(4000)]).toEqual(['80 m', '0.27 nmi', '2.2 nmi']);
    inUnits({ distance: 'mi', length: 'ft' });
    expect([distance(84), distance(500), distance(4000)]).toEqual(['280 ft', '0.31 mi', '2.5 mi']);
  });
  it('of mass goes over to the small unit under one of the large', () => {
    expect([mass(0.35), mass(2.4)]).toEqual(['350 g', '2.4 kg']);
    inUnits({ mass: 'lb' });
    expect([mass(0.35), mass(0.02), mass(2.4)]).toEqual(['12.3 oz', '0.71 oz', '5.3 lb']);
  });
  it('as a rule of thumb is no finer than it was', () => {
    expect(thumb(3, 'm')).toBe('3 m');
    inUnits({ length: 'ft', temperature: '°F' });
    expect(thumb(3, 'm')).toBe('about 10 ft');
    expect(inWords('a line {15 m} long, in water under {10 °C}')).toBe(
      'a line 50 ft long, in water under 50 °F',
    );
  });
});

describe('a figure that is typed', () => {
  it('alone is in the reader’s unit, with a unit in that one', () => {
    expect([typed('5,5', 'm'), typed(' −2 ', '°C'), typed('', 'kg')]).toEqual([5.5, -2, null]);
    inUnits({ wind: 'kn', mass: 'lb', length: 'ft' });
    expect(typed('10', 'wind')).toBeCloseTo(5.14444, 4);
    expect(typed('5 m/s', 'wind')).toBe(5);
    expect(typed('10', 'kg')).toBeCloseTo(4.53592, 4);
    expect(typed('10 kg', 'kg')).toBe(10);
    expect(typed('10', 'm')).toBeCloseTo(3.048, 6);
  });
  it('is understood in parts and in any unit of its kind', () => {
    const cases: [string, string, number][] = [
      ['12 lb', 'kg', 5.44311],
      ['12lb 4oz', 'kg', 5.55651],
      ['11 st 3', 'kg', 71.214],
      ['6\'2"', 'm', 1.8796],
      ["6' 2", 'm', 1.8796],
      ['6 ft 2 in', 'm', 1.8796],
      ['6′2″', 'm', 1.8796],
      ['3 kn', 'm/s', 1.54333],
      ['20 km/h', 'wind', 5.55556],
      ['12 mph', 'wind', 5.36448],
      ['F4', 'wind', 6.688],
      ['force 4', 'wind', 6.688],
      ['2 oz', 'g', 56.699],
      ['1.5 kg', 'g', 1500],
      ['68 °F', '°C', 20],
      ['68F', '°C', 20],
      ['3 fathoms', 'm', 5.4864],
      ['32 in', 'cm', 81.28],
      ['0.3 nmi', 'm', 555.6],
      ['2 pt', 'L', 1.13652],
      ['500 ml', 'L', 0.5],
      ['20 lbf', 'N', 88.9644],
      ['3 h', 'h', 3],
    ];
    for (const [text, unit, value] of cases) expect(typed(text, unit), text).toBeCloseTo(value, 3);
  });
  it('of a bearing may be a point of the compass', () => {
    expect([typed('SE', '°'), typed('north-west', '°'), typed('135', '°'), typed('135°', '°')]).toEqual([
      135, 315, 135, 135,
    ]);
    expect(typed('downhill', '°')).toMatch(/not a number/);
  });
  it('of hours or minutes is understood as a span of time', () => {
    expect(
      ['1:30', '1h30', '1 h 30 min', '90 min', '1.5 hrs', '1,5'].map((text) => typed(text, 'h')),
    ).toEqual(Array(6).fill(1.5));
    expect([typed('1:30', 'min'), typed('2 h', 'min'), typed('12', 'min')]).toEqual([90, 120, 12]);
    expect(typed('half an hour', 'h')).toMatch(/not a number/);
  });
  it('with a gap or a fraction is read; a comma that may part thousands is asked after', () => {
    expect([typed('1 200', 'm'), typed('6½', 'm'), typed('0,250', 'kg')]).toEqual([1200, 6.5, 0.25]);
    expect(typed('1,200 m', 'm')).toMatch(/may be thousands or thousandths/);
  });
  it('that is none, or of another kind, is refused in words', () => {
    for (const [text, unit] of [
      ['calm', 'wind'],
      ['12 lb', 'm'],
      ['5 kg', 'wind'],
      ['6 2', 'm'],
      ['2 in 6 ft', 'm'],
      ['F13', 'wind'],
      ['1e3', 'm'],
      ['3 h', 'm'],
      ['3 m', 'h'],
      ['--3', 'm'],
    ] as const)
      expect(typed(text, unit), text).toMatch(/\.$/);
  });
  it('comes back as the same figure from any field in any units, shown and typed again', () => {
    for (const name of speechNames) {
      speakIn(speeches[name]);
      for (const unit of ['wind', 'm/s', 'km', 'm', 'cm', 'mm', 'm²', 'kg', 'g', 'N', '°C', 'L', 'h'])
        for (const value of [0, 0.37, 1, 12.5, 88]) {
          const back = typed(amountTyped(value, unit), unit);
          expect(Math.abs(Number(back) - value), `${value} ${unit} ${name}`).toBeLessThanOrEqual(
            Math.abs(value) * 1e-3 + 2e-2,
          );
        }
    }
    expect(amountTyped(4.333333, 'm')).toBe('4.333333');
  });
});

describe('a set of units', () => {
  it('is known by its name, and mixed has none', () => {
    expect(speechNames.map((name) => speechNameOf(speeches[name]))).toEqual([...speechNames]);
    expect(speechNameOf({ ...METRIC, wind: 'kn', mass: 'lb' })).toBeNull();
    speakIn({ ...METRIC, wind: 'kn' });
    expect(spoken().wind).toBe('kn');
  });
  it('has its own clock', () => {
    expect(byClock('Home at 14:40')).toBe('Home at 14:40');
    inUnits({ clock: '12 h' });
    expect(byClock('From 00:05 to 12:30, home at 14:40; 9:15 too')).toBe(
      'From 12:05 am to 12:30 pm, home at 2:40 pm; 9:15 am too',
    );
    expect(byClock('scope 3:1, ISO 12402')).toBe('scope 3:1, ISO 12402');
  });
});
