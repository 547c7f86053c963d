import { DRUM_KEYS } from '@aurora/core';
import { expect, test } from '@jest/globals';
import { drumKit } from './drum-kit.ts';

const RATE = 44_100;
const kit = drumKit(RATE);
const sound = (voice: keyof typeof DRUM_KEYS) => kit.get(DRUM_KEYS[voice]) as Float32Array;

/** How often a sound crosses zero in a second: high for wires and metal, low for skins. */
function crossings(samples: Float32Array): number {
  let count = 0;
  for (let index = 1; index < samples.length; index += 1) if ((samples[index] as number) * (samples[index - 1] as number) < 0) count += 1;
  return (count * RATE) / samples.length;
}

test('every drum of the kit has a sound that sets in at once, never clips, and ends in silence', () => {
  for (const [voice, key] of Object.entries(DRUM_KEYS)) {
    const samples = kit.get(key) ?? new Float32Array();
    const loudest = Math.max(...samples.map(Math.abs));
    expect([voice, loudest > 0.15 && loudest <= 1]).toEqual([voice, true]);
    expect([voice, Math.max(...samples.subarray(0, RATE / 50).map(Math.abs)) > loudest / 2]).toEqual([voice, true]);
    expect(Math.abs(samples.at(-1) as number)).toBeLessThan(0.01);
  }
});

test('skins are low and metal is high, the low tom under the high one, the crash longest', () => {
  expect(crossings(sound('kick'))).toBeLessThan(600);
  expect(crossings(sound('low tom'))).toBeLessThan(crossings(sound('high tom')));
  expect(crossings(sound('hat'))).toBeGreaterThan(6000);
  expect(crossings(sound('snare'))).toBeGreaterThan(crossings(sound('high tom')));
  for (const voice of ['hat', 'ride', 'snare', 'kick'] as const) expect(sound('crash').length).toBeGreaterThan(sound(voice).length);
});
