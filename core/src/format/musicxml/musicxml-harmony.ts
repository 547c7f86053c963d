import type { Chord } from '../../chord/chord.ts';
import { formulaOf } from '../../chord/formula.ts';
import type { Key } from '../../key/key.ts';
import type { Note } from '../../pitch/note.ts';
import type { ScaleName } from '../../scale/scale-table.ts';
import { formulaOfKind, type KindDegree } from '../harmony-kind.ts';
import { child, childrenOf, numberIn, textIn, type XmlElement } from './xml.ts';

/** One sharp on the line of fifths. */
export const SHARP = 7;
const ROOT = formulaOf('1');

const MODE_SCALES: Readonly<Record<string, readonly [ScaleName, number]>> = {
  major: ['major', 0],
  ionian: ['major', 0],
  minor: ['natural minor', 3],
  aeolian: ['natural minor', 3],
  dorian: ['dorian', 2],
  phrygian: ['phrygian', 4],
  lydian: ['lydian', -1],
  mixolydian: ['mixolydian', 1],
  locrian: ['locrian', 5],
};

const MOST_FIFTHS = 11;

/** The key of a signature, as it is written. */
export function keyOf(element: XmlElement): Key {
  const fifths = Math.max(-MOST_FIFTHS, Math.min(MOST_FIFTHS, Math.round(numberIn(element, 'fifths', 0))));
  const [scale, up] = MODE_SCALES[textIn(element, 'mode')] ?? ['major', 0];
  return { tonic: fifths + up, scale };
}

/** How a chord departs from its kind. */
function degreeOf(element: XmlElement): KindDegree {
  const type = textIn(element, 'degree-type');
  return {
    type: type === 'add' || type === 'subtract' ? type : 'alter',
    value: numberIn(element, 'degree-value', 1),
    alter: numberIn(element, 'degree-alter', 0),
  };
}

/** A note by its step and alteration, as a place on the line of fifths. */
export function noteOf(element: XmlElement | undefined, what: 'root' | 'bass'): Note | undefined {
  const letter = 'FCGDAEB'.indexOf(textIn(element, `${what}-step`) || '-');
  const alter = Math.round(numberIn(element, `${what}-alter`, 0));
  return letter < 0 || Math.abs(alter) > 2 ? undefined : letter - 1 + SHARP * alter;
}

/**
 * The chord a harmony element names by letters, as written: null for N.C., undefined where it has no
 * root of its own, `unknown` where its kind is none that is known.
 */
export function letteredChord(element: XmlElement): Chord | null | undefined | 'unknown' {
  const kind = child(element, 'kind');
  if (kind?.text === 'none') return null;
  const root = noteOf(child(element, 'root'), 'root');
  if (root === undefined) return undefined;
  const formula = formulaOfHarmony(element);
  if (formula === undefined) return 'unknown';
  const bass = noteOf(child(element, 'bass'), 'bass');
  return { root, formula: formula | ROOT, bass: bass === undefined || bass === root ? null : bass };
}

/** The tones of the kind a harmony element names; undefined for a kind nobody knows. */
export function formulaOfHarmony(element: XmlElement): number | undefined {
  const kind = child(element, 'kind')?.text ?? 'major';
  return formulaOfKind(kind === 'other' ? 'major' : kind, childrenOf(element, 'degree').map(degreeOf));
}
