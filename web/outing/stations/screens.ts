import type { ComponentType } from 'react';
import type { Station } from '#core/vocabulary/stations';
import { outingFilesAddress } from '../../offline/build';

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

/**
 * Fetches all that the screens of an outing are made of, by the list that the build wrote: a page that stays
 * open then works without a network. Modules are read now and stay with the page; workers are fetched, and
 * start from what the browser keeps of them.
 */
export async function loadScreens(): Promise<void> {
  const address = outingFilesAddress();
  if (address === null) {
    await Promise.all(Object.values(stationScreens).map((screen) => screen()));
    return;
  }
  const list = await fetch(address);
  if (!list.ok) throw new Error('The list of screens did not come.');
  const { modules, workers } = (await list.json()) as { modules: string[]; workers: string[] };
  await Promise.all([
    ...modules.map((file) => import(/* @vite-ignore */ file) as Promise<unknown>),
    ...workers.map(async (file) => {
      const reply = await fetch(file);
      if (!reply.ok) throw new Error(`${file} did not come.`);
      await reply.arrayBuffer();
    }),
  ]);
}
