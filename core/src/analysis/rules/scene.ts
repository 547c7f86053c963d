import { countBits } from '../../bits.ts';
import { type Home, isOwn, stepOf } from '../home/home.ts';
import type { Loop } from '../home/loops.ts';
import { type ChordFacts, canPull } from './facts.ts';

/** A chord with what stands around it, apart from any key. */
export interface Moment {
  readonly here: ChordFacts;
  /** The chord before it, other than itself. */
  readonly before: ChordFacts | null;
  /** The next chord that is another one; more of the same dominant is passed over. Behind the last chord the first one comes again. */
  readonly after: ChordFacts | null;
  /** Whether what follows is the first chord, played again. */
  readonly turns: boolean;
  readonly afterThat: ChordFacts | null;
  /** Its place in a line that one voice walks under or over a held chord: first, inside, none. */
  readonly line: 'first' | 'inside' | 'none';
  /** Whether its bass is held from a neighbour and is no tone of the chord. */
  readonly overPedal: boolean;
  /** Whether it stands in a loop that goes on to the same chord every time. */
  readonly inLoop: boolean;
}

/** A moment heard in a home. Steps are half steps above its tonic. */
export interface Scene extends Moment {
  readonly home: Home;
  /** Whether the home is a blues: its 1 and 4 are dominant sevenths at rest. */
  readonly blues: boolean;
  /** Whether every tone is the home's own. */
  readonly own: boolean;
  readonly step: number;
  readonly nextStep: number | null;
}

/** The moments of a progression. Equal neighbourhoods share one value, so that they are judged once. */
export function momentsOf(chords: readonly ChordFacts[], loops: readonly Loop[] = []): readonly Moment[] {
  const lines = findLines(chords);
  const neighbour = neighboursOf(chords);
  const looped = chords.map(() => false);
  for (const { from, to } of loops) looped.fill(true, from, to + 1);
  const known = new Map<string, Moment>();
  const ids = new Map(chords.map((facts) => [facts, 0]));
  [...ids.keys()].forEach((facts, id) => {
    ids.set(facts, id);
  });
  const idOf = (facts: ChordFacts | null) => (facts === null ? -1 : ids.get(facts));
  return chords.map((here, index) => {
    const before = neighbour(index, -1);
    const next = neighbour(index, 1);
    const afterThat = next === null ? null : neighbour(next.index, 1);
    const turns = next === null && !isMoreOfTheSame(here, chords[0] as ChordFacts);
    const moment: Moment = {
      here,
      before: before?.facts ?? null,
      after: turns ? (chords[0] as ChordFacts) : (next?.facts ?? null),
      turns,
      afterThat: afterThat?.facts ?? null,
      line: lines[index] ?? 'none',
      overPedal: isOverPedal(chords, index),
      inLoop: looped[index] === true,
    };
    const key = `${[here, moment.before, moment.after, moment.afterThat].map(idOf).join()} ${turns} ${moment.line} ${moment.overPedal} ${moment.inLoop}`;
    const same = known.get(key);
    if (same === undefined) known.set(key, moment);
    return same ?? moment;
  });
}

/** The moment heard in a home. */
export function sceneIn(moment: Moment, home: Home, blues: boolean): Scene {
  const { here, before, after, turns, afterThat, line, overPedal, inLoop } = moment;
  return {
    here,
    before,
    after,
    turns,
    afterThat,
    line,
    overPedal,
    inLoop,
    home,
    blues,
    own: isOwn(home, here),
    step: stepOf(home, here.root),
    nextStep: after === null ? null : stepOf(home, after.root),
  };
}

interface Neighbour {
  readonly facts: ChordFacts;
  readonly index: number;
}

/** So many chords on, the neighbours of a chord are worked out for all its places at once. */
const FEW = 24;

/** Finds the next chord, either way, that is another one; in long stretches of one chord as quickly as anywhere. */
function neighboursOf(chords: readonly ChordFacts[]) {
  const known = { 1: new Map<ChordFacts, Int32Array>(), [-1]: new Map<ChordFacts, Int32Array>() };
  const isThere = (index: number) => index >= 0 && index < chords.length;
  return (from: number, by: 1 | -1): Neighbour | null => {
    const here = chords[from] as ChordFacts;
    for (let index = from + by; isThere(index); index += by) {
      const facts = chords[index] as ChordFacts;
      if (!isMoreOfTheSame(here, facts)) return { facts, index };
      if (Math.abs(index - from) < FEW) continue;
      const others = known[by].get(here) ?? othersOf(chords, here, by);
      known[by].set(here, others);
      const other = others[from] as number;
      return isThere(other) ? { facts: chords[other] as ChordFacts, index: other } : null;
    }
    return null;
  };
}

