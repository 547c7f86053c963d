import { mod } from '../fault.ts';
import type { ScoreNote } from '../score/score.ts';
import { COSTS } from './costs.ts';
import type { Grid, Moment } from './grid.ts';
import { type Oddity, oddityOf } from './oddity.ts';
import { STATES } from './states.ts';

/** A pitch class of a moment that some note gives it, with what that note costs a chord that does not own it. */
interface StrangePitch extends Oddity {
  readonly pitch: number;
  readonly pulses: number;
}

/** What every moment costs every chord by the notes that are outside it. Rows are worked out once, when they are first asked for. */
export class StrangeRows {
  readonly #grid: Grid;
  readonly #oddities: readonly Oddity[];
  readonly #rows = new Map<number, Float64Array>();
  readonly #within = new Map<number, Float64Array>();

  constructor(grid: Grid) {
    this.#grid = grid;
    this.#oddities = grid.score.notes.map((_, index) => oddityOf(grid.score, grid.neighbours, index));
  }

  /** Adds a moment to the costs of a stretch, by chord. */
  addTo(sums: Float64Array, at: number, isFirst: boolean): void {
    const row = this.#row(at);
    for (let state = 0; state < sums.length; state += 1) sums[state] = (sums[state] as number) + (row[state] as number);
    if (isFirst) return;
    const within = this.#seventhWithin(at);
    if (within !== null)
      for (let state = 0; state < sums.length; state += 1) sums[state] = (sums[state] as number) + (within[state] as number);
  }

  #row(at: number): Float64Array {
    const known = this.#rows.get(at);
    if (known !== undefined) return known;
    const made = this.#made(this.#grid.moments[at] as Moment);
    this.#rows.set(at, made);
    return made;
  }

  #made(moment: Moment): Float64Array {
    const byPitch: StrangePitch[][] = Array.from({ length: 12 }, () => []);
    for (const one of this.#strangeIn(moment)) byPitch[one.pitch]?.push(one);
    const sounding = byPitch.map((notes, pitch) => ({ notes, bit: 1 << pitch })).filter(({ notes }) => notes.length > 0);
    const row = new Float64Array(STATES.length);
    STATES.forEach(({ set }, state) => {
      let cost = 0;
      for (const { notes, bit } of sounding) if ((set & bit) === 0) cost += strangest(notes, set);
      row[state] = cost;
    });
    return row;
  }

  #strangeIn(moment: Moment): readonly StrangePitch[] {
    const { score, said } = this.#grid;
    return moment.sounding.flatMap((index): readonly StrangePitch[] => {
      const about = said.get(index);
      if (about !== undefined && about !== 'chord') return [];
      const note = score.notes[index] as ScoreNote;
      const share = (Math.min(note.to, moment.to) - Math.max(note.from, moment.from)) / (moment.to - moment.from);
      const oddity = about === 'chord' ? { cost: COSTS.strange.said, leansOn: null, isHeld: false } : (this.#oddities[index] as Oddity);
      const pulses = share * moment.pulses;
      if (index === moment.bass) return [{ ...oddity, ...lowest(oddity), pitch: mod(note.midi, 12), pulses }];
      return [{ ...oddity, pitch: mod(note.midi, 12), pulses }];
    });
  }

  /** What it costs that a seventh is struck in the bass on a strong beat: a harmony begins with that. */
  #seventhWithin(at: number): Float64Array | null {
    const { accent, bassBegins, bass } = this.#grid.moments[at] as Moment;
    if (accent < 2 || !bassBegins || bass === null) return null;
    const known = this.#within.get(at);
    if (known !== undefined) return known;
    const pitch = mod((this.#grid.score.notes[bass] as ScoreNote).midi, 12);
    const made = Float64Array.from(STATES, ({ root, set }) =>
      (set & (1 << pitch)) !== 0 && mod(pitch - root, 12) >= LOWEST_SEVENTH ? COSTS.bass.within : 0,
    );
    this.#within.set(at, made);
    return made;
  }
}

/** A bass outside the chord is stranger than an upper voice, but for one that lies under it. */
function lowest({ cost, isHeld }: Oddity): Pick<Oddity, 'cost'> {
  return { cost: isHeld ? COSTS.strange.pedal : cost * COSTS.strange.bass };
}

const LOWEST_SEVENTH = 9;

/** A pitch that is doubled costs what its strangest note does: doubling changes nothing. */
function strangest(notes: readonly StrangePitch[], set: number): number {
  let most = 0;
  for (const { cost, leansOn, pulses } of notes) {
    const isLost = leansOn !== null && (set & (1 << leansOn)) === 0;
    most = Math.max(most, pulses * cost * (isLost ? COSTS.strange.lost : 1));
  }
  return most;
}
