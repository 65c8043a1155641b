import { expose } from 'comlink';
import { pack } from '#core/packing/pack';

const work = { pack };
export type PackWork = typeof work;
expose(work);
