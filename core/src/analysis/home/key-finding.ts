import { chroma } from '../../pitch/note.ts';
import { scaleIntervals } from '../../scale/scale.ts';
import type { ScaleName } from '../../scale/scale-table.ts';
import type { ChordFacts } from '../rules/facts.ts';
import { isBlues } from '../rules/rule-dominant.ts';
import { ownCost } from '../rules/rule-own.ts';
import { leastCost } from '../rules/rules.ts';
import { type Moment, sceneIn } from '../rules/scene.ts';
import { type Home, homeMode, isOwn, type ModeFacts, rotated, stepOf } from './home.ts';
import {
  arrivalsIn,
  closesWhole,
  type Ending,
  endingOn,
  hasOwnFive,
  hasTwoFive,
  isTonicChord,
  type KeyReason,
  opensInto,
  opensTwoFive,
  pointsHome,
} from './key-evidence.ts';

/** A home with what each moment costs in it and what else speaks for it. Less is better. */
export interface KeyCandidate {
  readonly home: Home;
  readonly blues: boolean;
  /** Indexed as the moments. */
  readonly costs: readonly number[];
  /** What opening the song in this key costs: less than nothing when it opens on the tonic, or on a ii–V into it. */
  readonly opening: number;
  /** The same for ending in it. */
  readonly ending: number;
  /** The mean cost of a chord and the prior together: what keys are ranked by. */
  readonly total: number;
  readonly reasons: readonly KeyReason[];
}

/** What is known of the song as a whole. */
export interface SongFacts {
  /** One round of it: a song that is nothing but a repeated round is judged by one, so that repeating changes no key. */
  readonly chords: readonly ChordFacts[];
  readonly moments: readonly Moment[];
  /** How often the round is played. */
  readonly rounds: number;
  /** What its moments cost in each home, worked out when a home is first asked; a part of a song shares its book. */
  readonly book: CostBook;
  /** The tonic of a twelve-bar blues, in half steps above C. */
  readonly bluesTonic: number | null;
}

const FIRST_GAIN = 2;
/** A minor chord whose dominant follows may be the 2 of another key. */
const FIRST_OF_TWO_FIVE_GAIN = 1;
/** The first chord is reached from its 4 when the round comes again. */
const PLAGAL_TURN_GAIN = 0.3;
const ENDING_GAINS: Readonly<Record<Ending, number>> = { closed: 1.5, plagal: 0.8, plain: 0.4, elsewhere: 0 };
/** For a song that stops on the ii–V of a key, and for one whose 1 is never played but whose ii–V is. */
const POINTING_GAIN = 2.5;
const TWO_FIVE_GAIN = 1;
const CADENCE_GAIN = 0.5;
const RELATIVE_CADENCE_COST = 0.4;
const MOST_CADENCES = 2;
const ABSENT_COST = 0.5;
const MODE_COSTS: Partial<Record<ScaleName, number>> = { dorian: 0.3, mixolydian: 0.3, phrygian: 0.6, lydian: 0.8 };
/** A whole cadence at the end says more than any first chord. */
const WHOLE_CLOSE_GAIN = 2.5;
const BLUES_GAIN = 2;
const CHORD_WEIGHT = 6;
/** How far behind the best key that is played one stands whose 1 is never heard. */
const BEHIND = 0.05;

const PLAIN: readonly ScaleName[] = ['major', 'natural minor'];
const MODAL: readonly ScaleName[] = ['dorian', 'mixolydian', 'phrygian', 'lydian'];

/** Every home worth asking, best first. Ties go to the home nearest the first chord, so that the key of the song makes no difference. */
export function rankHomes(song: SongFacts): readonly KeyCandidate[] {
  const first = song.chords[0]?.root ?? 0;
  const homes: Home[] = [];
  for (let step = 0; step < 12; step += 1) {
    const tonic = (first + 7 * step) % 12;
    for (const scale of PLAIN) homes.push({ tonic, mode: homeMode(scale) });
    for (const scale of MODAL) if (mayBeModal(song, tonic, scale)) homes.push({ tonic, mode: homeMode(scale) });
  }
  return playedFirst(
    song,
    homes.map((home) => judgeHome(song, home)).sort((a, b) => a.total - b.total),
  );
}

/** A key whose 1 is never played and whose 5 has no seventh stands behind the best key that is played. */
function playedFirst({ chords }: SongFacts, ranked: readonly KeyCandidate[]): readonly KeyCandidate[] {
  const speaks = ({ home }: KeyCandidate) => isPlayed(home, chords) || hasOwnFive(home, chords);
  const best = ranked.find(speaks);
  if (best === undefined || best === ranked[0]) return ranked;
  const behind = ranked.slice(0, ranked.indexOf(best)).map((candidate) => ({ ...candidate, total: best.total + BEHIND }));
  return [best, ...behind, ...ranked.slice(behind.length + 1)];
}

function isPlayed(home: Home, chords: readonly ChordFacts[]): boolean {
  return chords.some((facts) => isTonicChord(home, facts));
}

