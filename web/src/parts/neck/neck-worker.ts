import {
  type CapoOption,
  type CapoPair,
  type CapoWish,
  type Chord,
  type Colour,
  easierByColour,
  easierChords,
  type Family,
  findVoicings,
  type GuitarKindness,
  guitarKindness,
  type HardChord,
  type Instrument,
  type Key,
  type KeyDepth,
  type KeyShape,
  type KeyShapesWish,
  keyAlongNeck,
  keyInOpenChords,
  keyInPosition,
  ladderShapes,
  moveKey,
  type Note,
  type OpenKeyShape,
  type Path,
  type PathChord,
  type PathLimits,
  pairCapos,
  planCapo,
  planSetCapos,
  readChart,
  solvePath,
  type Voicing,
  type VoicingSearch,
  type VoicingWish,
} from '@aurora/core';
import { expose } from 'comlink';

/** How long the worker goes on before it listens for a stop. */
const SLICE_MS = 24;

/** A song with the home tonic it is played on. */
export interface SongInKey {
  readonly source: string;
  readonly tonic: Note;
}

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
  inPosition(key: Key, family: Family, depth: KeyDepth, position: number, instrument: Instrument): readonly KeyShape[] {
    return keyInPosition(key, { family, depth }, position, instrument);
  },
  ladder(root: Note, wish: Omit<KeyShapesWish, 'depth'>, instrument: Instrument): readonly KeyShape[] {
    return ladderShapes(root, wish, instrument);
  },
  openChords(key: Key, depth: KeyDepth, instrument: Instrument): readonly OpenKeyShape[] {
    return keyInOpenChords(key, depth, instrument);
  },
  capo(source: string, wish: CapoWish): readonly CapoOption[] {
    return planCapo(readChart(source), wish);
  },
  /** The kindest capo's score in each of the twelve keys, counted up from the song's own; the worst of all guitars. */
  guitarKindness(source: string, wishes: readonly CapoWish[]): readonly (GuitarKindness | null)[] {
    const reading = readChart(source);
    return Array.from({ length: 12 }, (_, semitones) => {
      const { tonic } = moveKey(reading.head.key, semitones);
      return guitarKindness(wishes.map((wish) => planCapo(reading, { ...wish, tonic })));
    });
  },
  /** A fret for every song of a set with the fewest moves; null where there is a break. */
  setCapos(songs: readonly (SongInKey | null)[], wish: CapoWish): readonly (number | null)[] {
    const plans = songs.map((song) => (song === null ? null : planCapo(readChart(song.source), { ...wish, tonic: song.tonic })));
    return planSetCapos(plans).map((one) => one?.option.fret ?? null);
  },
  /** Chords held closed with a capo at a fret, with easier ones. */
  easier(source: string, wish: CapoWish, fret: number): readonly HardChord[] {
    return easierChords(readChart(source), wish, fret);
  },
  /** The best pairs of frets for two guitars. */
  pairs(source: string, first: CapoWish, second: CapoWish, most: number): readonly CapoPair[] {
    const reading = readChart(source);
    return pairCapos(planCapo(reading, first), planCapo(reading, second)).slice(0, most);
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
