import { countBits } from '../bits.ts';
import type { Instrument } from '../fretboard/instrument.ts';
import { barresIn, gripOf } from './grips.ts';
import { canReach, HAND, reach } from './hand.ts';
import type { Barre, Finger, Fingering, Frets } from './voicing.ts';

/** A pressed string: its place in the tuning and its fret. */
interface Press {
  readonly string: number;
  readonly fret: number;
}

type PressingFinger = 1 | 2 | 3 | 4;

const FINGERS: readonly PressingFinger[] = [1, 2, 3, 4];
/** More ways than this to hold one shape help nobody. */
const MOST_FINGERINGS = 8;
const MOST_THUMBED = 2;
/** Ways that cost so much more than the easiest are not ways; with other barres, or the thumb, a little more is worth showing. */
const WORST_MARGIN = 1.5;
const WORST_OTHERWISE = 3;

/**
 * Every sensible way to hold the shape: as it is taught first, then by ease; none when four fingers and a thumb cannot.
 * But for what is taught, the first never uses the thumb. Higher frets take later fingers; a finger may lie over several
 * strings when nothing under it is open or muted.
 */
export function fingerings(frets: Frets, instrument: Instrument): readonly Fingering[] {
  const ways = waysByEase(frets, instrument);
  const taught = taughtFingering(frets, instrument, ways[0]);
  if (taught === undefined) return ways;
  const name = taught.fingers.join();
  return [taught, ...ways.filter(({ fingers }) => fingers.join() !== name)].slice(0, MOST_FINGERINGS);
}

/** How a shape is taught, when it is; it costs no more than the easiest way. */
function taughtFingering(frets: Frets, { tuning, capo }: Instrument, easiest: Fingering | undefined): Fingering | undefined {
  const grip = gripOf(frets, tuning, capo);
  if (grip === undefined || grip.fingers === null || easiest === undefined) return undefined;
  return { fingers: grip.fingers, barres: barresIn(grip.fingers, frets), cost: easiest.cost };
}

/** The way the shape is held: as taught, or else the easiest without the thumb; undefined when there is none. */
export function usualFingering(frets: Frets, instrument: Instrument): Fingering | undefined {
  const easiest = easiestFingering(frets, instrument);
  return taughtFingering(frets, instrument, easiest) ?? easiest;
}

function waysByEase(frets: Frets, instrument: Instrument): readonly Fingering[] {
  const { capo } = instrument;
  const plain = solve({ frets, instrument, presses: pressesOf(frets, capo), thumb: null });
  const best = plain[0];
  if (best === undefined) return [];
  const thumbed = thumbPress(frets, instrument);
  const withThumb =
    thumbed === null ? [] : solve({ frets, instrument, presses: pressesOf(frets, capo), thumb: thumbed }).slice(0, MOST_THUMBED);
  const rest = [...plain.slice(1), ...withThumb].sort((a, b) => a.cost - b.cost);
  return [best, ...rest.filter((way) => way.cost <= best.cost + (isOtherwise(way, best) ? WORST_OTHERWISE : WORST_MARGIN))].slice(
    0,
    MOST_FINGERINGS,
  );
}

function isOtherwise(way: Fingering, best: Fingering): boolean {
  return way.barres.length !== best.barres.length || way.fingers.includes('T');
}

/** The easiest way to hold the shape without the thumb; undefined when there is none. */
function easiestFingering(frets: Frets, instrument: Instrument): Fingering | undefined {
  const problem = { frets, instrument, presses: pressesOf(frets, instrument.capo), thumb: null };
  let best: Fingering | undefined;
  assign(problem, {
    isWorthwhile: (fingers, count) => best === undefined || leastCost(fingers, count) <= best.cost,
    onAssigned: (fingers) => {
      const way = assess(problem, problem.presses, fingers);
      if (best === undefined || way.cost < best.cost) best = way;
    },
  });
  return best;
}

/** What the first so many pressed strings cost at the least, whatever comes behind them: fingers and barres. */
function leastCost(fingers: readonly PressingFinger[], count: number): number {
  let used = 0;
  let lying = 0;
  for (let index = 0; index < count; index += 1) {
    const bit = bitOf(fingers[index] as PressingFinger);
    lying |= used & bit;
    used |= bit;
  }
  return HAND.finger * countBits(used) + HAND.barre * HAND.lightBarre * countBits(lying);
}

