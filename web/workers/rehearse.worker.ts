import { expose } from 'comlink';
import { rehearsalOf } from '#core/simulation/rehearsal';

const work = { rehearsalOf };
export type RehearseWork = typeof work;
expose(work);
