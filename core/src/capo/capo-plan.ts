import { type ChartReading, lettersFrom } from '../chart/reading.ts';
import type { BARRE_LEVELS } from '../choices.ts';
import { type Chord, transposeChord } from '../chord/chord.ts';
import type { NumberChord } from '../degree/degree.ts';
import { type Instrument, MOST_CAPO, STANDARD_GUITAR, tuningOffset } from '../fretboard/instrument.ts';
import type { Key } from '../key/key.ts';
import { type Note, withoutDoubles } from '../pitch/note.ts';
import { CONCERT_READER, writtenKey } from '../reader/reader.ts';
import { type ChordHold, easiestHold } from './hold.ts';

/** How a player stands with barre chords. */
export type BarreLevel = (typeof BARRE_LEVELS)[number];

/** What is asked of the planner; what is left out is the usual. */
export interface CapoWish {
  /** The home tonic that sounds; the chart's own when left out. */
  readonly tonic?: Note;
  /** The highest fret a capo may go to, 0–11. */
  readonly maxFret?: number;
  /** Half steps the strings are tuned away from what the shapes are called after: a half step down is −1. */
  readonly tuning?: number;
  readonly level?: BarreLevel;
  readonly instrument?: Instrument;
}

/**
 * What a player's own instrument means for the planner: strings tuned down or up together keep the
 * standard shapes and sound lower or higher; any other tuning has shapes of its own.
 */
export function wishOf(instrument: Instrument): Required<Pick<CapoWish, 'tuning' | 'instrument'>> {
  const tuning = tuningOffset(instrument.tuning);
  return { tuning, instrument: tuning === 0 ? instrument : { ...instrument, tuning: STANDARD_GUITAR.tuning } };
}

/** A chord of the song under the hand. */
export interface CapoShape {
  readonly sounding: Chord;
  readonly shape: Chord;
  readonly hold: ChordHold;
  /** For how many beats it sounds, as the song is played. */
  readonly beats: number;
}

/** The song with the capo at one fret. */
export interface CapoOption {
  readonly fret: number;
  /** Half steps the strings are tuned away from what the shapes are called after. */
  readonly tuning: number;
  readonly shapeKey: Key;
  readonly soundingKey: Key;
  /** Every chord once, in the order the chart brings them. */
  readonly shapes: readonly CapoShape[];
  /** The share of the time that open chords sound, 0–1. */
  readonly openShare: number;
  readonly hardest: CapoShape | null;
  /** What a beat of the song asks for on the average, with what the capo costs where it sits. */
  readonly cost: number;
  /** The same the other way round: 100 for a song that plays itself, 0 at worst. */
  readonly score: number;
}

/** Every fret a capo can sit at, the kindest first. The suffix of a chord never changes, only its root and bass. */
export function planCapo(reading: ChartReading, wish: CapoWish = {}): readonly CapoOption[] {
  const soundingKey: Key = { tonic: wish.tonic ?? reading.head.key.tonic, scale: reading.head.key.scale };
  const heard = chordsHeard(reading, soundingKey.tonic);
  const highest = Math.min(MOST_CAPO, Math.max(0, wish.maxFret ?? MOST_CAPO));
  const options = Array.from({ length: highest + 1 }, (_, fret) => optionAt(fret, { reading, soundingKey, heard }, wish));
  return options.sort((a, b) => a.cost - b.cost || a.fret - b.fret);
}

interface HeardChord {
  readonly chord: Chord;
  /** The chord as it is counted, and the key of the chart it first stands in. */
  readonly number: NumberChord;
  readonly stretch: number;
  readonly beats: number;
}

/** The song as it sounds. */
interface HeardSong {
  readonly reading: ChartReading;
  readonly soundingKey: Key;
  readonly heard: readonly HeardChord[];
}

