import { mod } from '../fault.ts';
import { chroma, type Note } from '../pitch/note.ts';
import type { Hearing } from './analysis.ts';
import type { BluesForm } from './home/blues-form.ts';
import { type Home, isOwn, stepOf } from './home/home.ts';
import { closesInto, isTonicChord } from './home/key-evidence.ts';
import { type Loop, roundName } from './home/loops.ts';
import type { Pattern, PatternKind } from './pattern.ts';
import { type ChordFacts, canPull } from './rules/facts.ts';
import type { TwoFive } from './rules/two-fives.ts';

/** A chord as patterns look at it. */
interface PatternChord {
  readonly facts: ChordFacts;
  readonly home: Home;
  /** The tonic of its region, spelled. */
  readonly tonic: Note;
  readonly endsPhrase: boolean;
  readonly inLine: boolean;
}

export interface PatternQuestion {
  readonly chords: readonly PatternChord[];
  readonly twoFives: readonly TwoFive[];
  readonly loops: readonly Loop[];
  readonly blues: readonly BluesForm[];
  readonly hearing: Hearing;
}

type Found = Omit<Pattern, 'alsoAt'>;

/** Every pattern of the song, by where it begins, longer ones first. */
export function findPatterns(question: PatternQuestion): readonly Pattern[] {
  const found = [
    ...bluesPatterns(question),
    ...loopPatterns(question),
    ...twoFivePatterns(question),
    ...turnarounds(question),
    ...cadences(question),
    ...linePatterns(question),
    ...circles(question),
  ];
  return withTwins(found, question).sort((a, b) => a.from - b.from || b.to - a.to);
}

function at(question: PatternQuestion, index: number): PatternChord {
  return question.chords[index] as PatternChord;
}

function pattern(kind: PatternKind, tonic: Note, from: number, to: number, minor: boolean): Found {
  return { kind, tonic, from, to, minor, round: null };
}

function bluesPatterns(question: PatternQuestion): readonly Found[] {
  return question.blues.map(({ from, to }) =>
    pattern('twelve-bar-blues', at(question, from).facts.chord.root, from, to, at(question, from).facts.class === 'minor'),
  );
}

function loopPatterns(question: PatternQuestion): readonly Found[] {
  return question.loops.map(({ from, to, period }) => {
    const { tonic, home } = at(question, from);
    const name = roundName(question.chords.slice(from, from + period).map(({ facts }) => facts));
    return { ...pattern('loop', tonic, from, to, home.mode.minor), round: { period, name } };
  });
}

/** Under the home hearing only ii–Vs into the home itself are bracketed. */
function twoFivePatterns(question: PatternQuestion): readonly Found[] {
  return question.twoFives
    .filter(({ two, goal }) => question.hearing === 'local' || stepOf(at(question, two).home, goal) === 0)
    .map(({ two, five, one, to, goal, minor }) => {
      const tonic = goalNote(at(question, one ?? five).facts, one !== null, goal);
      return pattern(one === null ? 'two-five' : 'two-five-one', tonic, two, to, minor);
    });
}

/** The goal as the chord there is spelled, or as the dominant spells what it points at. */
function goalNote({ chord }: ChordFacts, arrived: boolean, goal: number): Note {
  if (arrived) return chord.root;
  const fall = chord.root - 1;
  return chroma(fall) === goal ? fall : chord.root + 5;
}

/** Four chords that lead back to the tonic: 1 6 2 5 and its relatives with 3, ♯1° or ♭3° in place of a chord. */
function turnarounds(question: PatternQuestion): readonly Found[] {
  const steps = [new Set([0, 4]), new Set([9, 1, 3]), new Set([2, 8]), new Set([7, 1])];
  return question.chords.flatMap(({ home, tonic }, from) => {
    const four = question.chords.slice(from, from + 4);
    const fits = four.length === 4 && steps.every((allowed, index) => allowed.has(stepOf(home, (four[index] as PatternChord).facts.root)));
    return fits && canPull((four[3] as PatternChord).facts) ? [pattern('turnaround', tonic, from, from + 3, home.mode.minor)] : [];
  });
}

