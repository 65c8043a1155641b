import { expose } from 'comlink';
import { propose } from '#core/provisioning/propose';

const work = { propose };
export type ProposeWork = typeof work;
expose(work);
