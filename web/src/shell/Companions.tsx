import { chordMidi } from '@aurora/core';
import { lazy, type ReactNode, Suspense } from 'react';
import { usePreferences } from '../api/preferences.ts';
import { useLens } from '../session/lens.ts';
import { play, usePlayer } from '../transport/player.ts';
import { Button } from '../ui/Button.tsx';

const NeckDock = lazy(async () => ({ default: (await import('../parts/neck/NeckDock.tsx')).NeckDock }));
const WhyPanel = lazy(async () => ({ default: (await import('../parts/why/WhyPanel.tsx')).WhyPanel }));

const CHORD_BEATS = 3;
const CHORD_TEMPO = 80;

/** The room with its companions: the why beside it, the neck under it. */
export function Companions({ shown, children }: { readonly shown: boolean; readonly children: ReactNode }) {
  const { preferences, change } = usePreferences();
  const { selection, reader, naming } = useLens();
  const hear = () => selection !== null && void play('selection', [{ midi: chordMidi(selection.chord), beats: CHORD_BEATS }], CHORD_TEMPO);
  return (
    <>
      <div className="flex min-h-0 flex-1 max-lg:flex-col">
        <main className="min-h-0 min-w-0 flex-1 overflow-auto">{children}</main>
        {shown && preferences.showWhy && (
          <Suspense>
            <WhyPanel
              selection={selection}
              reader={reader.reader}
              naming={naming}
              onHear={hear}
              onFold={() => change({ showWhy: false })}
            />
          </Suspense>
        )}
      </div>
      <SoundFault />
      {shown && preferences.showNeck && (
        <Suspense>
          <NeckDock
            chord={selection?.chord ?? null}
            scale={selection?.scale ?? null}
            naming={naming}
            labels={preferences.neckLabels}
            onLabels={(neckLabels) => change({ neckLabels })}
            onFold={() => change({ showNeck: false })}
          />
        </Suspense>
      )}
    </>
  );
}

/** Why nothing sounds. */
function SoundFault() {
  const fault = usePlayer((state) => state.fault);
  return fault === null ? null : (
    <p role="status" className="border-t border-hairline bg-wash px-5 py-2 text-base">
      {fault}
    </p>
  );
}

/** The way back to what is folded away. */
export function Folded() {
  const { preferences, change } = usePreferences();
  const { showWhy, showNeck } = preferences;
  if (showWhy && showNeck) return null;
  return (
    <div className="flex justify-end gap-2 border-t border-hairline bg-sheet px-4 py-1">
      {!showWhy && (
        <Button look="bare" onClick={() => change({ showWhy: true })}>
          Show the why
        </Button>
      )}
      {!showNeck && (
        <Button look="bare" onClick={() => change({ showNeck: true })}>
          Show the neck
        </Button>
      )}
    </div>
  );
}
