import { createBrowserRouter, redirect } from 'react-router';
import { Lost } from '../ui/Lost';
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
        lazy: async () => ({ Component: (await import('../library/outings/OutingsScreen')).OutingsScreen }),
      },
      {
        path: 'outings/:outingId',
        lazy: async () => ({ Component: (await import('../outing/OutingScreen')).OutingScreen }),
        children: [
          { index: true, loader: ({ params }) => redirect(`/outings/${params.outingId ?? ''}/brief`) },
          {
            path: 'brief',
            lazy: async () => ({ Component: (await import('../outing/stations/brief/BriefScreen')).BriefScreen }),
          },
          {
            path: 'kit',
            lazy: async () => ({ Component: (await import('../outing/stations/kit/KitScreen')).KitScreen }),
          },
          {
            path: 'workings/:sheetId?',
            lazy: async () => ({
              Component: (await import('../outing/stations/workings/WorkingsScreen')).WorkingsScreen,
            }),
          },
          {
            path: 'walk-round',
            lazy: async () => ({ Component: (await import('../outing/stations/walkround/WalkScreen')).WalkScreen }),
          },
          {
            path: 'ashore',
            lazy: async () => ({ Component: (await import('../outing/stations/ashore/AshoreScreen')).AshoreScreen }),
          },
        ],
      },
      {
        path: 'locker',
        lazy: async () => ({ Component: (await import('../library/locker/LockerScreen')).LockerScreen }),
      },
      { path: 'boats', lazy: async () => ({ Component: (await import('../library/boats/BoatsScreen')).BoatsScreen }) },
      {
        path: 'waters',
        lazy: async () => ({ Component: (await import('../library/waters/WatersScreen')).WatersScreen }),
      },
      {
        path: 'waters/:waterId',
        lazy: async () => ({ Component: (await import('../library/waters/WaterScreen')).WaterScreen }),
      },
      {
        path: 'reference',
        lazy: async () => ({ Component: (await import('../library/reference/ReferenceScreen')).ReferenceScreen }),
        children: [
          { index: true, loader: () => redirect('/reference/species') },
          {
            path: 'species/:speciesId?',
            lazy: async () => ({
              Component: (await import('../library/reference/species/SpeciesScreen')).SpeciesScreen,
            }),
          },
          {
            path: 'needs',
            lazy: async () => ({ Component: (await import('../library/reference/needs/NeedsScreen')).NeedsScreen }),
          },
          {
            path: 'practice',
            lazy: async () => ({
              Component: (await import('../library/reference/practice/PracticeScreen')).PracticeScreen,
            }),
          },
          {
            path: 'words',
            lazy: async () => ({ Component: (await import('../library/reference/words/WordsScreen')).WordsScreen }),
          },
          {
            path: 'rules',
            lazy: async () => ({ Component: (await import('../library/reference/rules/RulesScreen')).RulesScreen }),
          },
        ],
      },
      {
        path: 'settings',
        lazy: async () => ({ Component: (await import('../settings/SettingsScreen')).SettingsScreen }),
      },
      { path: '*', Component: Lost },
    ],
  },
]);
