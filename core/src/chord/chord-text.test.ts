import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Chord as TonalChord } from 'tonal';
import { requireValue } from '../fault.ts';
import { printNote } from '../pitch/note-text.ts';
import { type Chord, chordNotes, transposeChord } from './chord.ts';
import { parseChord, printChord } from './chord-text.ts';
import { type Formula, formulaNames, formulaOf } from './formula.ts';
import { qualityName } from './quality-name.ts';
import { CHART_SCHOOL, LETTER_SCHOOL, type QualitySchool } from './quality-text.ts';
import { TONE_TABLE, type ToneName } from './tone-table.ts';

const chord = (text: string): Chord => requireValue(parseChord(text));
const notes = (text: string): string =>
  chordNotes(chord(text))
    .map((note) => printNote(note))
    .join(' ');

/** Tidy symbol, formula, words, and other spellings of the same chord. */
const FACTS: readonly (readonly [tidy: string, formula: string, words: string, others: string])[] = [
  ['C', '1 3 5', 'major', 'Cmaj CM'],
  ['Cm', '1 b3 5', 'minor', 'C- C− C– Cmin Cmi'],
  ['Cdim', '1 b3 b5', 'diminished', 'Co C° Cm♭5 Cmb5 C-b5 Cm(b5)'],
  ['Caug', '1 3 #5', 'augmented', 'C+ C(#5) C+5'],
  ['Cmaj7', '1 3 5 7', 'major seventh', 'CM7 C△7 C△ C∆ Cma7 CMaj7'],
  ['C7', '1 3 5 b7', 'dominant seventh', ''],
  ['Cm7', '1 b3 5 b7', 'minor seventh', 'C-7 C−7 Cmin7 Cmi7'],
  ['Cm7b5', '1 b3 b5 b7', 'half-diminished seventh', 'Cø Cø7 CØ Cm7(b5) Cm7-5 C-7b5 Ch7 Cm7♭5'],
  ['Cdim7', '1 b3 b5 bb7', 'diminished seventh', 'Co7 C°7'],
  ['Cm(maj7)', '1 b3 5 7', 'minor-major seventh', 'Cmmaj7 CmM7 C-maj7 C-△7 Cm△ Cm(M7)'],
  ['Caug7', '1 3 #5 b7', 'augmented seventh', 'C+7 C7#5 C7+5 C7(#5)'],
  ['Cmaj7#5', '1 3 #5 7', 'augmented major seventh', 'C+maj7 CM7#5 C+M7 C△7#5'],
  ['C6', '1 3 5 6', 'major sixth', ''],
  ['Cm6', '1 b3 5 6', 'minor sixth', 'C-6'],
  ['C69', '1 3 5 6 9', 'major six-nine', 'C6/9 C6(9) C6add9'],
  ['Cm69', '1 b3 5 6 9', 'minor six-nine', 'Cm6/9'],
  ['Csus4', '1 4 5', 'suspended fourth', 'Csus'],
  ['Csus2', '1 2 5', 'suspended second', ''],
  ['C7sus4', '1 4 5 b7', 'dominant seventh sus4', 'C7sus'],
  ['C9sus4', '1 4 5 b7 9', 'dominant ninth sus4', 'C9sus'],
  ['C9', '1 3 5 b7 9', 'dominant ninth', 'C7(9) C7add9'],
  ['Cmaj9', '1 3 5 7 9', 'major ninth', 'CM9 C△9'],
  ['Cm9', '1 b3 5 b7 9', 'minor ninth', 'C-9'],
  ['C11', '1 3 5 b7 9 11', 'dominant eleventh', ''],
  ['Cm11', '1 b3 5 b7 9 11', 'minor eleventh', 'C-11'],
  ['C13', '1 3 5 b7 9 13', 'dominant thirteenth', ''],
  ['Cmaj13', '1 3 5 7 9 13', 'major thirteenth', 'CM13'],
  ['Cm13', '1 b3 5 b7 9 11 13', 'minor thirteenth', ''],
  ['Cadd9', '1 3 5 9', 'major add 9', 'C2 C(add9)'],
  ['Cadd4', '1 3 4 5', 'major add 4', ''],
  ['Cm(add9)', '1 b3 5 9', 'minor add 9', 'Cmadd9 C-add9'],
  ['Cm7add11', '1 b3 5 b7 11', 'minor seventh add 11', 'Cm7(11) C-7add11'],
  ['C7b9', '1 3 5 b7 b9', 'dominant seventh ♭9', 'C7-9 C7(b9) C7♭9'],
  ['C7#9', '1 3 5 b7 #9', 'dominant seventh ♯9', 'C7+9 C7(#9)'],
  ['C7b9#9', '1 3 5 b7 b9 #9', 'dominant seventh ♭9 ♯9', 'C7(b9,#9)'],
  ['C7#11', '1 3 5 b7 #11', 'dominant seventh ♯11', ''],
  ['C7b9#11', '1 3 5 b7 b9 #11', 'dominant seventh ♭9 ♯11', 'C7(b9,#11) C7(b9)(#11)'],
  ['C9#11', '1 3 5 b7 9 #11', 'dominant ninth ♯11', ''],
  ['C7b13', '1 3 5 b7 b13', 'dominant seventh ♭13', ''],
  ['C7b5', '1 3 b5 b7', 'dominant seventh ♭5', 'C7-5'],
  ['C13b9', '1 3 5 b7 b9 13', 'dominant thirteenth ♭9', ''],
  ['C13#11', '1 3 5 b7 9 #11 13', 'dominant thirteenth ♯11', ''],
  ['C7alt', '1 3 b7 b9 #9 b13', 'altered dominant', 'Calt C7(alt)'],
  ['Cmaj7#11', '1 3 5 7 #11', 'major seventh ♯11', 'CM7(#11)'],
  ['Cmaj7b5', '1 3 b5 7', 'major seventh ♭5', ''],
  ['C(b5)', '1 3 b5', 'major ♭5', ''],
  ['C5', '1 5', 'power', 'Cno3'],
  ['C7no5', '1 3 b7', 'dominant seventh no 5', 'C7omit5 C7(no5)'],
  ['Cm11b5', '1 b3 b5 b7 9 11', 'half-diminished eleventh', 'Cø11'],
  ['Cdim(maj7)', '1 b3 b5 7', 'diminished-major seventh', 'C°maj7'],
];

