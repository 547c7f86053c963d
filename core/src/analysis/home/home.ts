import { type Formula, formulaOf } from '../../chord/formula.ts';
import type { Degree } from '../../degree/degree.ts';
import type { Interval } from '../../interval/interval.ts';
import { chroma } from '../../pitch/note.ts';
import { isMinorScale, scaleIntervals } from '../../scale/scale.ts';
import type { ScaleName } from '../../scale/scale-table.ts';
import type { ChordFacts } from '../rules/facts.ts';

/** The keys of natural, harmonic and melodic minor are one home: their tones are all its own. */
export const MINORS: readonly ScaleName[] = ['natural minor', 'harmonic minor', 'melodic minor'];

const MINOR_UNION: readonly Interval[] = [...new Set(MINORS.flatMap((scale) => scaleIntervals(scale)))];
const TRIADS: readonly Formula[] = [
  formulaOf('1', '3', '5'),
  formulaOf('1', 'b3', '5'),
  formulaOf('1', 'b3', 'b5'),
  formulaOf('1', '3', '#5'),
];
const [MAJOR_TRIAD, , DIMINISHED_TRIAD] = TRIADS as readonly [Formula, Formula, Formula, Formula];
const DOMINANT: Degree = 1;
const THIRDS_OF_TRIADS = [
  [4, 1],
  [-3, 1],
  [-3, -6],
  [4, 8],
];

/** Every degree a chord root can have in the key, by half steps above the tonic, flat spelling first. */
const SPELLINGS: readonly (readonly Degree[])[] = Array.from({ length: 12 }, (_, step) =>
  [-7, -6, -5, -4, -3, -2, -1, 0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10].filter((degree) => chroma(degree) === step),
);

/** What a scale makes its own, whatever the tonic. Chord roots are counted in half steps above it. */
export interface ModeFacts {
  readonly scale: ScaleName;
  readonly minor: boolean;
  /** Indexed by distance on the line of fifths plus `REACH`: whether the tone is the scale's own. */
  readonly own: readonly boolean[];
  /** The same in half steps: bit n for n above the tonic. */
  readonly mask: number;
  /** The plain triad on each half step; undefined where the scale has no degree. */
  readonly triads: readonly (Formula | undefined)[];
  /** The degree on each half step, as the scale spells it. */
  readonly degrees: readonly (Degree | undefined)[];
}

const REACH = 32;
const MODES = new Map<ScaleName, ModeFacts>();
const HOME_MODES = new Map<ScaleName, ModeFacts>();

/** The facts of one scale by itself. */
export function modeFacts(scale: ScaleName): ModeFacts {
  return remembered(MODES, scale, () => describe(scale, scaleIntervals(scale), scaleIntervals(scale)));
}

/** The facts of a scale as the home of a song: the three minors are one home and share their tones. */
export function homeMode(scale: ScaleName): ModeFacts {
  if (!MINORS.includes(scale)) return modeFacts(scale);
  return remembered(HOME_MODES, scale, () => describe(scale, scaleIntervals('natural minor'), MINOR_UNION));
}

function remembered(known: Map<ScaleName, ModeFacts>, scale: ScaleName, make: () => ModeFacts): ModeFacts {
  const facts = known.get(scale) ?? make();
  known.set(scale, facts);
  return facts;
}

/** `degrees` carry the triads one may aim at; `tones` are everything that is the key's own. */
function describe(scale: ScaleName, degrees: readonly Interval[], tones: readonly Interval[]): ModeFacts {
  return {
    scale,
    minor: isMinorScale(scale),
    own: Array.from({ length: 2 * REACH }, (_, index) => tones.includes(index - REACH)),
    mask: tones.reduce((mask, tone) => mask | (1 << chroma(tone)), 0),
    triads: byStep(degrees.map((interval) => [interval, triadOn(interval, degrees, tones)] as const)),
    degrees: byStep(tones.map((interval) => [interval, interval] as const)),
  };
}

