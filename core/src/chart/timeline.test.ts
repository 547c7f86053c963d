import { describe, expect, test } from '@jest/globals';
import { readChart } from './reading.ts';
import { pulseOf, secondsOf, timelineOf } from './timeline.ts';

const timed = (text: string) => timelineOf(readChart(text));

describe('a chart in time', () => {
  test.each([
    ['tempo: 120\n1 4', 4],
    ['tempo: 120\n|: 1 4 :| x3', 12],
    ['time: 3/4\ntempo: 90\n1 1', 4],
    // dotted quarters in 6/8: two beats a bar
    ['time: 6/8\ntempo: 60\n1 1 1', 6],
    ['time: 12/8\ntempo: 120\n1', 2],
    ['time: 5/8\ntempo: 150\n1', 2],
    ['tempo: 120\n{pickup: 1} 5 1', 2.5],
    ['tempo: 120\n1 {tempo: 60} 1', 6],
    ['tempo: 60\n1 {3/4} 1', 7],
  ])('%j lasts %s seconds', (text, seconds) => expect(secondsOf(timed(text))).toBeCloseTo(seconds));

  test('without a tempo nobody knows, but one may be given', () => {
    expect(secondsOf(timed('1 4'))).toBeNull();
    expect(secondsOf(timed('1 4'), 60)).toBe(8);
  });

  test.each([
    ['(1.. 5.,)', null],
    [
      '(1.. 4. 5.)',
      [
        [0, 2],
        [2, 1],
        [3, 1],
      ],
    ],
    [
      '(1 4)',
      [
        [0, 2],
        [2, 2],
      ],
    ],
    ['>4', [[-0.5, 4.5]]],
    [
      '(1 >4)',
      [
        [0, 1.5],
        [1.5, 2.5],
      ],
    ],
  ])('%s begins and lasts', (bar, expected) => {
    const [first] = timed(bar);
    if (expected !== null) expect(first?.chords.map(({ at, beats }) => [at, beats])).toEqual(expected);
    expect((first?.chords ?? []).reduce((sum, { beats }) => sum + beats, 0)).toBeCloseTo(4 - (first?.chords[0]?.at ?? 0));
  });

  test('an eighth is one beat in 6/8, and a pulse is three', () => {
    expect(timed('time: 6/8\n>1')[0]?.chords[0]?.at).toBe(-1);
    expect(
      [
        [6, 8],
        [9, 8],
        [12, 8],
        [3, 8],
        [5, 8],
        [4, 4],
        [6, 4],
      ].map(([beats = 0, unit = 0]) => pulseOf({ beats, unit })),
    ).toEqual([3, 3, 3, 1, 1, 1, 1]);
  });

  test('bars know their part', () => {
    expect(timed('5\n[A] x2\n1 4').map(({ bar, part }) => [bar, part])).toEqual([
      [0, 0],
      [1, 1],
      [2, 1],
      [1, 2],
      [2, 2],
    ]);
  });
});
