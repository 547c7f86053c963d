import { create } from 'zustand';
import type { Played, Practice } from '../use-practice.ts';
import { useRun } from './run-store.ts';
import { marked, type Run, type RunItem } from './session-run.ts';

/** A mark that was given and may still be taken back. */
interface GivenMark {
  readonly passId: string;
  readonly outcome: Played['outcome'];
  /** The session as it was before it. */
  readonly before: Run;
}

/** So many of the last marks can be taken back. */
const TAKEN_BACK_AT_MOST = 3;

/** The last marks of the session, the newest last. */
export const useGivenMarks = create<readonly GivenMark[]>()(() => []);

type Keeper = Pick<Practice, 'record' | 'release' | 'takeBack'>;

/** Keeps how it went, counts it, and lets go of the mark given four before it. */
export function giveMark(practice: Keeper, run: Run, of: RunItem, played: Played): void {
  countMark(practice, run, practice.record(of, played), played.outcome);
}

/** Counts a pass that is kept already, and moves on. */
export function countMark(practice: Keeper, run: Run, passId: string, outcome: Played['outcome']): void {
  const isGood = outcome === 'clean' || outcome === 'right';
  useRun.setState(({ run: now }) => (now === null || now.id !== run.id ? {} : { run: marked(now, isGood, Date.now()) }));
  const given = [...useGivenMarks.getState().filter(({ before }) => before.id === run.id), { passId, outcome, before: run }];
  for (const { passId: old } of given.slice(0, -TAKEN_BACK_AT_MOST)) practice.release(old);
  useGivenMarks.setState(given.slice(-TAKEN_BACK_AT_MOST), true);
}

/** Takes the last mark back: the session stands where it stood before it. False where there is none any more. */
export function takeMarkBack(practice: Keeper): boolean {
  const given = useGivenMarks.getState();
  const last = given.at(-1);
  useGivenMarks.setState(given.slice(0, -1), true);
  if (last === undefined || !practice.takeBack(last.passId)) return false;
  useRun.setState({ run: { ...last.before, since: Date.now() } });
  return true;
}

/** The session is over or left: its marks stand. */
export function settleMarks(practice: Keeper): void {
  practice.release();
  useGivenMarks.setState([], true);
}
