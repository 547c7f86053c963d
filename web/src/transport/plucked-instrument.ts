import * as tone from 'tone';
import { drumKit } from './drum-kit.ts';
import { frequencyOf } from './hearing.ts';
import { pluckedString } from './pluck.ts';

/** What everything is played on: plucked strings, drums, a click, and a drone. */
export interface Instrument {
  readonly tone: typeof tone;
  readonly strings: tone.Sampler;
  /** How long a string rings at the most. */
  readonly ringSeconds: number;
  /** By the pitches of its General MIDI keys; made when they are first wanted, for a chord is heard without them. */
  readonly drums: tone.Sampler;
  readonly loudness: tone.Gain;
  readonly click: tone.Synth;
  readonly drone: tone.PolySynth;
}

const RING_SECONDS = 2.2;
/** Strings that are really computed; notes between them are played a little faster or slower. */
const SAMPLED = [40, 45, 50, 55, 59, 64, 69, 76];

/** Makes the instrument, as loud as the gain says. */
export function makeInstrument(gain: number): Instrument {
  const loudness = new tone.Gain(gain).toDestination();
  const rate = tone.getContext().sampleRate;
  const urls = Object.fromEntries(
    SAMPLED.map((midi) => [midi, tone.ToneAudioBuffer.fromArray(pluckedString(frequencyOf(midi), RING_SECONDS + 0.4, rate))]),
  );
  const strings = new tone.Sampler({ urls, release: 0.25 }).connect(loudness);
  let drums: tone.Sampler | null = null;
  const makeDrums = () => {
    const kit = [...drumKit(rate)].map(([key, samples]) => [key, tone.ToneAudioBuffer.fromArray(samples)] as const);
    return new tone.Sampler({ urls: Object.fromEntries(kit), volume: -7 }).connect(loudness);
  };
  const click = new tone.Synth({
    oscillator: { type: 'square' },
    envelope: { attack: 0.001, decay: 0.03, sustain: 0, release: 0.01 },
    volume: -14,
  }).connect(loudness);
  const drone = new tone.PolySynth(tone.Synth, {
    oscillator: { type: 'triangle' },
    envelope: { attack: 0.6, decay: 0.2, sustain: 0.8, release: 1.2 },
    volume: -16,
  }).connect(loudness);
  return {
    tone,
    strings,
    ringSeconds: RING_SECONDS,
    get drums() {
      drums ??= makeDrums();
      return drums;
    },
    loudness,
    click,
    drone,
  };
}
