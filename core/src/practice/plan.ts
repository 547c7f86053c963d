import { type Key, sameKey } from '../key/key.ts';
import { itemsOf } from './catalogue.ts';
import { chainLinks, chainUnits, nextUnit } from './chain.ts';
import { type Dice, diceOf } from './dice.ts';
import { FIRST_WARM_UP } from './drill.ts';
import { findItem, type Item, itemId, itemIn, keyOfItem } from './item.ts';
import { daysSince, type Memory, recallNow, remember } from './memory.ts';
import type { Outcome, Pass } from './pass.ts';
import { type BlockKind, layOut, type Slot, slotOf } from './plan-minutes.ts';
import { NIGHT_STAGES, nightsOf, type Programme } from './programme.ts';
import { placeOnRoad } from './road.ts';

/** Why something is in a plan, as evidence. */
export type PlanReason =
  | { readonly kind: 'warm-up' }
  /** Never practised. */
  | { readonly kind: 'new' }
  /** The programme's key for tonight. */
  | { readonly kind: 'tonight'; readonly night: number }
  /** Due, or weaker than what else there is: days since it was last practised, and how that went. */
  | { readonly kind: 'due' | 'weak'; readonly days: number; readonly outcome: Outcome; readonly tempo: number | null }
  /** Once more tonight. */
  | { readonly kind: 'again' }
  | { readonly kind: 'set'; readonly title: string };

/** An item in a plan. */
export interface PlannedItem {
  readonly item: Item;
  /** Whether it is met for the first time. */
  readonly isNew: boolean;
  readonly why: PlanReason;
  /** Which night of the programme it is; null for none. */
  readonly night: number | null;
}

export interface PlanBlock {
  readonly kind: BlockKind;
  readonly minutes: number;
  /** None in a break. */
  readonly items: readonly PlannedItem[];
}

/** A song of the next set, in tonight's key. */
export interface SetSongToPractise {
  readonly id: string;
  readonly title: string;
  readonly key: Key;
}

export interface PlanWish {
  /** From 3 to 180. */
  readonly minutes: number;
  readonly passes: readonly Pass[];
  readonly programme: Programme | null;
  readonly songs: readonly SetSongToPractise[];
  readonly tuning: readonly number[];
  /** In milliseconds. */
  readonly now: number;
  readonly seed: number;
}

export const FEWEST_MINUTES = 3;
export const MOST_MINUTES = 180;
/** At most so much of a plan is met for the first time, by items as by minutes. */
const MOST_NEW = 0.4;

/** With more than so many of a study due, nothing new of it is begun before them. */
const MOST_WAITING = 6;

/** A plan for the minutes somebody has: warm-up, what is due, tonight's key, a song of the set, breaks. Its minutes sum to those asked for. */
export function planPractice(wish: PlanWish): readonly PlanBlock[] {
  const desk = openDesk(wish);
  const has = { programme: desk.night !== null, song: wish.songs.length > 0, turn: desk.dice.below(4), firstHands: firstHandsOf(desk) };
  const slots = withinBudget(desk, layOut(wish.minutes, has));
  Object.assign(desk, budgetOf(wish, slots));
  const needy = [...new Set(slots.filter((slot) => isNeedy(desk, slot)).map(({ kind }) => kind))];
  const isBegun = (kind: Slot['kind']) => [...desk.taken.values()].some(({ item }) => blockOf(item.study) === kind);
  desk.owed = (filled) => needy.filter((kind) => kind !== filled && !isBegun(kind)).length;
  return slots.map((slot) => ({ kind: slot.kind, minutes: slot.minutes, items: fill(desk, slot) }));
}

/** Which block an item of a study stands in. */
function blockOf(study: Item['study']): string {
  return study === 'aloud' ? 'recall' : study;
}

