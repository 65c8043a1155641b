import { batteryOf, powerSheet } from '../../power/powerSheet';
import { amount } from '../../units/amount';
import { figure, roughly } from '../../units/words';
import { isAboard, owned, swap } from '../candidates';
import { rule } from '../rule';
import { type FindingLevel } from '../../vocabulary/levels';

/** Whether each battery lasts the day it will have. A device without any battery is told by the need for power. */
const batteryShort = rule({
  code: 'battery-short',
  reads: ['electrics', 'exposures', 'workings'],
  station: 'workings',
  sheet: 'power',
  measure: 'Wh',
  find: ({ electrics, exposures, workings }) => {
    if (exposures.electricsW === 0) return [];
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
    const others = off ? owned(context, (item) => batteryOf(item, 1) !== null && !isAboard(context, item)) : [];
    return [
      ...others.flatMap((on) => (off ? [swap(off, on)] : [])),
      ...context.aboard
        .filter(({ item }) => (item.attributes.watts ?? 0) > 0)
        .sort((a, b) => (b.item.attributes.watts ?? 0) - (a.item.attributes.watts ?? 0))
        .map(({ item }) => ({ do: 'remove-item' as const, itemId: item.id, name: item.name })),
    ];
  },
  otherwise: () => 'A larger battery or a second one, bought or borrowed; or fewer hours of what draws on it.',
});

export const powerRules = [batteryShort] as const;
