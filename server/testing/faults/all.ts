import { badRows, bitFlips, crowdAtTheDoor, heavyFiles, lateAnswers } from './attacks';
import { hostile, trickling } from './clients';
import { databaseAway, racing } from './database';
import { backups, batches, firstStart, imports, restores, writes } from './kills';
import { clockBack, fullDisk, unwritable } from './machine';
import type { Trial } from './trial';

export const trials: readonly Trial[] = [
  writes,
  batches,
  firstStart,
  imports,
  backups,
  restores,
  fullDisk,
  unwritable,
  databaseAway,
  racing,
  clockBack,
  hostile,
  trickling,
  badRows,
  lateAnswers,
  crowdAtTheDoor,
  heavyFiles,
  bitFlips,
];