/** A first evening has grips, or on a bass the notes of chords. */
function firstHandsOf(desk: Desk): 'shapes' | 'runs' | null {
  if (desk.memories.size > 0) return null;
  return poolOf(desk, 'shapes').length > 0 ? 'shapes' : 'runs';
}

interface Budget {
  readonly newItems: number;
  readonly newMinutes: number;
}

/** How much of a plan may be met for the first time. */
function budgetOf({ minutes }: PlanWish, slots: readonly Slot[]): Budget {
  return { newItems: Math.floor(slots.reduce((sum, { items }) => sum + items, 0) * MOST_NEW), newMinutes: minutes * MOST_NEW };
}

/**
 * The blocks that can hold their kind: one of which nothing was ever met has to begin something. Where more of them would begin
 * than may, the last gives its minutes to the block before it.
 */
function withinBudget(desk: Desk, slots: readonly Slot[]): readonly Slot[] {
  const empty = slots.find(({ kind }) => isPlayed(kind) && poolOf(desk, kind).length === 0);
  if (empty !== undefined) return withinBudget(desk, withoutKind(slots, empty.kind));
  const needy = slots.filter((slot, at) => isNeedy(desk, slot) && slots.findIndex(({ kind }) => kind === slot.kind) === at);
  const { newItems, newMinutes } = budgetOf(desk.wish, slots);
  const begun = needy.reduce((sum, { minutes, items }) => sum + minutes / items, 0);
  if (needy.length <= Math.max(1, newItems) && (needy.length <= 1 || begun <= newMinutes)) return slots;
  const last = needy.at(-1) as Slot;
  return withinBudget(desk, withoutKind(slots, last.kind));
}

type PooledKind = Exclude<Slot['kind'], 'break' | 'warm-up' | 'song'>;

function isPlayed(kind: Slot['kind']): kind is PooledKind {
  return kind !== 'break' && kind !== 'warm-up' && kind !== 'song';
}

function isNeedy(desk: Desk, { kind }: Slot): boolean {
  if (!isPlayed(kind)) return false;
  return poolOf(desk, kind).every((item) => !desk.memories.has(itemId(item)));
}

/** The slots without those of a kind: their minutes go to the block before each, or behind it where there is none but a break. */
function withoutKind(slots: readonly Slot[], kind: Slot['kind']): readonly Slot[] {
  const kept: Slot[] = [];
  let owed = 0;
  const lengthen = (minutes: number) => {
    const last = kept.pop() as Slot;
    kept.push(slotOf(last.kind, last.minutes + minutes));
  };
  for (const one of slots) {
    if (one.kind === kind) owed += one.minutes;
    else kept.push(one);
    const last = kept.at(-1);
    if (owed === 0 || last === undefined || last.kind === 'break') continue;
    lengthen(owed);
    owed = 0;
  }
  if (owed > 0 && kept.length > 0) lengthen(owed);
  return kept;
}

/** What is known while a plan is being made. */
interface Desk {
  readonly wish: PlanWish;
  readonly dice: Dice;
  readonly memories: ReadonlyMap<string, Memory>;
  readonly night: { readonly night: number; readonly key: Key } | null;
  /** Keys that were met, tonight's first: new ones come from the programme, not all at once. */
  readonly keys: readonly Key[];
  /** What is in the plan already. */
  readonly taken: Map<string, PlannedItem>;
  newItems: number;
  newMinutes: number;
  /** How many kinds of this plan, beside the one that is filled, have to begin something still. */
  owed: (filled: Slot['kind']) => number;
}

const FIRST_KEY: Key = { tonic: 0, scale: 'major' };

function openDesk(wish: PlanWish): Desk {
  const { passes, programme, now, seed } = wish;
  const memories = remember(passes, now);
  const nights = programme === null ? [] : nightsOf(programme, passes, now);
  const night = nights.find(({ state }) => state === 'next') ?? null;
  const met = keysMet(memories);
  const keys = [...(night === null ? [] : [night.key]), ...met].filter(
    (key, at, all) => all.findIndex((other) => sameKey(key, other)) === at,
  );
  // a first evening is in the key of the next song, or in C
  const open = keys.length === 0 ? [wish.songs[0]?.key ?? FIRST_KEY] : keys;
  return { wish, dice: diceOf(seed), memories, night, keys: open, taken: new Map(), newItems: 0, newMinutes: 0, owed: () => 0 };
}

