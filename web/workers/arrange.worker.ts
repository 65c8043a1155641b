import { expose } from 'comlink';
import { arrangedOuting } from '#core/judgement/arranged';

const work = { arrangedOuting };
export type ArrangeWork = typeof work;
expose(work);
