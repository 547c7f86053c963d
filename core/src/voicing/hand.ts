import type { Frets } from './voicing.ts';

/**
 * What a hand can do, measured where it is real: in millimetres on the neck. Fingers press just
 * behind the wire, so the distance between two frets is the distance between their wires.
 */

/** The farthest the first and the last finger stand apart. */
const MOST_SPAN_MM = 121;
/** The farthest neighbouring fingers stand apart, for each step from finger to finger. */
const MOST_STEP_MM = 68;
/** No shape covers more frets than this, however short they are. */
const MOST_FRET_SPAN = 4;
/** Two strings between sounding ones can be kept quiet, not more. */
export const MOST_INNER_MUTES = 2;

/** Where a fret lies, in millimetres from the nut: twelve frets halve the string. */
function fretPosition(fret: number, scaleLength: number): number {
  return scaleLength * (1 - (OPEN_SHARE[fret] as number));
}

/** What is left of the string above each fret; asked so often in a search that it is kept. */
const OPEN_SHARE: readonly number[] = Array.from({ length: 49 }, (_, fret) => 2 ** (-fret / 12));

/** How far apart two frets lie under the fingers, in millimetres. */
export function reach(low: number, high: number, scaleLength: number): number {
  return fretPosition(high, scaleLength) - fretPosition(low, scaleLength);
}

/** Whether one finger and a later one can stand so far apart. */
export function canReach(steps: number, millimetres: number): boolean {
  return millimetres <= MOST_STEP_MM * steps;
}

/** The lowest and highest pressed fret; null when every sounding string is open. */
export function pressedSpan(frets: Frets, capo: number): readonly [number, number] | null {
  let low = Number.POSITIVE_INFINITY;
  let high = 0;
  for (const fret of frets) {
    if (fret === null || fret <= capo) continue;
    if (fret < low) low = fret;
    if (fret > high) high = fret;
  }
  return high === 0 ? null : [low, high];
}

/** Whether the fingers can stand from the lowest to the highest pressed fret. */
export function fitsHand(frets: Frets, capo: number, scaleLength: number): boolean {
  const span = pressedSpan(frets, capo);
  return span === null || spansHand(span[0], span[1], scaleLength);
}

/** Whether the fingers can stand as far apart as two frets. */
export function spansHand(low: number, high: number, scaleLength: number): boolean {
  return high - low <= MOST_FRET_SPAN && reach(low, high, scaleLength) <= MOST_SPAN_MM;
}

/** Muted strings with sounding ones on both sides. */
export function innerMutes(frets: Frets): number {
  const first = frets.findIndex((fret) => fret !== null);
  const last = frets.findLastIndex((fret) => fret !== null);
  return frets.slice(Math.max(0, first), last + 1).filter((fret) => fret === null).length;
}

/** What makes a hold harder, each in points; a plain finger where it falls is 0.7. */
export const HAND = {
  finger: 0.7,
  /** A finger away from the fret under it, per fret: lower frets with a higher finger. */
  early: 1,
  /** The same with a finger that has to reach forward. */
  late: 1.1,
  little: 0.3,
  /** On one fret, a later finger on the thicker string. */
  crossed: 0.6,
  /** Two fingers on one fret with a string between them pressed higher up. */
  straddle: 0.8,
  barre: 2.6,
  barreString: 0.35,
  /** A barre by another finger than the first. */
  oddBarre: 0.9,
  /** The little finger is weak. */
  littleBarre: 0.9,
  /** Next to the nut or the capo the strings are low already. */
  lightBarre: 0.85,
  /** A string under a short barre that another finger presses higher up. */
  barreGap: 1.2,
  /** An open string beside the barre on the side of the hand: the knuckle must bend. */
  barreOpen: 2.5,
  thumb: 1.4,
  innerMute: 0.8,
  /** Span that costs nothing; beyond it a point for every so many millimetres. */
  freeSpanMm: 62,
  spanPointMm: 14,
} as const;

const POINTS_TO_SCALE = 0.72;
const HARDEST = 10;

/** From 0 to 10: what the fingers do, how far they stand apart, and what must be kept quiet between. */
export function difficultyOf(cost: number, spanMm: number, mutedInside: number): number {
  const span = Math.max(0, spanMm - HAND.freeSpanMm) / HAND.spanPointMm;
  const points = cost * POINTS_TO_SCALE + span + HAND.innerMute * mutedInside;
  return Math.min(HARDEST, Math.round(points * 10) / 10);
}

/** In words, for people: up to which difficulty a shape is easy, and comfortable at all. */
export const EASY = 3;
export const COMFORTABLE = 6.5;
