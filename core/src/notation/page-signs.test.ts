import { describe, expect, test } from '@jest/globals';
import { moved, type Shape } from './drawing.ts';
import { againSign, formSign, marksOver, pushMark, repeatSign, stopMark } from './page-signs.ts';

const dots = (shapes: readonly Shape[]) => shapes.flatMap((shape) => (shape.kind === 'circle' && shape.fill === 'ink' ? [shape] : []));
const bars = (shapes: readonly Shape[]) => shapes.flatMap((shape) => (shape.kind === 'line' ? [shape] : []));

describe('signs on paper', () => {
  test.each([
    ['begins', 1],
    ['ends', -1],
  ] as const)('where a repeat %s the thick line stands outside and two dots inside', (_, way) => {
    const sign = repeatSign(100, 10, 50, 30, way);
    const [thick, thin] = [...bars(sign)].sort((a, b) => b.width - a.width) as [Shape & { x1: number }, Shape & { x1: number }];
    expect(dots(sign)).toHaveLength(2);
    expect(way * (thin.x1 - thick.x1)).toBeGreaterThan(0);
    for (const { x, y } of dots(sign)) {
      expect(way * (x - thin.x1)).toBeGreaterThan(0);
      expect(Math.abs(y - 30)).toBeLessThan(20);
    }
  });

  test('one bar again has one stroke, two bars again have two, with a dot on either side', () => {
    for (const [twice, strokes] of [
      [false, 1],
      [true, 2],
    ] as const) {
      const sign = againSign(twice, 0, 0, 30);
      expect(bars(sign)).toHaveLength(strokes);
      expect(dots(sign).map(({ x, y }) => [Math.sign(x), Math.sign(y)])).toEqual([
        [-1, -1],
        [1, 1],
      ]);
    }
  });

  test('a segno has two dots, a coda none and a cross through its ring', () => {
    expect(dots(formSign('segno', 0, 0, 20))).toHaveLength(2);
    const coda = formSign('coda', 0, 0, 20);
    expect(dots(coda)).toHaveLength(0);
    expect(bars(coda)).toHaveLength(2);
  });

  test.each([
    [1, 1],
    [2.5, 3],
    [3, 3],
  ])('%d beats have %i dots, half a beat a smaller one', (beats, count) => {
    const radii = dots(marksOver({ ring: false, beats }, 30)).map(({ radius }) => radius);
    expect(radii).toHaveLength(count);
    expect((radii.at(-1) as number) < (radii[0] as number)).toBe(beats % 1 !== 0);
  });

  test('without a count there are no dots', () => expect(marksOver({ ring: false, beats: null }, 30)).toEqual([]));

  test('a chord that rings has a diamond over it, before its beats', () => {
    const [diamond, ...beats] = marksOver({ ring: true, beats: 2 }, 30);
    expect(diamond).toMatchObject({ kind: 'path', fill: null, stroke: 'ink' });
    expect(dots(beats)).toHaveLength(2);
  });

  test('marks of a chord are lines that can be moved with it', () => {
    for (const mark of [pushMark(20), stopMark(30, 20)]) {
      if (mark.kind !== 'path') throw new Error('a path');
      expect(mark.d).not.toMatch(/NaN|undefined/);
      expect(moved(mark, 5, 5)).not.toEqual(mark);
    }
    expect(stopMark(30, 20)).toMatchObject({ fill: 'ink' });
  });
});
