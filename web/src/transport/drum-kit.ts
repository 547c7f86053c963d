import { DRUM_KEYS } from '@aurora/core';

/**
 * A drum kit as samples: skins are sines that fall in pitch as they die away, metal and wires are
 * noise without its low end. Mono, between −1 and 1, by their General MIDI keys.
 */
export function drumKit(sampleRate: number): ReadonlyMap<number, Float32Array> {
  const skin = (from: number, to: number, seconds: number) => shaped(seconds, sampleRate, falling(from, to, sampleRate));
  const noise = (seconds: number, cut: number, level: number) => shaped(seconds, sampleRate, hiss(cut, sampleRate), level);
  const snare = sum(noise(0.2, 1200, 0.7), skin(220, 180, 0.12), 0.5);
  const rim = sum(skin(1700, 1600, 0.035), noise(0.02, 2500, 0.6), 0.8);
  return new Map([
    [DRUM_KEYS.kick, sum(skin(130, 45, 0.32), noise(0.008, 2000, 0.5), 1)],
    [DRUM_KEYS.snare, snare],
    [DRUM_KEYS.rim, rim],
    [DRUM_KEYS.hat, noise(0.06, 7000, 0.55)],
    [DRUM_KEYS.pedal, noise(0.035, 5000, 0.5)],
    [DRUM_KEYS.ride, sum(noise(0.6, 6000, 0.22), shaped(0.5, sampleRate, metal(sampleRate)), 0.18)],
    [DRUM_KEYS.crash, noise(1.3, 4000, 0.6)],
    [DRUM_KEYS['high tom'], skin(210, 150, 0.28)],
    [DRUM_KEYS['low tom'], skin(130, 88, 0.34)],
  ]);
}

type Source = (index: number) => number;

/** How far a sound has died away at the end of its time: 60 dB. */
const DECAY = Math.log(1000);
const FADE_SECONDS = 0.005;

function shaped(seconds: number, sampleRate: number, source: Source, level = 1): Float32Array {
  const samples = new Float32Array(Math.floor(seconds * sampleRate));
  const fade = Math.floor(FADE_SECONDS * sampleRate);
  return samples.map((_, index) => {
    const end = Math.min(1, (samples.length - index) / fade);
    return level * source(index) * Math.exp((-DECAY * index) / samples.length) * end;
  });
}

/** A sine whose pitch falls towards another. */
function falling(fromHz: number, toHz: number, sampleRate: number): Source {
  const quick = 0.03 * sampleRate;
  let phase = 0;
  return (index) => {
    phase += (2 * Math.PI * (toHz + (fromHz - toHz) * Math.exp(-index / quick))) / sampleRate;
    return Math.sin(phase);
  };
}

/** Noise above a frequency, the same every time. */
function hiss(cutHz: number, sampleRate: number): Source {
  const kept = 1 / (1 + (2 * Math.PI * cutHz) / sampleRate);
  let seed = 48_271;
  let [before, passed] = [0, 0];
  return () => {
    seed = (seed * 16_807) % 2_147_483_647;
    const noise = (seed / 2_147_483_647) * 2 - 1;
    passed = kept * (passed + noise - before);
    before = noise;
    return passed;
  };
}

/** The ring of a cymbal: tones that fit no scale. */
const PARTIALS = [2170, 3130, 4410, 5270, 6830];

function metal(sampleRate: number): Source {
  return (index) => PARTIALS.reduce((total, hz) => total + Math.sin((2 * Math.PI * hz * index) / sampleRate), 0) / PARTIALS.length;
}

/** Two sounds together, the second as loud as said, kept within bounds. */
function sum(one: Float32Array, other: Float32Array, level: number): Float32Array {
  const longer = one.length >= other.length ? one : other.map((sample) => sample * level);
  const shorter = one.length >= other.length ? other.map((sample) => sample * level) : one;
  return longer.map((sample, index) => Math.max(-1, Math.min(1, sample + (shorter[index] ?? 0))));
}