/** For every place the next one, either way, with a chord that is another one than `here`; a place outside where there is none. */
function othersOf(chords: readonly ChordFacts[], here: ChordFacts, by: 1 | -1): Int32Array {
  const others = new Int32Array(chords.length);
  let other = by === 1 ? chords.length : -1;
  for (let index = by === 1 ? chords.length - 1 : 0; index >= 0 && index < chords.length; index -= by) {
    others[index] = other;
    if (!isMoreOfTheSame(here, chords[index] as ChordFacts)) other = index;
  }
  return others;
}

/** The same chord again, or another colour of the same dominant (G7sus4 to G7, G to G13). */
function isMoreOfTheSame(here: ChordFacts, other: ChordFacts): boolean {
  if (here === other) return true;
  if (here.root !== other.root) return false;
  if (here.class === other.class && here.bass === other.bass) return true;
  const pulling = canPull(here) || here.class === 'suspended';
  return pulling && (other.class === 'dominant' || other.class === 'suspended' || other.class === 'augmented');
}

function isOverPedal(chords: readonly ChordFacts[], index: number): boolean {
  const here = chords[index] as ChordFacts;
  if (!here.foreignBass) return false;
  return chords[index - 1]?.bass === here.bass || chords[index + 1]?.bass === here.bass;
}

const LINE_LENGTH = 3;

/** Marks runs over a held chord in which a voice, or the bass, moves by half steps in one direction, three chords or more. */
function findLines(chords: readonly ChordFacts[]): readonly Moment['line'][] {
  const marks: Moment['line'][] = chords.map(() => 'none');
  for (let from = 0; from < chords.length; ) {
    const length = Math.max(lineFrom(chords, from, 11), lineFrom(chords, from, 1), bassLineFrom(chords, from));
    if (length < LINE_LENGTH) {
      from += 1;
      continue;
    }
    marks[from] = 'first';
    for (let index = from + 1; index < from + length; index += 1) marks[index] = 'inside';
    if (resolvesAway(chords, from + length - 1)) marks[from + length - 1] = 'none';
    from += length;
  }
  return marks;
}

/** How many chords from here on hold the root while one voice moves by half steps (1 up, 11 down). */
function lineFrom(chords: readonly ChordFacts[], from: number, by: 1 | 11): number {
  const first = chords[from] as ChordFacts;
  let longest = 0;
  for (let tone = 0; tone < 12; tone += 1) {
    if ((sounding(first) & (1 << tone)) === 0) continue;
    longest = Math.max(longest, walkLine(chords, from, tone, by));
  }
  return longest;
}

/** So many tones stay where they are while one moves: else it is another chord, and no line over a held one. */
const HELD_TONES = 2;

function walkLine(chords: readonly ChordFacts[], from: number, start: number, by: 1 | 11): number {
  const { root, mask } = chords[from] as ChordFacts;
  let held = mask & ~(1 << start);
  let tone = start;
  let length = 1;
  for (let index = from + 1; index < chords.length; index += 1) {
    const next = chords[index] as ChordFacts;
    const moved = (tone + by) % 12;
    const isNew = (sounding(chords[index - 1] as ChordFacts) & (1 << moved)) === 0;
    held &= next.mask;
    if (next.root !== root || !isNew || (sounding(next) & (1 << moved)) === 0 || countBits(held) < HELD_TONES) break;
    tone = moved;
    length += 1;
  }
  return length;
}

/** How many chords from one at rest on its root go on over a bass that falls by half steps, two of its tones still sounding in each: E– E–/D♯ G/D A7/C♯. */
function bassLineFrom(chords: readonly ChordFacts[], from: number): number {
  const first = chords[from] as ChordFacts;
  if (first.bass !== first.root) return 1;
  let length = 1;
  for (let index = from + 1; index < chords.length; index += 1) {
    const next = chords[index] as ChordFacts;
    if (next.bass !== (first.bass + 12 - length) % 12 || next.bass === next.root || countBits(first.mask & next.mask) < HELD_TONES) break;
    length += 1;
  }
  return length;
}

function sounding(facts: ChordFacts): number {
  return facts.mask | (1 << facts.bass);
}

/** A dominant at the end of a line that falls a fifth is heard as a dominant. */
function resolvesAway(chords: readonly ChordFacts[], index: number): boolean {
  const here = chords[index] as ChordFacts;
  return here.class === 'dominant' && chords[index + 1]?.root === (here.root + 5) % 12;
}
