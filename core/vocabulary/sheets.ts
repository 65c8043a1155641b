/** The sheets of the Workings, in the order in which they are shown. */
export const sheets = {
  rigs: 'Rigs',
  jig: 'Jig mass',
  spares: 'Spares',
  spread: 'Spread',
  anchor: 'Anchor',
  drift: 'Drift',
  power: 'Power',
  supplies: 'Water and food',
  ice: 'Ice',
  cold: 'Cold and heat',
} as const;
export type SheetId = keyof typeof sheets;
export const sheetIds = Object.keys(sheets) as SheetId[];
