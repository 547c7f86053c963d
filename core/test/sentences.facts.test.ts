import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  type Analysis,
  analyzeText,
  type Chord,
  chordNotes,
  chordOnTonic,
  DEFAULT_NAMING,
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

/** Every fact of a sentence about notes, targets and arrivals, held against the chords. */
function check(sentence: string, analysis: Analysis, index: number): void {
  const chordAt = (at: number) => analysis.chords[at]?.chord;
  const here = chordAt(index) as Chord;
  const others = analysis.chords.map(({ chord }) => chord);
  // the next and the last chord that are other ones
  const isOther = (chord: Chord) => printChord(chord) !== printChord(here);
  const after = others.slice(index + 1).find(isOther);
  const before = others.slice(0, index).reverse().find(isOther);
  const name = nameChord(here, DEFAULT_NAMING);

  for (const [, from = '', verb, to = ''] of sentence.matchAll(new RegExp(`(${NOTE}) (rises|falls) to (${NOTE})(?![\\w(])`, 'gu'))) {
    const fromBefore = sentence.includes(' after ');
    const [source, goal] = fromBefore ? [before, here] : [here, after];
    expect([sentence, namesOf(source).includes(from) || sentence.includes('in place of'), namesOf(goal).includes(to)]).toEqual([
      sentence,
      true,
      true,
    ]);
    const [low, high] = [from, to].map((text) =>
      [...(namesOf(source).includes(text) ? notesOf(source as Chord) : notesOf(goal as Chord))].find(
        (note) => nameNote(note, 'english') === text,
      ),
    );
    if (low !== undefined && high !== undefined) {
      const by = (pitch(high) - pitch(low) + 12) % 12;
      expect([sentence, verb === 'rises' ? by === 1 || by === 2 : by === 11 || by === 10]).toEqual([sentence, true]);
    }
  }
  const holds = new RegExp(`holds (${NOTE}),`, 'u').exec(sentence);
  if (holds !== null) expect([sentence, namesOf(here)]).toEqual([sentence, expect.arrayContaining([holds[1]])]);
  const resolves = /It resolves to (\S+?)\./u.exec(sentence);
  if (resolves !== null) {
    const goal = others.slice(index + 1).find((chord) => pitch(chord.root) !== pitch(here.root)) as Chord;
    expect([sentence, nameChord(goal, DEFAULT_NAMING)]).toEqual([sentence, resolves[1]]);
  }
  const stays = new RegExp(`: ((?:${NOTE}(?:, | and )?)+) stays?\\.`, 'u').exec(sentence);
  for (const note of stays?.[1]?.split(/, | and /) ?? []) {
    const kept = [here, after].map((chord) => notesOf(chord as Chord).map(pitch));
    const found = notesOf(here)
      .concat(notesOf(after as Chord))
      .find((one) => nameNote(one, 'english') === note) as number;
    expect([sentence, note, kept.every((pitches) => pitches.includes(pitch(found)))]).toEqual([sentence, note, true]);
  }
  const bass = new RegExp(`Its (\\w+), (${NOTE}), is in the bass`, 'u').exec(sentence);
  if (bass !== null) expect([sentence, nameNote(here.bass as number, 'english')]).toEqual([sentence, bass[2]]);
  const stranger = new RegExp(`The bass (${NOTE}) is no tone of the chord`, 'u').exec(sentence);
  if (stranger !== null)
    expect([
      sentence,
      chordNotes(here)
        .map(pitch)
        .includes(pitch(here.bass as number)),
    ]).toEqual([sentence, false]);
  for (const [, note = '', has = ''] of sentence.matchAll(new RegExp(`(${NOTE}) stands where the key has (${NOTE})`, 'gu'))) {
    expect([sentence, note === has]).toEqual([sentence, false]);
  }
  const isThe = /^(\S+) is the ([♭♯]*\d\S*?)\.$/u.exec(sentence);
  if (isThe !== null) {
    const value = analysis.chords[index]?.number;
    expect([sentence, isThe[1], isThe[2]]).toEqual([sentence, name, value === undefined ? '' : numberInWords(value, DEFAULT_NAMING)]);
  }
}

function checkAll(analysis: Analysis): void {
  const said = analysis.chords.map((_, index) => readingWords(analysis, index, DEFAULT_NAMING));
  said.forEach((sentences, index) => {
    for (const sentence of sentences) {
      expect(sentence).toMatch(/[.]$/);
      expect(sentence).not.toMatch(/undefined|null|NaN|[♯♭]{3}/);
      check(sentence, analysis, index);
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
