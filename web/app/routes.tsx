import { createBrowserRouter, redirect } from 'react-router';
import { Lost } from '../parts/Lost';
import { Shell } from './Shell';

/** Every screen is lazy: a place costs nothing until it is opened. */
export const router = createBrowserRouter([
  {
    Component: Shell,
    ErrorBoundary: Lost,
    HydrateFallback: () => null,
    children: [
      { index: true, loader: () => redirect('/outings') },
      {
        path: 'outings',
        lazy: async () => ({ Component: (await import('../features/outings/OutingsScreen')).OutingsScreen }),
      },
      {
        path: 'outings/:outingId',
        lazy: async () => ({ Component: (await import('../features/outing/OutingScreen')).OutingScreen }),
        children: [
          { index: true, loader: ({ params }) => redirect(`/outings/${params.outingId ?? ''}/brief`) },
          {
            path: 'brief',
            lazy: async () => ({ Component: (await import('../features/brief/BriefScreen')).BriefScreen }),
          },
          { path: 'kit', lazy: async () => ({ Component: (await import('../features/kit/KitScreen')).KitScreen }) },
          {
            path: 'workings/:sheetId?',
            lazy: async () => ({ Component: (await import('../features/workings/WorkingsScreen')).WorkingsScreen }),
          },
          {
            path: 'walk-round',
            lazy: async () => ({ Component: (await import('../features/walkround/WalkScreen')).WalkScreen }),
          },
          {
            path: 'ashore',
            lazy: async () => ({ Component: (await import('../features/ashore/AshoreScreen')).AshoreScreen }),
          },
        ],
      },
      {
        path: 'locker',
        lazy: async () => ({ Component: (await import('../features/locker/LockerScreen')).LockerScreen }),
      },
      { path: 'boats', lazy: async () => ({ Component: (await import('../features/boats/BoatsScreen')).BoatsScreen }) },
      {
        path: 'waters',
        lazy: async () => ({ Component: (await import('../features/waters/WatersScreen')).WatersScreen }),
      },
      {
        path: 'waters/:waterId',
        lazy: async () => ({ Component: (await import('../features/waters/WaterScreen')).WaterScreen }),
      },
      {
        path: 'reference',
        lazy: async () => ({ Component: (await import('../features/reference/ReferenceScreen')).ReferenceScreen }),
        children: [
          { index: true, loader: () => redirect('/reference/species') },
          {
            path: 'species/:speciesId?',
            lazy: async () => ({ Component: (await import('../features/species/SpeciesScreen')).SpeciesScreen }),
          },
          {
            path: 'needs',
            lazy: async () => ({ Component: (await import('../features/needs/NeedsScreen')).NeedsScreen }),
          },
          {
            path: 'practice',
            lazy: async () => ({ Component: (await import('../features/practice/PracticeScreen')).PracticeScreen }),
          },
          {
            path: 'words',
            lazy: async () => ({ Component: (await import('../features/words/WordsScreen')).WordsScreen }),
          },
          {
            path: 'rules',
            lazy: async () => ({ Component: (await import('../features/rules/RulesScreen')).RulesScreen }),
          },
        ],
      },
      {
        path: 'settings',
        lazy: async () => ({ Component: (await import('../features/settings/SettingsScreen')).SettingsScreen }),
      },
      { path: '*', Component: Lost },
    ],
  },
]);