function keysMet(memories: ReadonlyMap<string, Memory>): readonly Key[] {
  const texts = new Set<string>();
  for (const id of memories.keys()) {
    const item = findItem(id);
    if (item !== undefined && item.study !== 'warm-up' && item.study !== 'song') texts.add(item.key);
  }
  return [...texts].flatMap((key) => keyOfItem({ study: 'recall', what: '', key }) ?? []);
}

function fill(desk: Desk, { kind, minutes, items }: Slot): readonly PlannedItem[] {
  if (kind === 'break') return [];
  if (kind === 'warm-up') return [warmUp(desk)];
  if (kind === 'song') return songFor(desk);
  const pool = poolOf(desk, kind);
  return Array.from({ length: items }, (_, place) => {
    const planned = choose(desk, pool, { kind, minutes: minutes / items, place });
    if (!desk.taken.has(itemId(planned.item))) desk.taken.set(itemId(planned.item), planned);
    return planned;
  });
}

/** Slowly through the key that sits best: hands wake up on what they know. */
function warmUp({ keys, memories }: Desk): PlannedItem {
  const strengths = keys.map((key) => {
    const item = itemIn('warm-up', '', key).key;
    return {
      key,
      days: Math.max(0, ...[...memories.values()].filter(({ item: id }) => id.endsWith(`/${item}`)).map(({ stability }) => stability)),
    };
  });
  const { key } = strengths.reduce((best, one) => (one.days > best.days ? one : best));
  // who never played does not begin with all the modes of a key
  const what = memories.size === 0 ? FIRST_WARM_UP : 'slow scale';
  return { item: itemIn('warm-up', what, key), isNew: false, why: { kind: 'warm-up' }, night: null };
}

/** The song of the set that sits worst. One never practised is new, and is met before all others. */
function songFor(desk: Desk): readonly PlannedItem[] {
  const { wish, memories } = desk;
  const strength = ({ id, key }: SetSongToPractise) => memories.get(itemId(itemIn('song', id, key)))?.stability ?? 0;
  const song = wish.songs.reduce((worst, one) => (strength(one) < strength(worst) ? one : worst));
  // a song of the set is in the hands already: it is no new item, however new it is to this room
  return [{ item: itemIn('song', song.id, song.key), isNew: false, why: { kind: 'set', title: song.title }, night: null }];
}

/** Everything a block may hold, the first to be met first. */
function poolOf(desk: Desk, kind: PooledKind): readonly Item[] {
  const { keys, memories, wish } = desk;
  if (kind === 'programme') return keys.flatMap((key) => NIGHT_STAGES.map((stage) => itemIn('programme', stage, key)));
  if (kind === 'chain') {
    // where it began it goes on, whatever tonight's key is
    const start = keysMet(memories).find(({ scale }) => scale === 'major') ?? FIRST_KEY;
    const links = chainLinks({ start, down: 2, easier: false });
    const met = chainUnits(links).filter(({ item }) => memories.has(itemId(item)));
    const next = nextUnit(links, memories);
    // what is joined is not practised behind what is not safe
    const reached = met.filter(({ links: places }) => Math.max(...places) <= Math.max(...next.links));
    return [next, ...reached.filter(({ kind: unit }) => unit !== 'joined')].map(({ item }) => item);
  }
  const studies = kind === 'recall' ? (['recall', 'aloud'] as const) : [kind];
  return keys.flatMap((key) => studies.flatMap((study) => itemsOf(study, key, wish.tuning)).sort(byRoad));
}

