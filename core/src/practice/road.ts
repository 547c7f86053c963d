import type { Key } from '../key/key.ts';
import { depthOfAnswer } from './asked-depth.ts';
import { fits, isQuestionKind, makesSense } from './catalogue.ts';
import { findItem, type Item, itemIn, type Study } from './item.ts';
import { keyText } from './key-questions.ts';
import { isGood, type Pass } from './pass.ts';

/** The legs of the road, in the order they are walked. */
export const ROAD_LEGS = ['triads', 'string', 'sevenths', 'barres', 'inversions', 'sets', 'lines', 'songs', 'ear', 'keys'] as const;
export type RoadLegName = (typeof ROAD_LEGS)[number];

type Depth = 'triad' | 'seventh';
type Step = readonly [study: Study, what: string, depth?: Depth];

/**
 * What is learned in which order: the chords of one key by name and number before their sevenths, notes along a string before
 * grips on it, closed grips before inversions, those before sets of four, chords before lines through them, one key before
 * twelve. Source: the order of common methods for rhythm guitar and of teaching by scale degree.
 */
const ROAD: Readonly<Record<Exclude<RoadLegName, 'keys'>, readonly Step[]>> = {
  triads: [
    ['recall', 'degree-to-chord', 'triad'],
    ['recall', 'chord-to-degree'],
    ['recall', 'degree-quality', 'triad'],
    ['recall', 'quality-row', 'triad'],
    ['aloud', 'number'],
    ['aloud', 'name'],
    ['shapes', 'open chords'],
  ],
  string: [
    ['programme', 'steps'],
    ['programme', 'numbers'],
    ['programme', 'names'],
    ['programme', 'past twelve'],
    ['programme', 'lower string'],
    ['programme', 'down again'],
    ['recall', 'note-on-fret'],
    ['recall', 'find-on-string'],
    ['runs', 'muted strings'],
  ],
  sevenths: [
    ['recall', 'degree-to-chord', 'seventh'],
    ['recall', 'degree-quality', 'seventh'],
    ['recall', 'quality-row', 'seventh'],
    ['recall', 'chord-tones', 'seventh'],
    ['aloud', 'quality'],
    ['recall', 'two-five-one'],
    ['chain', 'key'],
  ],
  barres: [
    ['shapes', 'barre from 6'],
    ['shapes', 'barre from 5'],
    ['programme', 'upper triads'],
    ['programme', 'triads'],
    ['programme', 'crossing triads'],
    ['programme', 'upper sevenths'],
    ['programme', 'sevenths'],
    ['programme', 'crossing sevenths'],
    ['shapes', 'called in position'],
    ['recall', 'capo-sounds'],
    ['recall', 'capo-shape'],
    ['recall', 'capo-position'],
  ],
  inversions: [
    ['recall', 'tone-name'],
    ['recall', 'tone-on-fret'],
    ['shapes', 'triads 1-2-3'],
    ['shapes', 'triads 2-3-4'],
    ['shapes', 'triads 3-4-5'],
    ['shapes', 'up one, down the next'],
    ['recall', 'what-changed'],
  ],
  sets: [
    ['shapes', 'drop-2 1-2-3-4'],
    ['shapes', 'ladder'],
  ],
  lines: [
    ['runs', 'scale over each chord'],
    ['runs', 'arpeggios'],
    ['runs', 'bass arpeggios'],
    ['runs', 'one note a string'],
    ['runs', 'sweep triads'],
    ['runs', 'sweep two sets'],
    ['runs', 'sweep five strings'],
    ['runs', 'sweep with scale'],
    ['runs', 'sweep chained'],
  ],
  songs: [
    ['recall', 'scale-numbers'],
    ['recall', 'interval-or-degree'],
    ['recall', 'secondary-dominant'],
    ['recall', 'relative'],
    ['recall', 'parallel'],
    ['recall', 'keys-with-chord'],
  ],
  ear: [
    ['ear', 'ear-quality'],
    ['ear', 'ear-degree'],
    ['ear', 'ear-bass'],
    ['ear', 'ear-tone'],
    ['ear', 'ear-loop'],
    ['ear', 'ear-wrong'],
  ],
};

/** The twelve keys by fourths, as bands go round them. */
const TWELVE = [0, -1, -2, -3, -4, -5, -6, 5, 4, 3, 2, 1];
/** What shows that a key is known. */
const KEY_WHAT = 'number and name';

