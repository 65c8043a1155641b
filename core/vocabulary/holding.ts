/** What an anchor or a pole is asked to hold in. */
export const bottoms = ['mud', 'sand', 'gravel', 'weed', 'rock'] as const;
export type Bottom = (typeof bottoms)[number];

/** Where the rode is led to. */
export const alignments = ['bow', 'stern', 'beam'] as const;
export type Alignment = (typeof alignments)[number];
