import { describe, expect, test } from '@jest/globals';
import { clicksFor, PLAIN_CLICK } from './clicks.ts';

const beats = (over: Partial<typeof PLAIN_CLICK>, length = 16) => clicksFor(length, { ...PLAIN_CLICK, ...over }).map(({ beat }) => beat);

describe('the click', () => {
  test('a bar is counted in, then every beat clicks, the first of a bar told apart', () => {
    expect(beats({}, 4)).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
    expect(
      clicksFor(8, PLAIN_CLICK)
        .filter(({ kind }) => kind === 'bar')
        .map(({ beat }) => beat),
    ).toEqual([0, 4, 8]);
  });

  test('subdivisions lie evenly between the beats', () => {
    expect(beats({ subdivision: 2 }, 2).slice(4)).toEqual([4, 4.5, 5, 5.5]);
    expect(
      beats({ subdivision: 3 }, 1)
        .slice(4)
        .map((beat) => Math.round(beat * 3)),
    ).toEqual([12, 13, 14]);
  });

  test('off the beat there is none on it, after the count-in', () => {
    expect(beats({ offBeat: true }, 4).slice(4)).toEqual([4.5, 5.5, 6.5, 7.5]);
  });

  test('silent bars: two with, two without', () => {
    expect(beats({ silentBars: true }, 20).slice(4)).toEqual([4, 5, 6, 7, 8, 9, 10, 11, 20, 21, 22, 23]);
  });
});
