import { create } from 'zustand';
import { pluckedString } from './pluck.ts';

/** Notes that sound together, and how long until the next ones. */
export interface PlayStep {
  readonly midi: readonly number[];
  readonly beats: number;
}

interface PlayerState {
  /** What is sounding: the id given to `play`, null in silence. */
  readonly playing: string | null;
  /** Which step of it. */
  readonly step: number;
  readonly fault: string | null;
}

/** What sounds just now, for buttons and highlights. */
export const usePlayer = create<PlayerState>()(() => ({ playing: null, step: 0, fault: null }));

const STRUM_SECONDS = 0.035;
const RING_SECONDS = 2.2;
const LEAD_SECONDS = 0.06;
/** Strings that are really computed; notes between them are played a little faster or slower. */
const SAMPLED = [40, 45, 50, 55, 59, 64, 69, 76];

type Tone = typeof import('tone');
interface Instrument {
  readonly tone: Tone;
  readonly strings: import('tone').Sampler;
  readonly loudness: import('tone').Gain;
}

let instrument: Promise<Instrument> | null = null;
let volume = 0.3;
let timers: number[] = [];

/** Sets the loudness, 0 to 1; heard at once. */
export function setVolume(wanted: number): void {
  volume = wanted;
  void instrument?.then(({ loudness }) => loudness.gain.rampTo(gainOf(wanted), 0.05));
}

/** Plays the steps one after the other, each strummed from the low string. A new call ends the one before. */
export async function play(id: string, steps: readonly PlayStep[], beatsPerMinute: number): Promise<void> {
  stop();
  usePlayer.setState({ playing: id, step: 0, fault: null });
  try {
    instrument ??= openInstrument();
    const { tone, strings } = await instrument;
    await tone.start();
    if (usePlayer.getState().playing === id) schedule(id, steps, 60 / beatsPerMinute, strings, tone.now() + LEAD_SECONDS);
  } catch {
    instrument = null;
    usePlayer.setState({ playing: null, fault: 'This browser gives no sound. Everything else works without it.' });
  }
}

/** Silence. */
export function stop(): void {
  for (const timer of timers) window.clearTimeout(timer);
  timers = [];
  void instrument?.then(({ strings }) => strings.releaseAll());
  usePlayer.setState({ playing: null, step: 0 });
}

function schedule(id: string, steps: readonly PlayStep[], beatSeconds: number, strings: Instrument['strings'], start: number): void {
  let at = 0;
  steps.forEach(({ midi, beats }, step) => {
    const ring = Math.min(RING_SECONDS, beats * beatSeconds * 0.98);
    midi.forEach((note, index) => {
      strings.triggerAttackRelease(frequencyOf(note), ring, start + at + index * STRUM_SECONDS);
    });
    timers.push(window.setTimeout(() => usePlayer.setState({ step }), at * 1000));
    at += beats * beatSeconds;
  });
  timers.push(window.setTimeout(() => usePlayer.getState().playing === id && usePlayer.setState({ playing: null, step: 0 }), at * 1000));
}

async function openInstrument(): Promise<Instrument> {
  const tone = await import('tone');
  const loudness = new tone.Gain(gainOf(volume)).toDestination();
  const rate = tone.getContext().sampleRate;
  const urls = Object.fromEntries(
    SAMPLED.map((midi) => [midi, tone.ToneAudioBuffer.fromArray(pluckedString(frequencyOf(midi), RING_SECONDS + 0.4, rate))]),
  );
  const strings = new tone.Sampler({ urls, release: 0.25 }).connect(loudness);
  return { tone, strings, loudness };
}

/** Equal temperament, A = 440 Hz. */
export function frequencyOf(midi: number): number {
  return 440 * 2 ** ((midi - 69) / 12);
}

/** The ear hears loudness by ratio: halfway on the control is half as loud. */
function gainOf(wanted: number): number {
  return wanted === 0 ? 0 : 0.9 * wanted ** 1.7;
}
