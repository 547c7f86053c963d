import {
  askQuestions,
  diceOf,
  firstTempo,
  type Item,
  isQuestionKind,
  itemId,
  itemIn,
  keyOfItem,
  NIGHT_STAGES,
  nextTempo,
  type Pass,
  type PlanBlock,
  type PlannedItem,
  type Programme,
  planPractice,
  printNote,
  programmeKeys,
  type Question,
  remember,
  STANDARD_GUITAR,
  USUAL_STEPS,
} from '@aurora/core';
import type { PracticePass, PracticeSession, PracticeSettings } from '@aurora/wire';

/** A Monday: six weeks of evenings begin here, whatever day it is, so that every picture of them stays as it is. */
const FIRST_EVENING = Date.UTC(2026, 9, 12, 18, 30);
const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;
const WEEKS = 6;
/** Evenings of a week, Monday 0; Thursdays the band rehearses. */
const EVENINGS = [0, 1, 2, 4, 6];
const SEED = 41;
const ANSWERS = 6;
const TIMES = 7;
/** Nobody plays everything clean. */
const MOST_SURE = 0.86;
/** What this player calls fast enough. */
const FASTEST_PLAYED = 112;

/** Keys that were always avoided, and those that were always played. */
const WEAK = ['Db', 'Gb', 'B', 'Ab'];
const STRONG = ['C', 'G', 'D', 'A'];

/** What a guitarist takes for another, most often. */
const TAKEN_FOR: Readonly<Record<string, string>> = { m7: '7', '7': 'm7', maj7: '7', m7b5: 'm7', '': 'm', m: '', dim: 'm' };

const NOTES: readonly string[] = [
  'Slow, but every note said aloud.',
  'B flat feels like home now.',
  '',
  'E flat: the names come, the fingers not yet.',
  'Wrist tight at the end, stopped early.',
  '',
  'Row of qualities without thinking.',
  'Seam down to A flat still breaks.',
  '',
  'Twenty minutes between dinner and rehearsal.',
];

/** Six weeks of a made-up player: what was played, the log, and the programme it was played in. */
export interface DemoPractice {
  readonly passes: readonly PracticePass[];
  readonly sessions: readonly PracticeSession[];
  readonly settings: PracticeSettings;
}

/** Six weeks with strong and weak keys, always the same. */
export function demoPractice(): DemoPractice {
  const dice = diceOf(SEED);
  const keys = programmeKeys({ nights: 30, order: 'fourths', first: 0, scales: ['major', 'natural minor'] }, new Map());
  const programme: Programme = { keys, skipped: [9], since: FIRST_EVENING - DAY };
  const passes: Pass[] = [];
  const sessions: PracticeSession[] = [];
  for (let evening = 0; evening < WEEKS * EVENINGS.length; evening += 1) {
    const day = Math.floor(evening / EVENINGS.length) * 7 + (EVENINGS[evening % EVENINGS.length] as number);
    const now = FIRST_EVENING + day * DAY;
    const minutes = dice.pick([15, 20, 20, 30]);
    const plan = planPractice({
      minutes,
      passes,
      programme: evening % 3 === 2 ? null : programme,
      songs: [],
      tuning: STANDARD_GUITAR.tuning,
      now,
      seed: evening,
    });
    const step = (minutes * MINUTE) / Math.max(1, plan.flatMap(({ items }) => items).length);
    for (const [at, planned] of plan.flatMap(({ items }) => items).entries())
      passes.push(...played(planned, { passes, dice, now: now + at * step, week: evening / EVENINGS.length }));
    const after = { passes, dice, now: now + minutes * MINUTE, week: evening / EVENINGS.length };
    for (const item of restOfNight(evening, plan)) passes.push(...played(item, after).slice(0, 1));
    for (const item of besides(evening, keys)) passes.push(...played({ item, isNew: false, why: { kind: 'again' }, night: null }, after));
    sessions.push({
      id: idOf('b', evening),
      at: new Date(now).toISOString(),
      minutes,
      note: NOTES[evening % NOTES.length] ?? '',
      gone: false,
    });
  }
  const told = { order: 'fourths' as const, keys: keys.map(({ tonic, scale }) => ({ tonic: printNote(tonic), scale })), skipped: [9] };
  return {
    passes: passes.map((pass, at) => ({ ...wired(pass), id: idOf('a', at) })),
    sessions,
    settings: { programme: { ...told, since: new Date(programme.since).toISOString() }, ladder: { ...USUAL_STEPS }, depth: null },
  };
}