/** The song's chords in the sounding key, each once, with how long it sounds as the form is played. */
function chordsHeard(reading: ChartReading, tonic: Note): readonly HeardChord[] {
  const letters = lettersFrom(reading, tonic);
  const times = new Map<number, number>();
  for (const bar of reading.performance.order) times.set(bar, (times.get(bar) ?? 0) + 1);
  const heard = new Map<string, HeardChord>();
  reading.bars.forEach((bar, index) => {
    for (const { chord, beats } of bar.chords) {
      if (chord === null) continue;
      const sounding = letters.chordIn(chord, bar.stretch);
      const name = `${sounding.root} ${sounding.formula} ${sounding.bass}`;
      const more = (beats ?? bar.meter.beats / bar.chords.length) * (times.get(index) ?? 0);
      const known = heard.get(name) ?? { chord: sounding, number: chord, stretch: bar.stretch, beats: 0 };
      heard.set(name, { ...known, beats: known.beats + more });
    }
  });
  return [...heard.values()];
}

/** A shape is held, not spelled: where its root would need two signs it goes by its plain name. */
function withoutDoubleSigns(shape: Chord): Chord {
  const named = transposeChord(shape, withoutDoubles(shape.root) - shape.root);
  return named.bass === null ? named : { ...named, bass: withoutDoubles(named.bass) };
}

/** A closed shape right at the nut or the capo, where the strings are stiffest. */
const NUT_BARRE_COST = 0.6;

function liesAtNut({ frets }: ChordHold): boolean {
  return frets !== null && Math.min(...frets.filter((fret): fret is number => fret !== null && fret > 0)) === 1;
}

/** What a closed shape costs a player on top of its difficulty. */
const BARRE_COST: Readonly<Record<BarreLevel, number>> = { none: 30, some: 4, any: 0 };

function optionAt(fret: number, { reading, soundingKey, heard }: HeardSong, wish: CapoWish): CapoOption {
  const reader = { ...CONCERT_READER, capo: fret, tuning: wish.tuning ?? 0 };
  const shapeKey = writtenKey(reader, soundingKey);
  // every key of the song is spelled with the fewest accidentals, as the player reads it in the chart
  const letters = lettersFrom(reading, shapeKey.tonic);
  const shapes = heard.map(({ chord, number, stretch, beats }): CapoShape => {
    const shape = withoutDoubleSigns(letters.chordIn(number, stretch));
    return { sounding: chord, shape, beats, hold: easiestHold(shape, wish.instrument ?? STANDARD_GUITAR) };
  });
  const ask = ({ hold }: CapoShape) =>
    hold.difficulty + (hold.open ? 0 : BARRE_COST[wish.level ?? 'some'] + (liesAtNut(hold) ? NUT_BARRE_COST : 0));
  const total = shapes.reduce((sum, { beats }) => sum + beats, 0);
  const share = (of: (shape: CapoShape) => number) =>
    total === 0 ? 0 : shapes.reduce((sum, shape) => sum + of(shape) * shape.beats, 0) / total;
  const hardest = shapes.reduce<CapoShape | null>((worst, shape) => (worst === null || ask(shape) > ask(worst) ? shape : worst), null);
  const cost = share(ask) + fretCost(fret);
  return {
    fret,
    tuning: wish.tuning ?? 0,
    shapeKey,
    soundingKey,
    shapes,
    openShare: share(({ hold }) => (hold.open ? 1 : 0)),
    hardest,
    cost,
    score: Math.max(0, Math.round(BEST_SCORE - SCORE_PER_COST * cost)),
  };
}

const BEST_SCORE = 100;
const SCORE_PER_COST = 6;
const CAPO_COST = 0.6;
const COST_PER_FRET = 0.1;
/** Past this fret the strings grow short, and what is left of the neck is narrow. */
const COMFORTABLE_FRET = 3;
const COST_PER_HIGH_FRET = 0.7;
/** From here on the hand has hardly room. */
const HIGH_FRET = 5;
const COST_PER_HIGHEST_FRET = 0.9;

/** What a capo costs by where it sits. */
function fretCost(fret: number): number {
  if (fret === 0) return 0;
  const high = Math.max(0, Math.min(fret, HIGH_FRET) - COMFORTABLE_FRET);
  const highest = Math.max(0, fret - HIGH_FRET);
  return CAPO_COST + COST_PER_FRET * Math.min(fret, COMFORTABLE_FRET) + COST_PER_HIGH_FRET * high + COST_PER_HIGHEST_FRET * highest;
}
