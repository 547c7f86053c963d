import type { Instrument } from '../fretboard/instrument.ts';
import type { Key } from '../key/key.ts';
import { type KeyShape, keyAlongNeck, keyInOpenChords, keyInPosition, ladderShapes } from '../voicing/key-shapes.ts';
import type { Family } from '../voicing/voicing.ts';
import type { ShapeStudy } from './catalogue.ts';
import { diceOf } from './dice.ts';
import { chordStep, type Drill, type DrillWish } from './drill-step.ts';

/** How a family goes through a key: up, back down, or up one and down the next, inversion by inversion. */
interface Through {
  readonly family: Family;
  readonly strings: readonly number[] | null;
  readonly depth: 'triad' | 'seventh';
}

const THROUGH: Readonly<Partial<Record<ShapeStudy, Through>>> = {
  'triads 1-2-3': { family: 'triad', strings: [3, 2, 1], depth: 'triad' },
  'triads 2-3-4': { family: 'triad', strings: [4, 3, 2], depth: 'triad' },
  'triads 3-4-5': { family: 'triad', strings: [5, 4, 3], depth: 'triad' },
  'barre from 6': { family: 'barre-6', strings: null, depth: 'triad' },
  'barre from 5': { family: 'barre-5', strings: null, depth: 'triad' },
  'drop-2 1-2-3-4': { family: 'drop-2', strings: [4, 3, 2, 1], depth: 'seventh' },
};

/** Called one after the other, and found without leaving the position. */
const CALLS = [
  [1, 6, 2, 5],
  [1, 4, 5, 1],
  [3, 6, 2, 5],
  [1, 5, 6, 4],
];
const POSITION = 5;
const BEATS = 2;
const HIGH_STRINGS = [3, 2, 1];
const LADDER_STRINGS = [5, 4, 3, 2];

/** Shapes through a key; null for no study of shapes. */
export function shapeDrill(what: string, key: Key, wish: DrillWish): Drill | null {
  const shapes = shapesFor(what as ShapeStudy, key, wish);
  if (shapes === null) return null;
  const steps = shapes.map(({ chord, number, voicing, standIn }) => chordStep(chord, number, voicing ?? standIn, BEATS * 2));
  return { steps, run: null, say: 'numbers and names', modes: [] };
}

function shapesFor(what: ShapeStudy, key: Key, { instrument, seed, isCalled, loops = [] }: DrillWish): readonly KeyShape[] | null {
  if (what === 'open chords') return keyInOpenChords(key, 'triad', instrument);
  if (what === 'ladder') return ladderShapes(key.tonic, { family: 'drop-2', strings: LADDER_STRINGS, inversion: 0 }, instrument);
  if (what === 'up one, down the next') return zigzag(key, instrument);
  if (what === 'called in position') return called(key, instrument, diceOf(seed).pick(loops.length > 0 ? loops : CALLS));
  const through = THROUGH[what];
  if (through === undefined) return null;
  const up = keyAlongNeck(key, { ...through, inversion: 0 }, instrument);
  return isCalled ? diceOf(seed).shuffled(up) : [...up, ...[...up].reverse()];
}

/** Degrees called one after the other, all within one position. */
function called(key: Key, instrument: Instrument, degrees: readonly number[]): readonly KeyShape[] {
  const position = Math.max(POSITION, instrument.capo);
  const shapes = keyInPosition(key, { family: 'barre-5', depth: 'triad' }, position, instrument);
  const others = keyInPosition(key, { family: 'barre-6', depth: 'triad' }, position, instrument);
  return degrees.map((degree) => {
    const [first, second] = [shapes[degree - 1], others[degree - 1]] as readonly [KeyShape, KeyShape];
    const inPlace = [first, second].find(({ voicing }) => voicing !== null);
    return inPlace ?? (first.standIn === null ? second : first);
  });
}

/** Triads on three strings through their inversions, up one chord and down the next. */
function zigzag(key: Key, instrument: Instrument): readonly KeyShape[] {
  const rows = [0, 1, 2].map((inversion) =>
    keyAlongNeck(key, { family: 'triad', strings: HIGH_STRINGS, inversion, depth: 'triad' }, instrument),
  );
  return (rows[0] ?? []).flatMap((_, degree) => {
    const column = rows.map((row) => row[degree] as KeyShape);
    return degree % 2 === 0 ? column : [...column].reverse();
  });
}
