import { aliveKinds } from './aliveKinds';
import { boatKinds } from './boatKinds';
import { fishKinds } from './fishKinds';
import { holdKinds } from './holdKinds';
import { livingKinds } from './livingKinds';
import { tackleKinds } from './tackleKinds';

/** Every kind there is, by family. */
export const kindRows = {
  ...aliveKinds,
  ...boatKinds,
  ...tackleKinds,
  ...fishKinds,
  ...holdKinds,
  ...livingKinds,
};