/** Sets of fingers are numbers here, a bit each: a search goes through very many of them. */
function bitOf(finger: PressingFinger): number {
  return 1 << finger;
}

/** Pressed strings, low frets first and on one fret the thicker string first. */
function pressesOf(frets: Frets, capo: number): readonly Press[] {
  const presses: Press[] = [];
  frets.forEach((fret, string) => {
    if (fret !== null && fret > capo) presses.push({ string, fret });
  });
  return presses.sort((a, b) => a.fret - b.fret || a.string - b.string);
}

/** The thumb takes the lowest string of a six-string or larger neck, near the nut side of the hand. */
function thumbPress(frets: Frets, { capo }: Instrument): Press | null {
  const fret = frets[0];
  if (frets.length < 6 || fret === null || fret === undefined || fret <= capo) return null;
  const others = pressesOf(frets, capo).filter(({ string }) => string !== 0);
  const low = others[0]?.fret ?? fret;
  const high = others.at(-1)?.fret ?? fret;
  return fret >= low - 1 && fret <= high && fret <= MOST_THUMB_FRET ? { string: 0, fret } : null;
}

/** Higher up the body is in the way of the thumb. */
const MOST_THUMB_FRET = 10;

interface Problem {
  readonly frets: Frets;
  readonly instrument: Instrument;
  readonly presses: readonly Press[];
  readonly thumb: Press | null;
}

/** All assignments found by going through the pressed strings in order, cheapest first. */
function solve(problem: Problem): readonly Fingering[] {
  const presses = problem.thumb === null ? problem.presses : problem.presses.filter(({ string }) => string !== problem.thumb?.string);
  const found: Fingering[] = [];
  const onAssigned = (fingers: readonly PressingFinger[]) => found.push(assess(problem, presses, fingers));
  assign({ ...problem, presses }, { isWorthwhile: () => true, onAssigned });
  return found.sort((a, b) => a.cost - b.cost);
}

interface Assignments {
  /** Whether to go on with what the first so many pressed strings have. */
  readonly isWorthwhile: (fingers: readonly PressingFinger[], count: number) => boolean;
  readonly onAssigned: (fingers: readonly PressingFinger[]) => void;
}

/** Goes through the fingers for the pressed strings, string by string. */
function assign(problem: Problem, { isWorthwhile, onAssigned }: Assignments): void {
  const { presses } = problem;
  // four fingers on five frets and more: nobody tries
  if (fretsPressed(presses) > FINGERS.length) return;
  const fingers: PressingFinger[] = [];
  const place = (index: number): void => {
    if (index === presses.length) {
      onAssigned(fingers);
      return;
    }
    for (const finger of FINGERS) {
      if (!fits(problem, fingers, index, finger)) continue;
      fingers[index] = finger;
      if (isWorthwhile(fingers, index + 1)) place(index + 1);
    }
  };
  place(0);
}

/** How many frets are pressed; the presses are in their order. */
function fretsPressed(presses: readonly Press[]): number {
  let count = 0;
  presses.forEach(({ fret }, index) => {
    if (fret !== presses[index - 1]?.fret) count += 1;
  });
  return count;
}

/** Whether the finger may press this string, given who presses the ones before. */
function fits({ frets, instrument, presses }: Problem, fingers: readonly PressingFinger[], index: number, finger: PressingFinger): boolean {
  const { fret, string } = presses[index] as Press;
  for (let before = 0; before < index; before += 1) {
    const other = fingers[before] as PressingFinger;
    const press = presses[before] as Press;
    if (press.fret < fret) {
      if (other >= finger || !canReach(finger - other, reach(press.fret, fret, instrument.scaleLength))) return false;
    } else if (other === finger) {
      if (!canLie({ finger, fret, from: press.string, to: string }, frets, instrument.capo)) return false;
    } else if (other > finger && matesOf(presses, fret) > MOST_CROSSED) return false;
  }
  return true;
}

function matesOf(presses: readonly Press[], fret: number): number {
  let mates = 0;
  for (const press of presses) if (press.fret === fret) mates += 1;
  return mates;
}

/** On one fret, two fingers may stand crossed, not more. */
const MOST_CROSSED = 2;

