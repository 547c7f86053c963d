import type { RHYTHMS } from '../choices.ts';
import { mod } from '../fault.ts';
import type { Key } from '../key/key.ts';
import { chroma } from '../pitch/note.ts';
import { BassRows } from './bass-rows.ts';
import { COSTS } from './costs.ts';
import type { Grid, Moment } from './grid.ts';
import { outsideCost } from './keys/key-costs.ts';
import type { ChordKind } from './kinds.ts';
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

/** No chord is looked for over a longer stretch at once, in pulses; a longer one follows itself. */
const LONGEST = 8;

/** What the notes say whatever the keys: worked out once for every way that is sought. */
export interface Evidence {
  readonly rows: StrangeRows;
  readonly basses: BassRows;
}

export function evidenceOf(grid: Grid): Evidence {
  return { rows: new StrangeRows(grid), basses: new BassRows(grid) };
}

/** The cheapest way through a piece: where its harmony changes, and into what. */
export function chordPath(grid: Grid, wish: PathWish, evidence: Evidence = evidenceOf(grid)): readonly Stretch[] {
  const search = new Search(grid, wish, evidence);
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
  /** The three roots whose chords are the cheapest. */
  readonly #roots: readonly number[];

  constructor(ended: Float64Array) {
    this.#ended = ended;
    STATES.forEach(({ root, kind }, state) => {
      this.#keep(this.#byRoot, root, state);
      if (kind.isDominant) this.#keep(this.#dominants, root, state);
      if (kind.isLeading) this.#keep(this.#leading, root, state);
    });
    const costOf = (root: number) => ended[this.#byRoot[root] as number] as number;
    this.#roots = Array.from({ length: 12 }, (_, root) => root)
      .sort((a, b) => costOf(a) - costOf(b))
      .slice(0, 3);
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
    const fourthDown = (root + 7) % 12;
    offer(this.#byRoot[root] as number);
    offer(this.#byRoot[fourthDown] as number);
    offer(this.#dominants[fourthDown] as number);
    offer(this.#leading[(root + 11) % 12] as number);
    // of all others, whose root says nothing, the cheapest
    const other = this.#roots.find((one) => one !== root && one !== fourthDown);
    if (other !== undefined) offer(this.#byRoot[other] as number);
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
  readonly #basses: BassRows;
  readonly #owns = new Map<string, Float64Array>();

  constructor(grid: Grid, wish: PathWish, { rows, basses }: Evidence) {
    this.#grid = grid;
    this.#wish = wish;
    this.#count = grid.moments.length;
    this.#rows = rows;
    this.#basses = basses;
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
      for (let to = from + 1; to <= this.#count && this.#pulses(from, to - 1) < LONGEST; to += 1) {
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
    const bass = this.#basses.at(from);
    const lasting = COSTS.goesOn * this.#pulses(from, to);
    const own = this.#own(this.#keyAt(from));
    const [ended, begun] = [this.#ended[to] as Float64Array, this.#begunAt[to] as Int32Array];
    const [tones, missed, count] = [TONES, MISSED, STATES.length];
    let tone = 0;
    for (let state = 0; state < count; state += 1, tone += MOST_TONES) {
      let cost = (entered[state] as number) + (bass[state] as number) + (odd[state] as number) + lasting * (own[state] as number);
      if (cost >= (ended[state] as number)) continue;
      for (let at = tone; at < tone + MOST_TONES; at += 1) cost += (absent[tones[at] as number] as number) * (missed[at] as number);
      if (cost >= (ended[state] as number)) continue;
      ended[state] = cost;
      begun[state] = from;
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
