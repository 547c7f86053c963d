import type { BridgeKind } from '../bridge/bridge.ts';
import { type Key, semitonesBetween } from '../key/key.ts';
import { isMinorScale } from '../scale/scale.ts';

/** How a song goes over into what comes next. */
export type Join =
  /** A stop: the band talks, tunes, moves capos. */
  | { readonly kind: 'gap' }
  /** Straight on, over a bridge or without one. */
  | { readonly kind: 'bridge'; readonly bridge: BridgeKind };

/** A song of the set, as far as the order of the evening is concerned. */
export interface SetSong {
  readonly kind: 'song';
  readonly title: string;
  /** Tonight's key. */
  readonly key: Key;
  /** How long it lasts; null when nobody knows. */
  readonly seconds: number | null;
  /** Frets of the capos by player. */
  readonly capos: Readonly<Record<string, number>>;
  readonly join: Join;
  /** Singers at the edge of what is easy for them in this key. */
  readonly atEdge: readonly string[];
}

/** A pause between songs. */
interface SetBreak {
  readonly kind: 'break';
  readonly seconds: number;
}

export type SetEntry = SetSong | SetBreak;

/** When an entry begins, in seconds after the set does. */
export interface SetTime {
  readonly at: number;
  readonly seconds: number;
  /** Whether everything up to here has a known length. */
  readonly known: boolean;
}

/** Seconds between songs that do not go straight on. */
export const GAP_SECONDS = 30;

/** When everything begins. A song of unknown length counts as nothing and makes what follows uncertain. */
export function setTimes(entries: readonly SetEntry[], gap = GAP_SECONDS): readonly SetTime[] {
  let at = 0;
  let known = true;
  return entries.map((entry, index) => {
    const time = { at, seconds: entry.seconds ?? 0, known };
    at += time.seconds + (gapAfter(entry, entries[index + 1]) ? gap : 0);
    known &&= entry.seconds !== null;
    return time;
  });
}

/** Between two songs there is a gap unless the first goes straight on; around a break there is none. */
function gapAfter(entry: SetEntry, next: SetEntry | undefined): boolean {
  return entry.kind === 'song' && next?.kind === 'song' && entry.join.kind === 'gap';
}

const SECONDS_A_MINUTE = 60;
const MINUTES_A_DAY = 24 * 60;

/** `21:05`: the time of day so many seconds after a beginning given as `20:30`; null for no time of day. */
export function clockAfter(start: string, seconds: number): string | null {
  const [, hours, minutes] = /^([01]?\d|2[0-3]):([0-5]\d)$/.exec(start.trim()) ?? [];
  if (hours === undefined || minutes === undefined) return null;
  const at = (Number(hours) * 60 + Number(minutes) + Math.floor(seconds / SECONDS_A_MINUTE)) % MINUTES_A_DAY;
  return `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
}

/** What the band should know before it plays a set in this order. `at` are places in the set, from 0. */
export type SetWarning =
  | { readonly kind: 'same-key'; readonly at: readonly number[]; readonly key: Key }
  | { readonly kind: 'capo-no-gap'; readonly at: readonly number[]; readonly player: string; readonly from: number; readonly to: number }
  | { readonly kind: 'singer-edge'; readonly at: readonly number[]; readonly singer: string };

const SONGS_IN_ONE_KEY = 3;

/**
 * Three songs in one key, a capo that moves where nobody waits, a singer at the edge twice in a row.
 * `usual` are the frets of the capos, by player, where a song says nothing; 0 for who is not in it.
 */
export function setWarnings(entries: readonly SetEntry[], usual: SetSong['capos'] = {}): readonly SetWarning[] {
  return entries.flatMap((entry, at): readonly SetWarning[] => {
    if (entry.kind === 'break') return [];
    const before = entries[at - 1];
    const sameKey: readonly SetWarning[] =
      keyRun(entries, at) === SONGS_IN_ONE_KEY ? [{ kind: 'same-key', at: [at - 2, at - 1, at], key: entry.key }] : [];
    return before?.kind === 'song' ? [...sameKey, ...edges(before, entry, at), ...hurriedCapos(before, entry, at, usual)] : sameKey;
  });
}

function edges(before: SetSong, song: SetSong, at: number): readonly SetWarning[] {
  const twice = song.atEdge.filter((singer) => before.atEdge.includes(singer));
  return twice.map((singer) => ({ kind: 'singer-edge', at: [at - 1, at], singer }));
}

function hurriedCapos(before: SetSong, song: SetSong, at: number, usual: SetSong['capos']): readonly SetWarning[] {
  if (before.join.kind === 'gap') return [];
  const players = [...new Set([...Object.keys(before.capos), ...Object.keys(song.capos)])];
  const fretOf = ({ capos }: SetSong, player: string) => capos[player] ?? usual[player] ?? 0;
  return players
    .map((player) => ({ player, from: fretOf(before, player), to: fretOf(song, player) }))
    .filter(({ from, to }) => from !== to)
    .map((move) => ({ kind: 'capo-no-gap', at: [at - 1, at], ...move }));
}

/** How many songs in a row up to here are in one key, whatever the key is called. A break ends the row. */
function keyRun(entries: readonly SetEntry[], at: number): number {
  const entry = entries[at];
  const before = entries[at - 1];
  if (entry?.kind !== 'song') return 0;
  return before?.kind === 'song' && isSameKey(before.key, entry.key) ? keyRun(entries, at - 1) + 1 : 1;
}

function isSameKey(a: Key, b: Key): boolean {
  return semitonesBetween(a.tonic, b.tonic) === 0 && isMinorScale(a.scale) === isMinorScale(b.scale);
}
