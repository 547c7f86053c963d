import { chordMidi, parseKey } from '@aurora/core';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Outlet, useLocation, useNavigate, useParams } from 'react-router';
import { usePreferences } from '../api/preferences.ts';
import { useBand, useSong } from '../api/songs.ts';
import { FOURTH, stepKey } from '../session/key-view.ts';
import { keyInForce, lensSearch, useLens } from '../session/lens-store.ts';
import { neckPath } from '../session/rooms.ts';
import { openSheet } from '../session/sheet-store.ts';
import { useLensAddress } from '../session/use-lens-address.ts';
import { useShortcuts } from '../session/use-shortcuts.ts';
import { play, setStrum, setVolume, usePlayer } from '../transport/player.ts';
import { Button } from '../ui/Button.tsx';
import { OpenSheet } from './OpenSheet.tsx';
import { Rail } from './Rail.tsx';
import { TopBar } from './TopBar.tsx';

// the shelf, which opens first, needs none of these
const NeckDock = lazy(async () => ({ default: (await import('../parts/neck/NeckDock.tsx')).NeckDock }));
const WhyPanel = lazy(async () => ({ default: (await import('../parts/why/WhyPanel.tsx')).WhyPanel }));
const SaveState = lazy(async () => ({ default: (await import('./SaveState.tsx')).SaveState }));
const BandReaders = lazy(async () => ({ default: (await import('./BandReaders.tsx')).BandReaders }));
const loadCommandMenu = () => import('./CommandMenu.tsx');
const CommandMenu = lazy(async () => ({ default: (await loadCommandMenu()).CommandMenu }));

const COMMANDS_MS = 800;
const CHORD_BEATS = 3;
const CHORD_TEMPO = 80;

/** What stands around every room: the rail, the lenses, the neck and the why. */
export function Shell() {
  useLensAddress();
  const { songId } = useParams();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  // the shelf and the band have no one chord to look at, and the neck's own room is the neck
  const companions = pathname !== '/' && !pathname.endsWith('/neck') && !/\/band(\/|$)/.test(pathname);
  const { preferences, change } = usePreferences();
  const [menuOpen, setMenuOpen] = useState(false);
  const { selection, reader, naming } = useLens();
  const title = useOpenSong(songId);
  useAppearance(preferences.theme, preferences.volume);
  useEffect(() => setStrum(preferences.strum), [preferences.strum]);
  const ownNaming = reader.member?.reads.naming ?? null;
  useEffect(() => useLens.setState({ naming: ownNaming ?? preferences.naming }), [ownNaming, preferences.naming]);
  useEffect(() => {
    // fetched while nobody waits, so that the first letters typed after Ctrl-K are not lost
    const timer = window.setTimeout(() => void loadCommandMenu(), COMMANDS_MS);
    return () => window.clearTimeout(timer);
  }, []);

  const hear = () => selection !== null && void play('selection', [{ midi: chordMidi(selection.chord), beats: CHORD_BEATS }], CHORD_TEMPO);
  const turnTheme = () => change({ theme: preferences.theme === 'paper' ? 'night' : 'paper' });
  const openNeck = () => void navigate({ pathname: neckPath(songId), search: lensSearch(useLens.getState()) });
  const foldNeck = () => change({ showNeck: !preferences.showNeck });
  const foldWhy = () => change({ showWhy: !preferences.showWhy });
  const { setKey } = useLens.getState();
  useShortcuts({
    'Ctrl+k': () => setMenuOpen(true),
    '?': () => openSheet({ kind: 'keys' }),
    m: () => openSheet({ kind: 'names' }),
    g: () => openSheet({ kind: 'glossary', wanted: '' }),
    '[': () => setKey(stepKey(keyInForce(useLens.getState()), -1)),
    ']': () => setKey(stepKey(keyInForce(useLens.getState()), 1)),
    '{': () => setKey(stepKey(keyInForce(useLens.getState()), -FOURTH)),
    '}': () => setKey(stepKey(keyInForce(useLens.getState()), FOURTH)),
    '\\': () => setKey(null),
    ' ': hear,
    n: foldNeck,
    N: openNeck,
    w: foldWhy,
    d: turnTheme,
  });

  const readers = (
    <Suspense>
      <BandReaders />
    </Suspense>
  );
  // on the stand there is the chart and nothing else
  if (pathname.endsWith('/stand'))
    return (
      <>
        {readers}
        <Outlet />
      </>
    );
  return (
    <div className="flex h-full">
      {readers}
      <Rail songId={songId} theme={preferences.theme} onTheme={turnTheme} />
      <div className="flex min-w-0 flex-1 flex-col">
        <TopBar
          title={title.title}
          subtitle={
            songId === undefined ? (
              title.band
            ) : (
              <Suspense>
                <SaveState />
              </Suspense>
            )
          }
          scaleIsFree={songId === undefined}
          volume={preferences.volume}
          onVolume={(volume) => change({ volume })}
        />
        <div className="flex min-h-0 flex-1 max-lg:flex-col">
          <main className="min-h-0 min-w-0 flex-1 overflow-auto">
            <Outlet />
          </main>
          {companions && preferences.showWhy && (
            <Suspense>
              <WhyPanel selection={selection} reader={reader.reader} naming={naming} onHear={hear} onFold={foldWhy} />
            </Suspense>
          )}
        </div>
        <SoundFault />
        {companions && preferences.showNeck && (
          <Suspense>
            <NeckDock
              chord={selection?.chord ?? null}
              scale={selection?.scale ?? null}
              naming={naming}
              labels={preferences.neckLabels}
              onLabels={(neckLabels) => change({ neckLabels })}
              onFold={foldNeck}
            />
          </Suspense>
        )}
        {companions && <Folded showWhy={preferences.showWhy} showNeck={preferences.showNeck} onWhy={foldWhy} onNeck={foldNeck} />}
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

/** The open song's name, and its key as the home of the key lens. */
function useOpenSong(songId: string | undefined): { readonly title: string; readonly band: string } {
  const band = useBand().data?.name ?? '';
  const song = useSong(songId).data;
  const keyName = songId === undefined ? undefined : song?.key;
  useEffect(() => {
    const key = keyName === undefined ? undefined : parseKey(keyName);
    useLens.getState().setHomeKey(key?.ok ? key.value : null);
  }, [keyName]);
  const name = songId === undefined ? 'Aurora Ridge' : song === undefined ? ' ' : song.title || 'Song without a title';
  return { title: name, band };
}

function useAppearance(theme: string, volume: number): void {
  useEffect(() => {
    document.documentElement.dataset.theme = theme;
  }, [theme]);
  useEffect(() => setVolume(volume), [volume]);
}

function SoundFault() {
  const fault = usePlayer((state) => state.fault);
  return fault === null ? null : (
    <p role="status" className="border-t border-hairline bg-wash px-5 py-2 text-[15px]">
      {fault}
    </p>
  );
}

interface FoldedProps {
  readonly showWhy: boolean;
  readonly showNeck: boolean;
  readonly onWhy: () => void;
  readonly onNeck: () => void;
}

/** The way back to what is folded away. */
function Folded({ showWhy, showNeck, onWhy, onNeck }: FoldedProps) {
  if (showWhy && showNeck) return null;
  return (
    <div className="flex justify-end gap-2 border-t border-hairline bg-sheet px-4 py-1">
      {!showWhy && (
        <Button look="bare" onClick={onWhy}>
          Show the why
        </Button>
      )}
      {!showNeck && (
        <Button look="bare" onClick={onNeck}>
          Show the neck
        </Button>
      )}
    </div>
  );
}
