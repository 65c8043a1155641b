import { type Found, found } from '../finding';
import type { Judging } from '../context';
import { powerSheet } from '../../power/powerSheet';

/** Whether each battery lasts the day it will have. A device without any battery is told by the need for power. */
export const powerJudgements: readonly ((j: Judging) => Found[])[] = [batteries];

function batteries({ looked, e, outing }: Judging): Found[] {
  if (e.electricsW === 0) return [];
  const { supplies, tempC } = powerSheet(looked, e, outing.workings);
  return supplies.flatMap(({ item, sum, emptyAt }): Found[] => {
    if (sum.enough) return [];
    return [
      found(
        'mind',
        'physics',
        'workings',
        -sum.spareWh,
        {
          code: 'battery-short',
          battery: item.name,
          itemId: item.id,
          neededWh: sum.neededWh,
          usableWh: sum.usableWh,
          tempC,
          emptyAfterH: emptyAt,
          reserve: outing.workings.powerReserve,
        },
        item.id,
      ),
    ];
  });
}
