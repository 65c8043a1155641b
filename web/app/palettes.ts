/** Paper and ink by day, the same at night, and red on black beside the water. */
export const themeNames = ['paper', 'dark', 'half-light'] as const;
export type ThemeName = (typeof themeNames)[number];

export interface Inks {
  paper: string;
  raised: string;
  ink: string;
  slate: string;
  kelp: string;
  tide: string;
  clay: string;
  ochre: string;
  rule: string;
  faint: string;
}

export const inks: Record<ThemeName, Inks> = {
  paper: {
    paper: '#F7F4EC',
    raised: '#FFFDF7',
    ink: '#17303A',
    slate: '#56656D',
    kelp: '#3F5D4B',
    tide: '#256385',
    clay: '#A8481F',
    ochre: '#8A5A00',
    rule: '#CFC9B8',
    faint: '#CCC3AE',
  },
  dark: {
    paper: '#13222A',
    raised: '#1A2D36',
    ink: '#EEE9DC',
    slate: '#A8B6BC',
    kelp: '#9CC7AD',
    tide: '#8FC6E2',
    clay: '#F2A07D',
    ochre: '#E2B863',
    rule: '#36505B',
    faint: '#48606A',
  },
  'half-light': {
    paper: '#090101',
    raised: '#150504',
    ink: '#FF7D61',
    slate: '#E3664C',
    kelp: '#FF7D61',
    tide: '#FF8C72',
    clay: '#FF9A82',
    ochre: '#F07055',
    rule: '#571B12',
    faint: '#57190F',
  },
};
