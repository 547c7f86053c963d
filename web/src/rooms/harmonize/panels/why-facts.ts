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

/** Half steps of a tone above its root. */
export function semitonesAbove(tone: Tone): number {
  return intervalSemitones(tone.interval);
}

const BELOW_OCTAVE: Readonly<Record<number, string>> = { 11: 'a half step', 10: 'a whole step', 9: 'a step and a half' };

/** The seventh told by its distance below the octave. */
export function chordFacts({ formula }: Chord): readonly string[] {
  const seventh = formulaTones(formula).find(({ number }) => number === 7);
  const below = seventh === undefined ? undefined : BELOW_OCTAVE[semitonesAbove(seventh)];
  return below === undefined ? [] : [`Its seventh lies ${below} below the octave of the root.`];
}

/** What is particular about a key: its only dominant, its twins, its signature move. */
export function keyFacts(key: Key, naming: Naming): readonly string[] {
  const sevenths = harmonize(key, 'seventh');
  const dominants = sevenths.filter(({ chord }) => qualityName(chord.formula) === 'dominant seventh');
  const facts: string[] = [];
  const only = dominants[0];
  if (dominants.length === 1 && only !== undefined) {
    facts.push(
      `Its one dominant seventh is ${nameChord(only.chord, naming)}, on the ${printScaleNumber(only.number.degree, 'glyph')}: hear it, and you know the key.`,
    );
  } else if (dominants.length > 1) {
    facts.push(`It has ${dominants.length} dominant sevenths: ${dominants.map(({ chord }) => nameChord(chord, naming)).join(' and ')}.`);
  }
  for (const degrees of twinDegrees(sevenths)) {
    facts.push(
      `Twins: ${degrees.map((degree) => printScaleNumber(degree, 'glyph')).join(' and ')} are of one quality, so learning one is learning both.`,
    );
  }
  const signature = SIGNATURES[key.scale];
  if (signature !== undefined) facts.push(signature);
  return facts;
}

const SIGNATURES: Partial<Record<Key['scale'], string>> = {
  'harmonic minor': 'Its signature move is ♭6 major to 5 major: a half step down between two major chords.',
  'melodic minor': 'It is major with the 3 lowered: everything without a 3 in it is as in major.',
  dorian: 'Its signature is the major 4 over a minor 1.',
  mixolydian: 'Its signature is ♭7 major to 1 major.',
  lydian: 'Its signature is a major 2 over a major 1.',
  phrygian: 'Its signature is ♭2 major to 1 minor, a half step down.',
};
