import { DEFAULT_NAMING, parseChord, parseKey, requireValue } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { growingOrder } from './growing-order.ts';
import { changeWords } from './move-words.ts';
import { answerTo } from './name-answer.ts';
import { chordFacts, keyFacts } from './why-facts.ts';

const chord = (symbol: string) => requireValue(parseChord(symbol));
const key = (name: string) => requireValue(parseKey(name));

describe('what is typed for a chord is answered', () => {
  test.each([
    // all letters right, in any order, with glyphs or ASCII, commas or spaces
    ['Ebmaj7', 'Eb G Bb D', 'Right, every letter.'],
    ['Ebmaj7', 'D, Bb, G, Eb', 'Right, every letter.'],
    ['F#m7b5', 'F# A C E', 'Right, every letter.'],
    ['Ab7', 'Ab C Eb Gb', 'Right, every letter.'],
    // the sound is right and the letter is not: A♭7 contains G♭, never F♯
    ['Ab7', 'Ab C Eb F#', 'the letter is wrong: the ♭7 of A♭7 is written G♭'],
    ['Ebmaj7', 'D# G Bb D', 'the letter is wrong: the 1 of E♭maj7 is written E♭'],
    ['C#m', 'C# Fb G#', 'the letter is wrong'],
    // one too few, one too many
    ['G7', 'G B D', 'F is missing'],
    ['G7', 'G B', 'D and F are missing'],
    ['Am', 'A C E F', 'F is not in it'],
    // a name instead of notes
    ['Am7', 'Am7', 'Right.'],
    ['Ebmaj7', 'Ebm7', 'its 3 is G, where Ebm7 has G♭'],
    ['Ebmaj7', 'Eb7', 'its 7 is D, where Eb7 has D♭'],
    ['Am7', 'Dm7', 'The root is A'],
    // what cannot be read is told as everywhere
    ['Am7', 'H C E', 'write B'],
    ['Am7', 'a c e', 'capitals for letters'],
    ['Am7', 'Aq7', 'q7'],
  ])('%s: %s', (symbol, typed, words) => expect(answerTo(typed, chord(symbol), DEFAULT_NAMING)).toContain(words));

  test('in the words of the band’s school', () => {
    const german = { ...DEFAULT_NAMING, notes: 'german' } as const;
    expect(answerTo('G B', chord('G'), german)).toContain('D is missing');
    expect(answerTo('E G', chord('Em'), german)).toContain('H is missing');
  });
});

describe('how a chord changes is told as players remember it', () => {
  const change = (number: number, semitones: number) => ({ before: { number }, semitones }) as never;
  test.each([
    [[change(3, -1), change(7, -1)], '3 and 7 down a half step'],
    [[change(7, -1)], '7 down a half step'],
    [[change(5, 1)], '5 up a half step'],
    [[change(7, -2)], '7 down a whole step'],
    [[change(3, -1), change(5, 1)], '3 down a half step, 5 up a half step'],
    [[change(7, 3)], '7 up 3 half steps'],
    [[], ''],
  ])('%#', (changes, words) => expect(changeWords(changes)).toBe(words));
});

describe('facts beside a chord and a key', () => {
  test.each([
    ['Cmaj7', 'a half step'],
    ['C7', 'a whole step'],
    ['Cm7', 'a whole step'],
    ['Cdim7', 'a step and a half'],
  ])('the seventh of %s lies %s below the octave', (symbol, distance) => expect(chordFacts(chord(symbol)).join(' ')).toContain(distance));

  test('a triad has no seventh to tell of', () => expect(chordFacts(chord('C'))).toEqual([]));

  test.each([
    ['C', 'Its one dominant seventh is G7, on the 5'],
    ['Bb', 'Its one dominant seventh is F7, on the 5'],
    ['A dorian', 'D7, on the 4'],
    ['A harmonic minor', 'Its one dominant seventh is E7, on the 5'],
  ])('%s: %s', (name, fact) => expect(keyFacts(key(name), DEFAULT_NAMING).join(' ')).toContain(fact));

  test('melodic minor has two dominants and twins that halve the learning', () => {
    const facts = keyFacts(key('C melodic minor'), DEFAULT_NAMING).join(' ');
    expect(facts).toContain('F7 and G7');
    expect(facts).toMatch(/4 and 5/);
    expect(facts).toMatch(/6 and 7/);
  });

  test.each(['harmonic minor', 'melodic minor', 'dorian', 'mixolydian', 'lydian', 'phrygian'])('%s has a signature of its own', (scale) =>
    expect(keyFacts(key(`A ${scale}`), DEFAULT_NAMING).length).toBeGreaterThan(1),
  );
});

test('a scale grows by one note a round, with a rest after each, up to the octave', () => {
  const order = growingOrder();
  expect(order.filter((place) => place === null)).toHaveLength(8);
  const rounds = order
    .map((place) => (place === null ? '|' : String(place)))
    .join('')
    .split('|');
  expect(rounds.slice(0, 3)).toEqual(['0', '01', '012']);
  expect(rounds[7]).toBe('01234567');
});
