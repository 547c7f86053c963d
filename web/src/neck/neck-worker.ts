import {
  type CapoOption,
  type CapoWish,
  type Chord,
  type Colour,
  easierByColour,
  type Family,
  findVoicings,
  type Instrument,
  type Key,
  type KeyShape,
  type KeyShapesWish,
  keyAlongNeck,
  keyInPosition,
  type Path,
  type PathChord,
  type PathLimits,
  planCapo,
  readChart,
  solvePath,
  type Voicing,
  type VoicingSearch,
  type VoicingWish,
} from '@aurora/core';
import { expose } from 'comlink';

/** How long the worker goes on before it listens for a stop. */
const SLICE_MS = 24;

const stopped = new Set<number>();

/** The heavy work of the neck, away from the page. */
const worker = {
  search(chord: Chord, instrument: Instrument, wish: VoicingWish): VoicingSearch {
    return findVoicings(chord, instrument, wish);
  },
  colours(voicing: Voicing, key: Key, instrument: Instrument): readonly Colour[] {
    return easierByColour(voicing, key, instrument);
  },
  along(key: Key, wish: KeyShapesWish, instrument: Instrument): readonly KeyShape[] {
    return keyAlongNeck(key, wish, instrument);
  },
  inPosition(key: Key, family: Family, position: number, instrument: Instrument): readonly KeyShape[] {
    return keyInPosition(key, family, position, instrument);
  },
  capo(source: string, wish: CapoWish): readonly CapoOption[] {
    return planCapo(readChart(source), wish);
  },
  /** Null when it was stopped. */
  async path(
    job: number,
    asked: { readonly chords: readonly PathChord[]; readonly limits: PathLimits; readonly instrument: Instrument },
    onProgress: (share: number) => void,
  ): Promise<Path | null> {
    const work = solvePath(asked.chords, asked.limits, asked.instrument);
    let since = performance.now();
    for (;;) {
      const { done, value } = work.next();
      if (done) return value;
      if (performance.now() - since < SLICE_MS) continue;
      onProgress(value);
      await new Promise((resolve) => setTimeout(resolve));
      if (stopped.delete(job)) return null;
      since = performance.now();
    }
  },
  stop(job: number): void {
    stopped.add(job);
  },
};

export type NeckWorker = typeof worker;

expose(worker);
