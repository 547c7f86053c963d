/**
 * A plucked string, by the Karplus–Strong method: a burst of noise runs around a loop as long as
 * one period and is smoothed at each turn. Mono samples between −1 and 1, tuned by an all-pass
 * filter that takes up the fraction of a sample a period does not fill.
 */
export function pluckedString(frequencyHz: number, seconds: number, sampleRate: number): Float32Array {
  const period = sampleRate / frequencyHz - LOOP_DELAY;
  const length = Math.floor(period - 0.1);
  const fraction = period - length;
  const allPass = (1 - fraction) / (1 + fraction);
  const loop = noiseBurst(length);
  const samples = new Float32Array(Math.floor(seconds * sampleRate));
  // high strings turn around the loop more often and would die away too soon
  const loss = DECAY ** (REFERENCE_HZ / frequencyHz);
  let before = 0;
  let passedIn = 0;
  let passedOut = 0;
  for (let index = 0; index < samples.length; index += 1) {
    const place = index % length;
    const current = loop[place] as number;
    const smoothed = loss * 0.5 * (current + before);
    before = current;
    passedOut = allPass * smoothed + passedIn - allPass * passedOut;
    passedIn = smoothed;
    loop[place] = passedOut;
    samples[index] = current;
  }
  return fadeEnds(samples, sampleRate);
}

/** The smoothing filter delays by half a sample. */
const LOOP_DELAY = 0.5;
const DECAY = 0.996;
const REFERENCE_HZ = 220;
const FADE_SECONDS = 0.02;

/** The pick's noise: the same every time, softened so that it is a finger rather than a nail. */
function noiseBurst(length: number): Float32Array {
  const burst = new Float32Array(length);
  let seed = 20_417;
  let last = 0;
  for (let index = 0; index < length; index += 1) {
    seed = (seed * 16_807) % 2_147_483_647;
    const noise = (seed / 2_147_483_647) * 2 - 1;
    last = 0.6 * noise + 0.4 * last;
    burst[index] = last;
  }
  const mean = burst.reduce((sum, value) => sum + value, 0) / length;
  return burst.map((value) => value - mean);
}

function fadeEnds(samples: Float32Array, sampleRate: number): Float32Array {
  const fade = Math.floor(FADE_SECONDS * sampleRate);
  for (let index = 0; index < fade; index += 1) {
    const last = samples.length - 1 - index;
    samples[last] = (samples[last] as number) * (index / fade);
  }
  return samples;
}
