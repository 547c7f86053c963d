import { type Chord, chordMidi, type TimedBar, type TimedChord } from '@aurora/core';
import { create } from 'zustand';
import { frequencyOf } from './hearing.ts';
import { bassMidi, NO_SOUND, openInstrument } from './player.ts';
import { type Session, stage } from './stage.ts';

/** A song as it is played, and how: what changes while it plays is heard at the next chord. */
export interface SongSound {
  readonly timeline: readonly TimedBar[];
  /** What a chord of a bar sounds like in the key that is read just now. */
  readonly chordAt: (bar: number, place: number) => Chord | null;
  /** Beats a minute where the chart says none, and what the chart's own tempos are measured against. */
  readonly tempo: number;
  /** How much faster or slower than written, 1 for as written. */
  readonly pace: number;
  readonly click: boolean;
  readonly bass: boolean;
  readonly guitar: boolean;
  /** Bars of the timeline that go round and round, the last one counted; null to play through. */
  readonly loop: { readonly from: number; readonly to: number } | null;
}

interface SongPlayerState {
  /** Which song sounds; null in silence. */
  readonly playing: string | null;
  /** Index into the timeline; −1 while it is counted in. */
  readonly at: number;
  readonly fault: string | null;
}

export const useSongPlayer = create<SongPlayerState>()(() => ({ playing: null, at: -1, fault: null }));

const AHEAD_SECONDS = 0.14;
const TICK_MS = 40;
const LEAD_SECONDS = 0.12;
const STRUM_SECONDS = 0.022;
const STOP_SECONDS = 0.16;
const COUNT_IN = 1;

/** Something that sounds at a place within a bar. */
interface BarEvent {
  /** Beats of the bar after its beginning. */
  readonly at: number;
  readonly kind: 'click' | 'chord';
  readonly accent: boolean;
  /** Index of the written bar the chord stands in, and its place there. */
  readonly bar: number;
  readonly place: number;
  readonly beats: number;
  readonly stop: boolean;
}

/** A song that sounds: how it sounds may change while it does. */
interface Sounding {
  readonly session: Session;
  sound: SongSound;
}

let sounding: Sounding | null = null;

/** Changes what is playing without a break. */
export function changeSong(change: Partial<SongSound>): void {
  if (sounding !== null) sounding.sound = { ...sounding.sound, ...change };
}

/** Plays a song from a bar of its timeline, after a bar of clicks when that is wanted. */
export async function playSong(id: string, wanted: SongSound, from: number, countIn: boolean): Promise<void> {
  const session = stage.begin();
  const song: Sounding = { session, sound: wanted };
  sounding = song;
  useSongPlayer.setState({ playing: id, at: -1, fault: null });
  session.onEnd(() => ended(song));
  try {
    const { tone, strings, click } = await openInstrument();
    await tone.start();
    const cursor: Cursor = { bar: from, begins: tone.now() + LEAD_SECONDS, counting: countIn ? COUNT_IN : 0, isFirst: true };
    const ring = (frequency: number, seconds: number, at: number, velocity: number) =>
      strings.triggerAttackRelease(frequency, seconds, at, velocity);
    session.onEnd(() => strings.releaseAll());
    session.every(TICK_MS, () => {
      while (!session.isOver && cursor.begins < tone.now() + AHEAD_SECONDS) {
        if (!soundNext(cursor, song, tone.now(), { ring, click })) return;
      }
    });
  } catch {
    session.end();
    useSongPlayer.setState({ fault: NO_SOUND });
  }
}

function ended(song: Sounding): void {
  if (sounding === song) sounding = null;
  useSongPlayer.setState({ playing: null, at: -1 });
}

/** Where playing has come to. */
interface Cursor {
  /** Index into the timeline. */
  bar: number;
  /** When it begins, in seconds of the audio clock. */
  begins: number;
  /** Bars still to be counted in. */
  counting: number;
  isFirst: boolean;
}