/** The assignment with its barres and its cost. */
function assess(problem: Problem, presses: readonly Press[], assigned: readonly PressingFinger[]): Fingering {
  const { frets, instrument, thumb } = problem;
  const barres = barresOf(presses, assigned);
  const fingers: (Finger | null)[] = frets.map((fret) => (fret === null ? null : 0));
  presses.forEach(({ string }, index) => {
    fingers[string] = assigned[index] as PressingFinger;
  });
  if (thumb !== null) fingers[thumb.string] = 'T';
  const cost =
    placingCost(presses, assigned, instrument.capo, frets) +
    barres.reduce((sum, barre) => sum + barreCost(barre, frets, instrument.capo), 0) +
    (thumb === null ? 0 : HAND.thumb);
  return { fingers, barres, cost: Math.round(cost * 100) / 100 };
}

function barresOf(presses: readonly Press[], assigned: readonly PressingFinger[]): readonly Barre[] {
  const barres: Barre[] = [];
  for (const finger of FINGERS) {
    // strings of one fret are in their order
    const first = assigned.indexOf(finger);
    const last = assigned.lastIndexOf(finger);
    if (first === last) continue;
    const { fret, string } = presses[first] as Press;
    barres.push({ finger, fret, from: string, to: (presses[last] as Press).string });
  }
  return barres;
}

/** Nothing under a barre may be open, muted or pressed behind it; before the little finger there is no other left. */
function canLie({ fret, from, to, finger }: Barre, frets: Frets, capo: number): boolean {
  for (let string = from; string <= to; string += 1) {
    const under = frets[string];
    if (under === null || under === undefined || under <= capo || under < fret) return false;
    if (finger === 4 && under !== fret) return false;
  }
  return true;
}

/** Fingers and how far each is from the fret it falls on, in the position that suits them best. */
function placingCost(presses: readonly Press[], assigned: readonly PressingFinger[], capo: number, frets: Frets): number {
  let used = 0;
  for (const finger of assigned) used |= bitOf(finger);
  let cost = HAND.finger * countBits(used) + (assigned.includes(4) ? HAND.little : 0);
  for (let index = 1; index < presses.length; index += 1) {
    const same = presses[index]?.fret === presses[index - 1]?.fret;
    if (!same || assigned[index] === assigned[index - 1]) continue;
    if ((assigned[index] as number) < (assigned[index - 1] as number)) cost += HAND.crossed;
    if (straddles(presses[index - 1] as Press, presses[index] as Press, frets)) cost += HAND.straddle;
  }
  const low = presses[0]?.fret;
  if (low === undefined) return cost;
  const first = capo + 1;
  const atNut = low - first < 2 && frets.includes(capo);
  if (atNut) return cost + awayFrom(first, presses, assigned);
  return cost + Math.min(awayFrom(Math.max(first, low - 1), presses, assigned), awayFrom(low, presses, assigned));
}

function straddles(from: Press, to: Press, frets: Frets): boolean {
  return frets.some((fret, string) => string > from.string && string < to.string && fret !== null && fret > from.fret);
}

function awayFrom(position: number, presses: readonly Press[], assigned: readonly PressingFinger[]): number {
  let counted = 0;
  let cost = 0;
  presses.forEach(({ fret }, index) => {
    const finger = assigned[index] as PressingFinger;
    if ((counted & bitOf(finger)) !== 0) return;
    counted |= bitOf(finger);
    const away = finger - (fret - position + 1);
    cost += away > 0 ? away * HAND.early : -away * HAND.late;
  });
  return cost;
}

function barreCost({ fret, from, to, finger }: Barre, frets: Frets, capo: number): number {
  const strings = to - from + 1;
  let cost = HAND.barre + HAND.barreString * (strings - 2) + (finger === 1 ? 0 : HAND.oddBarre) + (finger === 4 ? HAND.littleBarre : 0);
  if (fret === capo + 1) cost *= HAND.lightBarre;
  if (strings < 5) {
    for (let string = from; string <= to; string += 1) if ((frets[string] as number) > fret) cost += HAND.barreGap;
  }
  const open = frets.some((under, string) => string > to && under !== null && under <= capo);
  return cost + (open ? HAND.barreOpen : 0);
}
