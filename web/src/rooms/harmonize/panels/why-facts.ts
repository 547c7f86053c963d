import {
  type Chord,
  formulaTones,
  harmonize,
  intervalSemitones,
  type Key,
  type Naming,
  nameChord,
  printScaleNumber,
  qualityName,
  type Tone,
  twinDegrees,
} from '@aurora/core';
import { HARMONIZE_WORDS } from '../../../wording/harmonize.ts';

/** Half steps of a tone above its root. */
export function semitonesAbove(tone: Tone): number {
  return intervalSemitones(tone.interval);
}

const BELOW_OCTAVE: Readonly<Record<number, string>> = {
  11: HARMONIZE_WORDS.aHalfStep,
  10: HARMONIZE_WORDS.aWholeStep,
  9: HARMONIZE_WORDS.aStepAndAHalf,
};

/** The seventh told by its distance below the octave. */
export function chordFacts({ formula }: Chord): readonly string[] {
  const seventh = formulaTones(formula).find(({ number }) => number === 7);
  const below = seventh === undefined ? undefined : BELOW_OCTAVE[semitonesAbove(seventh)];
  return below === undefined ? [] : [HARMONIZE_WORDS.itsSeventhLiesBelowTheOctave(below)];
}

/** What is particular about a key: its only dominant, its twins, its signature move. */
export function keyFacts(key: Key, naming: Naming): readonly string[] {
  const sevenths = harmonize(key, 'seventh');
  const dominants = sevenths.filter(({ chord }) => qualityName(chord.formula) === 'dominant seventh');
  const facts: string[] = [];
  const only = dominants[0];
  if (dominants.length === 1 && only !== undefined) {
    facts.push(HARMONIZE_WORDS.itsOneDominantSeventhIsOn(nameChord(only.chord, naming), printScaleNumber(only.number.degree, 'glyph')));
  } else if (dominants.length > 1) {
    facts.push(HARMONIZE_WORDS.hasDominants(dominants.length, dominants.map(({ chord }) => nameChord(chord, naming)).join(' and ')));
  }
  for (const degrees of twinDegrees(sevenths)) {
    facts.push(HARMONIZE_WORDS.twinsAreOfOneQualitySo(degrees.map((degree) => printScaleNumber(degree, 'glyph')).join(' and ')));
  }
  const signature = SIGNATURES[key.scale];
  if (signature !== undefined) facts.push(signature);
  return facts;
}

const SIGNATURES: Partial<Record<Key['scale'], string>> = {
  'harmonic minor': HARMONIZE_WORDS.itsSignatureMoveIs6Major,
  'melodic minor': HARMONIZE_WORDS.melodicMinorSignature,
  dorian: HARMONIZE_WORDS.dorianSignature,
  mixolydian: HARMONIZE_WORDS.itsSignatureIs7MajorTo,
  lydian: HARMONIZE_WORDS.lydianSignature,
  phrygian: HARMONIZE_WORDS.itsSignatureIs2MajorTo,
};