const MODAL_COVERAGE = 0.8;

/**
 * A mode is asked only where its tonic opens or closes the song and is at rest there, heard more than the tonics
 * of the plain keys with the same notes; where nearly every chord is its own; and where the tone that
 * sets it apart from plain major or minor is heard. A blues is none.
 */
function mayBeModal({ chords }: SongFacts, tonic: number, scale: ScaleName): boolean {
  const home: Home = { tonic, mode: homeMode(scale) };
  const [opens, closes] = [chords[0], chords.at(-1)].map((facts) => facts !== undefined && isTonicChord(home, facts));
  if (!(opens || closes) || isBlues(chords, tonic) || !isAtRest(chords, home, opens === true)) return false;
  if (chords.filter((facts) => isOwn(home, facts)).length < MODAL_COVERAGE * chords.length) return false;
  if (cadencesAway(chords, home)) return false;
  const plain = homeMode(home.mode.minor ? 'natural minor' : 'major');
  const colour = scaleIntervals(scale).filter((tone) => !scaleIntervals(plain.scale).includes(tone));
  return chords.some((facts, index) => {
    const holds = colour.some((tone) => (rotated(facts.mask, tonic) & (1 << chroma(tone))) !== 0);
    return holds && !leadsOn(chords, index) && !isBorrowed(home, chords, index);
  });
}

/** A major chord whose root falls by a fifth: it leads on as an applied dominant, and colours nothing. */
function leadsOn(chords: readonly ChordFacts[], index: number): boolean {
  const [here, next] = [chords[index], chords[index + 1]];
  if (here === undefined || next === undefined || (here.class !== 'major' && here.class !== 'dominant')) return false;
  return (next.root - here.root + 12) % 12 === FOURTH;
}

/** One that comes with a chord from outside the mode is borrowed with it: the ♭7 behind a ♭6. */
function isBorrowed(home: Home, chords: readonly ChordFacts[], index: number): boolean {
  const before = chords[index - 1];
  return before !== undefined && !isOwn(home, before);
}

/** Modes that a round may be in when a plain key with the same notes is heard as often, as long as they open it. */
const COMMON_MODES: readonly ScaleName[] = ['mixolydian', 'dorian'];

function isAtRest(chords: readonly ChordFacts[], home: Home, opens: boolean): boolean {
  const parent = (home.tonic - (PARENT_STEPS[home.mode.scale] ?? 0) + 12) % 12;
  const rivals: readonly Home[] = [
    { tonic: parent, mode: homeMode('major') },
    { tonic: (parent + 9) % 12, mode: homeMode('natural minor') },
  ];
  const timesOf = (one: Home) => chords.filter((facts) => facts.class !== 'dominant' && isTonicChord(one, facts)).length;
  const [own, most] = [timesOf(home), Math.max(...rivals.map(timesOf))];
  return own > most || (own === most && opens && COMMON_MODES.includes(home.mode.scale));
}

/** Whether a dominant seventh closes into the major key that has the mode's notes: then that key is home. */
function cadencesAway(chords: readonly ChordFacts[], { tonic, mode }: Home): boolean {
  const parent = (tonic - (PARENT_STEPS[mode.scale] ?? 0) + 12) % 12;
  return chords.some((facts, index) => {
    const next = chords[index + 1];
    return facts.class === 'dominant' && facts.root === (parent + 7) % 12 && next?.root === parent;
  });
}

/** On which step of its major key a mode stands, in half steps. */
const PARENT_STEPS: Partial<Record<ScaleName, number>> = { dorian: 2, phrygian: 4, lydian: 5, mixolydian: 7 };

/** What one home makes of the song. */
export function judgeHome(song: SongFacts, home: Home): KeyCandidate {
  const { chords, rounds, book } = song;
  const blues = isBlues(chords, home.tonic) && !home.mode.minor;
  const costs = book.costsIn(home, blues).slice(0, chords.length);
  const { opening, ending, cadences, reasons } = evidenceFor(song, home, blues);
  const mean = costs.length === 0 ? 0 : costs.reduce((sum, cost) => sum + cost, 0) / costs.length;
  const isItsOwn = (facts: ChordFacts) => book.isOwnIn(home, facts) || (blues && isOfBlues(home, facts));
  const covered = chords.filter(isItsOwn).length;
  // each chord is counted once: what is the key's own is not explained besides
  const others = chords.filter((facts, index) => !isItsOwn(facts) && (costs[index] as number) < EXPLAINED).length;
  return {
    home,
    blues,
    costs,
    opening,
    ending,
    total: CHORD_WEIGHT * mean + opening + ending + cadences,
    reasons: [
      ...reasons,
      { code: 'coverage', own: covered * rounds, of: chords.length * rounds },
      ...(others > 0 ? [{ code: 'explained' as const, others: others * rounds }] : []),
    ],
  };
}

/** What costs less has a common reading. */
const EXPLAINED = 3;
const FIFTH = 7;

