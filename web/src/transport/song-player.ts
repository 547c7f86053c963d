import { type BandPart, type BandSound, bandBar, type Hit, type PlayedBar, type TimedBar } from '@aurora/core';
import { create } from 'zustand';
import { frequencyOf } from './hearing.ts';
import { NO_SOUND, openInstrument } from './player.ts';
import { type Session, stage } from './stage.ts';

/** A song as it is played, and how: what changes while it plays is heard at the next chord. */
export interface SongSound {
  readonly timeline: readonly TimedBar[];
  readonly groove: BandSound['groove'];
  /** What a chord of a bar sounds like in the key that is read just now, and what is walked over there. */
  readonly chordAt: BandSound['chordAt'];
  readonly scaleAt: BandSound['scaleAt'];
  /** Beats a minute where the chart says none, and what the chart's own tempos are measured against. */
  readonly tempo: number;
  /** How much faster or slower than written, 1 for as written. */
  readonly pace: number;
  readonly click: boolean;
  /** Who plays; the others are muted. */
  readonly parts: Readonly<Record<BandPart, boolean>>;
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
const COUNT_IN = 1;

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
    const { tone, strings, drums, click } = await openInstrument();
    await tone.start();
    const cursor: Cursor = { bar: from, begins: tone.now() + LEAD_SECONDS, counting: countIn ? COUNT_IN : 0, before: null, order: 0 };
    session.onEnd(() => {
      strings.releaseAll();
      drums.releaseAll();
    });
    session.every(TICK_MS, () => {
      while (!session.isOver && cursor.begins < tone.now() + AHEAD_SECONDS) {
        if (!soundNext(cursor, song, tone.now(), { strings, drums, click })) return;
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
  /** What was played before it; null where playing begins. */
  before: TimedBar | null;
  /** How many bars were played. */
  order: number;
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
  const moment: Moment = { begins: cursor.begins, second: beatSeconds(bar, song) };
  if (isCountIn || song.click) for (const click of clicksOf(bar)) soundClick(click, moment, voices);
  if (!isCountIn)
    for (const hit of hitsOf({ bar, before: cursor.before, next: song.timeline[next] ?? null, order: cursor.order }, song))
      soundHit(hit, moment, voices);
  const at = isCountIn ? -1 : cursor.bar;
  session.after(Math.max(0, (cursor.begins - now) * 1000), () => useSongPlayer.setState({ at }));
  cursor.begins += bar.beats * beatSeconds(bar, song);
  if (isCountIn) cursor.counting -= 1;
  else {
    cursor.before = bar;
    cursor.order += 1;
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

/** What those who are not muted play in a bar. */
export function hitsOf(played: PlayedBar, { groove, chordAt, scaleAt, tempo, pace, parts }: SongSound): readonly Hit[] {
  const beats = (played.bar.tempo ?? tempo) * pace;
  return bandBar(played, { groove, tempo: beats, chordAt, scaleAt, hasBass: parts.bass }).filter(({ part }) => parts[part]);
}

interface Click {
  /** Beats after the bar begins. */
  readonly at: number;
  readonly accent: boolean;
}

/** A click on every pulse of a bar. */
export function clicksOf({ beats, pulse }: TimedBar): readonly Click[] {
  return Array.from({ length: Math.ceil(beats / pulse) }, (_, count) => ({ at: count * pulse, accent: count === 0 }));
}

interface Voice {
  readonly triggerAttackRelease: (frequency: number, seconds: number, at: number, velocity: number) => unknown;
}

interface Voices {
  readonly strings: Voice;
  readonly drums: Voice;
  readonly click: Voice;
}

const CLICK_HZ = 1500;
const ACCENT_HZ = 2100;
/** A drum rings as long as it does. */
const DRUM_SECONDS = 1.5;
/** Notes that follow one another are let go a little before the next one. */
const HELD = 0.98;
const LOUDEST: Readonly<Record<BandPart, number>> = { guitar: 0.7, bass: 1, drums: 1 };

interface Moment {
  readonly begins: number;
  /** How long a beat lasts. */
  readonly second: number;
}

function soundClick({ at, accent }: Click, { begins, second }: Moment, { click }: Voices): void {
  click.triggerAttackRelease(accent ? ACCENT_HZ : CLICK_HZ, 0.02, begins + at * second, accent ? 1 : 0.6);
}

function soundHit({ part, at, beats, midi, level }: Hit, { begins, second }: Moment, { strings, drums }: Voices): void {
  const from = begins + at * second;
  const lasts = part === 'drums' ? DRUM_SECONDS : beats * second * HELD;
  const voice = part === 'drums' ? drums : strings;
  // strings of one stroke follow each other, also in a quick one
  const apart = Math.min(STRUM_SECONDS, (lasts * 0.5) / midi.length);
  for (const [string, pitch] of midi.entries())
    voice.triggerAttackRelease(frequencyOf(pitch), lasts, from + string * apart, level * LOUDEST[part]);
}
