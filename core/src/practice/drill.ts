import { type Chord, chordNotes, triadOf } from '../chord/chord.ts';
import { type HarmonizedChord, harmonize } from '../harmony/harmonize.ts';
import type { Key } from '../key/key.ts';
import type { Note } from '../pitch/note.ts';
import { chainChords } from './chain.ts';
import { diceOf } from './dice.ts';
import { chordStep, type Drill, type DrillWish, type Say } from './drill-step.ts';
import { type Item, keyOfItem } from './item.ts';
import { nightDrill } from './night-drill.ts';
import { runDrill } from './run-drill.ts';
import { shapeDrill } from './shape-drill.ts';

/** What is played for an item; null for one that is asked, heard, written or a song. */
export function drillFor(item: Item, wish: DrillWish): Drill | null {
  const key = keyOfItem(item);
  if (key === null) return null;
  switch (item.study) {
    case 'warm-up':
      if (item.what === FIRST_WARM_UP) return fiveNotes(key, wish);
      return runDrill('scale over each chord', key, wish.instrument, 'slowly');
    case 'programme':
      return nightDrill(item.what, key, wish);
    case 'aloud':
      return aloudDrill(item.what, key, wish);
    case 'shapes':
      return shapeDrill(item.what, key, wish);
    case 'runs':
      return runDrill(item.what, key, wish.instrument);
    case 'chain':
      return chainDrill(item, key, wish);
    default:
      return null;
  }
}

/** The warm-up of one who has never played here. */
export const FIRST_WARM_UP = 'five notes';
const FIVE = 5;

/** The first five notes of the key along one string, up and back, two beats each. */
function fiveNotes(key: Key, wish: DrillWish): Drill | null {
  const whole = nightDrill('names', key, wish);
  if (whole === null) return null;
  const up = whole.steps.slice(0, FIVE).map((step) => ({ ...step, beats: 2 }));
  return { ...whole, steps: [...up, ...[...up].reverse().slice(1)] };
}

const SAID: Readonly<Record<string, Say>> = {
  number: 'numbers',
  name: 'names',
  quality: 'qualities',
  'number and name': 'numbers and names',
};

function aloudDrill(what: string, key: Key, { seed, isCalled, depth = 'seventh' }: DrillWish): Drill {
  const depths = depth === 'both' ? (['triad', 'seventh'] as const) : [depth];
  const order = depths.flatMap((one) => {
    const chords = harmonize(key, one);
    return isCalled ? chords : [...chords, chords[0] as (typeof chords)[number]];
  });
  return aloud(isCalled ? diceOf(seed).shuffled(order) : order, SAID[what] ?? 'numbers');
}

function aloud(order: readonly HarmonizedChord[], say: Say): Drill {
  return { steps: order.map(({ chord, number }) => chordStep(chord, number)), run: null, say, modes: [] };
}

/** With both depths wished the chain is of sevenths, which hold their triads. */
function chainDrill(item: Item, key: Key, { easier = false, depth }: DrillWish): Drill | null {
  const chords = chainChords(item, key, easier)?.map((chord) => (depth === 'triad' ? triadOf(chord) : chord));
  return chords === undefined ? null : { steps: chords.map((chord) => chordStep(chord, null)), run: null, say: 'names', modes: [] };
}

/** The tones of a chord in an order of their own: the last stage of a chain. */
export function brokenOrder(chord: Chord, seed: number): readonly Note[] {
  return diceOf(seed).shuffled(chordNotes(chord));
}
