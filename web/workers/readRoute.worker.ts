import { expose } from 'comlink';
import { readRoute } from '#core/exchange/readRoute';

const work = { readRoute };
export type ReadRouteWork = typeof work;
expose(work);
