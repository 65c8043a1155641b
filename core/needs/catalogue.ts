import { alive } from './catalogueAlive';
import { back } from './catalogueBack';
import { camp, power, warm } from './catalogueComfort';
import { hook, land } from './catalogueFish';
import { hold } from './catalogueHold';
import type { NeedTable } from './need';

/** Every need there is. Adding one: a record in its purpose's table and an identifier in ids. */
export const catalogue: NeedTable = {
  ...alive,
  ...back,
  ...hook,
  ...land,
  ...hold,
  ...power,
  ...warm,
  ...camp,
};
