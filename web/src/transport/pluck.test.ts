import { expect, test } from '@jest/globals';
import { frequencyOf } from './hearing.ts';
import { pluckedString } from './pluck.ts';

const RATE = 44_100;

/** The pitch by autocorrelation around the wanted period, with parabolic interpolation: a second way of measuring. */
function pitchOf(samples: Float32Array, near: number): number {
  const from = 8000;
  const length = 8000;
  const likeness = (lag: number) => {
    let sum = 0;
    for (let index = from; index < from + length; index += 1) sum += (samples[index] as number) * (samples[index + lag] as number);
    return sum;
  };
  const wanted = RATE / near;
  let best = Math.floor(wanted * 0.94);
  for (let lag = best; lag <= wanted * 1.06; lag += 1) if (likeness(lag) > likeness(best)) best = lag;
  const [before, at, after] = [likeness(best - 1), likeness(best), likeness(best + 1)] as const;
  return RATE / (best + (before - after) / (2 * (before - 2 * at + after)));
}

test.each([40, 45, 50, 55, 59, 64, 69, 76])('string %i is in tune within five cents', (midi) => {
  const wanted = frequencyOf(midi);
  const cents = 1200 * Math.log2(pitchOf(pluckedString(wanted, 1, RATE), wanted) / wanted);
  expect(Math.abs(cents)).toBeLessThan(5);
});

test('a string dies away, never clips, and ends in silence', () => {
  const samples = pluckedString(110, 2, RATE);
  const loudness = (from: number) => Math.max(...samples.subarray(from, from + 4000).map(Math.abs));
  expect(Math.max(...samples.map(Math.abs))).toBeLessThanOrEqual(1);
  expect(loudness(60_000)).toBeLessThan(loudness(2000) / 2);
  expect(samples.at(-1)).toBeCloseTo(0, 5);
});

test('A4 is 440 Hz and an octave doubles it', () => {
  expect(frequencyOf(69)).toBe(440);
  expect(frequencyOf(81)).toBeCloseTo(880, 9);
});
