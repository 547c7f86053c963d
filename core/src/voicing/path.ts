import type { Chord } from '../chord/chord.ts';
import type { Instrument } from '../fretboard/instrument.ts';
import { chroma, type Note } from '../pitch/note.ts';
import { costOf, type PathLimits, type Standing, type StepCost, standingOf } from './path-cost.ts';
import { findVoicings } from './search.ts';
import type { Frets, Voicing } from './voicing.ts';

/** One chord of a progression and what is already settled about it. */
export interface PathChord {
  readonly chord: Chord;
  /** The melody note over it, which must be on top; null for none. */
  readonly melody: Note | null;
  /** A shape the player has chosen; null to leave it open. */
  readonly locked: Frets | null;
}

/** Another shape for one chord, and how much more the whole path would cost with it. */
interface PathAlternative {
  readonly voicing: Voicing;
  readonly extra: number;
}

/** What was chosen for one chord. */
export interface PathStep {
  /** Null when no shape fits the limits: the path goes on from the chord before. */
  readonly voicing: Voicing | null;
  /** What coming here cost, in its parts. */
  readonly cost: StepCost;
  /** The next best shapes, cheapest first, everything else being chosen anew around them. */
  readonly alternatives: readonly PathAlternative[];
}

export interface Path {
  readonly steps: readonly PathStep[];
  /** The sum of all steps: no other choice of shapes within the limits has a lower one. */
  readonly total: number;
}

const MOST_ALTERNATIVES = 6;
const NO_COST: StepCost = { shift: 0, strings: 0, top: 0, common: 0, shape: 0, total: 0 };

/**
 * One shape for each chord, with the least total movement: exact, by dynamic programming over all
 * shapes within the limits. Yields how much is done, from 0 to 1, between pieces of work, so that
 * whoever drives it can show progress and stop.
 */
export function* solvePath(chords: readonly PathChord[], limits: PathLimits, instrument: Instrument): Generator<number, Path> {
  const known = new Map<string, readonly Standing[]>();
  const choices: (readonly Standing[])[] = [];
  for (const [index, wanted] of chords.entries()) {
    const name = JSON.stringify([wanted.chord, wanted.melody, wanted.locked]);
    const found = known.get(name) ?? candidatesFor(wanted, limits, instrument);
    known.set(name, found);
    choices.push(found);
    yield (SEARCHING * (index + 1)) / chords.length;
  }
  const places = choices.flatMap((found, place) => (found.length === 0 ? [] : [place]));
  const stages = places.map((place) => choices[place] as readonly Standing[]);
  const between = costTable(limits);
  const forward: Float64Array[] = [];
  for (const [index, stage] of stages.entries()) {
    forward.push(arriving(stage, stages[index - 1], forward[index - 1], between));
    yield SEARCHING + ((1 - SEARCHING) / 2) * ((index + 1) / stages.length);
  }
  const backward: Float64Array[] = new Array(stages.length);
  for (let index = stages.length - 1; index >= 0; index -= 1) {
    backward[index] = leaving(stages[index] as readonly Standing[], stages[index + 1], backward[index + 1], between);
    yield 1 - ((1 - SEARCHING) / 2) * (index / stages.length);
  }
  return assemble(chords.length, { places, stages, forward, backward }, limits);
}

/** The share of the work that is finding shapes. */
const SEARCHING = 0.6;

/** Drives `solvePath` to its end. */
export function findPath(chords: readonly PathChord[], limits: PathLimits, instrument: Instrument): Path {
  const work = solvePath(chords, limits, instrument);
  for (;;) {
    const { done, value } = work.next();
    if (done) return value;
  }
}

/** The shapes one chord may take. A locked shape is taken whatever the limits say. */
export function candidatesFor({ chord, melody, locked }: PathChord, limits: PathLimits, instrument: Instrument): readonly Standing[] {
  const { voicings } = findVoicings(chord, instrument, {
    ...(limits.rootless ? { without: ['root'] as const } : {}),
    ...(locked === null ? { mostDifficult: limits.mostDifficult, maxFret: limits.highestFret } : {}),
    ...(locked === null && limits.families !== null ? { families: limits.families } : {}),
  });
  if (locked !== null) return voicings.filter(({ frets }) => isSame(frets, locked)).map((voicing) => standingOf(voicing, instrument));
  const { lowestFret, rootLowest } = limits;
  return voicings
    .filter(({ frets }) => frets.every((fret) => fret === null || fret >= lowestFret || fret === instrument.capo))
    .filter(({ inversion, chord: { bass } }) => !rootLowest || inversion === 0 || bass !== null)
    .map((voicing) => standingOf(voicing, instrument))
    .filter(({ top }) => melody === null || top % 12 === chroma(melody));
}

