import { describe, expect, test } from '@jest/globals';
import { requireValue } from '../fault.ts';
import { parseNote, printNote } from '../pitch/note-text.ts';
import { SCALE_NAMES } from '../scale/scale.ts';
import { isSpellable, type Key, keyNotes, moveKey, relativeMajorDistance, relativeMajorTonic, semitonesBetween } from './key.ts';
import { makeKey, parseKey, printKey } from './key-text.ts';

const key = (text: string): Key => requireValue(parseKey(text));
const spelled = (text: string): string =>
  keyNotes(key(text))
    .map((note) => printNote(note))
    .join(' ');

describe('keys spell every letter once', () => {
  test.each([
    ['F#', 'F# G# A# B C# D# E#'],
    ['Gb', 'Gb Ab Bb Cb Db Eb F'],
    ['Cb', 'Cb Db Eb Fb Gb Ab Bb'],
    ['C# harmonic minor', 'C# D# E F# G# A B#'],
    ['G# melodic minor', 'G# A# B C# D# E# F##'],
    ['Ab harmonic minor', 'Ab Bb Cb Db Eb Fb G'],
    ['D dorian', 'D E F G A B C'],
    ['B altered', 'B C D Eb F G A'],
    ['E phrygian dominant', 'E F G# A B C D'],
    ['Bb lydian dominant', 'Bb C D E F G Ab'],
    ['F lydian augmented', 'F G A B C# D E'],
  ])('%s: %s', (text, notes) => expect(spelled(text)).toBe(notes));

  test('in every spellable key the seven letters stand in order', () => {
    for (const scale of SCALE_NAMES) {
      for (let tonic = -15; tonic <= 19; tonic += 1) {
        if (!isSpellable({ tonic, scale })) continue;
        const letters = keyNotes({ tonic, scale }).map((note) => printNote(note).charAt(0));
        expect(new Set(letters).size).toBe(7);
      }
    }
  });
});

describe('key names', () => {
  test.each([
    ['G', 'G'],
    ['Em', 'Em'],
    ['E minor', 'Em'],
    ['E-', 'Em'],
    ['Bb Major', 'Bb'],
    ['B♭ major', 'Bb'],
    ['F# harmonic minor', 'F# harmonic minor'],
    ['D Dorian', 'D dorian'],
    ['C ionian', 'C'],
    ['A aeolian', 'Am'],
    ['G locrian ♯2', 'G locrian #2'],
    ['G  melodic   minor', 'G melodic minor'],
  ])('%s is read and written %s', (text, tidy) => {
    expect(printKey(key(text))).toBe(tidy);
    expect(key(tidy)).toEqual(key(text));
  });

  test.each([
    ['', 'empty'],
    ['H', 'note-letter'],
    ['em', 'note-letter'],
    ['E###', 'note-accidentals'],
    ['C sideways', 'scale-unknown'],
    ['B## major', 'key-unspellable'],
    ['Fbb harmonic minor', 'key-unspellable'],
  ])('%j is refused', (text, code) => expect(parseKey(text)).toMatchObject({ ok: false, fault: { code } }));

  test('a near miss names the scale that was meant', () => {
    expect(parseKey('D dorain')).toMatchObject({ fault: { nearest: 'dorian' }, span: { start: 2, length: 6 } });
    expect(parseKey('C zzzzzzzz')).toMatchObject({ fault: { nearest: null } });
  });

  test('an unspellable key offers its easier name', () => {
    expect(makeKey(requireValue(parseNote('D##')), 'major')).toMatchObject({ fault: { code: 'key-unspellable', easier: 'E' } });
  });
});

describe('moving a key by half steps', () => {
  test.each([
    ['C', 1, 'Db'],
    ['A', -1, 'Ab'],
    ['B', 2, 'Db'],
    ['Eb', 9, 'C'],
    ['F', 1, 'Gb'],
    ['E', 2, 'F#'],
    ['C', 6, 'F#'],
    ['Em', -1, 'D#m'],
    ['Dm', 1, 'Ebm'],
    ['Am', 1, 'Bbm'],
    ['G', 11, 'F#'],
    ['C#', 11, 'C'],
    ['Gb', 0, 'Gb'],
    ['F# dorian', 1, 'G dorian'],
  ])('%s moved by %i is %s', (from, semitones, to) => expect(printKey(moveKey(key(from), semitones))).toBe(to));

  test('moving there and back sounds the same, whatever the names', () => {
    for (let tonic = -7; tonic <= 7; tonic += 1) {
      for (let semitones = -11; semitones <= 11; semitones += 1) {
        const home: Key = { tonic, scale: 'major' };
        const back = moveKey(moveKey(home, semitones), -semitones);
        expect(semitonesBetween(home.tonic, back.tonic)).toBe(0);
      }
    }
  });

  test('minor keys count from the major key a minor third above', () => {
    expect(printNote(relativeMajorTonic(key('Em')))).toBe('G');
    expect(printNote(relativeMajorTonic(key('D dorian')))).toBe('F');
    expect(printNote(relativeMajorTonic(key('D')))).toBe('D');
  });
});

test.each([
  ['C', 'C', 0],
  ['C', 'Am', 0],
  ['C', 'G', 1],
  ['C', 'F', 1],
  ['Eb', 'Em', 4],
  ['C', 'F#', 6],
  ['C', 'Gb', 6],
  ['B', 'Db', 2],
])('the relative majors of %s and %s lie %i fifths apart, either way', (a, b, fifths) => {
  expect(relativeMajorDistance(key(a), key(b))).toBe(fifths);
  expect(relativeMajorDistance(key(b), key(a))).toBe(fifths);
});
