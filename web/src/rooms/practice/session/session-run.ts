import type { BlockKind, Item, PlanBlock } from '@aurora/core';

/** An item of a session, and how long it is meant to take. */
export interface RunItem {
  readonly item: Item;
  /** What a song is called; empty for everything else. */
  readonly title: string;
  readonly night: number | null;
  readonly ms: number;
  /** In what depth its chords are asked; as the player chose, or stands, where nothing is said. */
  readonly depth?: 'triad' | 'seventh' | undefined;
}

export interface RunBlock {
  readonly kind: BlockKind;
  readonly minutes: number;
  readonly items: readonly RunItem[];
}

/** What happens with an item just now: it is looked at, played, asked, rested; or all is over. */
type Phase = 'preview' | 'playing' | 'asking' | 'resting' | 'over';

/** A session: blocks one after the other, and the place one has come to. */
export interface Run {
  readonly id: string;
  readonly blocks: readonly RunBlock[];
  readonly block: number;
  readonly place: number;
  readonly phase: Phase;
  /** When the session began, in milliseconds. */
  readonly startedAt: number;
  /** When the item was come to. */
  readonly since: number;
  readonly passes: number;
  readonly good: number;
}

const MINUTE = 60_000;
const ASKED: readonly string[] = ['recall', 'ear'];

/** A plan as it is played. */
export function blocksOf(plan: readonly PlanBlock[]): readonly RunBlock[] {
  return plan.map(({ kind, minutes, items }) => ({
    kind,
    minutes,
    items: items.map(({ item, night, why }) => ({
      item,
      title: why.kind === 'set' ? why.title : '',
      night,
      ms: (minutes * MINUTE) / items.length,
    })),
  }));
}

/** A session of one item alone, for somebody who chose it. */
export function blockOf(kind: BlockKind, item: Item, minutes: number, depth?: RunItem['depth']): RunBlock {
  return { kind, minutes, items: [{ item, title: '', night: null, ms: minutes * MINUTE, ...(depth === undefined ? {} : { depth }) }] };
}

/** A session at its beginning; over at once where there is nothing in it. */
export function beginRun(id: string, blocks: readonly RunBlock[], now: number): Run {
  return settled({ id, blocks, block: 0, place: 0, phase: 'preview', startedAt: now, since: now, passes: 0, good: 0 });
}

export function blockNow({ blocks, block }: Run): RunBlock | null {
  return blocks[block] ?? null;
}

export function itemNow(run: Run): RunItem | null {
  return blockNow(run)?.items[run.place] ?? null;
}

/** What comes after the item: the next one of the block, or the first of the next block that has one. */
export function itemNext(run: Run): RunItem | null {
  const next = moved(run, run.since);
  return next.phase === 'over' ? null : itemNow(next);
}

/** It is begun to be played. */
export function playing(run: Run): Run {
  return run.phase === 'preview' ? { ...run, phase: 'playing' } : run;
}

/** It is stopped without a mark. */
export function stopped(run: Run): Run {
  return run.phase === 'playing' ? { ...run, phase: 'preview' } : run;
}

/** A pass, or an answer, was marked. While there is time left for the item it comes again; then the next one comes. */
export function marked(run: Run, isGood: boolean, now: number): Run {
  const counted = { ...run, passes: run.passes + 1, good: run.good + (isGood ? 1 : 0) };
  const item = itemNow(run);
  if (item !== null && now - run.since < item.ms) return { ...counted, phase: phaseFor(counted) };
  return moved(counted, now);
}

/** On to the next item, without a mark. */
export function skipped(run: Run, now: number): Run {
  return moved(run, now);
}

/** On to the next block. */
export function blockSkipped(run: Run, now: number): Run {
  return settled({ ...run, block: run.block + 1, place: 0, since: now });
}

/** Back to the item before, from its beginning. */
export function back(run: Run, now: number): Run {
  if (run.place > 0) return settled({ ...run, place: run.place - 1, since: now });
  const before = run.blocks[run.block - 1];
  return before === undefined
    ? { ...run, phase: phaseFor(run), since: now }
    : settled({ ...run, block: run.block - 1, place: Math.max(0, before.items.length - 1), since: now });
}

export function ended(run: Run): Run {
  return { ...run, phase: 'over' };
}

function moved(run: Run, now: number): Run {
  const isLast = run.place + 1 >= (blockNow(run)?.items.length ?? 0);
  return settled(isLast ? { ...run, block: run.block + 1, place: 0, since: now } : { ...run, place: run.place + 1, since: now });
}

function settled(run: Run): Run {
  return { ...run, phase: phaseFor(run) };
}

function phaseFor(run: Run): Phase {
  const block = blockNow(run);
  if (block === null) return 'over';
  if (block.kind === 'break') return 'resting';
  const item = itemNow(run);
  return item !== null && ASKED.includes(item.item.study) ? 'asking' : 'preview';
}

/** How far a session has come, in minutes of its plan. */
export function minutesDone({ blocks, block, place }: Run): number {
  const whole = blocks.slice(0, block).reduce((sum, { minutes }) => sum + minutes, 0);
  const now = blocks[block];
  return now === undefined || now.items.length === 0 ? whole : whole + (now.minutes * place) / now.items.length;
}

/** How long the block and the whole session still last, in milliseconds, if everything takes as long as it is meant to. */
export function timeLeft(run: Run, now: number): { readonly block: number; readonly all: number } {
  const block = blockNow(run);
  if (block === null || run.phase === 'over') return { block: 0, all: 0 };
  const lengths = block.items.length === 0 ? [block.minutes * MINUTE] : block.items.slice(run.place).map(({ ms }) => ms);
  const [here = 0, ...later] = lengths;
  const left = Math.max(0, here - (now - run.since)) + later.reduce((sum, ms) => sum + ms, 0);
  const behind = run.blocks.slice(run.block + 1).reduce((sum, { minutes }) => sum + minutes * MINUTE, 0);
  return { block: left, all: left + behind };
}
