import { describe, expect, test } from '@jest/globals';
import { analyzeText } from './analyze.ts';

/** Heights as the documentation defines them: outside tones, what the chord does, what it leaves open. */
const points = (source: string) => analyzeText(source).ridge;
const heights = (source: string) => points(source).map(({ height }) => height);

describe('the ridge of one key', () => {
  test('rests on the 1, half up on the other resting chords, rises over 4 to 5', () => {
    expect(heights('key: C\n1 6- 3- 4 2- 5 1\n')).toEqual([0, 0.5, 0.5, 1, 1, 2, 0]);
  });

  test('is the same in every key', () => {
    const plain = heights('key: C\n1 17 4 4- 2-7 57 b7 1\n');
    for (const key of ['Db', 'E', 'F#', 'Bb']) expect(heights(`key: ${key}\n1 17 4 4- 2-7 57 b7 1\n`)).toEqual(plain);
  });

  test('a chord outside the key stands higher than the key’s own on the same degree', () => {
    const [, own] = points('key: C\n1 4 1\n');
    const [, borrowed] = points('key: C\n1 4- 1\n');
    expect(own?.outside).toBe(0);
    // A♭ lies three fifths from F, the nearest tone of the key: half a step each
    expect(borrowed?.outside).toBe(1.5);
    expect(borrowed?.height).toBeGreaterThan(own?.height as number);
  });

  test('a promise that is kept adds nothing, one that is not adds to the height', () => {
    const kept = points('key: C\n1 67 2- 57 1\n')[1];
    const broken = points('key: C\n1 67 4 1\n')[1];
    expect(kept?.pull).toBe(0);
    expect(broken?.pull).toBeGreaterThan(0);
  });

  test('every height is the sum of its parts, and none is below the ground', () => {
    for (const { height, outside, does, pull, ground } of points('key: Eb\n1 17 4 b77 1 3-7b5 67 2-7 57 1o7 b6 b7 1\n')) {
      expect(height).toBe(outside + does + pull);
      expect(height).toBeGreaterThanOrEqual(0);
      expect(ground).toBeGreaterThanOrEqual(0);
    }
  });
});

test('another key lies as high as it is fifths away, half a step each', () => {
  const grounds = (change: string) => points(`key: C\n[A]\n1 4 5 1\n[B]\n{key: ${change}} 1 4 5 1\n`).map(({ ground }) => ground);
  expect(grounds('G').slice(4)).toEqual([0.5, 0.5, 0.5, 0.5]);
  expect(grounds('D').slice(4)).toEqual([1, 1, 1, 1]);
  expect(grounds('F#').slice(4)).toEqual([3, 3, 3, 3]);
  expect(grounds('G').slice(0, 4)).toEqual([0, 0, 0, 0]);
});
