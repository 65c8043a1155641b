import { type Supply, batteryOf, isLight, motorOutWh, powerSheet } from '../../power/powerSheet';
import { amount } from '../../units/amount';
import { figure, roughly } from '../../units/words';
import { isAboard, otherHours, otherPlaces, owned, swap } from '../candidates';
import { rule } from '../rule';
import type { Repair } from '../../editing/repair';
import { type FindingLevel } from '../../vocabulary/levels';

/**
 * Whether each battery lasts the day it will have. A device without any battery is told by the need for
 * power.
 */
const batteryShort = rule({
  code: 'battery-short',
  reads: ['electrics', 'exposures', 'workings'],
  station: 'workings',
  sheet: 'power',
  measure: 'Wh',
  find: ({ electrics, exposures, workings }) => {
    if (exposures.electricsW === 0 && exposures.drive !== 'motor') return [];
    const { supplies, tempC } = powerSheet(electrics, exposures, workings);
    return supplies.flatMap(({ item, sum, darkWh, darkAt, lasts }) => {
      if (sum.enough) return [];
      const facts = {
        battery: item.name,
        itemId: item.id,
        neededWh: sum.neededWh,
        usableWh: sum.usableWh,
        tempC,
        darkWh,
        darkAfterH: darkAt,
        lasts,
        reserve: workings.powerReserve,
      };
      // Drawn deeper than spares it is the battery's affair; dark is the angler's.
      const level: FindingLevel = lasts ? 'note' : 'mind';
      return [{ level, basis: 'physics' as const, extent: -sum.spareWh, subject: item.id, facts }];
    });
  },
  say: ({ battery, neededWh, usableWh, darkWh, tempC, darkAfterH, reserve, lasts }) => ({
    title: lasts ? `${battery} is drawn deeper than spares it` : `${battery} does not last the day`,
    text: lasts
      ? `${figure(neededWh, 0)} Wh are drawn; kept well it gives about ${figure(usableWh, 0)} Wh at ${amount(tempC, '°C')}, ${figure(reserve * 100, 0)} % kept back. It stays lit: dark comes after about ${figure(darkWh, 0)} Wh. An estimate by rules of thumb.`
      : `${figure(neededWh, 0)} Wh are drawn; at ${amount(tempC, '°C')} it is dark after about ${figure(darkWh, 0)} Wh, and ${figure(reserve * 100, 0)} % are kept back. ${darkAfterH === null ? 'It would end in its reserve.' : `Dark after about ${roughly(darkAfterH * 60)}.`} An estimate by rules of thumb.`,
  }),
  repairs: ({ itemId }, context) => {
    const off = context.places.items.get(itemId);
    const others = off
      ? owned(context, (item) => batteryOf(item, 1) !== null && !isAboard(context, item))
      : [];
    const supply = powerSheet(context.electrics, context.exposures, context.workings).supplies.find(
      (one) => one.item.id === itemId,
    );
    return [
      ...others.flatMap((on) => (off ? [swap(off, on)] : [])),
      ...(supply ? fewerHours(supply, context.workings.powerReserve) : []),
      ...context.aboard
        .filter(({ item }) => (item.attributes.watts ?? 0) > 0)
        .sort((a, b) => (b.item.attributes.watts ?? 0) - (a.item.attributes.watts ?? 0))
        .map(({ item }) => ({ do: 'remove-item' as const, itemId: item.id, name: item.name })),
    ];
  },
  otherwise: () =>
    'A larger battery or a second one, bought or borrowed; or fewer hours of what draws on it.',
});

/**
 * The same things run for fewer hours, one of them, the hungriest first: by the half hour, and for half of
 * its time at least.
 */
function fewerHours({ devices, darkWh, sum }: Supply, reserve: number): Repair[] {
  const shortWh = sum.neededWh - darkWh * (1 - reserve);
  return devices
    .filter(({ item }) => !isLight(item.kind))
    .toSorted((a, b) => b.watts * b.duty - a.watts * a.duty)
    .flatMap(({ item: { id: itemId, name }, watts, duty, hours: meant }) => {
      const hours = Math.floor((meant - shortWh / (watts * duty)) * 2 + 1e-9) / 2;
      return hours > 0 && hours >= meant / 2 ? [{ do: 'run-for' as const, itemId, name, hours }] : [];
    });
}

/** Of what a battery gives, the way out may take so much: against the wind the way home takes more. */
const OUT_SHARE = 0.5;
const motorHalf = rule({
  code: 'motor-half-out',
  reads: ['electrics', 'exposures', 'workings'],
  station: 'workings',
  sheet: 'power',
  measure: 'Wh',
  find: ({ electrics, exposures, workings }) => {
    if (exposures.drive !== 'motor') return [];
    return powerSheet(electrics, exposures, workings).supplies.flatMap((supply) => {
      const outWh = motorOutWh(supply);
      const halfWh = supply.darkWh * OUT_SHARE;
      if (outWh <= halfWh) return [];
      const { name, id } = supply.item;
      const facts = { battery: name, itemId: id, outWh, givesWh: supply.darkWh };
      return [
        { level: 'mind' as const, basis: 'physics' as const, extent: outWh - halfWh, subject: id, facts },
      ];
    });
  },
  say: ({ battery, outWh, givesWh }) => ({
    title: `The motor takes more than half of ${battery} on the way out`,
    text: `${figure(outWh, 0)} Wh of about ${figure(givesWh, 0)} Wh, against wind and stream of those hours. The way home is to have as much. An estimate by rules of thumb.`,
  }),
  repairs: (_, context) => [...otherPlaces(context), ...otherHours(context)],
  otherwise: () => 'A place nearer by, a larger battery, or a day with less wind.',
});

export const powerRules = [batteryShort, motorHalf] as const;
