import type { Instrument } from '../fretboard/instrument.ts';
import type { RunNote, RunPitch } from './run.ts';

/** Where the notes of a run may lie. */
export interface RunPlace {
  /** Strings it may use, 1 the thinnest; null for all. For one string a note, see `stringOf`. */
  readonly strings: readonly number[] | null;
  /** Lowest and highest fret of pressed notes; null for the whole comfortable neck. */
  readonly window: readonly [number, number] | null;
  /** The string of each note, where that is settled. */
  readonly stringOf?: readonly number[];
}

/** A placed note before strokes are given. */
export type Fingered = Pick<RunNote, 'string' | 'fret' | 'finger' | 'shift'> & RunPitch;

/** One way to play one note: a place, and where the hand stands while playing it. */
interface Stand {
  readonly string: number;
  readonly fret: number;
  readonly finger: number;
  /** The fret under the first finger. */
  readonly position: number;
  /** Whether the first or the last finger stretches by a fret: while it does it has no other fret. */
  readonly hand: Hand;
  readonly cost: number;
}

const HANDS = ['closed', 'low', 'high'] as const;
type Hand = (typeof HANDS)[number];

const COST = {
  /** Stretching a finger out, or back. */
  reshape: 0.9,
  stretch: 0.8,
  little: 0.15,
  open: 0.35,
  shift: 1.2,
  shiftFret: 0.7,
  string: 0.1,
  skip: 0.7,
  /** One finger on two strings in a row has to roll. */
  roll: 0.6,
  /** One finger sliding to another fret of its string. */
  slide: 0.4,
} as const;

const FINGERS = 4;
/** Open strings leave the hand where it was: they are tried with the hand at any of these places. */
const MOST_POSITION = 20;

/**
 * Finds strings, frets and fingers for a run with the least shifting, stretching and skipping:
 * exact, by dynamic programming over every place of every note. Notes that have no place are left
 * out.
 */
export function placeRun(pitches: readonly RunPitch[], place: RunPlace, instrument: Instrument): readonly Fingered[] {
  const stages = pitches
    .map((pitch, index) => ({ pitch, stands: standsOf(pitch.midi, place, instrument, place.stringOf?.[index]) }))
    .filter(({ stands }) => stands.length > 0);
  let before: readonly { readonly cost: number; readonly from: number }[] = [];
  const arrivals = stages.map(({ stands }, index) => {
    const previous = stages[index - 1]?.stands;
    const reached = stands.map((stand) => {
      if (previous === undefined) return { cost: stand.cost, from: -1 };
      let least = Number.POSITIVE_INFINITY;
      let from = 0;
      previous.forEach((other, at) => {
        const cost = (before[at] as { cost: number }).cost + moveCost(other, stand);
        if (cost < least) [least, from] = [cost, at];
      });
      return { cost: least + stand.cost, from };
    });
    before = reached;
    return reached;
  });
  let at = before.reduce((least, { cost }, index) => (cost < (before[least]?.cost ?? Number.POSITIVE_INFINITY) ? index : least), 0);
  const chosen: Stand[] = [];
  for (let index = stages.length - 1; index >= 0; index -= 1) {
    chosen.unshift(stages[index]?.stands[at] as Stand);
    at = arrivals[index]?.[at]?.from as number;
  }
  return chosen.map(({ string, fret, finger, position, hand }, index) => {
    const before = chosen[index - 1];
    const shift = before !== undefined && (before.position !== position || before.hand !== hand);
    return { ...(stages[index] as { pitch: RunPitch }).pitch, string, fret, finger, shift };
  });
}

function standsOf(midi: number, { strings, window }: RunPlace, instrument: Instrument, settled: number | undefined): readonly Stand[] {
  const { tuning, capo, comfortFret } = instrument;
  const [low, high] = window ?? [capo, comfortFret];
  return tuning.flatMap((open, index): readonly Stand[] => {
    const string = tuning.length - index;
    const fret = midi - open;
    if (settled === undefined ? strings !== null && !strings.includes(string) : settled !== string) return [];
    if (fret === capo) return openStands(string, capo, window);
    if (fret < Math.max(low, capo + 1) || fret > high) return [];
    return pressedStands(string, fret, capo);
  });
}

function openStands(string: number, capo: number, window: RunPlace['window']): readonly Stand[] {
  if (window !== null && window[0] > capo + 1) return [];
  return Array.from({ length: MOST_POSITION }, (_, step) =>
    HANDS.map((hand): Stand => ({ string, fret: capo, finger: 0, position: capo + 1 + step, hand, cost: COST.open })),
  ).flat();
}

/** Each finger on the fret it falls on, and first and fourth a fret further out, in every shape of the hand that has it so. */
function pressedStands(string: number, fret: number, capo: number): readonly Stand[] {
  const stands = Array.from({ length: FINGERS }, (_, step) => {
    const finger = step + 1;
    const cost = finger === FINGERS ? COST.little : 0;
    const hands = HANDS.filter((hand) => !(finger === 1 && hand === 'low') && !(finger === FINGERS && hand === 'high'));
    return hands.map((hand): Stand => ({ string, fret, finger, position: fret - step, hand, cost }));
  }).flat();
  const stretched: readonly Stand[] = [
    { string, fret, finger: 1, position: fret + 1, hand: 'low', cost: COST.stretch },
    { string, fret, finger: FINGERS, position: fret - FINGERS, hand: 'high', cost: COST.stretch + COST.little },
  ];
  return [...stands, ...stretched].filter(({ position }) => position > capo);
}

function moveCost(from: Stand, to: Stand): number {
  const away = Math.abs(to.position - from.position);
  const strings = Math.abs(to.string - from.string);
  let cost = away > 0 ? COST.shift + COST.shiftFret * away : from.hand !== to.hand ? COST.reshape : 0;
  cost += COST.string * strings + (strings > 1 ? COST.skip * (strings - 1) : 0);
  if (from.finger !== to.finger || to.finger === 0) return cost;
  if (strings === 0) return from.fret === to.fret ? cost : cost + COST.slide;
  return cost + COST.roll;
}
