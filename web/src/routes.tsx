import { PAGES, type Page } from '@aurora/wire';
import { createBrowserRouter, Navigate, type RouteObject } from 'react-router';
import { Home } from './rooms/shelf/Home.tsx';
import { LostPage, RoomFault } from './shell/RoomFault.tsx';
import { Shell } from './shell/Shell.tsx';

const lazyHarmonize = async () => ({ Component: (await import('./rooms/harmonize/Harmonize.tsx')).Harmonize });
const lazyAnalyze = async () => ({ Component: (await import('./rooms/analyze/AnalyzeRoom.tsx')).AnalyzeRoom });
const lazyScore = async () => ({ Component: (await import('./rooms/analyze/score/ScoreRoom.tsx')).ScoreRoom });
const lazyChart = async () => ({ Component: (await import('./rooms/chart/ChartRoom.tsx')).ChartRoom });
const lazyStand = async () => ({ Component: (await import('./rooms/stand/StandRoom.tsx')).StandRoom });
const lazyBand = async () => ({ Component: (await import('./rooms/band/BandRoom.tsx')).BandRoom });
const lazySetStand = async () => ({ Component: (await import('./rooms/stand/SetStand.tsx')).SetStand });
const lazySettings = async () => ({ Component: (await import('./rooms/settings/SettingsRoom.tsx')).SettingsRoom });
const lazyBegin = async () => ({ Component: (await import('./rooms/begin/BeginRoom.tsx')).BeginRoom });
const lazyPractice = async () => ({ Component: (await import('./rooms/practice/PracticeRoom.tsx')).PracticeRoom });
const lazySession = async () => ({ Component: (await import('./rooms/practice/session/SessionPage.tsx')).SessionPage });
const lazyNeck = async () => ({ Component: (await import('./rooms/neck/NeckRoom.tsx')).NeckRoom });

const lazyYou = async () => ({ Component: (await import('./rooms/you/YouRoom.tsx')).YouRoom });
const lazyWelcome = async () => ({ Component: (await import('./rooms/door/Welcome.tsx')).Welcome });
const lazyNewBand = async () => ({ Component: (await import('./rooms/door/NewBandPage.tsx')).NewBandPage });
const lazyJoin = async () => ({ Component: (await import('./rooms/door/JoinPage.tsx')).JoinPage });
const lazyOpenLink = async () => ({ Component: (await import('./rooms/door/OpenLinkPage.tsx')).OpenLinkPage });
const lazyFirstBand = async () => ({ Component: (await import('./rooms/door/FirstBandPage.tsx')).FirstBandPage });
const lazySent = async () => ({ Component: (await import('./rooms/stand/SentPage.tsx')).SentPage });
const lazyMailbox = async () => ({ Component: (await import('./rooms/door/MailboxPage.tsx')).MailboxPage });

/** The parts in their states, for who builds them; a built application has no such page. */
const FOR_DEVELOPERS = import.meta.env.DEV
  ? [{ path: 'dev/parts', lazy: async () => ({ Component: (await import('./dev/PartsPage.tsx')).PartsPage }) }]
  : [];

const ROOMS: Readonly<Record<Page, Pick<RouteObject, 'Component' | 'element' | 'lazy'>>> = {
  '': { Component: Home },
  harmonize: { lazy: lazyHarmonize },
  analyze: { lazy: lazyAnalyze },
  'analyze/score/:pieceId?': { lazy: lazyScore },
  chart: { lazy: lazyChart },
  'band/stand': { lazy: lazySetStand },
  'band/:part?': { lazy: lazyBand },
  'practice/session': { lazy: lazySession },
  'practice/:part?': { lazy: lazyPractice },
  neck: { lazy: lazyNeck },
  settings: { lazy: lazySettings },
  begin: { lazy: lazyBegin },
  you: { lazy: lazyYou },
  welcome: { lazy: lazyWelcome },
  'welcome/band': { lazy: lazyNewBand },
  join: { lazy: lazyJoin },
  open: { lazy: lazyOpenLink },
  first: { lazy: lazyFirstBand },
  mailbox: { lazy: lazyMailbox },
  read: { lazy: lazySent },
  'songs/:songId': { element: <Navigate to="chart" replace /> },
  'songs/:songId/harmonize': { lazy: lazyHarmonize },
  'songs/:songId/analyze': { lazy: lazyAnalyze },
  'songs/:songId/chart': { lazy: lazyChart },
  'songs/:songId/band/:part?': { lazy: lazyBand },
  'songs/:songId/neck': { lazy: lazyNeck },
  'songs/:songId/stand': { lazy: lazyStand },
};

/** Where each room is. The open song is part of the address, so that a link opens it again. */
export const router = createBrowserRouter([
  {
    path: '/',
    Component: Shell,
    ErrorBoundary: RoomFault,
    HydrateFallback: () => null,
    children: [
      ...PAGES.map((path) => (path === '' ? { index: true, ...ROOMS[path] } : { path, ...ROOMS[path] })),
      ...FOR_DEVELOPERS,
      { path: '*', Component: LostPage },
    ],
  },
]);
