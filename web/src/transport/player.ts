import { create } from 'zustand';
import { HOUSE_WORDS } from '../wording/house.ts';
import type { Click } from './clicks.ts';
import { frequencyOf, gainOf } from './hearing.ts';
import type { Instrument } from './plucked-instrument.ts';
import { type Session, stage } from './stage.ts';

/** Notes that sound together, and how long until the next ones. */
export interface PlayStep {
  readonly midi: readonly number[];
  readonly beats: number;
  /** A click on every beat of the step, as from a metronome. */
  readonly click?: boolean;
}

interface PlayerState {
  /** What is sounding: the id given to `play`, null in silence. */
  readonly playing: string | null;
  /** Which step of it. */
  readonly step: number;
  readonly fault: string | null;
  /** The note that sounds on as a drone. */
  readonly drone: number | null;
}

/** What sounds just now, for buttons and highlights. */
export const usePlayer = create<PlayerState>()(() => ({ playing: null, step: 0, fault: null, drone: null }));

const STRUM_SECONDS = 0.035;
const ARPEGGIO_SECONDS = 0.19;
const LEAD_SECONDS = 0.06;

let instrument: Promise<Instrument> | null = null;
let volume = 0.3;
let spread = STRUM_SECONDS;

/** Sets the loudness, 0 to 1; heard at once. */
export function setVolume(wanted: number): void {
  volume = wanted;
  onceThere(({ loudness }) => loudness.gain.rampTo(gainOf(wanted), 0.05));
}

/** Whether chords are strummed at once or picked note by note. */
export function setStrum(strum: 'strum' | 'arpeggio'): void {
  spread = strum === 'strum' ? STRUM_SECONDS : ARPEGGIO_SECONDS;
}

/** Plays the steps one after the other, each from its lowest string up, with clicks beside them. A new call ends the one before. */
export async function play(id: string, steps: readonly PlayStep[], beatsPerMinute: number, clicks: readonly Click[] = []): Promise<void> {
  const session = stage.begin();
  usePlayer.setState({ playing: id, step: 0, fault: null });
  session.onEnd(() => {
    onceThere(({ strings }) => strings.releaseAll());
    usePlayer.setState({ playing: null, step: 0 });
  });
  try {
    const opened = await openInstrument();
    await opened.tone.start();
    if (session.isOver) return;
    const start = opened.tone.now() + LEAD_SECONDS;
    soundClicks(clicks, start, 60 / beatsPerMinute, opened);
    schedule(session, steps, { start, beatSeconds: 60 / beatsPerMinute }, opened);
  } catch {
    session.end();
    usePlayer.setState({ fault: NO_SOUND });
  }
}

/** Lets a note be heard in passing, as when a dot is pointed at; silent until something was played on purpose. */
export function hearOver(midi: number): void {
  if (usePlayer.getState().playing !== null) return;
  onceThere(({ tone, strings }) => strings.triggerAttackRelease(frequencyOf(midi), PASSING_SECONDS, tone.now(), PASSING_VELOCITY));
}

const PASSING_SECONDS = 0.7;
const PASSING_VELOCITY = 0.5;

/** Silence. */
export function stop(): void {
  stage.end();
}

/** Clicks are struck at once, ahead of time: what ends them is the session's end. */
function soundClicks(clicks: readonly Click[], start: number, beatSeconds: number, { click }: Instrument): void {
  for (const { beat, kind } of clicks) click.triggerAttackRelease(CLICK_KIND_HZ[kind], 0.02, start + beat * beatSeconds);
}

const CLICK_KIND_HZ: Readonly<Record<Click['kind'], number>> = { bar: 2100, beat: 1600, between: 1100 };

interface Timing {
  /** In seconds of the audio clock. */
  readonly start: number;
  readonly beatSeconds: number;
}

function schedule(
  session: Session,
  steps: readonly PlayStep[],
  { start, beatSeconds }: Timing,
  { strings, click, ringSeconds }: Instrument,
): void {
  let at = 0;
  steps.forEach(({ midi, beats, click: clicks }, step) => {
    const lasting = beats * beatSeconds;
    // a chord picked note by note must be through before the next one comes
    const between = Math.min(spread, (lasting * 0.7) / Math.max(1, midi.length));
    midi.forEach((note, index) => {
      strings.triggerAttackRelease(frequencyOf(note), Math.min(ringSeconds, lasting * 0.98), start + at + index * between);
    });
    for (let beat = 0; clicks === true && beat < beats; beat += 1)
      click.triggerAttackRelease(CLICK_HZ, 0.02, start + at + beat * beatSeconds);
    session.after(at * 1000, () => usePlayer.setState({ step }));
    at += lasting;
  });
  session.after(at * 1000, () => session.end());
}

/** Lets a note and its fifth sound on softly, to hear a mode against; the same note again ends it. */
export async function toggleDrone(midi: number): Promise<void> {
  const sounding = usePlayer.getState().drone;
  try {
    const { tone, drone } = await openInstrument();
    await tone.start();
    drone.releaseAll();
    if (sounding !== midi) drone.triggerAttack([frequencyOf(midi), frequencyOf(midi + FIFTH)], tone.now() + LEAD_SECONDS, 0.5);
    usePlayer.setState({ drone: sounding === midi ? null : midi });
  } catch {
    usePlayer.setState({ drone: null, fault: NO_SOUND });
  }
}

/** Ends the drone, if one sounds. */
export function stopDrone(): void {
  const { drone } = usePlayer.getState();
  if (drone !== null) void toggleDrone(drone);
}

/** Does something with the instrument, if there is one; that there can be none was said by whoever wanted to hear it. */
function onceThere(act: (instrument: Instrument) => unknown): void {
  void instrument?.then(act, () => undefined);
}

/** The instrument everything is played on, made when it is first wanted. */
export function openInstrument(): Promise<Instrument> {
  instrument ??= loadInstrument().catch((error: unknown) => {
    instrument = null;
    throw error;
  });
  return instrument;
}

const FIFTH = 7;
const CLICK_HZ = 1600;
/** What is said where no sound can be made. */
export const NO_SOUND = HOUSE_WORDS.thisBrowserGivesNoSoundEverything;

/** Only who wants to hear something fetches what makes the sound. */
async function loadInstrument(): Promise<Instrument> {
  const { makeInstrument } = await import('./plucked-instrument.ts');
  return makeInstrument(gainOf(volume));
}
