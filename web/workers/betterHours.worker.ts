import { expose } from 'comlink';
import { betterHours } from '#core/judgement/betterHours';

const work = { betterHours };
export type BetterHoursWork = typeof work;
expose(work);