/** Sounds the bar the cursor stands on and moves it on; false at the end of the song. */
function soundNext(cursor: Cursor, { session, sound: song }: Sounding, now: number, voices: Voices): boolean {
  const bar = song.timeline[cursor.bar];
  if (bar === undefined) {
    if (now > cursor.begins) session.end();
    return false;
  }
  const isCountIn = cursor.counting > 0;
  const next = following(cursor.bar, song);
  const events = isCountIn ? counted(bar) : eventsOf(bar, song.timeline[next], cursor.isFirst);
  soundBar(events, { ...song, click: song.click || isCountIn }, { begins: cursor.begins, second: beatSeconds(bar, song) }, voices);
  const at = isCountIn ? -1 : cursor.bar;
  session.after(Math.max(0, (cursor.begins - now) * 1000), () => useSongPlayer.setState({ at }));
  cursor.begins += bar.beats * beatSeconds(bar, song);
  if (isCountIn) cursor.counting -= 1;
  else {
    cursor.isFirst = false;
    cursor.bar = next;
  }
  return true;
}

/** Silence. */
export function stopSong(): void {
  sounding?.session.end();
}

/** The bar of the timeline after one: round again at the end of a loop. */
function following(bar: number, { loop }: SongSound): number {
  return loop !== null && bar >= loop.to ? loop.from : bar + 1;
}

/** How long one written beat of a bar lasts. */
export function beatSeconds(bar: TimedBar, { tempo, pace }: Pick<SongSound, 'tempo' | 'pace'>): number {
  return 60 / ((bar.tempo ?? tempo) * pace) / bar.pulse;
}

/** The clicks of a bar that is only counted. */
function counted(bar: TimedBar): readonly BarEvent[] {
  return Array.from({ length: Math.ceil(bar.beats / bar.pulse) }, (_, pulse): BarEvent => {
    return { at: pulse * bar.pulse, kind: 'click', accent: pulse === 0, bar: bar.bar, place: 0, beats: 1, stop: false };
  });
}

/**
 * What sounds within a bar: clicks on every pulse, chords where they enter, and those of the next
 * bar that are pushed into this one. A long chord is struck again half way. At the very beginning
 * there is no bar to push into: a pushed chord enters on the one.
 */
export function eventsOf(bar: TimedBar, next: TimedBar | undefined, isFirst: boolean): readonly BarEvent[] {
  const here = bar.chords.filter(({ at }) => isFirst || at >= 0).flatMap((chord) => struck(bar.bar, chord, Math.max(0, chord.at)));
  const pushed = next?.chords.filter(({ at }) => at < 0).flatMap((chord) => struck(next.bar, chord, bar.beats + chord.at)) ?? [];
  return [...counted(bar), ...here, ...pushed].sort((a, b) => a.at - b.at);
}

function struck(bar: number, { chord, beats, place, stop, ring }: TimedChord, at: number): readonly BarEvent[] {
  if (chord === null) return [];
  const once: BarEvent = { at, kind: 'chord', accent: true, bar, place, beats, stop };
  const again = !stop && !ring && beats >= LONG_CHORD && (at + beats / 2) % 1 === 0;
  return again
    ? [
        { ...once, beats: beats / 2 },
        { ...once, at: at + beats / 2, beats: beats / 2, accent: false },
      ]
    : [once];
}

const LONG_CHORD = 4;

interface Voices {
  readonly ring: (frequency: number, seconds: number, at: number, velocity: number) => void;
  readonly click: { readonly triggerAttackRelease: (frequency: number, seconds: number, at: number, velocity: number) => unknown };
}

const CLICK_HZ = 1500;
const ACCENT_HZ = 2100;

interface Moment {
  readonly begins: number;
  /** How long a beat lasts. */
  readonly second: number;
}

function soundBar(events: readonly BarEvent[], song: SongSound, { begins, second }: Moment, voices: Voices): void {
  for (const event of events) {
    const at = begins + event.at * second;
    if (event.kind === 'chord') soundChord(event, song, { begins: at, second }, voices);
    else if (song.click) voices.click.triggerAttackRelease(event.accent ? ACCENT_HZ : CLICK_HZ, 0.02, at, event.accent ? 1 : 0.6);
  }
}

function soundChord(
  { bar, place, stop, beats, accent }: BarEvent,
  { chordAt, bass, guitar }: SongSound,
  { begins, second }: Moment,
  { ring }: Voices,
): void {
  const chord = chordAt(bar, place);
  if (chord === null) return;
  const lasts = stop ? STOP_SECONDS : beats * second * 0.98;
  if (bass) ring(frequencyOf(bassMidi(chord)), lasts, begins, accent ? 0.9 : 0.7);
  const strings = guitar ? chordMidi(chord) : [];
  for (const [string, midi] of strings.entries()) ring(frequencyOf(midi), lasts, begins + string * STRUM_SECONDS, accent ? 0.75 : 0.5);
}