/** What stands first on the road is met first. */
function byRoad(one: Item, other: Item): number {
  return placeOnRoad(one.study, one.what) - placeOnRoad(other.study, other.what);
}

interface Place {
  readonly kind: Slot['kind'];
  readonly minutes: number;
  readonly place: number;
}

/** The next item of a block: what is due, then something new where there is room for it, then what is weakest, then once more what is there. */
function choose(desk: Desk, pool: readonly Item[], { kind, minutes, place }: Place): PlannedItem {
  const { memories, wish, taken, night } = desk;
  const free = pool.filter((item) => !taken.has(itemId(item)));
  const known = free.flatMap((item) => memories.get(itemId(item)) ?? []);
  const burden = burdenOf(desk);
  const waiting = known.filter(({ dueAt }) => dueAt <= wish.now);
  const due = weakest(waiting, burden);
  const fresh = free.find((item) => !memories.has(itemId(item)));
  const mayBegin = fresh !== undefined && desk.newItems > desk.owed(kind) && desk.newMinutes >= minutes;
  // what is due and what is new take turns, unless too much is due: who forgets quickly begins less; of a night its key comes first
  const isFreshsTurn = mayBegin && (kind === 'programme' ? place % 2 === 0 : place % 2 === 1 && waiting.length <= MOST_WAITING);
  if (due !== undefined && !isFreshsTurn) return planned(due, 'due', wish, night);
  if (fresh !== undefined && mayBegin) {
    return begun(desk, fresh, minutes);
  }
  const weak = weakest(known, burden);
  if (weak !== undefined) return planned(weak, 'weak', wish, night);
  const inPlan = [...taken.values()].filter(({ item }) => pool.some((one) => itemId(one) === itemId(item)));
  const again = inPlan[place % Math.max(1, inPlan.length)];
  if (again !== undefined) return { ...again, isNew: false, why: { kind: 'again' } };
  // a block holds its kind: where nothing of it was met and nothing more may be begun, its first item is begun all the same
  return begun(desk, fresh ?? (pool[0] as Item), minutes);
}

/** Something met for the first time. */
function begun(desk: Desk, fresh: Item, minutes: number): PlannedItem {
  desk.newItems -= 1;
  desk.newMinutes -= minutes;
  const tonight = nightOf(fresh, desk.night);
  return { item: fresh, isNew: true, why: tonight === null ? { kind: 'new' } : { kind: 'tonight', night: tonight }, night: tonight };
}

/** The night an item belongs to: that of tonight's key. */
function nightOf({ study, key }: Item, night: Desk['night']): number | null {
  return night !== null && study === 'programme' && key === itemIn(study, '', night.key).key ? night.night : null;
}

/** How much more a key weighs for every time it is in the plan already: an evening is not one key alone. */
const SPREAD = 0.08;

/** How well an item would go now, and how often its key is in the plan: the least of it comes first. */
function burdenOf({ taken, wish: { now } }: Desk): (memory: Memory) => number {
  const times = new Map<string, number>();
  for (const { item } of taken.values()) times.set(item.key, (times.get(item.key) ?? 0) + 1);
  return (memory) => recallNow(memory, now) + SPREAD * (times.get(findItem(memory.item)?.key ?? '') ?? 0);
}

function weakest(memories: readonly Memory[], burden: (memory: Memory) => number): Memory | undefined {
  let best: Memory | undefined;
  let least = Number.POSITIVE_INFINITY;
  for (const memory of memories) {
    const weight = burden(memory);
    if (weight >= least) continue;
    best = memory;
    least = weight;
  }
  return best;
}

function planned({ item: id, lastAt, last }: Memory, kind: 'due' | 'weak', { now }: PlanWish, night: Desk['night']): PlannedItem {
  const item = findItem(id) as Item;
  const why = { kind, days: daysSince(lastAt, now), outcome: last.outcome, tempo: last.tempo } as const;
  return { item, isNew: false, why, night: nightOf(item, night) };
}
