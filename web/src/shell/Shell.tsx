import { chordMidi } from '@aurora/core';
import { lazy, type ReactNode, Suspense, useEffect, useState } from 'react';
import { Outlet, useLocation, useNavigate, useParams } from 'react-router';
import { usePreferences } from '../api/preferences.ts';
import { useBand, useSong } from '../api/songs.ts';
import { FOURTH, stepKey } from '../session/key-view.ts';
import { useLens } from '../session/lens.ts';
import { keyNow, lensSearchNow, setKey } from '../session/lens-store.ts';
import { neckPath, roomAt } from '../session/rooms.ts';
import { openSheet } from '../session/sheet-store.ts';
import { useShortcuts } from '../session/use-shortcuts.ts';
import { play, setStrum, setVolume } from '../transport/player.ts';
import { Companions, Folded } from './Companions.tsx';
import { OpenSheet } from './OpenSheet.tsx';
import { Rail } from './Rail.tsx';
import { TopBar } from './TopBar.tsx';

// the shelf, which opens first, needs none of these
const SaveState = lazy(async () => ({ default: (await import('./SaveState.tsx')).SaveState }));
const loadCommandMenu = () => import('./CommandMenu.tsx');
const CommandMenu = lazy(async () => ({ default: (await loadCommandMenu()).CommandMenu }));

const COMMANDS_MS = 800;
const CHORD_BEATS = 3;
const CHORD_TEMPO = 80;

/** What stands around every room: the rail, the lenses, the neck and the why. */
export function Shell() {
  const { songId } = useParams();
  const { pathname } = useLocation();
  const { preferences, change } = usePreferences();
  const { menuOpen, setMenuOpen } = useShellKeys(songId);
  const names = useNames(songId, pathname);
  useAppearance();
  // on the stand there is the chart and nothing else
  if (pathname.endsWith('/stand')) return <Outlet />;
  // the shelf and the band have no one chord to look at, and the neck's own room is the neck
  const companions = pathname !== '/' && !pathname.endsWith('/neck') && !/\/band(\/|$)/.test(pathname);
  const saved = songId === undefined ? names.band : <SavedSong songId={songId} />;
  return (
    <div className="flex h-full">
      <Rail
        songId={songId}
        theme={preferences.theme}
        onTheme={() => change({ theme: preferences.theme === 'paper' ? 'night' : 'paper' })}
      />
      <div className="flex min-w-0 flex-1 flex-col">
        <TopBar
          title={names.title}
          subtitle={saved}
          scaleIsFree={songId === undefined}
          volume={preferences.volume}
          onVolume={(volume) => change({ volume })}
        />
        <Companions shown={companions}>
          <Outlet />
        </Companions>
        {companions && <Folded />}
      </div>
      <OpenSheet onNaming={(next) => change({ naming: next })} />
      {menuOpen && (
        <Suspense>
          <CommandMenu open={menuOpen} onOpenChange={setMenuOpen} songId={songId} />
        </Suspense>
      )}
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
function useShellKeys(songId: string | undefined) {
  const navigate = useNavigate();
  const { preferences, change } = usePreferences();
  const { selection } = useLens();
  const [menuOpen, setMenuOpen] = useState(false);
  useEffect(() => {
    // fetched while nobody waits, so that the first letters typed after Ctrl-K are not lost
    const timer = window.setTimeout(() => void loadCommandMenu(), COMMANDS_MS);
    return () => window.clearTimeout(timer);
  }, []);
  const step = (semitones: number) => () => setKey(stepKey(keyNow(), semitones));
  useShortcuts({
    'Ctrl+k': () => setMenuOpen(true),
    '?': () => openSheet({ kind: 'keys' }),
    m: () => openSheet({ kind: 'names' }),
    g: () => openSheet({ kind: 'glossary', wanted: '' }),
    '[': step(-1),
    ']': step(1),
    '{': step(-FOURTH),
    '}': step(FOURTH),
    '\\': () => setKey(null),
    ' ': () => selection !== null && void play('selection', [{ midi: chordMidi(selection.chord), beats: CHORD_BEATS }], CHORD_TEMPO),
    n: () => change({ showNeck: !preferences.showNeck }),
    N: () => void navigate({ pathname: neckPath(songId), search: lensSearchNow() }),
    w: () => change({ showWhy: !preferences.showWhy }),
    d: () => change({ theme: preferences.theme === 'paper' ? 'night' : 'paper' }),
  });
  return { menuOpen, setMenuOpen };
}

/** The open song's name, the band's, and both with the room in the page's own title. */
function useNames(songId: string | undefined, pathname: string): { readonly title: string; readonly band: string } {
  const band = useBand().data?.name ?? '';
  const song = useSong(songId).data;
  const title = songId === undefined ? 'Aurora Ridge' : song === undefined ? ' ' : song.title || 'Song without a title';
  const room = roomAt(pathname);
  useEffect(() => {
    document.title = songId === undefined ? `${room} · Aurora Ridge` : `${title.trim() === '' ? 'Song' : title} · ${room}`;
  }, [songId, title, room]);
  return { title, band };
}

/** The page's theme and its sound are as the band likes them. */
function useAppearance(): void {
  const { theme, volume, strum } = usePreferences().preferences;
  useEffect(() => {
    document.documentElement.dataset.theme = theme;
  }, [theme]);
  useEffect(() => setVolume(volume), [volume]);
  useEffect(() => setStrum(strum), [strum]);
}
