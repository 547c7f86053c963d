import {
  type ArpeggioWish,
  arpeggioRun,
  type Chord,
  harmonize,
  type Instrument,
  type Key,
  type Naming,
  nameKey,
  nameNote,
  type Picking,
  type Run,
  type RunNote,
  type ScaleLayout,
  scaleRun,
  sweepRun,
} from '@aurora/core';
import { chordTitle } from '../../parts/neck/chord-title.ts';
import type { PlayStep } from '../../transport/player.ts';
import { NECK_WORDS } from '../../wording/neck.ts';

export type RunKind = 'scale' | 'arpeggio' | 'sweep';

export type Scope = 'chord' | 'triads' | 'sevenths';

/** What somebody wants to run through; each kind takes what concerns it. */
export interface RunPlan {
  readonly kind: RunKind;
  readonly layout: ScaleLayout;
  /** Whether a scale starts on the key's tonic, on the chord's root, or where the position does. */
  readonly from: 'key' | 'chord' | 'position';
  readonly position: number;
  readonly string: number;
  readonly back: boolean;
  readonly picking: Picking;
  /** One chord, or the key's seven, as triads or sevenths. */
  readonly scope: Scope;
  /** The same for a sweep. */
  readonly sweepScope: Scope;
  /** Strings of an arpeggio, thickest first; null for a position. */
  readonly strings: readonly number[] | null;
  readonly octave: boolean;
  readonly fragment: boolean;
  readonly turning: boolean;
  /** Which string sets a sweep goes over. */
  readonly sweep: number;
  /** Whether every sweep shape starts on its root. */
  readonly rooted: boolean;
}

export const FIRST_PLAN: RunPlan = {
  kind: 'scale',
  layout: 'position',
  from: 'key',
  position: 2,
  string: 5,
  back: true,
  picking: 'alternate',
  scope: 'sevenths',
  sweepScope: 'chord',
  strings: null,
  octave: false,
  fragment: false,
  turning: true,
  sweep: 0,
  rooted: false,
};

/** String sets that a sweep takes one after the other. */
export const SWEEP_SETS: readonly (readonly (readonly number[])[])[] = [
  [
    [3, 2, 1],
    [3, 2, 1],
  ],
  [
    [4, 3, 2],
    [4, 3, 2],
  ],
  [
    [5, 4, 3],
    [3, 2, 1],
  ],
  [[3, 2, 1]],
  [[5, 4, 3, 2, 1]],
];

export interface PlannedRun {
  readonly run: Run;
  readonly title: string;
  /** Beats in a bar of the tab. */
  readonly beatsPerBar: number;
  /** The note that is marked as root; null where every chord has its own. */
  readonly root: number | null;
}

/** What a run is planned over. */
interface RunScene {
  readonly chord: Chord;
  readonly key: Key;
  readonly instrument: Instrument;
  readonly naming: Naming;
}

const PLANNERS: Readonly<Record<RunKind, (plan: RunPlan, scene: RunScene) => Omit<PlannedRun, 'beatsPerBar'>>> = {
  scale: planScale,
  arpeggio: planArpeggio,
  sweep: planSweep,
};

/** The run somebody planned, with its name. */
export function planRun(plan: RunPlan, scene: RunScene): PlannedRun {
  return { ...PLANNERS[plan.kind](plan, scene), beatsPerBar: 4 };
}

function planScale(plan: RunPlan, { chord, key, instrument, naming }: RunScene) {
  const from = plan.from === 'chord' ? chord.root : key.tonic;
  const over = plan.from !== 'chord' ? '' : NECK_WORDS.fromOver(nameNote(from, naming.notes), chordTitle(chord, instrument, naming));
  return {
    run: scaleRun(key, { ...plan, from: plan.from === 'position' ? null : from }, instrument),
    title: `${nameKey(key, naming)}${key.scale === 'major' ? ' major' : ''}${over}`,
    root: from,
  };
}

function planSweep(plan: RunPlan, { chord, key, instrument, naming }: RunScene) {
  const { sweep, position, rooted, sweepScope: scope } = plan;
  const sets = SWEEP_SETS[sweep] ?? (SWEEP_SETS[0] as (typeof SWEEP_SETS)[number]);
  const one = scope === 'chord';
  const what = one ? chordTitle(chord, instrument, naming) : `${nameKey(key, naming)}: ${scope}`;
  const shapes = sets[0]?.length === FIVE_STRINGS ? 'five-string sweep' : sets.length === 2 ? 'two-shape sweep' : 'sweep';
  return {
    run: sweepRun(chordsOf(scope, chord, key), { sets, position, rooted }, instrument),
    title: one ? `${what}: ${shapes}` : `${what}, ${shapes}`,
    root: one ? chord.root : null,
  };
}

const FIVE_STRINGS = 5;

/** The chord alone, or the key's seven and its first again: a key ends at home. */
function chordsOf(scope: Scope, chord: Chord, key: Key): readonly Chord[] {
  if (scope === 'chord') return [chord];
  const degrees = harmonize(key, scope === 'triads' ? 'triad' : 'seventh').map((degree) => degree.chord);
  return [...degrees, ...degrees.slice(0, 1)];
}

function planArpeggio(plan: RunPlan, { chord, key, instrument, naming }: RunScene) {
  const one = plan.scope === 'chord';
  const chords = chordsOf(plan.scope, chord, key);
  const wish: ArpeggioWish = {
    place: plan.strings === null ? { kind: 'position', position: plan.position } : { kind: 'strings', strings: plan.strings },
    octave: plan.octave,
    fragment: plan.fragment ? key : null,
    turning: plan.turning,
    back: plan.back,
    picking: plan.picking,
  };
  const what = one ? chordTitle(chord, instrument, naming) : `${nameKey(key, naming)}: ${plan.scope}`;
  return { run: arpeggioRun(chords, wish, instrument), title: NECK_WORDS.noteByNote(what), root: one ? chord.root : null };
}

const COUNT_IN_BEATS = 4;
/** The first step is the count-in. */
export const COUNT_IN_STEPS = 1;
const EPSILON = 1e-6;

/** The run as it is played: four clicks, then a click on every beat. */
export function runSteps(notes: readonly RunNote[]): readonly PlayStep[] {
  let at = 0;
  const steps = notes.map(({ midi, beats }): PlayStep => {
    const onBeat = Math.abs(at - Math.round(at)) < EPSILON;
    at += beats;
    return { midi: [midi], beats, click: onBeat };
  });
  return [{ midi: [], beats: COUNT_IN_BEATS, click: true }, ...steps];
}
