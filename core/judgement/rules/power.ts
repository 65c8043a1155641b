import { batteryOf, powerSheet } from '../../power/powerSheet';
import { figure, roughly } from '../../units/words';
import { isAboard, owned, swap } from '../candidates';
import { rule } from '../rule';

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
    return supplies.flatMap(({ item, sum, emptyAt }) => {
      if (sum.enough) return [];
      const facts = {
        battery: item.name,
        itemId: item.id,
        neededWh: sum.neededWh,
        usableWh: sum.usableWh,
        tempC,
        emptyAfterH: emptyAt,
        reserve: workings.powerReserve,
      };
      return [{ level: 'mind' as const, basis: 'physics' as const, extent: -sum.spareWh, subject: item.id, facts }];
    });
  },
  say: ({ battery, neededWh, usableWh, tempC, emptyAfterH, reserve }) => ({
    title: `${battery} does not last the day`,
    text: `${figure(neededWh, 0)} Wh are drawn; at ${figure(tempC)} °C it gives about ${figure(usableWh, 0)} Wh, and ${figure(reserve * 100, 0)} % are kept back. ${emptyAfterH === null ? 'It would end in its reserve.' : `Empty after about ${roughly(emptyAfterH * 60)}.`} An estimate by rules of thumb.`,
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
});

export const powerRules = [batteryShort] as const;
