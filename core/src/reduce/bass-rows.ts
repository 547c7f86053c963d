import { mod } from '../fault.ts';
import type { ScoreNote } from '../score/score.ts';
import { COSTS } from './costs.ts';
import type { Grid, Moment } from './grid.ts';
import { isStep } from './oddity.ts';
import { STATES, type State } from './states.ts';

/** What the beginning of a stretch costs every chord: its bass, and a root or a seventh that comes late. */
export class BassRows {
  readonly #grid: Grid;
  readonly #known = new Map<number, Float64Array>();

  constructor(grid: Grid) {
    this.#grid = grid;
  }

  /** By chord, what a stretch pays that begins at a moment. */
  at(at: number): Float64Array {
    const known = this.#known.get(at);
    if (known !== undefined) return known;
    const made = this.#bassCosts(at);
    this.#known.set(at, made);
    return made;
  }

  /** What the way a stretch begins says against every chord: its bass, and a root that comes late. */
  #bassCosts(at: number): Float64Array {
    const { moments, score, neighbours } = this.#grid;
    const lateRoots = this.#late(at, 1, COSTS.rootLate);
    const lateFourths = this.#late(at, 2, COSTS.fourthLate);
    const costs = Float64Array.from(
      STATES,
      ({ root, kind: { fourth } }) => (lateRoots[root] as number) + (fourth === null ? 0 : (lateFourths[(root + fourth) % 12] as number)),
    );
    const index = (moments[at] as Moment).bass;
    if (index === null) return costs;
    const note = score.notes[index] as ScoreNote;
    const after = neighbours[index]?.after ?? null;
    const next = after === null ? null : (score.notes[after] as ScoreNote);
    const goal = next !== null && isStep(note, next) && next.from - (moments[at] as Moment).from <= SOON ? next : null;
    const lies = isGround(score.notes, neighbours, index);
    STATES.forEach((state, place) => {
      const own = bassCost(state, mod(note.midi, 12), lies);
      const reached = goal === null ? own : Math.min(own, bassCost(state, mod(goal.midi, 12), false) + COSTS.bass.late);
      costs[place] = (costs[place] as number) + reached;
    });
    return costs;
  }

  /** By pitch class: what is lost for a tone that does not sound in the first pulses. */
  #late(at: number, within: number, cost: number): Float64Array {
    const { heard, moments } = this.#grid;
    let to = at;
    for (let pulses = 0; to < moments.length && pulses < within; to += 1) pulses += (moments[to] as Moment).pulses;
    return Float64Array.from(heard, (sums) => ((sums[to] as number) - (sums[at] as number) >= COSTS.heard ? 0 : cost));
  }
}

/** How soon a bass has to go on to the tone it stands for, in ticks: a beat and a half. */
const SOON = 15_120;
function bassCost({ root, kind, pitches }: State, bass: number, lies: boolean): number {
  const above = mod(bass - root, 12);
  if (above === 0) return 0;
  if (!pitches.includes(bass)) return lies ? COSTS.bass.ground : COSTS.bass.foreign;
  if (kind.isSymmetric) return COSTS.bass.third;
  if (above === 3 || above === 4) return COSTS.bass.third;
  if (above >= 6 && above <= 8) return COSTS.bass.fifth;
  return above >= 9 ? COSTS.bass.seventh : COSTS.bass.other;
}

/** Whether a bass lies or comes again, as a pedal does. */
function isGround(notes: readonly ScoreNote[], neighbours: Grid['neighbours'], index: number): boolean {
  const { before, after } = neighbours[index] as Grid['neighbours'][number];
  const { midi } = notes[index] as ScoreNote;
  return [before, after].some((other) => other !== null && (notes[other] as ScoreNote).midi === midi);
}
