import { createEmptyCard, type FSRS, fsrs, type Grade, Rating } from 'ts-fsrs';
import { inOrder, isBad, isGood, type Pass } from './pass.ts';

/** How well one sitting with an item went, from the passes in it. */
export type SittingGrade = 'again' | 'hard' | 'good' | 'easy';

/** What is known of an item from everything that was played or answered of it. */
export interface Memory {
  readonly item: string;
  /** How often it was practised, a sitting counted once. */
  readonly sittings: number;
  readonly passes: number;
  /** When it was practised last, and when it is due again, in milliseconds. */
  readonly lastAt: number;
  readonly dueAt: number;
  /** Days until nine times in ten it would still go well. */
  readonly stability: number;
  /** 1 for what comes easily to 10 for what does not. */
  readonly difficulty: number;
  readonly grade: SittingGrade;
  /** How often it was lost again after it had been good. */
  readonly lapses: number;
  /** The last pass of it. */
  readonly last: Pass;
}

const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;
/** Passes closer together than this are one sitting. */
const SITTING_MS = 30 * MINUTE;
const FAST_MS = 3000;
const SLOW_MS = 10_000;
/** A whole row, or several chords, takes longer to say than one. */
const ROW_FACTOR = 3;
const ROWS = ['quality-row', 'chord-tones', 'scale-numbers', 'two-five-one', 'keys-with-chord', 'capo-position', 'ear-loop', 'ear-wrong'];
const SAFE_DAYS = 4;

const RATINGS: Readonly<Record<SittingGrade, Grade>> = {
  again: Rating.Again,
  hard: Rating.Hard,
  good: Rating.Good,
  easy: Rating.Easy,
};

/** Free spaced repetition scheduling, by days: no chance in it, so that the same passes always give the same days. */
const SCHEDULER: FSRS = fsrs({ request_retention: 0.9, enable_fuzz: false, enable_short_term: false, maximum_interval: 120 });

/** What is remembered of every item that was ever practised, by its id. `now` in milliseconds. */
export function remember(passes: readonly Pass[], now: number): ReadonlyMap<string, Memory> {
  const byItem = new Map<string, Pass[]>();
  for (const pass of inOrder(passes, now)) {
    const known = byItem.get(pass.item);
    if (known === undefined) byItem.set(pass.item, [pass]);
    else known.push(pass);
  }
  return new Map([...byItem].map(([item, own]) => [item, memoryOf(item, own)]));
}

function memoryOf(item: string, passes: readonly Pass[]): Memory {
  const sittings = sittingsOf(passes);
  let card = createEmptyCard(new Date(passes[0]?.at ?? 0));
  let grade: SittingGrade = 'again';
  for (const sitting of sittings) {
    grade = gradeOf(sitting);
    card = SCHEDULER.next(card, new Date((sitting.at(-1) as Pass).at), RATINGS[grade]).card;
  }
  const last = passes.at(-1) as Pass;
  // what went wrong is played again the next day, whatever its strength
  const dueAt = grade === 'again' ? Math.min(card.due.getTime(), last.at + DAY) : card.due.getTime();
  const { stability, difficulty, lapses } = card;
  return { item, sittings: sittings.length, passes: passes.length, lastAt: last.at, dueAt, stability, difficulty, grade, lapses, last };
}

function sittingsOf(passes: readonly Pass[]): readonly (readonly Pass[])[] {
  const sittings: Pass[][] = [];
  for (const pass of passes) {
    const open = sittings.at(-1);
    if (open !== undefined && pass.at - (open.at(-1) as Pass).at < SITTING_MS) open.push(pass);
    else sittings.push([pass]);
  }
  return sittings;
}

/**
 * The grade of a sitting: again where a third or more broke off or was wrong, hard where a fifth or more was not as it should be
 * or the middle of it was slow, easy where all of it was right, quick and with nothing shown, otherwise good.
 */
export function gradeOf(sitting: readonly Pass[]): SittingGrade {
  const bad = sitting.filter(isBad).length;
  if (bad * 3 >= sitting.length) return 'again';
  const factor = ROWS.includes(sitting[0]?.item.split('/')[1] ?? '') ? ROW_FACTOR : 1;
  const times = sitting.flatMap(({ answeredIn }) => (answeredIn === null ? [] : [answeredIn / factor]));
  const middle = medianOf(times);
  const faulty = sitting.filter((pass) => !isGood(pass)).length;
  if (faulty * 5 >= sitting.length || (middle !== null && middle > SLOW_MS)) return 'hard';
  const isEasy = faulty === 0 && middle !== null && middle < FAST_MS && sitting.every(({ hidden }) => hidden);
  return isEasy ? 'easy' : 'good';
}

/** The middle of some numbers; null for none. */
export function medianOf(numbers: readonly number[]): number | null {
  if (numbers.length === 0) return null;
  const sorted = [...numbers].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? (sorted[half] as number) : ((sorted[half - 1] as number) + (sorted[half] as number)) / 2;
}

/** How likely it would go well now, 0 to 1, by the forgetting curve. */
export function recallNow({ stability, lastAt }: Memory, now: number): number {
  return SCHEDULER.forgetting_curve(Math.max(0, now - lastAt) / DAY, stability);
}

/** Whether an item is safe: its last sitting went well, and it will stay for some days. */
export function isSafe(memory: Memory | undefined): boolean {
  return (
    memory !== undefined && (memory.grade === 'good' || memory.grade === 'easy') && memory.stability >= SAFE_DAYS && memory.sittings > 1
  );
}

/** Whole days since something, never below none: a clock that went back counts as today. */
export function daysSince(at: number, now: number): number {
  return Math.max(0, Math.floor((now - at) / DAY));
}
