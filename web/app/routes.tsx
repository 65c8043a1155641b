import { createBrowserRouter, matchPath, redirect } from 'react-router';
import { preload } from 'swr';
import { stationIds } from '#core/vocabulary/stations';
import { get } from '../documents/api';
import { REFERENCES, referenceStore } from '../documents/ReferenceStore';
import { stationScreens } from '../outing/stations/screens';
import { ScreenFailed } from '../documents/ScreenFailed';
import { NotFoundScreen } from '../ui/NotFoundScreen';
import { type LazyRoute, withRetry } from './withRetry';
import { Shell } from './Shell';

/** A page that opens on an outing asks for what its screens read while their code is still on its way. */
const opened = matchPath('/outings/:id/*', window.location.pathname)?.params.id;
if (opened !== undefined) {
  const asked = [
    preload(`/api/outings/${opened}`, get),
    preload(`/api/outings/${opened}/walk-round`, get),
    preload(REFERENCES, referenceStore.read),
  ];
  // A refusal is told where the answer is used.
  for (const one of asked) one.catch(() => undefined);
}

/** Every screen is lazy: a place costs nothing until it is opened. */
const screens: LazyRoute[] = [
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
      ...stationIds.map((id) => ({
        path: id === 'workings' ? 'workings/:sheetId?' : id,
        lazy: stationScreens[id],
        // A station that does not come leaves the outing, its other stations and its margin where they are.
        ErrorBoundary: ScreenFailed,
      })),
    ],
  },
  {
    path: 'along/:id',
    lazy: async () => ({ Component: (await import('../library/outings/AlongScreen')).AlongScreen }),
  },
  {
    path: 'locker',
    lazy: async () => ({ Component: (await import('../library/locker/LockerScreen')).LockerScreen }),
  },
  {
    path: 'first/you',
    lazy: async () => ({ Component: (await import('../library/first/FirstYouScreen')).FirstYouScreen }),
  },
  {
    path: 'first/boat',
    lazy: async () => ({ Component: (await import('../library/first/FirstBoatScreen')).FirstBoatScreen }),
  },
  {
    path: 'first/water',
    lazy: async () => ({ Component: (await import('../library/first/FirstWaterScreen')).FirstWaterScreen }),
  },
  {
    path: 'locker/own',
    lazy: async () => ({ Component: (await import('../library/locker/OwnScreen')).OwnScreen }),
  },
  {
    path: 'boats',
    lazy: async () => ({ Component: (await import('../library/boats/BoatsScreen')).BoatsScreen }),
  },
  {
    path: 'boats/new',
    lazy: async () => ({ Component: (await import('../library/first/FirstBoatScreen')).FirstBoatScreen }),
  },
  {
    path: 'boats/:boatId/:part?',
    lazy: async () => ({ Component: (await import('../library/boats/BoatScreen')).BoatScreen }),
  },
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
        lazy: async () => ({
          Component: (await import('../library/reference/needs/NeedsScreen')).NeedsScreen,
        }),
      },
      {
        path: 'limits',
        lazy: async () => ({
          Component: (await import('../library/reference/limits/LimitsScreen')).LimitsScreen,
        }),
      },
      {
        path: 'procedures',
        lazy: async () => ({
          Component: (await import('../library/reference/procedures/ProceduresScreen')).ProceduresScreen,
        }),
      },
      {
        path: 'practice',
        lazy: async () => ({
          Component: (await import('../library/reference/practice/PracticeScreen')).PracticeScreen,
        }),
      },
      {
        path: 'words',
        lazy: async () => ({
          Component: (await import('../library/reference/words/WordsScreen')).WordsScreen,
        }),
      },
      {
        path: 'rules',
        lazy: async () => ({
          Component: (await import('../library/reference/rules/RulesScreen')).RulesScreen,
        }),
      },
    ],
  },
  {
    path: 'settings',
    lazy: async () => ({ Component: (await import('../settings/SettingsScreen')).SettingsScreen }),
    children: [
      {
        index: true,
        lazy: async () => ({ Component: (await import('../settings/YouScreen')).YouScreen }),
      },
      {
        path: 'limits',
        lazy: async () => ({ Component: (await import('../settings/LimitsScreen')).LimitsScreen }),
      },
      {
        path: 'ashore',
        lazy: async () => ({ Component: (await import('../settings/AshoreScreen')).AshoreScreen }),
      },
      {
        path: 'device',
        lazy: async () => ({ Component: (await import('../settings/DeviceScreen')).DeviceScreen }),
      },
      {
        path: 'members',
        lazy: async () => ({ Component: (await import('../settings/MembersScreen')).MembersScreen }),
      },
      {
        path: 'data',
        lazy: async () => ({ Component: (await import('../settings/DataScreen')).DataScreen }),
      },
    ],
  },
  { path: '*', Component: NotFoundScreen },
];

export const router = createBrowserRouter([
  {
    Component: Shell,
    ErrorBoundary: ScreenFailed,
    HydrateFallback: Shell,
    // What fails below leaves the rail of places where it is.
    children: [{ ErrorBoundary: ScreenFailed, children: withRetry(screens) }],
  },
]);
