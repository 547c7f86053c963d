import { parseKey, printKey, requireValue, SCALE_NAMES } from '@aurora/core';
import { beforeEach, describe, expect, test } from '@jest/globals';
import { circleKeys, stepKey } from './key-view.ts';
import { keyInForce, lensesOf, lensSearch, useLens } from './lens-store.ts';
import { CONCERT, READER_CHOICES, readerChoice, readerNote } from './reader-view.ts';

const key = (text: string) => requireValue(parseKey(text));
beforeEach(() => useLens.setState({ key: null, homeKey: null, reader: CONCERT, selection: null }));

describe('the key lens', () => {
  test('is the song’s own key until another is chosen, and C without a song', () => {
    expect(printKey(keyInForce(useLens.getState()))).toBe('C');
    useLens.getState().setHomeKey(key('Eb'));
    expect(printKey(keyInForce(useLens.getState()))).toBe('Eb');
    useLens.getState().setKey(key('D'));
    expect(printKey(keyInForce(useLens.getState()))).toBe('D');
    useLens.getState().setKey(key('Eb'));
    expect(useLens.getState().key).toBeNull();
  });

  test('twelve steps up lead through twelve keys and home again', () => {
    const walked = [key('C')];
    for (let step = 0; step < 12; step += 1) walked.push(stepKey(walked.at(-1) as never, 1));
    expect(walked.map((each) => printKey(each)).join(' ')).toBe('C Db D Eb E F Gb G Ab A Bb B C');
  });

  test('offers twelve different tonics for every scale', () => {
    for (const scale of SCALE_NAMES) {
      expect(new Set(circleKeys(scale).map(({ tonic }) => ((tonic % 12) + 12) % 12)).size).toBe(12);
    }
  });
});

describe('the address', () => {
  test.each(['', '?key=Eb', '?key=F%23+harmonic+minor&reader=capo-3', '?reader=Bb'])('%j opens the same lenses again', (search) => {
    expect(lensSearch(lensesOf(search))).toBe(search);
  });

  test.each(['?key=nonsense', '?reader=kazoo', '?key=', '?else=1'])('%j asks for nothing', (search) => {
    expect(lensSearch(lensesOf(search))).toBe('');
  });
});

describe('the reader lens', () => {
  test('names everyone once', () => {
    expect(new Set(READER_CHOICES.map(({ id }) => id)).size).toBe(READER_CHOICES.length);
    expect(READER_CHOICES.map(({ id }) => readerChoice(id).id)).toEqual(READER_CHOICES.map(({ id }) => id));
  });

  test.each([
    ['concert', 'E', null],
    ['capo-0', 'E', null],
    ['capo-4', 'E', 'C shapes = sounding E'],
    ['Bb', 'Eb', 'reads F = sounding E♭'],
    ['Eb', 'F#m', 'reads D♯m = sounding F♯m'],
  ])('%s in %s: %s', (id, sounding, note) => expect(readerNote(readerChoice(id), key(sounding))).toBe(note));
});
