import { expose } from 'comlink';
import { singlePoints } from '#core/judgement/singlePoints';

const work = { singlePoints };
export type SinglePointsWork = typeof work;
expose(work);
