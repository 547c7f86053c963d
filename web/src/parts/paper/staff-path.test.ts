import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { describe, expect, test } from '@jest/globals';
import opentype from 'opentype.js';
import { STAFF_GLYPHS } from './staff-glyphs.ts';
import { glyphPath } from './staff-path.ts';

const file = readFileSync(createRequire(`${process.cwd()}/package.json`).resolve('@vexflow-fonts/bravura/bravura.otf'));
const font = opentype.parse(file.buffer.slice(file.byteOffset, file.byteOffset + file.length));
const numbers = (path: string) => (path.match(/-?[\d.]+/g) ?? []).map(Number);

describe('signs of a staff', () => {
  test('are drawn where the whole font draws them, to a tenth of a point', () => {
    for (const [code] of STAFF_GLYPHS) {
      const sign = String.fromCodePoint(code);
      const [ours, theirs] = [glyphPath(sign, 10, 50, 39), font.getPath(sign, 10, 50, 39).toPathData(3)].map(numbers);
      expect(ours).toHaveLength(theirs?.length ?? -1);
      for (const [at, value] of (ours ?? []).entries()) expect(Math.abs(value - (theirs?.[at] ?? 0))).toBeLessThan(0.1);
    }
  });

  test('several stand side by side, and what is no sign is left out', () => {
    const [first, second] = STAFF_GLYPHS as typeof STAFF_GLYPHS & readonly [(typeof STAFF_GLYPHS)[0], (typeof STAFF_GLYPHS)[0]];
    const both = glyphPath(String.fromCodePoint(first[0], second[0]), 0, 0, 1000);
    expect(both).toBe(
      glyphPath(String.fromCodePoint(first[0]), 0, 0, 1000) + glyphPath(String.fromCodePoint(second[0]), first[1], 0, 1000),
    );
    expect(glyphPath('x', 0, 0, 10)).toBe('');
  });
});
