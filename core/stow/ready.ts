import type { Mode } from '../vocabulary/stow';
import type { ModePlan } from './modes';
import { type StowNames, changesBetween } from './say';

/** What is made ready before a mode, each as a line. */
export interface Ready {
  mode: Mode;
  lines: readonly string[];
}
/**
 * From what each mode is made ready: for the launch and the rapids from how it is fished, for fishing from
 * how it was launched.
 */
const after: Partial<Record<Mode, Mode>> = {
  launch: 'fish',
  fish: 'launch',
  run: 'fish',
  land: 'fish',
  camp: 'land',
};

/** What has to be done before each mode of an outing; a mode for which nothing changes is left out. */
export function readyLists(plans: readonly ModePlan[], names: StowNames): Ready[] {
  const planIn = (mode: Mode | undefined) => plans.find((one) => one.mode === mode)?.plan;
  return plans.flatMap(({ mode, plan }) => {
    const from = planIn(after[mode]);
    const lines = from && from !== plan ? changesBetween(from, plan, names) : [];
    return lines.length > 0 ? [{ mode, lines }] : [];
  });
}
