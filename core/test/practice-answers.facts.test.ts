import { describe, expect, test } from '@jest/globals';
import { type AnswerForm, type Question, readMarked } from '../src/index.ts';

const asked = (as: AnswerForm, accepted: string, spelled = true): Pick<Question, 'answer'> => ({
  answer: { as, accepted: accepted.split(' / '), spelled },
});
const verdict = (as: AnswerForm, accepted: string, given: string, spelled = true) =>
  readMarked(asked(as, accepted, spelled), given).mark.kind;

/** Roots as they are typed and said. */
const ROOTS: readonly (readonly [plain: string, said: readonly string[]])[] = [
  ['C', ['C', 'c', 'cee', 'see']],
  ['Db', ['Db', 'db', 'D♭', 'D flat', 'dee flat', 'd-flat']],
  ['D', ['D', 'd', 'dee']],
  ['Eb', ['Eb', 'E♭', 'E flat', 'e flat']],
  ['F#', ['F#', 'f#', 'F♯', 'F sharp', 'eff sharp']],
  ['G', ['G', 'g', 'gee']],
  ['Ab', ['Ab', 'ab', 'A♭', 'A flat', 'a flat']],
  ['Bb', ['Bb', 'bb', 'B♭', 'bee flat', 'B flat']],
];

/** Qualities as they are typed and said behind a root. */
const QUALITIES: readonly (readonly [plain: string, said: readonly string[]])[] = [
  ['', ['', ' major', 'maj', ' maj', ' major triad', ' major chord']],
  ['m', ['m', ' minor', 'min', ' min', '-', '–', ' minor triad']],
  ['dim', ['dim', '°', ' diminished', ' dim']],
  ['aug', ['aug', '+', ' augmented']],
  ['maj7', ['maj7', 'M7', '△', '△7', ' major 7', ' major seventh', ' major seven', ' maj7', ' maj 7']],
  ['7', ['7', ' 7', ' seven', ' seventh', ' dominant', ' dominant 7', ' dominant seventh', 'dom7', ' dom7']],
  ['m7', ['m7', '-7', '–7', 'min7', ' minor 7', ' minor seventh', ' minor seven', ' min7']],
  ['m7b5', ['m7b5', 'ø', 'ø7', ' half diminished', ' half-diminished', ' minor 7 flat 5', ' minor seven flat five', '-7b5', ' halfdim']],
  ['dim7', ['dim7', '°7', ' diminished 7', ' diminished seventh']],
];

/** Behind a spoken letter there is a breath. */
const said = (root: string, quality: string) =>
  /[a-z]{3}$/.test(root) && /^[^ ]/.test(quality) ? `${root} ${quality}` : `${root}${quality}`;

const CHORDS = ROOTS.flatMap(([root, roots]) =>
  QUALITIES.flatMap(([quality, qualities]) =>
    roots.flatMap((saidRoot) => qualities.map((saidQuality) => [`${root}${quality}`, said(saidRoot, saidQuality)] as const)),
  ),
).filter(([, said]) => !/^bb?(?:b|$)/.test(said) || said === 'bb');

describe('chords in every wording', () => {
  test('there are hundreds', () => expect(CHORDS.length).toBeGreaterThan(1500));

  test('each is right where it is asked for, and read as what it is', () => {
    const failed = CHORDS.map(([chord, said]) => [chord, said, readMarked(asked('chord', chord), said)] as const).filter(
      ([chord, , { mark, reads }]) => mark.kind !== 'right' || reads !== chord,
    );
    expect(failed.map(([chord, said, { mark, reads }]) => `${said} for ${chord}: ${mark.kind} ${reads}`)).toEqual([]);
  });

  test('each is wrong where its neighbour is asked for', () => {
    const failed = CHORDS.filter(([chord, said]) => {
      const other = chord.startsWith('G') ? `A${chord.slice(1)}` : 'G13';
      return verdict('chord', other, said) !== 'wrong';
    });
    expect(failed).toEqual([]);
  });
});

