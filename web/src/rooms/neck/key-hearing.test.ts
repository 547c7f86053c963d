import { type Family, keyAlongNeck, parseKey, requireValue, STANDARD_GUITAR, stringSets } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { keySteps } from './key-hearing.ts';

const shapesOf = (name: string, family: Family) =>
  keyAlongNeck(
    requireValue(parseKey(name)),
    { family, strings: stringSets(family, 6)[0] ?? null, inversion: 0, depth: 'triad' },
    STANDARD_GUITAR,
  ).flatMap(({ voicing }) => (voicing === null ? [] : [voicing]));

describe('a key heard along the neck', () => {
  test.each('C Db D Eb E F F# G Ab A Bb B Am F#m'.split(' '))('%s ends on its 1, above the chord before', (name) => {
    for (const family of ['barre-6', 'barre-5', 'triad', 'drop-2'] as const) {
      const shapes = shapesOf(name, family);
      const heard = keySteps(shapes).map(({ midi }) => Math.min(...midi));
      expect(heard).toHaveLength(shapes.length + 1);
      const [home, upper, before] = [heard[0] ?? 0, heard.at(-1) ?? 0, heard.at(-2) ?? 0];
      expect([(upper - home) % 12, upper > before]).toEqual([0, true]);
      expect(upper - before).toBeLessThanOrEqual(12);
    }
  });

  test('nothing is heard of nothing, and one shape is heard once', () => {
    expect(keySteps([])).toEqual([]);
    expect(keySteps(shapesOf('C', 'barre-5').slice(0, 1))).toHaveLength(1);
  });
});
