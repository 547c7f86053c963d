import { parseKey, printKey, requireValue, SCALE_NAMES } from '@aurora/core';
import { beforeEach, describe, expect, test } from '@jest/globals';
import { circleKeys, stepKey } from './key-view.ts';
import { keyNow, lensesOf, lensSearch, setKey, useLensStore } from './lens-store.ts';
import { type Opened, open } from './opened.ts';
import { READER_CHOICES, readerChoice, readerNote } from './reader-view.ts';

const key = (text: string) => requireValue(parseKey(text));
let close: () => void = () => undefined;
const openHome = (home: string, more: Partial<Opened> = {}) => {
  close();
  const opened: Opened = { home: key(home), resting: null, capos: {}, rehome: null, isEmpty: false, ...more };
  close = open({ get: () => opened, subscribe: () => () => undefined });
};
const now = () => printKey(keyNow());
beforeEach(() => {
  close();
  useLensStore.setState({ key: null, readerId: null, selection: null });
});

describe('the key lens', () => {
  test('is the song’s own key until another is chosen, and C without a song', () => {
    expect(now()).toBe('C');
    openHome('Eb');
    expect(now()).toBe('Eb');
    setKey(key('D'));
    expect(now()).toBe('D');
    setKey(key('Eb'));
    expect(useLensStore.getState().key).toBeNull();
    close();
    expect(now()).toBe('C');
  });

  test('rests on tonight’s key where a set has one', () => {
    openHome('Eb', { resting: key('D') });
    expect(now()).toBe('D');
    setKey(key('Eb'));
    expect(now()).toBe('Eb');
    setKey(key('D'));
    expect(useLensStore.getState().key).toBeNull();
  });

  test('on an empty chart the key chosen is the song’s own', () => {
    const given: string[] = [];
    openHome('C', { isEmpty: true, rehome: (to, keeps) => void given.push(`${printKey(to)} ${keeps}`) });
    setKey(key('G'));
    expect(given).toEqual(['G numbers']);
    expect(useLensStore.getState().key).toBeNull();
  });

  test('what was opened last is what is read, and what was open before comes back', () => {
    const leave = open({
      get: () => ({ home: key('A'), resting: null, capos: {}, rehome: null, isEmpty: false }),
      subscribe: () => () => undefined,
    });
    openHome('F');
    expect(now()).toBe('F');
    close();
    expect(now()).toBe('A');
    leave();
    expect(now()).toBe('C');
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

  test.each(['?key=nonsense', '?key=', '?else=1'])('%j asks for nothing', (search) => {
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