describe('chord symbols', () => {
  test.each(FACTS)('%s is %s', (tidy, formula, words, others) => {
    for (const text of [tidy, ...others.split(' ').filter((other) => other !== '')]) {
      expect([text, formulaNames(chord(text).formula).join(' ')]).toEqual([text, formula]);
    }
    expect(printChord(chord(tidy))).toBe(tidy);
    expect(qualityName(chord(tidy).formula)).toBe(words);
  });

  test.each([
    ['Ab7', 'Ab C Eb Gb'],
    ['F#maj7', 'F# A# C# E#'],
    ['Cdim7', 'C Eb Gb Bbb'],
    ['Ebm7b5', 'Eb Gb Bbb Db'],
    ['G#7', 'G# B# D# F#'],
    ['Bbm(maj7)', 'Bb Db F A'],
    ['E7alt', 'E G# D F F## C'],
    ['Db13#11', 'Db F Ab Cb Eb G Bb'],
  ])('%s is spelled %s', (text, spelled) => expect(notes(text)).toBe(spelled));

  test.each([
    ['D/F#', 'F#'],
    ['C/G', 'G'],
    ['Am7/G', 'G'],
    ['C7b9/E', 'E'],
    ['C/Bb', 'Bb'],
  ])('%s has the bass %s', (text, bass) => {
    expect(printNote(chord(text).bass as number)).toBe(bass);
    expect(printChord(chord(text))).toBe(text);
  });

  test('a root under itself is no slash chord', () => expect(chord('C/C')).toEqual(chord('C')));

  test.each([
    ['', 'empty', 0],
    ['g', 'chord-lowercase', 0],
    ['em', 'chord-lowercase', 0],
    ['H7', 'chord-german', 0],
    ['xyz', 'token-unreadable', 0],
    ['🎸', 'token-unreadable', 0],
    ['C###', 'note-accidentals', 0],
    ['C4', 'quality-unknown', 1],
    ['C7(', 'quality-unknown', 2],
    ['C7)', 'quality-unknown', 2],
    ['Cmaj77', 'quality-unknown', 5],
    ['Chello', 'quality-unknown', 1],
    ['C#sus6', 'quality-contradiction', 2],
    ['C7#5b5#5', 'quality-contradiction', 4],
    ['C7b5#5', 'quality-contradiction', 4],
    ['Cmsus4', 'quality-contradiction', 2],
    ['Cdim7alt', 'quality-contradiction', 5],
    ['C7no3no3', 'quality-contradiction', 5],
    ['C(b5', 'quality-unknown', 1],
    ['D/3', 'bass-unknown', 2],
    ['D/', 'bass-unknown', 2],
    ['D/Gm', 'bass-unknown', 2],
    ['C6/8', 'bass-unknown', 3],
  ])('%j is refused as %s at %i', (text, code, start) => {
    expect(parseChord(text)).toMatchObject({ ok: false, fault: { code }, span: { start } });
  });
});