describe('qualities in every wording', () => {
  const SAID = QUALITIES.flatMap(([quality, said]) =>
    said.map((one) => [quality, one.trim()] as const).filter(([, one]) => one !== '-' && one !== '–' && one !== ''),
  );
  test.each(SAID)('%j is said %j', (quality, said) => expect(verdict('quality', quality, said, false)).toBe('right'));
  test.each([
    ['m7', 'minor', 'as-triad'],
    ['maj7', 'major', 'as-triad'],
    ['7', 'major', 'as-triad'],
    ['m7b5', 'diminished', 'as-triad'],
    ['m7', 'major', 'wrong'],
    ['maj7', '7', 'wrong'],
    ['m', 'm7', 'wrong'],
    ['m7', 'banana', 'unread'],
  ])('%s asked, %s said: %s', (quality, said, kind) => expect(verdict('quality', quality, said, false)).toBe(kind));
});

describe('rows of qualities', () => {
  const SEVENTHS = 'maj7 m7 m7 maj7 7 m7 m7b5';
  const TRIADS = '- m m - - m dim';
  test.each([
    [SEVENTHS, 'maj7 m7 m7 maj7 7 m7 m7b5', 'right'],
    [SEVENTHS, '△ - - △ 7 - ø', 'right'],
    [SEVENTHS, '△7 -7 -7 △7 7 -7 ø7', 'right'],
    [SEVENTHS, 'M7, m7, m7, M7, 7, m7, ø', 'right'],
    [SEVENTHS, 'major seventh, minor seventh, minor seventh, major seventh, dominant, minor seventh, half diminished', 'right'],
    [SEVENTHS, 'maj7 min7 min7 maj7 dom7 min7 half-diminished', 'right'],
    [SEVENTHS, 'major minor minor major dominant minor half-diminished', 'as-triad'],
    [SEVENTHS, '- m m - - m dim', 'as-triad'],
    [SEVENTHS, 'maj7 m7 m7 maj7 maj7 m7 m7b5', 'wrong'],
    [TRIADS, '- m m - - m dim', 'right'],
    [TRIADS, 'major minor minor major major minor diminished', 'right'],
    [TRIADS, 'maj min min maj maj min dim', 'right'],
    [TRIADS, 'M m m M M m °', 'right'],
    [TRIADS, 'maj - - maj maj - °', 'right'],
    [TRIADS, 'major minor minor major major minor', 'wrong'],
  ])('%s: %s is %s', (wanted, said, kind) => expect(verdict('qualities', wanted, said, false)).toBe(kind));
});

describe('triads where sevenths were asked for', () => {
  test.each([
    ['Dbmaj7', 'Db', 'as-triad'],
    ['Dbmaj7', 'D flat', 'as-triad'],
    ['Db7', 'Db', 'as-triad'],
    ['Fm7', 'F minor', 'as-triad'],
    ['Bm7b5', 'Bdim', 'as-triad'],
    ['Db7', 'C#', 'wrong'],
    ['Db7', 'Dbm', 'wrong'],
    ['Db', 'Db7', 'wrong'],
  ])('%s asked, %s said: %s', (wanted, said, kind) => expect(verdict('chord', wanted, said)).toBe(kind));
  test.each([
    ['Fm7 Bb7 Ebmaj7', 'Fm Bb Eb', 'as-triad'],
    ['Fm7 Bb7 Ebmaj7', 'F minor, B flat, E flat', 'as-triad'],
    ['Fm7 Bb7 Ebmaj7', 'F minor 7, B flat 7, E flat major 7', 'right'],
    ['Fm7 Bb7 Ebmaj7', 'F minor seventh B flat seventh E flat major seventh', 'right'],
    ['Fm7 Bb7 Ebmaj7', 'F-7 Bb7 Eb△', 'right'],
    ['Fm7 Bb7 Ebmaj7', 'Fm7 Bb Ebmaj7', 'as-triad'],
    ['Fm7 Bb7 Ebmaj7', 'Fm7 Bb7', 'wrong'],
  ])('%s asked, %s said: %s', (wanted, said, kind) => expect(verdict('chords', wanted, said)).toBe(kind));
});

