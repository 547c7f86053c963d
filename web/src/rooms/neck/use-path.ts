import type { Instrument, Path, PathChord, PathLimits } from '@aurora/core';
import { useEffect, useRef, useState } from 'react';
import { startPath } from '../../parts/neck/neck-engine.ts';

export interface PathState {
  readonly path: Path | null;
  /** From 0 to 1 while it is looked for, else null. */
  readonly progress: number | null;
  readonly stopped: boolean;
  readonly stop: () => void;
  readonly again: () => void;
}

const PAUSE_MS = 200;

/** The path through the chords under the limits, looked for anew a moment after something changes. */
export function usePath(chords: readonly PathChord[], limits: PathLimits, instrument: Instrument): PathState {
  const [path, setPath] = useState<Path | null>(null);
  const [progress, setProgress] = useState<number | null>(null);
  const [stopped, setStopped] = useState(false);
  const [round, setRound] = useState(0);
  /** Ends the search that is on; words of a search that has ended come too late and are not heard. */
  const end = useRef<() => void>(() => undefined);
  const asked = JSON.stringify([chords, limits, instrument, round]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: `asked` stands for the values, which are new objects at every drawing
  useEffect(() => {
    if (chords.length === 0) {
      setPath(null);
      return;
    }
    const timer = window.setTimeout(() => {
      setStopped(false);
      setProgress(0);
      end.current = search(chords, limits, instrument, { onProgress: setProgress, onFound: setPath });
    }, PAUSE_MS);
    return () => {
      window.clearTimeout(timer);
      end.current();
      setProgress(null);
    };
  }, [asked]);
  return {
    path,
    progress,
    stopped,
    stop: () => {
      end.current();
      setStopped(true);
      setProgress(null);
    },
    again: () => setRound(round + 1),
  };
}

interface Listener {
  readonly onProgress: (share: number | null) => void;
  readonly onFound: (path: Path) => void;
}

/** Starts a search and gives what ends it. */
function search(chords: readonly PathChord[], limits: PathLimits, instrument: Instrument, { onProgress, onFound }: Listener): () => void {
  let live = true;
  const job = startPath(chords, limits, instrument, (share) => live && onProgress(share));
  void job.done.then((found) => {
    if (!live) return;
    onProgress(null);
    if (found !== null) onFound(found);
  });
  return () => {
    live = false;
    job.stop();
  };
}
