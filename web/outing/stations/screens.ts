import type { ComponentType } from 'react';
import type { Station } from '#core/vocabulary/stations';

/** The screen of each station: it costs nothing until it is opened. */
export const stationScreens: Record<Station, () => Promise<{ Component: ComponentType }>> = {
  brief: async () => ({ Component: (await import('./brief/BriefScreen')).BriefScreen }),
  kit: async () => ({ Component: (await import('./kit/KitScreen')).KitScreen }),
  workings: async () => ({ Component: (await import('./workings/WorkingsScreen')).WorkingsScreen }),
  stow: async () => ({ Component: (await import('./stow/StowScreen')).StowScreen }),
  'leave-word': async () => ({ Component: (await import('./word/WordScreen')).WordScreen }),
  'walk-round': async () => ({ Component: (await import('./walkround/WalkScreen')).WalkScreen }),
  ashore: async () => ({ Component: (await import('./ashore/AshoreScreen')).AshoreScreen }),
};

/** Fetches all that the screens of an outing are made of: a page that stays open then works without a network. */
export async function loadScreens(): Promise<void> {
  await Promise.all([
    ...Object.values(stationScreens).map((screen) => screen()),
    import('./brief/ConditionsTable'),
    import('./brief/ForecastLine'),
    import('./brief/ReadForecast'),
    import('../AskFigure'),
    import('../Reason'),
    import('../../documents/ConflictDialog'),
  ]);
}
