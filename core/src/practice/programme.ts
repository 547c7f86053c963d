import type { KEY_ORDERS } from '../choices.ts';
import { type Key, keyAccidentals, simplestKey } from '../key/key.ts';
import type { Note } from '../pitch/note.ts';
import type { ScaleName } from '../scale/scale-table.ts';
import { keyText } from './key-questions.ts';
import type { Memory } from './memory.ts';
import type { Pass } from './pass.ts';

export type KeyOrder = (typeof KEY_ORDERS)[number];

/** What somebody wants of a programme: so many nights, a key each. */
export interface ProgrammeWish {
  readonly nights: number;
  readonly order: KeyOrder;
  /** The tonic it begins on. */
  readonly first: Note;
  /** One after the other, each for a round of twelve keys. */
  readonly scales: readonly ScaleName[];
}

/** A key a night. The keys stand from the beginning: what is played meanwhile moves none of them. */
export interface Programme {
  readonly keys: readonly Key[];
  /** Nights that were skipped on purpose, counted from 1. */
  readonly skipped: readonly number[];
  /** When it began, in milliseconds: what was played before belongs to another one. */
  readonly since: number;
}

export const USUAL_NIGHTS = 30;
export const MOST_NIGHTS = 120;
const KEYS = 12;

/** The stages of a night, in the order they are played. */
export const NIGHT_STAGES = [
  'steps',
  'numbers',
  'names',
  'past twelve',
  'lower string',
  'upper triads',
  'triads',
  'crossing triads',
  'upper sevenths',
  'sevenths',
  'crossing sevenths',
  'down again',
] as const;
export type NightStage = (typeof NIGHT_STAGES)[number];

/** A night of the programme, and how it stands. */
export interface Night {
  /** From 1. */
  readonly night: number;
  readonly key: Key;
  /** `begun` is one whose evening is over with stages left: it can be finished at any time. */
  readonly state: 'done' | 'begun' | 'next' | 'skipped' | 'ahead';
  /** When it was last played, in milliseconds; null for one that was not. */
  readonly playedAt: number | null;
  /** What of it was not played yet, in order. */
  readonly left: readonly NightStage[];
}

/** Fifths from one key to the next in each order that goes by a step. */
const STEPS: Readonly<Partial<Record<KeyOrder, number>>> = { fourths: -1, fifths: 1, 'whole-steps': -2 };
/** The second half of a round by whole steps begins a half step higher: two starting points hold all twelve. */
const SECOND_START = 7;

/** The key of every night. The weakest first needs to know what is remembered. */
export function programmeKeys(wish: ProgrammeWish, memories: ReadonlyMap<string, Memory>): readonly Key[] {
  const { nights, scales } = wish;
  const rounds = Math.ceil(nights / KEYS);
  const keys = Array.from({ length: rounds }, (_, round) => {
    const scale = scales[round % Math.max(1, scales.length)] ?? 'major';
    return ordered(wish, scale, memories);
  });
  return keys.flat().slice(0, nights);
}

function ordered({ order, first }: ProgrammeWish, scale: ScaleName, memories: ReadonlyMap<string, Memory>): readonly Key[] {
  const fifths = STEPS[order];
  // F♯ or G♭ by the side it is come to from
  const named = (tonic: Note): Key => simplestKey({ tonic, scale }, { tonic, scale });
  if (fifths !== undefined) {
    const half = order === 'whole-steps' ? KEYS / 2 : KEYS;
    return Array.from({ length: KEYS }, (_, place) => named(first + fifths * (place % half) + (place < half ? 0 : SECOND_START)));
  }
  const all = Array.from({ length: KEYS }, (_, place) => named(first + place));
  const weight = order === 'easiest' ? keyAccidentals : (key: Key) => strengthOf(key, memories);
  return all
    .map((key, place) => ({ key, place, weight: weight(key) }))
    .sort((a, b) => a.weight - b.weight || a.place - b.place)
    .map(({ key }) => key);
}

/** How firmly a key sits: the mean strength in days of what was practised in it, 0 for nothing. */
function strengthOf(key: Key, memories: ReadonlyMap<string, Memory>): number {
  const text = `/${keyText(key)}`;
  const own = [...memories.values()].filter(({ item }) => item.endsWith(text));
  return own.length === 0 ? 0 : own.reduce((sum, { stability }) => sum + stability, 0) / own.length;
}

const HOUR = 3_600_000;
/** Who plays past midnight has the same evening. */
const MORNING = 4;

/** The evening a moment belongs to, as a count of days by the clock of the device: it lasts until four in the morning. */
function eveningOf(at: number): number {
  return Math.floor((at - new Date(at).getTimezoneOffset() * 60_000 - MORNING * HOUR) / (24 * HOUR));
}

/**
 * Every night with how it stands at a time. A night lasts as long as its evening: it is over when all its stages were played or
 * the day has changed, and what is left of it can be played later. One that was missed is simply the next one.
 */
export function nightsOf(programme: Programme, passes: readonly Pass[], now: number): readonly Night[] {
  const played = new Map<number, Pass[]>();
  for (const pass of passes) {
    if (pass.night === null || pass.at < programme.since) continue;
    const known = played.get(pass.night);
    if (known === undefined) played.set(pass.night, [pass]);
    else known.push(pass);
  }
  const { keys, skipped } = programme;
  const nights = keys.map((key, index) => {
    const own = played.get(index + 1) ?? [];
    const stages = new Set(own.map(({ item }) => item.split('/')[1]));
    const left = NIGHT_STAGES.filter((stage) => !stages.has(stage));
    const begunAt = Math.min(...own.map(({ at }) => at));
    const isOver = own.length > 0 && (left.length === 0 || eveningOf(begunAt) < eveningOf(now));
    const playedAt = own.length === 0 ? null : Math.max(...own.map(({ at }) => at));
    return { night: index + 1, key, left, playedAt, isOver, isSkipped: skipped.includes(index + 1) };
  });
  const next = nights.find(({ isOver, isSkipped }) => !isOver && !isSkipped)?.night;
  return nights.map(({ isOver, isSkipped, ...night }) => {
    const over = night.left.length === 0 ? 'done' : 'begun';
    return { ...night, state: isOver ? over : isSkipped ? 'skipped' : night.night === next ? 'next' : 'ahead' };
  });
}

/** The two strings a key is played along, the higher one first: those wished where the instrument has them, else the second thickest and the thickest. */
export function nightStrings(tuning: readonly number[], wished?: readonly [number, number]): readonly [number, number] {
  if (wished?.every((string) => string <= tuning.length)) return wished;
  return [tuning.length - 1, tuning.length];
}