function byStep<T>(entries: readonly (readonly [Interval, T])[]): readonly (T | undefined)[] {
  const steps: (T | undefined)[] = Array.from({ length: 12 });
  for (const [interval, value] of entries) steps[chroma(interval)] = value;
  return steps;
}

/** The triad on a degree of the scale; on the 5, a major one where the key has its leading tone. */
function triadOn(root: Interval, degrees: readonly Interval[], tones: readonly Interval[]): Formula {
  const around = root === DOMINANT ? tones : degrees;
  const found = THIRDS_OF_TRIADS.findIndex((intervals) => intervals.every((interval) => around.includes(root + interval)));
  return TRIADS[found < 0 ? 2 : found] as Formula;
}

/** A tonic, in half steps above C, and what its scale makes its own. */
export interface Home {
  readonly tonic: number;
  readonly mode: ModeFacts;
}

/** Whether two homes are one: the three minors are. */
export function isSameHome(a: Home, b: Home): boolean {
  const family = ({ mode }: Home) => (MINORS.includes(mode.scale) ? 'minor' : mode.scale);
  return a.tonic === b.tonic && family(a) === family(b);
}

/** Whether two homes are a minor key and the major key with its notes. */
export function isRelative(a: Home, b: Home): boolean {
  const isPlain = ({ mode }: Home) => mode.scale === 'major' || MINORS.includes(mode.scale);
  const signature = ({ tonic, mode }: Home) => (mode.minor ? tonic + 3 : tonic) % 12;
  return isPlain(a) && isPlain(b) && a.mode.minor !== b.mode.minor && signature(a) === signature(b);
}

/** Half steps from the home's tonic up to a root. */
export function stepOf(home: Home, root: number): number {
  return (root - home.tonic + 12) % 12;
}

/**
 * Whether every tone of the chord is the home's own. Spelled tones are compared, so that A♭m is not
 * taken for part of C minor; only a full diminished chord may be spelled from any of its notes.
 */
export function isOwn({ tonic, mode }: Home, facts: ChordFacts): boolean {
  return ownsChord(mode, tonic, facts);
}

/** The same for a scale on a tonic, given apart. */
export function ownsChord(mode: ModeFacts, tonic: number, facts: ChordFacts): boolean {
  if ((rotated(facts.mask, tonic) & ~mode.mask) !== 0) return false;
  if (facts.symmetric) return true;
  for (const degree of SPELLINGS[(facts.root - tonic + 12) % 12] as readonly Degree[]) {
    if (ownsTones(mode, degree, facts.tones)) return true;
  }
  return false;
}

function ownsTones(mode: ModeFacts, degree: Degree, tones: readonly Interval[]): boolean {
  for (const tone of tones) if (mode.own[degree + tone + REACH] !== true) return false;
  return true;
}

/** Whether a chord of the home stands on that half step and can be aimed at: any but a diminished one. */
export function isTarget(home: Home, step: number): boolean {
  const triad = home.mode.triads[step];
  return triad !== undefined && triad !== DIMINISHED_TRIAD;
}

/** Whether the home's own triad there is major. */
export function isMajorTarget(home: Home, step: number): boolean {
  return home.mode.triads[step] === MAJOR_TRIAD;
}

/** The home's degree on a half step; outside degrees are flat, but for ♯4. */
export function degreeOf(home: Home, step: number): Degree {
  const own = home.mode.degrees[step];
  if (own !== undefined) return own;
  return step === 6 ? 6 : ((SPELLINGS[step] as readonly Degree[])[0] as Degree);
}

/** Whether the tone at a distance from a degree of the home is the home's own. */
export function ownsTone(home: Home, degree: Degree, tone: Interval): boolean {
  return home.mode.own[degree + tone + REACH] === true;
}

/** A set of half steps counted from C, counted from the tonic instead. */
export function rotated(mask: number, tonic: number): number {
  return ((mask >> tonic) | (mask << (12 - tonic))) & 0xfff;
}
