import { describe, expect, test } from '@jest/globals';
import { line, moved, printSvg, type Shape, scaled, text } from './drawing.ts';

const SHAPES: readonly Shape[] = [
  line(1, 2, 3, 4),
  text(1, 2, 'C', { size: 10 }),
  { kind: 'rect', x: 1, y: 2, width: 3, height: 4, radius: 1, fill: 'ink' },
  { kind: 'circle', x: 1, y: 2, radius: 3, fill: null, stroke: 'ink', width: 1 },
  { kind: 'path', d: 'M1 2L3.5-4C1 1 2 2 3e-1 3Z', fill: 'ink', stroke: null, width: 1 },
];

describe('drawings', () => {
  test('moved there and back is where it was', () => {
    for (const shape of SHAPES.slice(0, 4)) expect(moved(moved(shape, 7, -3), -7, 3)).toEqual(shape);
  });

  test('a path is moved point by point, however its numbers are joined', () => {
    expect(moved(SHAPES[4] as Shape, 10, 100)).toMatchObject({ d: 'M 11 102 L 13.5 96 C 11 101 12 102 10.3 103 Z' });
  });

  test('scaled down everything is smaller alike, words stay', () => {
    const half = scaled({ width: 100, height: 50, label: 'X', shapes: SHAPES.slice(0, 4) }, 0.5);
    expect(half).toMatchObject({ width: 50, height: 25, label: 'X' });
    expect(half.shapes[0]).toMatchObject({ x1: 0.5, y2: 2, width: 0.4 });
    expect(half.shapes[1]).toMatchObject({ text: 'C', size: 5 });
  });

  test('as SVG every mark is one element, on white', () => {
    const svg = printSvg({ width: 100, height: 50, label: 'All marks', shapes: SHAPES });
    for (const element of ['<line', '<text', '<circle', '<path']) expect(svg.split(element)).toHaveLength(2);
    expect(svg.split('<rect')).toHaveLength(3);
    expect(svg).toContain('viewBox="0 0 100 50"');
    expect(svg).toContain('fill="#ffffff"');
  });
});
