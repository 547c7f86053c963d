import { describe, expect, test } from '@jest/globals';
import { requireValue } from '../fault.ts';
import { parseKey } from '../key/key-text.ts';
import { chroma } from '../pitch/note.ts';
import { parseNote, printNote } from '../pitch/note-text.ts';
import { chordNotes } from './chord.ts';
import { parseChord, printChord } from './chord-text.ts';
import { formulaOf } from './formula.ts';
import { COMMON_COST, identify } from './identify.ts';

const named = (text: string, key?: string) =>
  identify(
    text.split(' ').map((name) => requireValue(parseNote(name))),
    key === undefined ? null : requireValue(parseKey(key)),
  );
const symbols = (text: string, key?: string) => named(text, key).map(({ chord }) => printChord(chord));

describe('names of notes', () => {
  test.each([
    ['C E G', 'C'],
    ['E G C', 'C/E'],
    ['A C E G', 'Am7'],
    ['C E G A', 'C6'],
    ['B D F A', 'Bm7b5'],
    ['D F A B', 'Dm6'],
    ['C Eb Gb Bbb', 'Cdim7'],
    ['G B D F', 'G7'],
    ['F G B D', 'G7/F'],
    ['C E G# B', 'Cmaj7#5'],
    ['C F G', 'Csus4'],
    ['C G', 'C5'],
    ['G C F A', 'Fadd9/G'],
    ['E G# D F## C', 'E7#9b13'],
    ['Bb D F A C', 'Bbmaj9'],
    ['F A B E', 'Fmaj7#11'],
    // a whole seventh on its own root leads
    ['A C E G D', 'Am7add11'],
    ['D F A C G', 'Dm7add11'],
    ['E G B D A', 'Em7add11'],
    ['F Ab C Eb Bb', 'Fm7add11'],
    ['B D F# A E', 'Bm7add11'],
    ['Bb Db F Ab Eb', 'Bbm7add11'],
    ['G B D F# E', 'Gmaj7add13'],
    // a triad over a bass that is none of its notes
    ['C B D# F#', 'B/C'],
    ['G E G# B', 'E/G'],
    ['F# C E G', 'C/F#'],
    ['Eb D F# A', 'D/Eb'],
    ['Ab G B D', 'G/Ab'],
    ['Db C E G', 'C/Db'],
    // and a half-diminished seventh before a sixth over its bass
    ['F# A C E', 'F#m7b5'],
    ['B D F A', 'Bm7b5'],
    ['C# E G B', 'C#m7b5'],
    ['D F Ab C', 'Dm7b5'],
    ['G Bb Db F', 'Gm7b5'],
  ])('%s is first of all %s', (notes, symbol) => expect(symbols(notes)[0]).toBe(symbol));

  test('twins are named beside each other', () => {
    expect(symbols('C E G A').slice(0, 2)).toEqual(['C6', 'Am7/C']);
    expect(symbols('B D F A').slice(0, 3)).toContain('Dm6/B');
  });

  test('a diminished seventh has four names, and the rootless dominants are among the answers', () => {
    const answers = symbols('A C Eb Gb');
    expect(answers).toEqual(expect.arrayContaining(['Adim7', 'Cdim7/A', 'F7b9']));
    expect(
      named('A C Eb Gb')
        .find(({ chord }) => printChord(chord) === 'F7b9')
        ?.missing.map((note) => printNote(note)),
    ).toEqual(['F']);
  });

  test('a missing fifth is said', () => {
    const [first] = named('C E Bb');
    expect(printChord(first?.chord as never)).toBe('C7');
    expect(first?.missing.map((note) => printNote(note))).toEqual(['G']);
  });

  test('wrong spellings are read by ear and named right', () => {
    expect(symbols('C D# G')[0]).toBe('Cm');
    expect(symbols('A# D F')[0]).toBe('Bb');
  });

  test('the key decides between names that are alike', () => {
    expect(symbols('C D G', 'F')[0]).not.toBe(undefined);
    expect(symbols('A C E G', 'C')[0]).toBe('Am7');
  });

  test('inversions are counted from the root', () => {
    expect(named('C E G')[0]?.inversion).toBe(0);
    expect(named('E G C')[0]?.inversion).toBe(1);
    expect(named('F G B D')[0]?.inversion).toBe(3);
  });

  test('nothing common fits a cluster', () => {
    expect(identify([]).length).toBe(0);
    expect(named('C Db D Eb E F')[0]?.cost).toBeGreaterThan(COMMON_COST);
  });
});

