import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  type Analysis,
  analyzeText,
  type Chord,
  chordNotes,
  chordOnTonic,
  DEFAULT_NAMING,
  type NumberChord,
  nameChord,
  nameNote,
  numberInWords,
  parseNumberOrLetters,
  printChord,
  readingWords,
  requireValue,
} from '../src/index.ts';
import { KEYS_IN_SONGS } from './keys-in-songs-table.ts';

const NUMBERS =
  '1 1 1maj7 17 2- 2-7 27 2-7b5 3- 3-7 37 4 4 4maj7 4- 47 5 5 57 57b9 57sus4 5- 6- 6- 6-7 67 b7 b77 b6 b3 b2 b27 #1o7 #4o7 7o 7-7b5 1- 5/7 1/3 1/5 4/1 5+ 1+ 1/b7';
const number = fc.constantFrom(...NUMBERS.split(' ').map((text) => requireValue(parseNumberOrLetters(text, 0))));
const progression = fc.array(number, { minLength: 2, maxLength: 16 });

const pitch = (note: number) => (((note * 7) % 12) + 12) % 12;
const notesOf = (chord: Chord) => [...chordNotes(chord), ...(chord.bass === null ? [] : [chord.bass])];
const namesOf = (chord: Chord | undefined) => (chord === undefined ? [] : notesOf(chord).map((note) => nameNote(note, 'english')));
const NOTE = '[A-G](?:♯|♭|𝄪|𝄫)*';

/** A chord with the other ones around it, as a sentence about it sees them. */
interface Told {
  readonly sentence: string;
  readonly here: Chord;
  readonly number: NumberChord;
  readonly before: Chord | undefined;
  readonly after: Chord | undefined;
  /** The next chord on another root. */
  readonly arrival: Chord | undefined;
}

function toldAt(sentence: string, analysis: Analysis, index: number): Told {
  const chords = analysis.chords.map(({ chord }) => chord);
  const { chord: here, number: value } = analysis.chords[index] as Analysis['chords'][number];
  const isOther = (chord: Chord) => printChord(chord) !== printChord(here);
  return {
    sentence,
    here,
    number: value,
    before: chords.slice(0, index).reverse().find(isOther),
    after: chords.slice(index + 1).find(isOther),
    arrival: chords.slice(index + 1).find((chord) => pitch(chord.root) !== pitch(here.root)),
  };
}

const pitchNamed = (chord: Chord, name: string) => notesOf(chord).find((note) => nameNote(note, 'english') === name);

/** `B rises to C`: a step from a note of the chord, or of the one before, to a note of the next, or of the chord. */
function checkMoves({ sentence, here, before, after }: Told): void {
  if (sentence.includes('in place of')) return;
  for (const [, from = '', verb, to = ''] of sentence.matchAll(new RegExp(`(${NOTE}) (rises|falls) to (${NOTE})(?![\\w(])`, 'gu'))) {
    const [source, goal] = sentence.includes(' after ') ? [before, here] : [here, after];
    const [low, high] = [pitchNamed(source as Chord, from), pitchNamed(goal as Chord, to)];
    expect([sentence, low !== undefined, high !== undefined]).toEqual([sentence, true, true]);
    const by = (pitch(high as number) - pitch(low as number) + 12) % 12;
    expect([sentence, verb === 'rises' ? by === 1 || by === 2 : by === 11 || by === 10]).toEqual([sentence, true]);
  }
}

/** `holds B, …`, `: D and F stay.`, `Its third, E, is in the bass`. */
function checkNotes({ sentence, here, after }: Told): void {
  const holds = new RegExp(`holds (${NOTE}),`, 'u').exec(sentence)?.[1];
  if (holds !== undefined) expect([sentence, namesOf(here)]).toEqual([sentence, expect.arrayContaining([holds])]);
  const stays = new RegExp(`: ((?:${NOTE}(?:, | and )?)+) stays?\\.`, 'u').exec(sentence)?.[1] ?? '';
  for (const note of stays.split(/, | and /).filter((name) => name !== '')) {
    const at = pitchNamed(after as Chord, note);
    expect([sentence, at !== undefined && notesOf(here).map(pitch).includes(pitch(at))]).toEqual([sentence, true]);
  }
  const bass = new RegExp(`(?:Its \\w+, |The bass )(${NOTE})(?:, is in| is no)`, 'u').exec(sentence)?.[1];
  if (bass !== undefined) expect([sentence, nameNote(here.bass as number, 'english')]).toEqual([sentence, bass]);
  if (sentence.includes('is no tone of the chord'))
    expect([
      sentence,
      chordNotes(here)
        .map(pitch)
        .includes(pitch(here.bass as number)),
    ]).toEqual([sentence, false]);
}