/** A step of the road, in the key it is walked in. */
export interface RoadStep {
  readonly item: Item;
  /** In what depth its chords are asked; null where it has one of its own, or the player's. */
  readonly depth: Depth | null;
  readonly isDone: boolean;
}

interface RoadLeg {
  readonly name: RoadLegName;
  readonly steps: readonly RoadStep[];
}

interface Road {
  readonly legs: readonly RoadLeg[];
  /** The first step that is not done; null at the end of the road. */
  readonly next: RoadStep | null;
}

/**
 * The road as far as an instrument has it, with how far somebody has come. A step is done when it held three times running, or
 * at the very first try: who can do it shows it once and goes on. Of questions seven of eight in a row, or the first four.
 * `passes` oldest first.
 */
export function roadOf(passes: readonly Pass[], key: Key, tuning: readonly number[]): Road {
  const byWhat = passesByWhat(passes);
  const legs = ROAD_LEGS.map((name): RoadLeg => {
    if (name === 'keys') return { name, steps: TWELVE.map((tonic) => keyStep(passes, { tonic, scale: 'major' })) };
    const steps = ROAD[name].filter(([, what]) => fits(what, tuning) && makesSense(what, key));
    return {
      name,
      steps: steps.map(([study, what, depth]) => stepOf(byWhat.get(`${study}/${what}`) ?? [], itemIn(study, what, key), depth ?? null)),
    };
  });
  const walked = legs.filter(({ steps }) => steps.length > 0);
  return { legs: walked, next: walked.flatMap(({ steps }) => steps).find(({ isDone }) => !isDone) ?? null };
}

/** Where on the road a study stands, counted from 0; behind everything for one that is not on it. */
export function placeOnRoad(study: Study, what: string): number {
  return PLACES.get(`${study}/${what}`) ?? Number.POSITIVE_INFINITY;
}

/** Each study at the first of its steps. */
const PLACES: ReadonlyMap<string, number> = new Map(
  Object.values(ROAD)
    .flat()
    .map(([study, what], place) => [`${study}/${what}`, place] as const)
    .reverse(),
);

function passesByWhat(passes: readonly Pass[]): ReadonlyMap<string, readonly Pass[]> {
  const byWhat = new Map<string, Pass[]>();
  for (const pass of passes) {
    const item = findItem(pass.item);
    if (item === undefined) continue;
    const name = `${item.study}/${item.what}`;
    const known = byWhat.get(name);
    if (known === undefined) byWhat.set(name, [pass]);
    else known.push(pass);
  }
  return byWhat;
}

function stepOf(passes: readonly Pass[], item: Item, depth: Depth | null): RoadStep {
  const inDepth = (wanted: Depth) => passes.filter(({ stage }) => (depthOfAnswer(item.what, stage) ?? wanted) === wanted);
  const isDone = isQuestionKind(item.what) ? isAnswered : isPlayed;
  // who knows the sevenths knows their triads
  const own = depth === null ? [passes] : depth === 'triad' ? [inDepth('triad'), inDepth('seventh')] : [inDepth('seventh')];
  return { item, depth, isDone: own.some(isDone) };
}

function keyStep(passes: readonly Pass[], key: Key): RoadStep {
  const text = keyText(key);
  const own = passes.filter(({ item }) => item === `aloud/${KEY_WHAT}/${text}`);
  return { item: itemIn('aloud', KEY_WHAT, key), depth: null, isDone: isPlayed(own) };
}

const HELD_RUNNING = 3;

function isPlayed(passes: readonly Pass[]): boolean {
  const [first] = passes;
  return first !== undefined && (isGood(first) || someRun(passes, HELD_RUNNING, HELD_RUNNING));
}

const SHOWN = 4;
const ASKED = 8;
const RIGHT = 7;

function isAnswered(passes: readonly Pass[]): boolean {
  return someRun(passes.slice(0, SHOWN), SHOWN, SHOWN) || someRun(passes, ASKED, RIGHT);
}

/** Whether of so many in a row so many were good, anywhere. */
function someRun(passes: readonly Pass[], length: number, wanted: number): boolean {
  return passes.some((_, from) => {
    const run = passes.slice(from, from + length);
    return run.length === length && run.filter(isGood).length >= wanted;
  });
}
