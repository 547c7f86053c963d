import { type Reduction, reduce, timeOf } from '@aurora/core';
import { readScore } from '@aurora/core/format';
import { describe, expect, test } from '@jest/globals';
import { beatsIn, joinBefore, moveBorder, splitColumn, stepFrom } from './border-edit.ts';

/** Four bars of four, a chord each: C, F, G7, C. */
const HYMN = 'X:1\nT:Quay Hymn\nM:4/4\nL:1/8\nK:C\nV:1\ne2ed e2g2|f8|f2fe d2B2|c8|]\nV:2\n[C,G,CE]8|[F,,F,A,C]8|[G,,F,B,D]8|[C,,G,CE]8|]\n';
const WALTZ = 'X:1\nT:Ferry Waltz\nM:3/4\nL:1/8\nK:G\nV:1\nd2d2d2|e2e2e2|]\nV:2\n[G,B,D]6|[C,E,G,]6|]\n';

function piece(text: string): Reduction {
  const read = readScore('abc', new TextEncoder().encode(text));
  if (!read.ok) throw new Error('not read');
  return reduce(read.value.score);
}
const HYMN_READ = piece(HYMN);
const at = (bar: number, beat: number) => timeOf(HYMN_READ.score, { bar, beat }) as number;
const border = (bar: number, beat: number, isBorder: boolean) => ({ kind: 'border', at: { bar, beat }, isBorder });

test('there is a harmony a bar to work with', () =>
  expect(HYMN_READ.columns.map(({ from }) => from)).toEqual([1, 2, 3, 4].map((bar) => at(bar, 1))));

describe('the times a border may lie at', () => {
  test('are beats and half beats strictly inside', () => {
    expect(beatsIn(HYMN_READ.score, { from: at(1, 1), to: at(1, 3) })).toEqual([at(1, 1.5), at(1, 2), at(1, 2.5)]);
    expect(beatsIn(HYMN_READ.score, { from: at(1, 4), to: at(2, 2) })).toEqual([at(1, 4.5), at(2, 1), at(2, 1.5)]);
    expect(beatsIn(HYMN_READ.score, { from: at(2, 1), to: at(2, 1.5) })).toEqual([]);
  });

  test('in three quarters there are five inside a bar', () => {
    const { score } = piece(WALTZ);
    const [from, to] = [timeOf(score, { bar: 1, beat: 1 }) as number, timeOf(score, { bar: 2, beat: 1 }) as number];
    expect(beatsIn(score, { from, to })).toHaveLength(5);
  });
});

describe('a border', () => {
  test.each([
    ['half a beat earlier', 1, at(1, 4.5), [border(2, 1, false), border(1, 4.5, true)]],
    ['a beat later', 1, at(2, 2), [border(2, 1, false), border(2, 2, true)]],
    ['where it is', 1, at(2, 1), []],
    ['to where the harmony before begins', 1, at(1, 1), []],
    ['to where the harmony ends', 1, at(3, 1), []],
    ['of the first harmony', 0, at(1, 2), []],
    ['of one that is not there', 9, at(2, 2), []],
  ] as const)('moved %s', (_, index, to, said) => expect(moveBorder(HYMN_READ, index, to)).toEqual(said));

  test('is taken away where two harmonies are joined; the first has none before it', () => {
    expect(joinBefore(HYMN_READ, 2)).toEqual([border(3, 1, false)]);
    expect(joinBefore(HYMN_READ, 0)).toEqual([]);
    expect(joinBefore(HYMN_READ, 9)).toEqual([]);
  });

  test('is drawn on the beat nearest to the middle where one is split', () => {
    expect(splitColumn(HYMN_READ, 1)).toEqual([border(2, 3, true)]);
    expect(splitColumn(HYMN_READ, 9)).toEqual([]);
  });

  test('goes by half beats, and no further than the harmonies beside it', () => {
    expect(stepFrom(HYMN_READ, 1, 1)).toBe(at(2, 1.5));
    expect(stepFrom(HYMN_READ, 1, -1)).toBe(at(1, 4.5));
    expect(stepFrom(HYMN_READ, 0, 1)).toBeNull();
    expect(stepFrom(HYMN_READ, 9, -1)).toBeNull();
  });
});
