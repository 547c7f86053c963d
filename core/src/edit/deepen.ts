import type { BarChord } from '../chart/bars.ts';
import { countingTonic } from '../chart/head.ts';
import { keysReadFrom } from '../chart/reading.ts';
import { formulaOf, holdsAll, holdsAny, SEVENTHS } from '../chord/formula.ts';
import type { NumberChord } from '../degree/degree.ts';
import { harmonize } from '../harmony/harmonize.ts';
import { type BarRange, changeChords, type OpenChart } from './bar-edits.ts';

const TRIAD_TONES = formulaOf('1', 'b3', '3', 'b5', '5', '#5');
const DOMINANT = 1;
const DOMINANT_SEVENTH = formulaOf('1', '3', '5', 'b7');
const MAJOR = formulaOf('1', '3', '5');

/** What chords were before they were thinned or thickened, by what became of them in which bar and place. */
export type FormerChords = Readonly<Record<string, NumberChord>>;

/** A text with what its chords were before, so that thinning and thickening again loses nothing. */
export interface Deepened {
  readonly text: string;
  readonly former: FormerChords;
}

/**
 * Thickens the chords of some bars to the key's own sevenths, or thins them to triads. A chord that
 * was something richer before it was thinned comes back as it was. A chord that is not the key's
 * stays as it is when thickened, but a major triad on the 5 becomes a dominant seventh in minor too.
 */
export function deepenBars(chart: OpenChart, range: BarRange, depth: 'triad' | 'seventh', former: FormerChords = {}): Deepened {
  const known: Record<string, NumberChord> = { ...former };
  const text = changeChords(chart, range, (slot, bar, place) => {
    const { chord } = slot;
    if (chord === null) return slot;
    const before = known[placeName(bar, place, chord)];
    const isRicher = before !== undefined && holdsAny(before.formula, SEVENTHS) === (depth === 'seventh');
    const next = isRicher ? before : depth === 'triad' ? thinned(chord) : thickened(chart, chord, bar);
    if (next.formula === chord.formula) return slot;
    known[placeName(bar, place, next)] = chord;
    return { ...slot, chord: next } satisfies BarChord;
  });
  return { text, former: known };
}

function placeName(bar: number, place: number, { degree, formula, bass }: NumberChord): string {
  return `${bar}.${place} ${degree} ${formula} ${bass}`;
}

function thinned(chord: NumberChord): NumberChord {
  const triad = chord.formula & TRIAD_TONES;
  // a suspended chord or a power chord has no third to be a triad with
  return holdsAny(triad, formulaOf('b3', '3')) ? { ...chord, formula: triad } : chord;
}

function thickened({ reading }: OpenChart, chord: NumberChord, bar: number): NumberChord {
  if (holdsAny(chord.formula, SEVENTHS) || (chord.formula & ~TRIAD_TONES) !== 0) return chord;
  const key = keysReadFrom(reading.stretches, reading.head.key.tonic)[reading.bars[bar]?.stretch ?? 0] ?? reading.head.key;
  const root = chord.degree + countingTonic(key, reading.head.numbering) - key.tonic;
  if (root === DOMINANT && chord.formula === MAJOR) return { ...chord, formula: DOMINANT_SEVENTH };
  const own = harmonize(key, 'seventh').find(({ number }) => number.degree === root && holdsAll(number.formula, chord.formula));
  return own === undefined ? chord : { ...chord, formula: own.number.formula };
}
