import type { Instrument, Path, PathChord, PathLimits } from '@aurora/core';
import { useEffect, useState } from 'react';
import { type PathJob, startPath } from '../neck-engine.ts';

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
  const [job, setJob] = useState<PathJob | null>(null);
  const [round, setRound] = useState(0);
  const asked = JSON.stringify([chords, limits, instrument, round]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: `asked` stands for the values, which are new objects at every drawing
  useEffect(() => {
    if (chords.length === 0) {
      setPath(null);
      return;
    }
    let started: PathJob | null = null;
    const timer = window.setTimeout(() => {
      setStopped(false);
      setProgress(0);
      started = startPath(chords, limits, instrument, setProgress);
      setJob(started);
      void started.done.then((found) => {
        setProgress(null);
        if (found !== null) setPath(found);
      });
    }, PAUSE_MS);
    return () => {
      window.clearTimeout(timer);
      started?.stop();
    };
  }, [asked]);
  return {
    path,
    progress,
    stopped,
    stop: () => {
      job?.stop();
      setStopped(true);
      setProgress(null);
    },
    again: () => setRound(round + 1),
  };
}
