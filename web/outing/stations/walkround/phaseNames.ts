import type { Step } from '#core/walkround/steps';

export const phaseNames: Record<Step['phase'], string> = {
  evening: 'The evening before',
  vehicle: 'At the vehicle',
  boat: 'Bow to stern',
  body: 'Head to foot',
  gate: 'At the gate',
};