describe('whatever a symbol says is found again', () => {
  const UP_TO_NINTHS = [
    '',
    'm',
    'dim',
    'aug',
    'sus4',
    'sus2',
    '6',
    'm6',
    '69',
    'm69',
    '7',
    'maj7',
    'm7',
    'm7b5',
    'dim7',
    'm(maj7)',
    'aug7',
    'maj7#5',
    '7sus4',
    '9',
    'maj9',
    'm9',
    'add9',
    'm(add9)',
    '7b9',
    '7#9',
    '9sus4',
    '7b5',
    'maj7b5',
    'add4',
    'm9b5',
    'maj9#5',
    'aug9',
    'm(maj9)',
    '5',
  ];
  const LARGER = [
    'm11',
    '13',
    'maj13',
    '13sus4',
    '7#11',
    'maj7#11',
    '9#11',
    '13b9',
    '7b13',
    '7alt',
    'm7add11',
    'm13',
    '13#11',
    'maj13#11',
    '7b9#11',
  ];
  const ROOTS = ['C', 'F#', 'Bb', 'Ab', 'E'];

  /** Where among the answers the chord stands: the same root, the same sound. -1 for nowhere. */
  function placeOf(symbol: string, turn: number): number {
    const chord = requireValue(parseChord(symbol));
    const notes = chordNotes(chord);
    const sound = (root: number, all: readonly number[]) =>
      all
        .map((note) => chroma(note - root))
        .sort((a, b) => a - b)
        .join(' ');
    const turned = [...notes.slice(turn), ...notes.slice(0, turn)];
    return identify(turned).findIndex(
      (answer) =>
        chroma(answer.chord.root - chord.root) === 0 &&
        answer.missing.length === 0 &&
        sound(answer.chord.root, chordNotes(answer.chord)) === sound(chord.root, notes),
    );
  }

  test.each(UP_TO_NINTHS)('%j, in every inversion, within three answers', (quality) => {
    for (const root of ROOTS) {
      const size = chordNotes(requireValue(parseChord(root + quality))).length;
      for (let turn = 0; turn < size; turn += 1) {
        const place = placeOf(root + quality, turn);
        expect([root + quality, turn, place >= 0 && place < 3]).toEqual([root + quality, turn, true]);
      }
    }
  });

  test.each(LARGER)('%j, in every inversion, among the answers', (quality) => {
    for (const root of ROOTS) {
      const size = chordNotes(requireValue(parseChord(root + quality))).length;
      for (let turn = 0; turn < size; turn += 1)
        expect([root + quality, turn, placeOf(root + quality, turn) >= 0]).toEqual([root + quality, turn, true]);
    }
  });

  test('every third with every fifth, sixth or seventh, and ninth, in every inversion, within three answers', () => {
    const missed = EVERY_TO_THE_NINTH.flatMap((symbol) => {
      const size = chordNotes(requireValue(parseChord(symbol))).length;
      return Array.from({ length: size }, (_, turn) => [symbol, turn, placeOf(symbol, turn)] as const).filter(
        ([, , place]) => place < 0 || place > 2,
      );
    });
    expect(EVERY_TO_THE_NINTH.length).toBeGreaterThan(90);
    // over its 9 the same five notes are first a whole m7 with an 11, a 6/9 and a 9sus4
    expect(missed).toEqual([['C69sus4', 4, 3]]);
  });
});

/**
 * Every chord up to the ninth on C, made tone by tone. A suspended chord has a plain fifth here, and
 * an altered ninth only over a seventh: with more altered, nobody reads a suspension any longer.
 */
const EVERY_TO_THE_NINTH: readonly string[] = (['3', 'b3', '4', '2'] as const).flatMap((third) =>
  (['b5', '5', '#5'] as const).flatMap((fifth) =>
    ([null, '6', 'b7', '7'] as const).flatMap((upper) =>
      ([null, 'b9', '9', '#9'] as const)
        .filter((ninth) => !(third === 'b3' && ninth === '#9') && !(third === '2' && ninth !== null))
        .filter(
          (ninth) =>
            third === '3' || third === 'b3' || (fifth === '5' && (ninth === null || ninth === '9' || (ninth === 'b9' && upper === 'b7'))),
        )
        .map((ninth) => {
          const tones = [third, fifth, upper, ninth].filter((tone) => tone !== null);
          return printChord({ root: 0, formula: formulaOf('1', ...tones), bass: null });
        }),
    ),
  ),
);
