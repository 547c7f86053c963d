import { describe, expect, test } from '@jest/globals';
import { analyzeText } from '../src/analysis/analyze.ts';

/** Roman numerals of a song in a given key, chord by chord. */
const romans = (key: string, chords: string) =>
  analyzeText(`key: ${key}\n\n${chords}\n`)
    .chords.map(({ roman }) => roman)
    .join(' ');
const read = (key: string, chords: string) =>
  analyzeText(`key: ${key}\n\n${chords}\n`).chords.map(({ reading, function: does }) => `${reading.kind} ${does}`);

describe('a whole ii–V–I into any chord is read as what it is', () => {
  test.each([
    // into ♭6, ♭3, ♭2 and ♭7 of a major key
    ['C', 'Cmaj7 Bbm7 Eb7 Abmaj7 Dm7 G7 Cmaj7', 'Imaj7 ii7/bVI V7/bVI bVImaj7 ii7 V7 Imaj7'],
    ['G', 'Gmaj7 Fm7 Bb7 Ebmaj7 Am7 D7 Gmaj7', 'Imaj7 ii7/bVI V7/bVI bVImaj7 ii7 V7 Imaj7'],
    ['C', 'Cmaj7 Fm7 Bb7 Ebmaj7 Dm7 G7 Cmaj7', 'Imaj7 ii7/bIII V7/bIII bIIImaj7 ii7 V7 Imaj7'],
    ['F', 'Fmaj7 Bbm7 Eb7 Abmaj7 Gm7 C7 Fmaj7', 'Imaj7 ii7/bIII V7/bIII bIIImaj7 ii7 V7 Imaj7'],
    ['C', 'Cmaj7 Ebm7 Ab7 Dbmaj7 Dm7 G7 Cmaj7', 'Imaj7 ii7/bII V7/bII bIImaj7 ii7 V7 Imaj7'],
    ['D', 'Dmaj7 Dm7 G7 Cmaj7 Em7 A7 Dmaj7', 'Imaj7 ii7/bVII V7/bVII bVIImaj7 ii7 V7 Imaj7'],
  ])('%s: %s', (key, chords, wanted) => expect(romans(key, chords)).toBe(wanted));

  test('its dominant does what dominants do, and never rests', () => {
    expect(read('C', 'Cmaj7 Bbm7 Eb7 Abmaj7 Dm7 G7 Cmaj7').slice(1, 3)).toEqual(['related-two subdominant', 'secondary-dominant dominant']);
    expect(read('C', 'C C Eb7 Ab F G7 C')[2]).toBe('secondary-dominant dominant');
    expect(read('G', 'G G Bb7 Eb C D7 G')[2]).toBe('secondary-dominant dominant');
  });

  test('the target is as it is played, and spelled flat', () => {
    const [, , five] = analyzeText('key: C\n\nC Cm7 F7 Bbm G7 C\n').chords;
    expect(five?.reading.target).toMatchObject({ bass: null });
    expect(five?.roman).toBe('V7/bvii');
  });

  test('what does not arrive is not one', () => expect(read('C', 'Cmaj7 Eb7 Cmaj7 G7 Cmaj7')[1]).not.toContain('secondary-dominant'));
});
