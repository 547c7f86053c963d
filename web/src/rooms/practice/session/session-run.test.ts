import { itemIn, planPractice, STANDARD_GUITAR } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  back,
  beginRun,
  blockOf,
  blockSkipped,
  blocksOf,
  ended,
  itemNext,
  itemNow,
  marked,
  minutesDone,
  playing,
  type Run,
  skipped,
  stopped,
  timeLeft,
} from './session-run.ts';

const C = { tonic: 0, scale: 'major' } as const;
const scale = (minutes = 2) => blockOf('shapes', itemIn('shapes', 'ladder', C), minutes);
const recall = blockOf('recall', itemIn('recall', 'degree-to-chord', C), 1);
const rest = { kind: 'break', minutes: 3, items: [] } as const;
const MINUTE = 60_000;

/** Over only past the last block; with an item wherever there is one to play or answer. */
function isSound(run: Run): boolean {
  if (minutesDone(run) > 40 || (run.phase === 'over') !== run.block >= run.blocks.length) return false;
  return !['preview', 'playing', 'asking'].includes(run.phase) || itemNow(run) !== null;
}

describe('a session', () => {
  test('is looked at, played, marked; comes again while there is time, and then the next', () => {
    const first = beginRun('s', [scale(), recall], 0);
    expect(first.phase).toBe('preview');
    expect(playing(first).phase).toBe('playing');
    expect(stopped(playing(first)).phase).toBe('preview');
    const again = marked(playing(first), true, MINUTE);
    expect([again.block, again.phase, again.passes, again.good]).toEqual([0, 'preview', 1, 1]);
    const next = marked(playing(again), false, 2 * MINUTE);
    expect([next.block, next.phase, next.passes, next.good]).toEqual([1, 'asking', 2, 1]);
    expect(marked(next, true, 4 * MINUTE).phase).toBe('over');
  });

  test('a break rests, and is left by going on', () => {
    const run = beginRun('s', [scale(), rest, scale()], 0);
    expect(skipped(run, 0).phase).toBe('resting');
    expect(skipped(skipped(run, 0), 0)).toMatchObject({ phase: 'preview', block: 2 });
    expect(itemNext(run)).toBeNull();
  });

  test('goes back to what came before, and no further than its beginning', () => {
    const run = beginRun('s', [scale(), recall], 0);
    expect(back(skipped(run, 5), 6)).toMatchObject({ block: 0, phase: 'preview', since: 6 });
    expect(back(run, 6)).toMatchObject({ block: 0, place: 0 });
  });

  test('with nothing in it, it is over at once', () => {
    expect(beginRun('s', [], 0).phase).toBe('over');
  });

  test('whatever is pressed, it stays within its plan and comes to an end', () => {
    const plan = planPractice({ minutes: 40, passes: [], programme: null, songs: [], tuning: STANDARD_GUITAR.tuning, now: 0, seed: 1 });
    const presses: Readonly<Record<string, (run: Run, now: number) => Run>> = {
      play: (run) => playing(run),
      stop: (run) => stopped(run),
      clean: (run, now) => marked(run, true, now),
      fail: (run, now) => marked(run, false, now),
      skip: skipped,
      block: blockSkipped,
      back,
    };
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...Object.keys(presses)), { maxLength: 200 }), (keys) => {
        const runs: Run[] = [beginRun('s', blocksOf(plan), 0)];
        for (const [at, key] of keys.entries())
          runs.push((presses[key] as (run: Run, now: number) => Run)(runs.at(-1) as Run, (at + 1) * 20_000));
        let end = runs.at(-1) as Run;
        for (let step = 0; step < 100; step += 1) end = skipped(end, 0);
        return runs.every(isSound) && end.phase === 'over' && minutesDone(end) === 40;
      }),
      { seed: 8, numRuns: 100 },
    );
  });
});

test('what is left: of the block from where one is, of the session with all that comes', () => {
  const run = beginRun('a', [scale(4), rest, scale(6)], 0);
  const minutes = (at: typeof run, now: number) => Object.values(timeLeft(at, now)).map((ms) => ms / 60_000);
  expect(minutes(run, 0)).toEqual([4, 13]);
  expect(minutes(run, 60_000)).toEqual([3, 12]);
  // who takes longer has nothing left of it, and no less of what comes
  expect(minutes(run, 20 * 60_000)).toEqual([0, 9]);
  const resting = skipped(run, 60_000);
  expect(minutes(resting, 120_000)).toEqual([2, 8]);
  expect(minutes(ended(run), 10)).toEqual([0, 0]);
});
