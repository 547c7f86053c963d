import type { Voicing } from '@aurora/core';
import type { PlayStep } from '../../transport/player.ts';

const CHORD_BEATS = 2;
const OCTAVE = 12;

/** The shapes of a key as they are heard, one after the other, and the first once more above the last: a key ends at home. */
export function keySteps(shapes: readonly Pick<Voicing, 'tones'>[]): readonly PlayStep[] {
  const heard = shapes.map(({ tones }) => tones.map(({ midi }) => midi));
  const [first, last] = [heard[0], heard.at(-1)];
  if (first === undefined || last === undefined || heard.length === 1) return heard.map(stepOf);
  const octaves = Math.max(0, Math.ceil((Math.min(...last) - Math.min(...first) + 1) / OCTAVE));
  return [...heard, first.map((midi) => midi + octaves * OCTAVE)].map(stepOf);
}

function stepOf(midi: readonly number[]): PlayStep {
  return { midi, beats: CHORD_BEATS, click: true };
}
