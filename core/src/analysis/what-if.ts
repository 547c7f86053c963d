import type { Chord } from '../chord/chord.ts';
import { type Formula, formulaOf, holdsAll, holdsAny, SEVENTHS } from '../chord/formula.ts';
import { harmonize } from '../harmony/harmonize.ts';
import { type Key, keyNotes } from '../key/key.ts';
import { chroma, type Note, withoutDoubles } from '../pitch/note.ts';
import type { Analysis, AnalyzedChord } from './analysis.ts';

/** What may be tried in place of a chord. */
export type WhatIfKind =
  | 'secondary-dominant'
  | 'related-two'
  | 'tritone-substitute'
  | 'borrowed'
  | 'diminished-approach'
  | 'modal-substitute'
  | 'thicker'
  | 'thinner';

/** A suggestion: the chords that would stand in the chord's place, the chord itself often among them. */
export interface WhatIf {
  readonly kind: WhatIfKind;
  readonly chords: readonly Chord[];
}

const MAJOR = formulaOf('1', '3', '5');
const MINOR = formulaOf('1', 'b3', '5');
const DOMINANT = formulaOf('1', '3', '5', 'b7');
const DIMINISHED_SEVENTH = formulaOf('1', 'b3', 'b5', 'bb7');
const MINOR_SEVENTH = formulaOf('1', 'b3', '5', 'b7');
const HALF_DIMINISHED = formulaOf('1', 'b3', 'b5', 'b7');
const THIRDS = formulaOf('b3', '3');
const TRIAD_TONES = formulaOf('1', 'b3', '3', 'b5', '5', '#5');
const FIFTH_UP = 1;
const WHOLE_STEP_UP = 2;
const TRITONE = 6;
/** A leading tone lies five fifths up. */
const HALF_STEP_BELOW = 5;

/** Everything that fits in place of a chord, each suggestion once. */
export function whatIf({ chords, regions }: Analysis, index: number): readonly WhatIf[] {
  const here = chords[index];
  const key = regions[here?.region ?? -1]?.key;
  if (here === undefined || key === undefined) return [];
  const before = chords[index - 1];
  return [
    ...approaches(here, before),
    ...twoBefore(here, before),
    ...substitutes(here),
    ...borrowedForm(here, key),
    ...modalSubstitutes(here),
    ...thickness(here, key),
  ];
}

function plain(root: Note, formula: Formula): Chord {
  return { root: withoutDoubles(root), formula, bass: null };
}

/** Its dominant before it, or the diminished chord a half step below. Chords nobody can lean on get neither. */
function approaches({ chord }: AnalyzedChord, before: AnalyzedChord | undefined): readonly WhatIf[] {
  const stable = holdsAny(chord.formula, THIRDS) && !holdsAll(chord.formula, formulaOf('b3', 'b5'));
  const isThere = (root: Note) => before !== undefined && chroma(before.chord.root) === chroma(root);
  if (!stable) return [];
  const dominant = plain(chord.root + FIFTH_UP, DOMINANT);
  const diminished = plain(chord.root + HALF_STEP_BELOW, DIMINISHED_SEVENTH);
  return [
    ...(isThere(dominant.root) ? [] : [{ kind: 'secondary-dominant' as const, chords: [dominant, chord] }]),
    ...(isThere(diminished.root) ? [] : [{ kind: 'diminished-approach' as const, chords: [diminished, chord] }]),
  ];
}

/** Before a dominant, the 2 that belongs to it: half-diminished on the way to a minor chord. */
function twoBefore({ chord, reading }: AnalyzedChord, before: AnalyzedChord | undefined): readonly WhatIf[] {
  if (!holdsAll(chord.formula, formulaOf('3', 'b7'))) return [];
  const root = chord.root + FIFTH_UP;
  if (before !== undefined && chroma(before.chord.root) === chroma(root)) return [];
  const toMinor = reading.target !== null && holdsAny(reading.target.formula, formulaOf('b3'));
  return [{ kind: 'related-two', chords: [plain(root, toMinor ? HALF_DIMINISHED : MINOR_SEVENTH), chord] }];
}

function substitutes({ chord }: AnalyzedChord): readonly WhatIf[] {
  if (!holdsAll(chord.formula, formulaOf('3', 'b7'))) return [];
  return [{ kind: 'tritone-substitute', chords: [plain(chord.root - TRITONE, DOMINANT)] }];
}

/** The chord on the same degree in the parallel major or minor, when that is another one. */
function borrowedForm({ chord, number }: AnalyzedChord, key: Key): readonly WhatIf[] {
  const minor = keyNotes(key).includes(key.tonic - 3);
  const depth = holdsAny(chord.formula, SEVENTHS) ? 'seventh' : 'triad';
  const parallel = harmonize({ tonic: key.tonic, scale: minor ? 'major' : 'natural minor' }, depth);
  // ♭3, ♭6 and ♭7 stand where 3, 6 and 7 do
  const found = parallel.find((other) => other.number.degree === number.degree || other.number.degree === number.degree + (minor ? 7 : -7));
  if (found === undefined || (found.chord.root === chord.root && found.chord.formula === chord.formula)) return [];
  return [{ kind: 'borrowed', chords: [found.chord] }];
}

/** Over a static minor seventh any chord of its Dorian mode may stand for it. */
function modalSubstitutes({ chord, local, reading }: AnalyzedChord): readonly WhatIf[] {
  if (chord.formula !== MINOR_SEVENTH || local !== null || reading.kind === 'related-two') return [];
  return harmonize({ tonic: chord.root, scale: 'dorian' }, 'seventh')
    .filter((other) => [WHOLE_STEP_UP, -3, -1].includes(other.number.degree))
    .map((other) => ({ kind: 'modal-substitute' as const, chords: [{ ...other.chord, bass: chord.root }] }));
}

/** The key's own seventh on a triad, or the triad under a seventh chord. */
function thickness({ chord }: AnalyzedChord, key: Key): readonly WhatIf[] {
  if (holdsAny(chord.formula, SEVENTHS)) {
    const triad = chord.formula & TRIAD_TONES;
    return triad === chord.formula ? [] : [{ kind: 'thinner', chords: [{ ...chord, formula: triad }] }];
  }
  if (chord.formula !== MAJOR && chord.formula !== MINOR) return [];
  const own = harmonize(key, 'seventh').find((other) => other.chord.root === chord.root && holdsAll(other.chord.formula, chord.formula));
  return own === undefined ? [] : [{ kind: 'thicker', chords: [{ ...chord, formula: own.chord.formula }] }];
}
