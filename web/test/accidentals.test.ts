import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { type Glyph, parse } from 'opentype.js';

/** Digits of the numeral face: their height, and the stem of the 1, measured in it, in thousandths of an em. */
const DIGIT = { height: 660, stem: { 400: 90, 700: 145 } } as const;
const LEAST_HEIGHT = 0.9;
const LEAST_STEM = 0.6;

function glyphs(weight: 400 | 700) {
  const file = readFileSync(join(import.meta.dirname, `../src/fonts/accidentals-${weight}.otf`));
  const font = parse(file.buffer.slice(file.byteOffset, file.byteOffset + file.byteLength) as ArrayBuffer);
  return (sign: string) => font.charToGlyph(sign);
}

/** Where the outline crosses a height, from left to right; curves are cut into short lines. */
function crossings(glyph: Glyph, height: number): readonly number[] {
  const found: number[] = [];
  let [x, y, startX, startY] = [0, 0, 0, 0];
  const line = (toX: number, toY: number) => {
    if (y < height !== toY < height) found.push(x + ((height - y) / (toY - y)) * (toX - x));
    [x, y] = [toX, toY];
  };
  for (const command of glyph.path.commands) {
    if (command.type === 'M') [x, y, startX, startY] = [command.x, command.y, command.x, command.y];
    else if (command.type === 'L') line(command.x, command.y);
    else if (command.type === 'Z') line(startX, startY);
    else if (command.type === 'C') {
      const [fromX, fromY] = [x, y];
      for (let step = 1; step <= 20; step += 1) {
        const t = step / 20;
        const [a, b, c, d] = [(1 - t) ** 3, 3 * t * (1 - t) ** 2, 3 * t ** 2 * (1 - t), t ** 3];
        line(a * fromX + b * command.x1 + c * command.x2 + d * command.x, a * fromY + b * command.y1 + c * command.y2 + d * command.y);
      }
    }
  }
  return found.sort((one, other) => one - other);
}

describe.each([400, 700] as const)('signs in weight %i', (weight) => {
  const glyph = glyphs(weight);

  test.each(['♭', '♯', '♮'])('%s is nine tenths as high as a digit at least', (sign) => {
    const { y1, y2 } = glyph(sign).getBoundingBox();
    expect((y2 - y1) / DIGIT.height).toBeGreaterThanOrEqual(LEAST_HEIGHT);
    expect(y2).toBeLessThanOrEqual(DIGIT.height);
  });

  test.each([
    ['♭', 540],
    ['♯', 600],
    ['♮', 560],
  ])('the stem of %s is at least six tenths of a digit’s', (sign, height) => {
    const [left, right] = crossings(glyph(sign), height);
    expect((right as number) - (left as number)).toBeGreaterThanOrEqual(LEAST_STEM * DIGIT.stem[weight]);
  });

  test('the bowl of the flat stays open', () => expect(crossings(glyph('♭'), 200)).toHaveLength(4));
});