describe('laws of chords', () => {
  const SCHOOLS: Readonly<Record<string, QualitySchool>> = {
    letters: LETTER_SCHOOL,
    chart: CHART_SCHOOL,
    glyphs: { ...LETTER_SCHOOL, accidentals: 'glyph' },
    flatFive: { ...LETTER_SCHOOL, diminishedTriad: 'mb5', accidentals: 'glyph' },
    signs: {
      ...CHART_SCHOOL,
      minor: '−',
      diminished: '°',
      diminishedTriad: '°',
      majorSeventh: '△',
      halfDiminished: 'sign',
      accidentals: 'glyph',
    },
  };
  /** Any chord a symbol can say: at most one fifth, which is no other tone's business. */
  const anyFormula: fc.Arbitrary<Formula> = fc
    .record({
      third: fc.constantFrom<ToneName[]>(['3'], ['b3'], ['4'], ['2'], []),
      fifth: fc.constantFrom<ToneName>('b5', '5', '#5'),
      rest: fc.subarray<ToneName>(TONE_TABLE.filter((name) => !/^(1|b?[23]|#?4|[b#]?5)$/.test(name))),
    })
    .map(({ third, fifth, rest }) => formulaOf('1', ...third, fifth, ...rest));
  const anyChord = fc.record({ root: fc.integer({ min: -8, max: 12 }), formula: anyFormula, bass: fc.constant(null) });

  test.each(Object.keys(SCHOOLS))('what the %s school prints is read back as the same chord', (name) => {
    const school = SCHOOLS[name] as QualitySchool;
    fc.assert(
      fc.property(anyChord, (value) => {
        expect(parseChord(printChord(value, school))).toEqual({ ok: true, value });
      }),
      { seed: 11, numRuns: 2000 },
    );
  });

  test('transposing there and back gives the chord again, and keeps its quality', () => {
    fc.assert(
      fc.property(anyChord, fc.integer({ min: -12, max: 12 }), (value, fifths) => {
        const moved = transposeChord(value, fifths);
        expect(moved.formula).toBe(value.formula);
        expect(transposeChord(moved, -fifths)).toEqual(value);
      }),
      { seed: 12 },
    );
  });

  test('no text makes the reader throw', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), fc.constantFrom('', 'C', 'Bb', 'F#m'), (text, root) => {
        expect(typeof parseChord(root + text).ok).toBe('boolean');
      }),
      { seed: 13, numRuns: 1000 },
    );
  });

  test('an outside theory library spells the plain chords alike', () => {
    const plain = 'maj7 m7 7 m7b5 dim7 m dim aug 6 m6 sus4 sus2 7sus4 maj9 m9 9 7b9 7#9 7#11 m6 6'.split(' ');
    for (const root of ['C', 'F#', 'Bb', 'Db', 'G#']) {
      for (const quality of plain) expect(notes(root + quality).split(' ')).toEqual(TonalChord.get(root + quality).notes);
    }
  });
});