describe('other answers', () => {
  const ROWS: readonly (readonly [AnswerForm, string, string, string, boolean?])[] = [
    ['note', 'Db', 'D flat', 'right'],
    ['note', 'Db', 'dee flat', 'right'],
    ['note', 'Db', 'd♭', 'right'],
    ['note', 'Db', 'C#', 'misspelled'],
    ['note', 'Db', 'C sharp', 'right', false],
    ['note', 'Db', 'D', 'wrong'],
    ['note', 'Db', 'q', 'unread'],
    ['notes', 'Eb G Bb D', 'E flat G B flat D', 'right'],
    ['notes', 'Eb G Bb D', 'e♭, g, b♭ and d', 'right'],
    ['notes', 'Eb G Bb D', 'Eb G Bb', 'wrong'],
    ['degree', '3', 'three', 'right'],
    ['degree', '3', 'the third', 'right'],
    ['degree', '3', '3-', 'right'],
    ['degree', '3', '3m', 'right'],
    ['degree', '3', 'iii', 'right'],
    ['degree', '5', 'V7', 'right'],
    ['degree', '5', 'five', 'right'],
    ['degree', 'b7', 'flat seven', 'right'],
    ['degree', 'b7', '♭7', 'right'],
    ['degree', 'b3', 'flat 3', 'right'],
    ['degree', 'b3', '3', 'wrong'],
    ['degree', '3', 'nine hundred', 'unread'],
    ['degrees', '2 4 6 1', 'two four six one', 'right'],
    ['degrees', '2 4 6 1', '2-4-6-1', 'right'],
    ['degrees', '2 4 6 1', '2, 4, 6 and 1', 'right'],
    ['degrees', '1 5 6 4', 'I V vi IV', 'right'],
    ['degrees', '1 5 6 4', '1 5 6- 4', 'right'],
    ['degrees', '1 5 6 4', '1 4 6 5', 'wrong'],
    ['tone', 'b3', 'flat three', 'right'],
    ['tone', 'b7', 'flat seventh', 'right'],
    ['tone', '5', 'the fifth', 'right'],
    ['tone', 'b5', 'flat five', 'right'],
    ['key', 'C minor', 'C minor', 'right'],
    ['key', 'C minor', 'c min', 'right'],
    ['key', 'C minor', 'Cm', 'right'],
    ['key', 'Eb major', 'E flat major', 'right'],
    ['key', 'Eb major', 'E flat', 'right'],
    ['key', 'Eb major', 'Eb', 'right'],
    ['key', 'Eb major', 'D# major', 'misspelled'],
    ['key', 'Eb major', 'C minor', 'wrong'],
    ['keys', 'C G F', 'F, C, G', 'right'],
    ['keys', 'C G F', 'C major, G major and F major', 'right'],
    ['frets', '3 / 15', '3', 'right'],
    ['frets', '3 / 15', 'third', 'right'],
    ['frets', '3 / 15', 'fret 3', 'right'],
    ['frets', '0 / 12', 'open', 'right'],
    ['frets', '3 / 15', '4', 'wrong'],
    ['chord', 'Am/C', 'Am/C', 'right'],
    ['chord', 'C7#9', 'C7#9', 'right'],
  ];
  test.each(ROWS.map((row) => [row] as const))('%j', ([as, wanted, said, kind, spelled]) =>
    expect(verdict(as, wanted, said, spelled ?? true)).toBe(kind),
  );
});

test('a word the reply suggests is never refused', () => {
  const SUGGESTED: readonly (readonly [AnswerForm, readonly string[]])[] = [
    ['chord', ['Gm7']],
    ['chords', ['Fm7 Bb7 Ebmaj7']],
    ['degree', ['3', '♭7']],
    ['degrees', ['2 4 6 1']],
    ['quality', ['m7', 'major']],
    ['note', ['Eb']],
    ['notes', ['Eb G Bb D']],
    ['key', ['C minor']],
    ['keys', ['C G F']],
    ['frets', ['3']],
    ['tone', ['♭3']],
  ];
  for (const [as, words] of SUGGESTED)
    for (const word of words) expect(verdict(as, word === 'major' ? '' : word, word, false)).toBe('right');
});