function isSame(a: Frets, b: Frets): boolean {
  return a.length === b.length && a.every((fret, string) => fret === b[string]);
}

type Between = (from: readonly Standing[], to: readonly Standing[]) => Float64Array;

/** Costs between all shapes of two chords, kept because progressions repeat their changes. */
function costTable(limits: PathLimits): Between {
  const kept = new Map<readonly Standing[], Map<readonly Standing[], Float64Array>>();
  return (from, to) => {
    const row = kept.get(from) ?? new Map<readonly Standing[], Float64Array>();
    kept.set(from, row);
    const ready = row.get(to);
    if (ready !== undefined) return ready;
    const table = new Float64Array(from.length * to.length);
    from.forEach((before, a) => {
      to.forEach((after, b) => {
        table[a * to.length + b] = costOf(before, after, limits).total;
      });
    });
    row.set(to, table);
    return table;
  };
}

/** The least cost of coming to each shape of a stage from the start. */
function arriving(
  stage: readonly Standing[],
  before: readonly Standing[] | undefined,
  reached: Float64Array | undefined,
  between: Between,
): Float64Array {
  if (before === undefined || reached === undefined) return Float64Array.from(stage, ({ shape }) => shape);
  const table = between(before, stage);
  return Float64Array.from(stage, (_, to) => leastOver(reached, (from) => table[from * stage.length + to] as number));
}

/** The least cost of going on from each shape of a stage to the end. */
function leaving(
  stage: readonly Standing[],
  after: readonly Standing[] | undefined,
  rest: Float64Array | undefined,
  between: Between,
): Float64Array {
  if (after === undefined || rest === undefined) return new Float64Array(stage.length);
  const table = between(stage, after);
  return Float64Array.from(stage, (_, from) => leastOver(rest, (to) => table[from * after.length + to] as number));
}

/** The least of the known costs, each with its step added. */
function leastOver(costs: Float64Array, step: (at: number) => number): number {
  let least = Number.POSITIVE_INFINITY;
  for (let at = 0; at < costs.length; at += 1) {
    const cost = (costs[at] as number) + step(at);
    if (cost < least) least = cost;
  }
  return least;
}

interface Solved {
  /** Which chord each stage belongs to; chords without shapes have none. */
  readonly places: readonly number[];
  readonly stages: readonly (readonly Standing[])[];
  readonly forward: readonly Float64Array[];
  readonly backward: readonly Float64Array[];
}

/** Walks the cheapest shapes from the start; at each stage every shape's best whole path is known from both sides. */
function assemble(count: number, { places, stages, forward, backward }: Solved, limits: PathLimits): Path {
  const steps: PathStep[] = Array.from({ length: count }, () => ({ voicing: null, cost: NO_COST, alternatives: [] }));
  let before: Standing | null = null;
  let spent = 0;
  let total = 0;
  stages.forEach((stage, index) => {
    const rest = backward[index] as Float64Array;
    const through = stage.map((_, at) => (forward[index] as Float64Array)[at] as number).map((cost, at) => cost + (rest[at] as number));
    const chosen = nextOf(stage, before, rest, limits);
    const cost = costOf(before, chosen.standing, limits);
    const best = Math.min(...through);
    if (index === 0) total = best;
    const alternatives = stage
      .map((standing, at) => ({ voicing: standing.voicing, extra: round((through[at] as number) - best) }))
      .filter(({ voicing }) => voicing !== chosen.standing.voicing)
      .sort((a, b) => a.extra - b.extra)
      .slice(0, MOST_ALTERNATIVES);
    steps[places[index] as number] = { voicing: chosen.standing.voicing, cost, alternatives };
    before = chosen.standing;
    spent += cost.total;
  });
  return { steps, total: round(Math.max(total, spent)) };
}

function nextOf(stage: readonly Standing[], before: Standing | null, rest: Float64Array, limits: PathLimits) {
  let chosen = { standing: stage[0] as Standing, cost: Number.POSITIVE_INFINITY };
  stage.forEach((standing, at) => {
    const cost = costOf(before, standing, limits).total + (rest[at] as number);
    if (cost < chosen.cost) chosen = { standing, cost };
  });
  return chosen;
}

function round(value: number): number {
  return Math.round(value * 1000) / 1000;
}
