import { DEFAULT_NAMING, LADDER, parseChord, parseKey, requireValue, toneChanges } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { growingOrder } from './growing-order.ts';
import { changeWords } from './move-words.ts';
import { answerTo } from './name-answer.ts';
import { chordFacts, keyFacts } from './why-facts.ts';

const chord = (text: string) => requireValue(parseChord(text));
const key = (text: string) => requireValue(parseKey(text));

describe('saying a chord yourself', () => {
  test.each([
    ['Ab7', 'Ab C Eb Gb', 'Right, every letter.'],
    ['Ab7', 'Ab C Eb F#', 'F♯ sounds right, but the letter is wrong: the ♭7 of A♭7 is written G♭.'],
    ['Em7', 'E G A', 'A is not in it. B and D are missing.'],
    ['Em7', 'E, G, B, D', 'Right, every letter.'],
    ['Bm7b5', 'Bm7b5', 'Right.'],
    ['Bm7b5', 'Bø', 'Right.'],
    ['Bm7b5', 'Bdim7', 'Not quite: its ♭7 is A, where Bdim7 has A♭.'],
    ['C', 'C7', 'Not quite: it has no ♭7.'],
    ['C7', 'Dm', 'The root is C.'],
  ])('%s: to “%s”', (symbol, typed, answer) => expect(answerTo(typed, chord(symbol), DEFAULT_NAMING)).toBe(answer));

  test.each(['H', 'c e g', 'Cwhat', 'E###'])('“%s” is answered, not guessed', (typed) => {
    expect(answerTo(typed, chord('C'), DEFAULT_NAMING)).toMatch(/write|Write|not something|same sound/);
  });
});

test.each([
  ['Cmaj7', 'Cm7', '3 and 7 down a half step'],
  ['Cm7', 'C7', '3 up a half step'],
  ['Cmaj7', 'Cdim7', '3 and 5 down a half step, 7 down a whole step'],
])('%s to %s: %s', (from, to, words) => expect(changeWords(toneChanges(chord(from).formula, chord(to).formula))).toBe(words));

test('every rung of the ladder is one tone down a half step', () => {
  const words = LADDER.slice(1).map((formula, rung) => changeWords(toneChanges(LADDER[rung] as number, formula)));
  expect(words).toEqual(['7 down a half step', '3 down a half step', '5 down a half step', '7 down a half step']);
});

test('the scale grows by a note a run, with a beat of rest after each', () => {
  expect(growingOrder().slice(0, 9)).toEqual([0, null, 0, 1, null, 0, 1, 2, null]);
  expect(growingOrder()).toHaveLength(36 + 8);
});

test.each([
  ['Cmaj7', 'a half step'],
  ['C7', 'a whole step'],
  ['Cdim7', 'a step and a half'],
])('the seventh of %s lies %s below the octave', (symbol, distance) => expect(chordFacts(chord(symbol))[0]).toContain(distance));

test('a triad has no seventh to speak of', () => expect(chordFacts(chord('C'))).toEqual([]));

test('a key is known by its one dominant, its twins and its signature', () => {
  expect(keyFacts(key('Eb'), DEFAULT_NAMING)[0]).toContain('B♭7, on the 5');
  expect(keyFacts(key('C melodic minor'), DEFAULT_NAMING).join(' ')).toMatch(/2 dominant sevenths: F7 and G7.*4 and 5.*6 and 7/);
  expect(keyFacts(key('A harmonic minor'), DEFAULT_NAMING).join(' ')).toContain('♭6 major to 5 major');
});
