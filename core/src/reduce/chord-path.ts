import type { RHYTHMS } from '../choices.ts';
import { mod } from '../fault.ts';
import type { Key } from '../key/key.ts';
import { chroma } from '../pitch/note.ts';
import type { ScoreNote } from '../score/score.ts';
import { COSTS } from './costs.ts';
import type { Grid, Moment } from './grid.ts';
import { outsideCost } from './key-costs.ts';
import type { ChordKind } from './kinds.ts';
import { isStep } from './oddity.ts';
import { MISSED, MOST_TONES, NONE, STATES, type State, TONES } from './states.ts';
import { StrangeRows } from './strange-rows.ts';

/** How often the harmony may change. */
export type Rhythm = (typeof RHYTHMS)[number];

/** A stretch of moments under one chord, before its notes have names. */
export interface Stretch {
  /** Places among the moments; `to` is behind the last one. */
  readonly from: number;
  readonly to: number;
  /** The best chord first; none where nothing sounds. */
  readonly chords: readonly Candidate[];
}

export interface Candidate {
  /** In half steps above C. */
  readonly root: number;
  readonly kind: ChordKind;
  /** What was paid for it, in all. */
  readonly cost: number;
}

/** What is fixed beforehand: borders, and whose chord a stretch is. */
export interface PathWish {
  readonly rhythm: Rhythm;
  /** The key at every moment. */
  readonly keys: readonly Key[];
  /** Times of borders that are drawn or taken away by the player. */
  readonly borders?: ReadonlyMap<number, boolean>;
}

/** No chord is looked for over a longer stretch at once, in moments. */
const LONGEST = 32;

/** The cheapest way through a piece: where its harmony changes, and into what. */
export function chordPath(grid: Grid, wish: PathWish): readonly Stretch[] {
  const search = new Search(grid, wish);
  return search.run();
}

/** What a chord gains by following another: by the way its root goes, and by keeping what was promised. */
function following(from: number, to: number): number {
  const [before, after] = [STATES[from] as State, STATES[to] as State];
  if (before === after) return COSTS.alike;
  const up = mod(after.root - before.root, 12);
  if (up === 0) return COSTS.sameRoot;
  if ((up === 5 && before.kind.isDominant) || (up === 1 && before.kind.isLeading)) return -COSTS.resolves;
  return up === 5 ? -COSTS.byFifth : 0;
}

/** The cheapest chords that end at a moment: of all, and for each root of all kinds, of dominants and of leading-tone chords. */
class Ways {
  readonly #ended: Float64Array;
  readonly #byRoot = new Int16Array(12).fill(-1);
  readonly #dominants = new Int16Array(12).fill(-1);
  readonly #leading = new Int16Array(12).fill(-1);

  constructor(ended: Float64Array) {
    this.#ended = ended;
    STATES.forEach(({ root, kind }, state) => {
      this.#keep(this.#byRoot, root, state);
      if (kind.isDominant) this.#keep(this.#dominants, root, state);
      if (kind.isLeading) this.#keep(this.#leading, root, state);
    });
  }

