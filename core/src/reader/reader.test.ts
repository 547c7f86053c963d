import { describe, expect, test } from '@jest/globals';
import { parseChord, printChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { parseTuning } from '../fretboard/tuning-text.ts';
import { semitonesBetween } from '../key/key.ts';
import { parseKey, printKey } from '../key/key-text.ts';
import {
  CONCERT_READER,
  playerReader,
  playsGuitar,
  type Reader,
  TRANSPOSITION_SEMITONES,
  writtenChord,
  writtenKey,
  writtenSemitones,
} from './reader.ts';

const key = (text: string) => requireValue(parseKey(text));
const horn = (name: keyof typeof TRANSPOSITION_SEMITONES): Reader => ({ ...CONCERT_READER, transpose: TRANSPOSITION_SEMITONES[name] });
const capo = (fret: number): Reader => ({ ...CONCERT_READER, capo: fret });

describe('what a reader sees while the band sounds a key', () => {
  test.each<[who: string, reader: Reader, sounding: string, written: string]>([
    ['concert', CONCERT_READER, 'Eb', 'Eb'],
    ['trumpet', horn('Bb'), 'Eb', 'F'],
    ['trumpet', horn('Bb'), 'B', 'Db'],
    ['trumpet', horn('Bb'), 'E', 'F#'],
    ['trumpet', horn('Bb'), 'Gm', 'Am'],
    ['alto sax', horn('Eb'), 'Eb', 'C'],
    ['alto sax', horn('Eb'), 'B', 'Ab'],
    ['alto sax', horn('Eb'), 'F#m', 'D#m'],
    ['horn in F', horn('F'), 'F', 'C'],
    ['capo 4', capo(4), 'E', 'C'],
    ['capo 3', capo(3), 'Bb', 'G'],
    ['capo 1', capo(1), 'Ab', 'G'],
    ['capo 5', capo(5), 'Dm', 'Am'],
    ['tuned down a half step', { ...CONCERT_READER, tuning: -1 }, 'Eb', 'E'],
    ['tuned down, capo 2', { transpose: 0, capo: 2, tuning: -1 }, 'Ab', 'G'],
  ])('%s', (_, reader, sounding, written) => expect(printKey(writtenKey(reader, key(sounding)))).toBe(written));

  test.each([
    ['F#m7b5', 'E', 'Dm7b5'],
    ['B7', 'E', 'G7'],
    ['E/G#', 'E', 'C/E'],
  ])('with capo 4 a sounding %s in %s is a %s shape: only the root changes', (sounding, home, shape) => {
    const chord = requireValue(parseChord(sounding));
    expect(printChord(writtenChord(capo(4), chord, key(home)))).toBe(shape);
  });

  test('written minus sounding is the same for every key, for every reader', () => {
    for (let fret = 0; fret <= 11; fret += 1) {
      for (let tonic = -6; tonic <= 6; tonic += 1) {
        const written = writtenKey(capo(fret), { tonic, scale: 'major' });
        expect(semitonesBetween(written.tonic, tonic)).toBe(fret);
        expect(writtenSemitones(capo(fret))).toBe((12 - fret) % 12);
      }
    }
  });
});

describe('a player as a reader', () => {
  test.each([
    ['guitar', true],
    ['second guitar', true],
    ['Baritone Guitar', true],
    ['bass guitar', false],
    ['bass', false],
    ['voice', false],
    ['', false],
  ])('%j plays a guitar: %s', (plays, is) => expect(playsGuitar(plays)).toBe(is));

  const strings = (text: string) => requireValue(parseTuning(text));
  const HALF_DOWN = strings('Eb2 Ab2 Db3 Gb3 Bb3 Eb4');

  test('a guitar tuned a half step down reads E while the band sounds E♭', () => {
    const reader = playerReader({ plays: 'guitar', transpose: 0, tuning: HALF_DOWN }, 0);
    expect(printKey(writtenKey(reader, key('Eb')))).toBe('E');
    expect(printKey(writtenKey(playerReader({ plays: 'guitar', transpose: 0, tuning: HALF_DOWN }, 2), key('Eb')))).toBe('D');
  });

  test('a bass guitar reads what sounds, and so does a guitar with strings of its own', () => {
    expect(playerReader({ plays: 'bass guitar', transpose: 0, tuning: HALF_DOWN }, 0).tuning).toBe(0);
    expect(playerReader({ plays: 'guitar', transpose: 0, tuning: strings('D2 A2 D3 G3 A3 D4') }, 0).tuning).toBe(0);
    expect(playerReader({ plays: 'trumpet', transpose: 2, tuning: null }, 0)).toEqual({ transpose: 2, capo: 0, tuning: 0 });
  });
});