/** What the plan did not hold of its night; on some evenings there was no time for it. */
function restOfNight(evening: number, plan: readonly PlanBlock[]): readonly PlannedItem[] {
  const inPlan = plan.flatMap(({ items }) => items).filter(({ night }) => night !== null);
  const [first] = inPlan;
  if (first === undefined || evening % 7 === 4) return [];
  return NIGHT_STAGES.filter((stage) => inPlan.every(({ item }) => item.what !== stage)).map((stage) => ({
    ...first,
    item: { ...first.item, what: stage },
  }));
}

/** What is not in a plan of twenty minutes, and was done now and then: a key said aloud, a worksheet. */
function besides(evening: number, keys: Programme['keys']): readonly Item[] {
  const key = keys[evening % 12] as Programme['keys'][number];
  if (evening % 3 === 1) return [itemIn('aloud', evening % 2 === 0 ? 'number and name' : 'quality', key)];
  return evening % 5 === 3 ? [itemIn('worksheet', 'seventh', key)] : [];
}

interface Evening {
  readonly passes: readonly Pass[];
  readonly dice: ReturnType<typeof diceOf>;
  readonly now: number;
  /** Weeks since the beginning: everything grows a little surer. */
  readonly week: number;
}

function played({ item, night }: PlannedItem, evening: Evening): readonly Pass[] {
  const { dice, week, now } = evening;
  const known = remember(
    evening.passes.filter((pass) => pass.item === itemId(item)),
    now,
  ).get(itemId(item));
  const sure = Math.min(MOST_SURE, sureness(item) + 0.03 * week + 0.04 * Math.min(5, known?.sittings ?? 0));
  if (item.study === 'recall' || item.study === 'ear') return answers(item, sure, evening);
  const before = evening.passes.filter((pass) => pass.item === itemId(item));
  const passes: Pass[] = [];
  for (let time = 0; time < TIMES; time += 1) {
    const at = now + time * 15_000;
    const luck = dice.next();
    const outcome = luck < sure ? 'clean' : luck < sure + 0.12 ? 'shaky' : 'stopped';
    const tempo = Math.min(FASTEST_PLAYED, nextTempo([...before, ...passes], firstTempo(item), USUAL_STEPS, at));
    passes.push({ ...EMPTY, at, item: itemId(item), tempo, outcome, seconds: 12 + dice.below(6), night });
  }
  return passes;
}

function sureness({ key, what }: Item): number {
  const tonic = key.split(' ')[0] ?? '';
  const base = WEAK.includes(tonic) ? 0.5 : STRONG.includes(tonic) ? 0.88 : 0.74;
  return base - (what.startsWith('seam') ? 0.34 : 0) - (key.includes('minor') ? 0.05 : 0);
}

function answers(item: Item, sure: number, { dice, now, week }: Evening): readonly Pass[] {
  const key = keyOfItem(item);
  if (key === null || !isQuestionKind(item.what)) return [];
  const wish = { kinds: [item.what], keys: [key], depth: null, count: ANSWERS, seed: Math.floor(now / MINUTE), capo: null, loops: [] };
  return askQuestions({ ...wish, tuning: STANDARD_GUITAR.tuning }).map((question, place): Pass => {
    const isRight = dice.next() < sure;
    const answeredIn = Math.round((7200 - 620 * week) * (0.55 + 0.9 * dice.next()) * (isRight ? 1 : 1.4));
    const stage = question.answer.accepted[0] ?? '';
    const said = isRight ? '' : saidInstead(question, dice);
    const outcome = isRight ? 'right' : 'wrong';
    return { ...EMPTY, at: now + place * 8000, item: itemId(item), stage, outcome, said, answeredIn, hidden: true, seconds: 7 };
  });
}

function saidInstead({ answer: { as, accepted } }: Question, dice: Evening['dice']): string {
  if (as === 'quality') return TAKEN_FOR[accepted[0] ?? ''] ?? '7';
  return as === 'degree' ? String(1 + dice.below(7)) : '';
}

const EMPTY: Omit<Pass, 'at' | 'item' | 'outcome'> = {
  id: '',
  stage: '',
  tempo: null,
  answeredIn: null,
  said: '',
  hidden: false,
  seconds: 0,
  night: null,
};

function wired({ at, answeredIn, ...pass }: Pass): PracticePass {
  return { ...pass, at: new Date(at).toISOString(), answeredMs: answeredIn };
}

/** Ids that stay the same, too. */
function idOf(kind: 'a' | 'b', count: number): string {
  return `0000000${kind}-0000-4000-8000-${count.toString(16).padStart(12, '0')}`;
}