  #keep(row: Int16Array, root: number, state: number): void {
    const known = row[root] as number;
    if (known < 0 || (this.#ended[state] as number) < (this.#ended[known] as number)) row[root] = state;
  }

  /** The chord a way into another one comes from at least cost. */
  to(state: number): number {
    const { root } = STATES[state] as State;
    let best = state;
    let least = (this.#ended[state] as number) + COSTS.alike;
    const offer = (before: number) => {
      if (before < 0) return;
      const cost = (this.#ended[before] as number) + following(before, state);
      if (cost < least) [best, least] = [before, cost];
    };
    for (const before of this.#byRoot) offer(before);
    offer(this.#dominants[(root + 7) % 12] as number);
    offer(this.#leading[(root + 11) % 12] as number);
    return best;
  }
}

class Search {
  readonly #grid: Grid;
  readonly #wish: PathWish;
  readonly #count: number;
  /** Pulses from the beginning. */
  readonly #long: Float64Array;
  /** What it costs to have come to a moment with a chord that ends there. */
  readonly #ended: Float64Array[];
  readonly #begunAt: Int32Array[];
  readonly #cameFrom: Int16Array[] = [];
  readonly #rows: StrangeRows;
  readonly #owns = new Map<string, Float64Array>();

  constructor(grid: Grid, wish: PathWish) {
    this.#grid = grid;
    this.#wish = wish;
    this.#count = grid.moments.length;
    this.#rows = new StrangeRows(grid);
    this.#long = new Float64Array(this.#count + 1);
    grid.moments.forEach(({ pulses }, at) => {
      this.#long[at + 1] = (this.#long[at] as number) + pulses;
    });
    this.#ended = Array.from({ length: this.#count + 1 }, () => new Float64Array(STATES.length).fill(Number.POSITIVE_INFINITY));
    this.#begunAt = Array.from({ length: this.#count + 1 }, () => new Int32Array(STATES.length));
  }

  run(): readonly Stretch[] {
    const { moments } = this.#grid;
    for (let from = 0; from < this.#count; from += 1) {
      if (!this.#mayBegin(from)) {
        this.#cameFrom.push(new Int16Array(0));
        continue;
      }
      const entered = this.#enter(from);
      const odd = new Float64Array(STATES.length);
      for (let to = from + 1; to <= Math.min(this.#count, from + LONGEST); to += 1) {
        this.#rows.addTo(odd, to - 1, to - 1 === from);
        if (to < this.#count && !this.#mayBegin(to)) continue;
        this.#take(from, to, entered, odd);
        if (to < this.#count && this.#mustBegin(moments[to] as Moment)) break;
      }
    }
    return this.#back();
  }

  #mayBegin(at: number): boolean {
    if (at === 0) return true;
    const { accent, from, begun, bassBegins } = this.#grid.moments[at] as Moment;
    const said = this.#wish.borders?.get(from);
    if (said !== undefined) return said;
    const least = { auto: 0, beat: 1, half: 2, bar: 3 }[this.#wish.rhythm];
    // off the beat a chord has to be struck with its bass
    return accent >= least && (accent > 0 || (bassBegins && begun > 1));
  }

  #mustBegin({ from }: Moment): boolean {
    return this.#wish.borders?.get(from) === true;
  }

  /** What every chord costs that begins at a moment, by the best way to get there. */
  #enter(at: number): Float64Array {
    const border = at === 0 ? 0 : this.#border(this.#grid.moments[at] as Moment);
    const came = new Int16Array(STATES.length).fill(-1);
    this.#cameFrom.push(came);
    const own = this.#own(this.#keyAt(at));
    const entered = new Float64Array(STATES.length);
    const ended = this.#ended[at] as Float64Array;
    const ways = at === 0 ? null : new Ways(ended);
    for (let state = 0; state < STATES.length; state += 1) {
      const before = ways?.to(state) ?? -1;
      came[state] = before;
      const best = before < 0 ? 0 : (ended[before] as number) + following(before, state);
      entered[state] = best + border + (own[state] as number);
    }
    return entered;
  }

  #border(moment: Moment): number {
    if (this.#mustBegin(moment)) return 0;
    return (
      (COSTS.border[moment.accent] as number) +
      COSTS.novel * (0.5 - moment.novelty) +
      (moment.begun === 0 ? COSTS.notStruck : 0) +
      (moment.bassBegins ? 0 : COSTS.noBass)
    );
  }

  #keyAt(at: number): Key {
    return this.#wish.keys[at] as Key;
  }

  /** What speaks against every chord in a key before anything is heard: by its kind, and by its tones outside. */
  #own(key: Key): Float64Array {
    const name = `${chroma(key.tonic)} ${key.scale}`;
    const known = this.#owns.get(name);
    if (known !== undefined) return known;
    const made = Float64Array.from(
      STATES,
      ({ kind, root }) => kind.cost + outsideCost(kind, mod(root - chroma(key.tonic), 12), key.scale !== 'major'),
    );
    this.#owns.set(name, made);
    return made;
  }

  /** Every chord over one stretch: notes outside it, tones that never sound, and its bass. */
  #take(from: number, to: number, entered: Float64Array, odd: Float64Array): void {
    const absent = this.#absent(from, to);
    const bass = this.#bass(from);
    const lasting = COSTS.goesOn * this.#pulses(from, to);
    const own = this.#own(this.#keyAt(from));
    const [ended, begun] = [this.#ended[to] as Float64Array, this.#begunAt[to] as Int32Array];
    for (let state = 0; state < STATES.length; state += 1) {
      let cost = (entered[state] as number) + (bass[state] as number) + (odd[state] as number) + lasting * (own[state] as number);
      if (cost >= (ended[state] as number)) continue;
      for (let tone = state * MOST_TONES; tone < (state + 1) * MOST_TONES; tone += 1)
        cost += (absent[TONES[tone] as number] as number) * (MISSED[tone] as number);
      if (cost < (ended[state] as number)) {
        ended[state] = cost;
        begun[state] = from;
      }
    }
  }

  /** How much each pitch class is missed in a stretch as a tone of its chord; nothing is missed of what no chord has. */
  #absent(from: number, to: number): Float64Array {
    const { heard } = this.#grid;
    const absent = new Float64Array(NONE + 1);
    const least = Math.max(COSTS.heard, COSTS.share * this.#pulses(from, to));
    for (let pitch = 0; pitch < NONE; pitch += 1) {
      const sums = heard[pitch] as Float64Array;
      const long = (sums[to] as number) - (sums[from] as number);
      absent[pitch] = long >= least ? 0 : 1 - long / least;
    }
    return absent;
  }

  #pulses(from: number, to: number): number {
    return (this.#long[to] as number) - (this.#long[from] as number);
  }

  readonly #basses = new Map<number, Float64Array>();

  #bass(at: number): Float64Array {
    const known = this.#basses.get(at);
    if (known !== undefined) return known;
    const made = this.#bassCosts(at);
    this.#basses.set(at, made);
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
    for (let pulses = 0; to < this.#count && pulses < within; to += 1) pulses += (moments[to] as Moment).pulses;
    return Float64Array.from(heard, (sums) => ((sums[to] as number) - (sums[at] as number) >= COSTS.heard ? 0 : cost));
  }

  #back(): readonly Stretch[] {
    const stretches: Stretch[] = [];
    let to = this.#count;
    if (to === 0) return [];
    const last = this.#ended[to] as Float64Array;
    let state = last.reduce((top, value, index) => (value < (last[top] as number) ? index : top), 0);
    while (to > 0) {
      const from = this.#begunAt[to]?.[state] as number;
      stretches.unshift({ from, to, chords: this.#ranked(from, to, state) });
      state = this.#cameFrom[from]?.[state] as number;
      to = from;
    }
    return stretches;
  }

  /** The chord of the way, and what else the same notes may be. */
  #ranked(from: number, to: number, chosen: number): readonly Candidate[] {
    if (this.#grid.moments.slice(from, to).every(({ sounding }) => sounding.length === 0)) return [];
    const costs = this.#alone(from, to);
    const own = STATES[chosen] as State;
    const others = STATES.map(({ root, kind }, index) => ({ root, kind, cost: costs[index] as number }))
      .filter((_, index) => index !== chosen)
      .sort((a, b) => a.cost - b.cost)
      .slice(0, MOST_OTHERS);
    return [{ root: own.root, kind: own.kind, cost: costs[chosen] as number }, ...others];
  }

  #alone(from: number, to: number): Float64Array {
    const entered = this.#own(this.#keyAt(from));
    const kept = [this.#ended[to] as Float64Array, this.#begunAt[to] as Int32Array] as const;
    this.#ended[to] = new Float64Array(STATES.length).fill(Number.POSITIVE_INFINITY);
    this.#begunAt[to] = new Int32Array(STATES.length);
    const odd = new Float64Array(STATES.length);
    for (let at = from; at < to; at += 1) this.#rows.addTo(odd, at, at === from);
    this.#take(from, to, entered, odd);
    const costs = this.#ended[to] as Float64Array;
    [this.#ended[to], this.#begunAt[to]] = kept;
    return costs;
  }
}

const MOST_OTHERS = 4;
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