/** `It resolves to C.`, `Am is the 6–.`, and nothing stands in the place of itself. */
function checkTargets({ sentence, here, number: value, arrival }: Told): void {
  const resolves = /It resolves to (\S+?)\./u.exec(sentence)?.[1];
  if (resolves !== undefined) expect([sentence, nameChord(arrival as Chord, DEFAULT_NAMING)]).toEqual([sentence, resolves]);
  const isThe = /^(\S+) is the ([♭♯]*\d\S*?)\.$/u.exec(sentence);
  if (isThe !== null)
    expect([sentence, isThe[1], isThe[2]]).toEqual([sentence, nameChord(here, DEFAULT_NAMING), numberInWords(value, DEFAULT_NAMING)]);
  for (const [, note, has] of sentence.matchAll(new RegExp(`(${NOTE}) stands where the key has (${NOTE})`, 'gu')))
    expect([sentence, note === has]).toEqual([sentence, false]);
}

function checkAll(analysis: Analysis): void {
  const said = analysis.chords.map((_, index) => readingWords(analysis, index, DEFAULT_NAMING));
  said.forEach((sentences, index) => {
    for (const sentence of sentences) {
      expect(sentence).toMatch(/[.]$/);
      expect(sentence).not.toMatch(/undefined|null|NaN|[♯♭]{3}/);
      const told = toldAt(sentence, analysis, index);
      checkMoves(told);
      checkNotes(told);
      checkTargets(told);
    }
    const text = sentences.join(' ');
    expect(index >= 2 && text !== '' && text === said[index - 1]?.join(' ') && text === said[index - 2]?.join(' ')).toBe(false);
  });
}

describe('every sentence says what is so', () => {
  test('of 300 progressions', () => {
    fc.assert(
      fc.property(progression, fc.integer({ min: -5, max: 5 }), (numbers, tonic) => {
        checkAll(analyzeText(numbers.map((chord) => printChord(chordOnTonic(chord, tonic))).join(' ')));
      }),
      { seed: 14, numRuns: 300 },
    );
  });

  test.each(KEYS_IN_SONGS.map((row) => row.slice(0, row.lastIndexOf('|')).trim()))('%s', (source) => checkAll(analyzeText(source)));
});

describe('what a chord does is named', () => {
  const why = (source: string, index: number) => readingWords(analyzeText(source), index, DEFAULT_NAMING).join(' ');
  test.each([
    ['C F G7 C', 3, 'B rises to C and F falls to E'],
    ['C G Am F', 2, 'in place of C'],
    ['C Dm7 G7 C', 1, 'prepares G7'],
    ['Am Dm E7 A', 3, 'Picardy'],
    ['C F G7 C F C', 4, 'plagal extension'],
    ['C Am Dm G7', 3, 'when the song comes round again'],
    ['C F C/G G7 C', 2, 'six-four'],
    ['C G/B Am C/G F', 1, 'C–B–A–G–F'],
    ['Am Am(maj7) Am7 Am6 Dm', 2, 'A–G♯–G–F♯'],
    ['C F G+ C', 2, 'fifth raised'],
    ['Fm7 E7 Ebmaj7', 1, 'dominant of E♭'],
  ])('%s, chord %i', (source, index, words) => expect(why(source, index)).toContain(words));

  test('a ii–V does not stand beside a dominant at rest', () => {
    for (const source of ['F7 Bb7 F7 Cm7 F7 Bb7 F7', 'Bb7 Eb7 Bb7 Fm7 Bb7 Eb7 Bb7', 'C Gm7 C7 F C', 'Bb Fm7 Bb7 Eb Bb']) {
      const analysis = analyzeText(source);
      analysis.chords.forEach((_, index) => {
        if (why(source, index).includes('are a ii–V')) expect(why(source, index + 1)).not.toContain('at rest');
      });
    }
  });
});
