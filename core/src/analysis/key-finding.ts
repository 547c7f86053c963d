import { chroma } from '../pitch/note.ts';
import { scaleIntervals } from '../scale/scale.ts';
import type { ScaleName } from '../scale/scale-table.ts';
import type { ChordFacts } from './facts.ts';
import { type Home, homeMode, isOwn, rotated } from './home.ts';
import { cadencesInto, isTonicChord, type KeyReason, opensInto, pointsHome } from './key-evidence.ts';
import { isBlues } from './rule-dominant.ts';
import { ownCost } from './rule-own.ts';
import { leastCost } from './rules.ts';
import { type Moment, sceneIn } from './scene.ts';

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
  readonly chords: readonly ChordFacts[];
  readonly moments: readonly Moment[];
  /** Whether the last chord ends a song rather than turning back to its start. */
  readonly closes: boolean;
  /** The tonic of a twelve-bar blues, in half steps above C. */
  readonly bluesTonic: number | null;
}

const FIRST_GAIN = 1.5;
/** A loop may begin anywhere. */
const FIRST_IN_LOOP_GAIN = 1;
const LAST_GAIN = 1.5;
/** For a song that stops on the ii–V of a key that is never reached. */
const POINTING_GAIN = 2.5;
const CADENCE_GAIN = 0.5;
const MOST_CADENCES = 2;
const ABSENT_COST = 1;
const MODE_COST = 0.3;
const BLUES_GAIN = 2;
const CHORD_WEIGHT = 6;

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
  return homes.map((home) => judgeHome(song, home)).sort((a, b) => a.total - b.total);
}

const MODAL_COVERAGE = 0.8;
const FEWEST_TONICS = 2;

/**
 * A mode is asked only where its tonic opens or closes the song, where it comes back, where
 * nearly every chord is its own, and where the tone that sets it apart from plain major or minor is heard. A blues is none.
 */
function mayBeModal({ chords }: SongFacts, tonic: number, scale: ScaleName): boolean {
  const home: Home = { tonic, mode: homeMode(scale) };
  const ends = [chords[0], chords.at(-1)];
  if (chords.filter((facts) => isTonicChord(home, facts)).length < FEWEST_TONICS) return false;
  if (!ends.some((facts) => facts !== undefined && isTonicChord(home, facts)) || isBlues(chords, tonic)) return false;
  if (chords.filter((facts) => isOwn(home, facts)).length < MODAL_COVERAGE * chords.length) return false;
  if (cadencesAway(chords, home)) return false;
  const plain = homeMode(home.mode.minor ? 'natural minor' : 'major');
  const colour = scaleIntervals(scale).filter((tone) => !scaleIntervals(plain.scale).includes(tone));
  return colour.some((tone) => chords.some(({ mask }) => (rotated(mask, tonic) & (1 << chroma(tone))) !== 0));
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
  const { chords, moments } = song;
  const blues = isBlues(chords, home.tonic) && !home.mode.minor;
  const own = new Map<ChordFacts, number | null>();
  const known = new Map<Moment, number>();
  for (const facts of new Set(chords)) own.set(facts, isOwn(home, facts) ? ownCost(home, facts) : null);
  const costs = moments.map((moment) => {
    const cost = known.get(moment) ?? costOf(moment, home, blues, own.get(moment.here) ?? null);
    known.set(moment, cost);
    return cost;
  });
  const { opening, ending, cadences, reasons } = evidenceFor(song, home, blues);
  const mean = costs.length === 0 ? 0 : costs.reduce((sum, cost) => sum + cost, 0) / costs.length;
  const covered = chords.filter((facts) => own.get(facts) !== null).length;
  const others = costs.filter((cost) => cost > 0 && cost < 3).length;
  return {
    home,
    blues,
    costs,
    opening,
    ending,
    total: CHORD_WEIGHT * mean + opening + ending + cadences,
    reasons: [
      ...reasons,
      { code: 'coverage', own: covered, of: chords.length },
      ...(others > 0 ? [{ code: 'explained' as const, others }] : []),
    ],
  };
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

function evidenceFor(song: SongFacts, home: Home, blues: boolean): Evidence {
  const { chords, closes, bluesTonic } = song;
  const modal = !PLAIN.includes(home.mode.scale);
  const [first, last] = [chords[0], chords.at(-1)];
  const opens = first !== undefined && isTonicChord(home, first);
  const ends = closes && last !== undefined && isTonicChord(home, last);
  const form = bluesTonic === home.tonic && (blues || home.mode.minor);
  const arrives = opensInto(home, chords);
  const points = closes && pointsHome(home, chords);
  const absent = !chords.some((facts) => isTonicChord(home, facts));
  const cadences = cadencesInto(home, chords);
  const said: readonly (readonly [boolean, KeyReason])[] = [
    [opens, { code: 'first-chord' }],
    [ends, { code: 'last-chord' }],
    [arrives, { code: 'opens-into' }],
    [cadences > 0, { code: 'cadences', count: cadences }],
    [points, { code: 'points-home' }],
    [form, { code: 'blues-form' }],
    [modal, { code: 'modal-colour' }],
    [absent, { code: 'tonic-absent' }],
  ];
  const gain = (holds: boolean, amount: number) => (holds ? -amount : 0);
  return {
    opening:
      gain(opens || arrives, closes ? FIRST_GAIN : FIRST_IN_LOOP_GAIN) +
      gain(form, BLUES_GAIN) +
      gain(modal, -MODE_COST) +
      gain(absent, -ABSENT_COST),
    ending: gain(ends, LAST_GAIN) + gain(points, POINTING_GAIN),
    cadences: -CADENCE_GAIN * Math.min(cadences, MOST_CADENCES),
    reasons: said.flatMap(([holds, reason]) => (holds ? [reason] : [])),
  };
}
