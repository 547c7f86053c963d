import { chordMidi } from '@aurora/core';
import { lazy, type ReactNode, Suspense, useEffect } from 'react';
import { Navigate, Outlet, useLocation, useNavigate, useParams } from 'react-router';
import { tellOpenBand } from '../api/chosen-band.ts';
import { NoBand, useBand, useSong } from '../api/songs.ts';
import { songName } from '../parts/song/song-name.ts';
import { foldsOf, setFolds, useDevice } from '../session/device-store.ts';
import { FOURTH, stepKey } from '../session/key-view.ts';
import { useLens } from '../session/lens.ts';
import { keyNow, lensLink, readsThroughLenses, setKey } from '../session/lens-store.ts';
import { useOpened } from '../session/opened.ts';
import { hasCompanions, isAlone, neckPath, roomAt, roomName, rooms } from '../session/rooms.ts';
import { openSheet } from '../session/sheet-store.ts';
import { usePhone } from '../session/use-media.ts';
import { useShortcuts } from '../session/use-shortcuts.ts';
import { useTheme, useThemeOnPage } from '../session/use-theme.ts';
import { play, setStrum, setVolume } from '../transport/player.ts';
import { HOUSE_WORDS } from '../wording/house.ts';
import { Companions, ROOM_ID } from './Companions.tsx';
import { loadCommandMenu, OpenSheet } from './OpenSheet.tsx';
import { Rail } from './Rail.tsx';
import { PageHead, TopBar } from './TopBar.tsx';
import { useIdle } from './use-idle.ts';

// the shelf, which opens first, needs none of these
const WaitingLine = lazy(async () => ({ default: (await import('./WaitingLine.tsx')).WaitingLine }));
const SaveState = lazy(async () => ({ default: (await import('./SaveState.tsx')).SaveState }));

const COMMANDS_MS = 800;
const CHORD_BEATS = 3;
const CHORD_TEMPO = 80;

/** What stands around every room: the way to the others, the lenses, the neck and the why. */
export function Shell() {
  const { pathname } = useLocation();
  useSound();
  const { error, data: band } = useBand();
  const bandId = band?.id;
  useEffect(() => {
    if (bandId !== undefined) tellOpenBand(bandId);
  }, [bandId]);
  if (isAlone(pathname))
    return (
      <>
        <Outlet />
        <OpenSheet songId={undefined} />
      </>
    );
  return error instanceof NoBand ? <Navigate to="/welcome" replace /> : <House />;
}

function House() {
  const { songId } = useParams();
  const { pathname } = useLocation();
  const names = useNames(songId, pathname);
  const isPhone = usePhone();
  const isIdle = useIdle();
  const { home } = useOpened();
  // in the band one key goes for what is seen only with an entry chosen
  const hasLenses = readsThroughLenses(pathname) || (/\/band(\/|$)/.test(pathname) && home !== null);
  useShellKeys(songId);
  useThemeOnPage(useTheme().theme);
  const subtitle = songId === undefined ? names.band : <SavedSong songId={songId} />;
  return (
    <div className="flex h-full phone:flex-col lying:flex-row flat:h-auto flat:min-h-full">
      <a
        href={`#${ROOM_ID}`}
        className="sr-only z-50 rounded-lg bg-accent px-4 py-3 font-semibold text-on-accent focus:not-sr-only focus:absolute focus:top-2 focus:left-2"
      >
        {HOUSE_WORDS.toTheRoom}
      </a>
      <Rail songId={songId} />
      <div className="flex min-h-0 min-w-0 flex-1 flex-col flat:block">
        <TopBar
          title={names.title}
          songId={songId}
          room={names.room}
          subtitle={subtitle}
          hasLenses={hasLenses}
          scaleIsFree={songId === undefined}
        />
        <Suspense>{isIdle && <WaitingLine />}</Suspense>
        <Companions
          shown={hasCompanions(pathname)}
          head={
            isPhone ? <PageHead title={names.title} songId={songId} room={names.room} subtitle={subtitle} hasLenses={hasLenses} /> : null
          }
        >
          <Outlet />
        </Companions>
      </div>
      <OpenSheet songId={songId} />
    </div>
  );
}

function SavedSong({ songId }: { readonly songId: string }): ReactNode {
  return (
    <Suspense>
      <SaveState songId={songId} />
    </Suspense>
  );
}

/** The keys that work everywhere. */
function useShellKeys(songId: string | undefined): void {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const { selection } = useLens();
  const { turn } = useTheme();
  const room = roomAt(pathname);
  useEffect(() => {
    // fetched while nobody waits, so that the first letters typed after Ctrl-K are not lost
    const timer = window.setTimeout(() => void loadCommandMenu(), COMMANDS_MS);
    return () => window.clearTimeout(timer);
  }, []);
  const step = (semitones: number) => () => setKey(stepKey(keyNow(), semitones));
  const go = (path: string) => void navigate(lensLink(path));
  const fold = (change: 'why' | 'neck') => () => {
    const folds = foldsOf(useDevice.getState(), room);
    setFolds(room, change === 'neck' ? { neck: !folds.neck } : { side: folds.side === 'why' ? null : 'why' });
  };
  useShortcuts({
    'Ctrl+k': () => openSheet({ kind: 'commands' }),
    '?': () => openSheet({ kind: 'keys' }),
    g: () => openSheet({ kind: 'glossary', wanted: '' }),
    ',': () => go('/settings'),
    '[': step(-1),
    ']': step(1),
    '{': step(-FOURTH),
    '}': step(FOURTH),
    '\\': () => setKey(null),
    ' ': () => selection !== null && void play('selection', [{ midi: chordMidi(selection.chord), beats: CHORD_BEATS }], CHORD_TEMPO),
    n: fold('neck'),
    N: () => go(neckPath(songId)),
    w: fold('why'),
    d: turn,
    ...Object.fromEntries(rooms(songId).map(({ path }, place) => [`Alt+Shift+${place + 1}`, () => go(path)])),
  });
}

interface Names {
  /** The open song's, or the room's. */
  readonly title: string;
  /** The room a song is open in; empty where the title says it. */
  readonly room: string;
  readonly band: string;
}

/** Where one is: the open song and the room, in the heading as in the page's own title. */
function useNames(songId: string | undefined, pathname: string): Names {
  const band = useBand().data?.name ?? '';
  const song = useSong(songId).data;
  const room = roomName(roomAt(pathname));
  const title = songId === undefined ? room : song === undefined ? ' ' : songName(song);
  useEffect(() => {
    document.title = songId === undefined ? HOUSE_WORDS.pageTitle(room) : `${title.trim() === '' ? HOUSE_WORDS.song : title} · ${room}`;
  }, [songId, title, room]);
  return { title, room: songId === undefined ? '' : room, band };
}

/** Everything sounds as this device likes it. */
function useSound(): void {
  const { volume, strum } = useDevice();
  useEffect(() => setVolume(volume), [volume]);
  useEffect(() => setStrum(strum), [strum]);
}
