import { createBrowserRouter, Navigate } from 'react-router';
import { Shelf } from './rooms/shelf/Shelf.tsx';
import { LostPage, RoomFault } from './shell/RoomFault.tsx';
import { Shell } from './shell/Shell.tsx';

const lazyHarmonize = async () => ({ Component: (await import('./rooms/harmonize/Harmonize.tsx')).Harmonize });
const lazyAnalyze = async () => ({ Component: (await import('./rooms/analyze/AnalyzeRoom.tsx')).AnalyzeRoom });
const lazyChart = async () => ({ Component: (await import('./rooms/chart/ChartRoom.tsx')).ChartRoom });
const lazyStand = async () => ({ Component: (await import('./rooms/stand/StandRoom.tsx')).StandRoom });
const lazyBand = async () => ({ Component: (await import('./rooms/band/BandRoom.tsx')).BandRoom });
const lazySetStand = async () => ({ Component: (await import('./rooms/stand/SetStand.tsx')).SetStand });
const lazySettings = async () => ({ Component: (await import('./rooms/settings/SettingsRoom.tsx')).SettingsRoom });
const lazyBegin = async () => ({ Component: (await import('./rooms/begin/BeginRoom.tsx')).BeginRoom });
const lazyNeck = async () => ({ Component: (await import('./rooms/neck/NeckRoom.tsx')).NeckRoom });

/** The parts in their states, for who builds them; a built application has no such page. */
const FOR_DEVELOPERS = import.meta.env.DEV
  ? [{ path: 'dev/parts', lazy: async () => ({ Component: (await import('./dev/PartsPage.tsx')).PartsPage }) }]
  : [];

/** Where each room is. The open song is part of the address, so that a link opens it again. */
export const router = createBrowserRouter([
  {
    path: '/',
    Component: Shell,
    ErrorBoundary: RoomFault,
    HydrateFallback: () => null,
    children: [
      { index: true, Component: Shelf },
      { path: 'harmonize', lazy: lazyHarmonize },
      { path: 'analyze', lazy: lazyAnalyze },
      { path: 'chart', lazy: lazyChart },
      { path: 'band/stand', lazy: lazySetStand },
      { path: 'band/:part?', lazy: lazyBand },
      { path: 'neck', lazy: lazyNeck },
      { path: 'settings', lazy: lazySettings },
      { path: 'begin', lazy: lazyBegin },
      { path: 'songs/:songId', element: <Navigate to="chart" replace /> },
      { path: 'songs/:songId/harmonize', lazy: lazyHarmonize },
      { path: 'songs/:songId/analyze', lazy: lazyAnalyze },
      { path: 'songs/:songId/chart', lazy: lazyChart },
      { path: 'songs/:songId/band/:part?', lazy: lazyBand },
      { path: 'songs/:songId/neck', lazy: lazyNeck },
      { path: 'songs/:songId/stand', lazy: lazyStand },
      ...FOR_DEVELOPERS,
      { path: '*', Component: LostPage },
    ],
  },
]);
