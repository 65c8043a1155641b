import { expose } from 'comlink';
import { propose } from '#core/needs/propose';

const work = { propose };
export type ProposeWork = typeof work;
expose(work);