function cadences(question: PatternQuestion): readonly Found[] {
  return question.chords.flatMap((here, index) => {
    const next = question.chords[index + 1];
    const found = next === undefined ? undefined : cadenceOf(here, next);
    // where a loop goes on from its 5 every time nobody is deceived
    const kind = found === 'deceptive-cadence' && isLooped(question, index) ? undefined : found;
    const closing = kind === undefined || next === undefined ? [] : [pattern(kind, next.tonic, index, index + 1, next.home.mode.minor)];
    const stops = stopsOnFive(here) ? [pattern('half-cadence', here.tonic, Math.max(0, index - 1), index, here.home.mode.minor)] : [];
    return [...closing, ...stops];
  });
}

function isLooped({ loops }: PatternQuestion, index: number): boolean {
  return loops.some(({ from, to }) => index >= from && index <= to);
}

function cadenceOf({ facts }: PatternChord, next: PatternChord): PatternKind | undefined {
  const { home } = next;
  const [from, to] = [stepOf(home, facts.root), stepOf(home, next.facts.root)];
  if (closesInto(home, facts, next.facts) && from !== 1) return 'authentic-cadence';
  if (from === 7 && (canPull(facts) || facts.class === 'suspended') && to === (home.mode.minor ? 8 : 9)) return 'deceptive-cadence';
  const plagal = from === 5 && facts.class !== 'dominant' && isTonicChord(home, next.facts);
  return plagal && next.endsPhrase ? 'plagal-cadence' : undefined;
}

/** A phrase that stops on the 5. */
function stopsOnFive({ facts, home, endsPhrase }: PatternChord): boolean {
  return endsPhrase && stepOf(home, facts.root) === 7 && canPull(facts) && isOwn(home, facts);
}

function linePatterns(question: PatternQuestion): readonly Found[] {
  return runs(question.chords, (_, index) => at(question, index).inLine, 1).map(([from, to]) => {
    const { facts } = at(question, from - 1);
    return pattern('line-cliche', facts.chord.root, from - 1, to, facts.class === 'minor');
  });
}

const FEWEST_ON_CIRCLE = 4;

/** Four or more roots that fall by fifths one after the other; one of them may be a diminished fifth. */
function circles(question: PatternQuestion): readonly Found[] {
  const falls = (_: PatternChord, index: number) => {
    const next = question.chords[index + 1];
    if (next === undefined) return false;
    const fall = mod(next.facts.root - at(question, index).facts.root, 12);
    return fall === 5 || (fall === 6 && isOwn(next.home, next.facts));
  };
  return runs(question.chords, falls, FEWEST_ON_CIRCLE - 1).map(([from, to]) => {
    const { tonic, home } = at(question, to + 1);
    return pattern('circle-motion', tonic, from, to + 1, home.mode.minor);
  });
}

/** Stretches in which every chord fits, `fewest` chords long or more. */
function runs<T>(values: readonly T[], fits: (value: T, index: number) => boolean, fewest: number): readonly (readonly [number, number])[] {
  const found: [number, number][] = [];
  let from: number | null = null;
  for (let index = 0; index <= values.length; index += 1) {
    const inside = index < values.length && fits(values[index] as T, index);
    if (inside && from === null) from = index;
    if (inside || from === null) continue;
    if (index - from >= fewest) found.push([from, index - 1]);
    from = null;
  }
  return found;
}

/** Tells each pattern where else the same chords, seen from their tonic, make the same pattern. */
function withTwins(found: readonly Found[], question: PatternQuestion): Pattern[] {
  const groups = new Map<string, number[]>();
  const names = found.map(({ kind, tonic, from, to }) => {
    const chords = question.chords.slice(from, to + 1).map(({ facts }) => `${mod(facts.root - chroma(tonic), 12)}${facts.class}`);
    return `${kind} ${chords.join(' ')}`;
  });
  names.forEach((name, index) => {
    groups.set(name, [...(groups.get(name) ?? []), (found[index] as Found).from]);
  });
  return found.map((one, index) => ({
    ...one,
    alsoAt: (groups.get(names[index] as string) as number[]).filter((from) => from !== one.from),
  }));
}