/** The dominant sevenths of a blues are its own: on its 1, 4 and 5. */
function isOfBlues(home: Home, facts: ChordFacts): boolean {
  return facts.class === 'dominant' && [0, FOURTH, FIFTH].includes(stepOf(home, facts.root));
}

/** Remembers what moments cost in a home. */
export interface CostBook {
  /** Indexed as the song's moments. */
  readonly costsIn: (home: Home, blues: boolean) => readonly number[];
  readonly isOwnIn: (home: Home, facts: ChordFacts) => boolean;
}

/** What is known of one home. */
interface Page {
  readonly own: Map<ChordFacts, number | null>;
  readonly costs: Map<boolean, readonly number[]>;
}

export function costBook(moments: readonly Moment[]): CostBook {
  const pages = new Map<ModeFacts, Page[]>();
  const pageOf = ({ mode, tonic }: Home): Page => {
    const ofMode = pages.get(mode) ?? [];
    pages.set(mode, ofMode);
    const page = ofMode[tonic] ?? { own: new Map(), costs: new Map() };
    ofMode[tonic] = page;
    return page;
  };
  const ownIn = (home: Home, facts: ChordFacts): number | null => {
    const { own } = pageOf(home);
    const known = own.get(facts);
    if (known !== undefined) return known;
    const cost = isOwn(home, facts) ? ownCost(home, facts) : null;
    own.set(facts, cost);
    return cost;
  };
  return {
    isOwnIn: (home, facts) => ownIn(home, facts) !== null,
    costsIn: (home, blues) => {
      const { costs } = pageOf(home);
      const known = costs.get(blues) ?? costsOf(moments, (moment) => costOf(moment, home, blues, ownIn(home, moment.here)));
      costs.set(blues, known);
      return known;
    },
  };
}

/** Equal moments are one value, and judged once. */
function costsOf(moments: readonly Moment[], judge: (moment: Moment) => number): readonly number[] {
  const known = new Map<Moment, number>();
  return moments.map((moment) => {
    const cost = known.get(moment) ?? judge(moment);
    known.set(moment, cost);
    return cost;
  });
}

/** A chord of the key that stands in no line and over no pedal needs no rule asked. */
function costOf(moment: Moment, home: Home, blues: boolean, own: number | null): number {
  if (own !== null && moment.line === 'none' && !moment.overPedal) return own;
  return leastCost(sceneIn(moment, home, blues));
}

interface Evidence {
  readonly opening: number;
  readonly ending: number;
  readonly cadences: number;
  readonly reasons: readonly KeyReason[];
}

function evidenceFor({ chords, rounds, bluesTonic }: SongFacts, home: Home, blues: boolean): Evidence {
  const modeCost = MODE_COSTS[home.mode.scale] ?? 0;
  const first = chords[0];
  const opens = first !== undefined && isTonicChord(home, first);
  const ending = chords.length === 0 ? 'elsewhere' : endingOn(home, chords);
  const form = bluesTonic === home.tonic && (blues || home.mode.minor);
  const arrives = opensInto(home, chords);
  const points = pointsHome(home, chords);
  const closes = closesWhole(home, chords);
  const absent = !isPlayed(home, chords);
  const { cadences, elsewhere } = arrivalsIn(home, chords);
  const turns = opens && stepOf(home, chords.at(-1)?.root ?? 0) === FOURTH;
  const said: readonly (readonly [boolean, KeyReason])[] = [
    [opens, { code: 'first-chord' }],
    [ending !== 'elsewhere', { code: 'last-chord' }],
    [arrives, { code: 'opens-into' }],
    [cadences > 0, { code: 'cadences', count: cadences * rounds }],
    [points, { code: 'points-home' }],
    [closes, { code: 'closes-whole' }],
    [closes && first !== undefined && stepOf(home, first.root) === FOURTH, { code: 'opens-on-four' }],
    [form, { code: 'blues-form' }],
    [modeCost > 0, { code: 'modal-colour' }],
    [absent, { code: 'tonic-absent' }],
  ];
  const gain = (holds: boolean, amount: number) => (holds ? -amount : 0);
  return {
    opening:
      gain(opens || arrives, arrives || !opensTwoFive(chords) ? FIRST_GAIN : FIRST_OF_TWO_FIVE_GAIN) +
      gain(turns, PLAGAL_TURN_GAIN) +
      gain(form, BLUES_GAIN) +
      gain(absent, -ABSENT_COST) +
      gain(absent && !points && hasTwoFive(home, chords), TWO_FIVE_GAIN) +
      modeCost,
    ending: gain(points, POINTING_GAIN) + gain(closes, WHOLE_CLOSE_GAIN) - ENDING_GAINS[ending],
    cadences: RELATIVE_CADENCE_COST * Math.min(elsewhere, MOST_CADENCES) - CADENCE_GAIN * Math.min(cadences, MOST_CADENCES),
    reasons: said.flatMap(([holds, reason]) => (holds ? [reason] : [])),
  };
}

const FOURTH = 5;
