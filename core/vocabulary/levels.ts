/** How loud a finding is, the loudest first. */
export const findingLevels = ['stop', 'mind', 'note'] as const;
export type FindingLevel = (typeof findingLevels)[number];
/** What people read for it. */
export const levelNames: Record<FindingLevel, string> = { stop: 'Stop', mind: 'Mind', note: 'Note' };
