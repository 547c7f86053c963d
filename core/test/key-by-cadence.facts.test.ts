import { describe, expect, test } from '@jest/globals';
import { analyzeText } from '../src/analysis/analyze.ts';
import { printKey } from '../src/key/key-text.ts';

/** The key most speaks for, of chords alone. */
const keyOf = (chords: string) => printKey(analyzeText(`${chords}\n`).keys[0]?.key as never);

describe('a last cadence outweighs the first chord', () => {
  // endings of ballads, gospel and swing tunes as they are taught: from the 4, its minor, the six-four, applied dominants, ii–V–I
  test.each([
    ['Db Dbm Ab/Eb F7 Bbm7 Eb7 Ab', 'Ab'],
    ['F Fm C/G A7 Dm7 G7 C', 'C'],
    ['G Gm D/A B7 Em7 A7 D', 'D'],
    ['Bb Bbm F/C D7 Gm7 C7 F', 'F'],
    ['A Am E/B C#7 F#m7 B7 E', 'E'],
    ['Ab Abm Eb/Bb C7 Fm7 Bb7 Eb', 'Eb'],
    ['Eb Ebm6 Dm7 G7 Cm7 F7 Bb', 'Bb'],
    ['C Cm6 Bm7 E7 Am7 D7 G', 'G'],
    ['Ebmaj7 Edim7 Bb/F G7 Cm7 F7 Bb', 'Bb'],
    ['Fmaj7 F#dim7 C/G A7 Dm7 G7 C', 'C'],
    ['Dmaj7 D#dim7 A/E F#7 Bm7 E7 A', 'A'],
    ['Abmaj7 Adim7 Eb/Bb C7 Fm7 Bb7 Eb', 'Eb'],
    ['Fm7 Bb7 Eb7sus4 Eb7 Ab Ab7 Db Ddim7 Ab/Eb', 'Ab'],
    ['Am7 D7 G7sus4 G7 C C7 F F#dim7 C/G', 'C'],
    ['Gm7 C7 Am7 D7 Gm7 C7 F F', 'F'],
    ['Dm7 G7 Em7 A7 Dm7 G7 C C', 'C'],
    ['Bm7b5 E7 Am7 D7 Dm7 G7 Cmaj7', 'C'],
    ['F#m7b5 B7 Em7 A7 Am7 D7 Gmaj7', 'G'],
  ])('%s is in %s', (chords, key) => expect(keyOf(chords)).toBe(key));
});

describe('and takes nothing from a song that opens at home', () => {
  test.each([
    ['G Em C D7 G', 'G'],
    ['C Am F G', 'C'],
    ['Am F C G', 'Am'],
    ['D A Bm G', 'D'],
    ['C F C G7 C', 'C'],
    ['Em C G D', 'Em'],
    ['G D Em C', 'G'],
    ['Dm Bb F C', 'Dm'],
    ['A E F#m D A E F#m D', 'A'],
  ])('%s is in %s', (chords, key) => expect(keyOf(chords)).toBe(key));
});

describe('what speaks for a key', () => {
  const reasonsOf = (chords: string) => analyzeText(`${chords}\n`).keys[0]?.reasons ?? [];

  test('says that a song opens on the 4 and how it closes', () =>
    expect(reasonsOf('Db Dbm Ab/Eb F7 Bbm7 Eb7 Ab').map(({ code }) => code)).toEqual(
      expect.arrayContaining(['closes-whole', 'opens-on-four']),
    ));

  test.each([
    ['Db Dbm Ab/Eb F7 Bbm7 Eb7 Ab', 'two-homes'],
    ['F Fm C/G A7 Dm7 G7 C', 'two-homes'],
    ['Eb Ebm6 Dm7 G7 Cm7 F7 Bb', 'two-homes'],
    // the first chord is a 2 and claims nothing
    ['Gm7 C7 Am7 D7 Gm7 C7 F F', 'clear'],
  ])('where the first chord and the last cadence disagree, no key leads clearly: %s: %s', (chords, lead) =>
    expect(analyzeText(`${chords}\n`).lead).toBe(lead),
  );

  test('a blues’s dominants are its own', () =>
    expect(reasonsOf('C7 F7 C7 C7 F7 F7 C7 C7 G7 F7 C7 G7')).toContainEqual({ code: 'coverage', own: 12, of: 12 }));

  test('every chord is counted once: its own, or explained, and never more of them than there are', () => {
    const songs = [
      'C Am F G',
      'Db Dbm Ab/Eb F7 Bbm7 Eb7 Ab',
      'A7 D7 E7 A7',
      'C Bb F C',
      'Em C G D7 B7',
      'C E7 Am Fm C G7 C',
      'C7 F7 C7 G7 F7 C7',
    ];
    for (const chords of songs)
      for (const { reasons } of analyzeText(`${chords}\n`).keys) {
        const coverage = reasons.flatMap((reason) => (reason.code === 'coverage' ? [reason] : []))[0];
        const others = reasons.flatMap((reason) => (reason.code === 'explained' ? [reason.others] : []))[0] ?? 0;
        expect((coverage?.own ?? 0) + others).toBeLessThanOrEqual(coverage?.of ?? 0);
      }
  });
});

describe('a mode is chosen only against evidence', () => {
  test.each([
    ['C A D G C', 'C'],
    ['Eb Ab Eb/G Fm7 Cbmaj7 Db Eb', 'Eb'],
    ['F D G C F', 'F'],
  ])('%s is in %s', (chords, key) => expect(keyOf(chords)).toBe(key));
});
