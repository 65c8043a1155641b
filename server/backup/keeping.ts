/** Backups of each of the last days, and one of each of the months before. */
export const DAILY_KEPT = 14;
export const MONTHLY_KEPT = 12;

const NAME = /^tally-(\d{4})(\d\d)(\d\d)T(\d\d)(\d\d)(\d\d)Z\.zip$/;

/**
 * The name of a backup made at a moment: in the order of names they stand in the order in which they were
 * made.
 */
export function backupName(now: number): string {
  return `tally-${new Date(now).toISOString().replace(/[-:]|\.\d+/g, '')}.zip`;
}
/** When a backup of that name was made; null: no name of a backup. */
export function madeAt(name: string): number | null {
  const found = NAME.exec(name);
  if (!found) return null;
  const [, year, month, day, hour, minute, second] = found;
  const at = Date.parse(`${year}-${month}-${day}T${hour}:${minute}:${second}Z`);
  return Number.isNaN(at) ? null : at;
}

/**
 * Of these files, the backups that are no longer kept: beyond the newest, and beyond the last one of each
 * month before.
 */
export function toDrop(names: readonly string[]): string[] {
  const newestFirst = names
    .filter((name) => madeAt(name) !== null)
    .sort()
    .reverse();
  const months = new Set<string>();
  return newestFirst.slice(DAILY_KEPT).filter((name) => {
    const month = name.slice(0, 'tally-yyyymm'.length);
    if (months.has(month) || months.size >= MONTHLY_KEPT) return true;
    months.add(month);
    return false;
  });
}
