import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readChart } from '../chart/reading.ts';
import { type CapoOption, planCapo } from './capo-plan.ts';
import { planSetCapos } from './set-capo.ts';

const song = (scores: readonly number[]) => scores.map((score, fret) => ({ fret, score, cost: 100 - score }) as CapoOption);
const frets = (songs: readonly (readonly CapoOption[] | null)[]) => planSetCapos(songs).map((one) => one?.option.fret ?? null);
const moves = (songs: readonly (readonly CapoOption[] | null)[]) => planSetCapos(songs).filter((one) => one?.moves).length;

test('a capo stays where two songs are about as kind, and moves where one is not', () => {
  expect(frets([song([80, 90]), song([85, 80])])).toEqual([1, 1]);
  expect(frets([song([20, 90]), song([90, 20])])).toEqual([1, 0]);
  expect(moves([song([20, 90]), song([90, 20])])).toBe(1);
});

test('a break lets it move for nothing', () => {
  expect(frets([song([85, 90]), null, song([90, 85])])).toEqual([1, null, 0]);
  expect(moves([song([20, 90]), null, song([90, 20])])).toBe(0);
});

test('nothing to plan: no songs, only breaks, a song without frets', () => {
  expect(planSetCapos([])).toEqual([]);
  expect(planSetCapos([null, []])).toEqual([null, null]);
});

test('no other choice of good frets has fewer moves, or as few and kinder frets (tried one by one)', () => {
  const scores = fc.array(fc.integer({ min: 40, max: 90 }), { minLength: 3, maxLength: 3 });
  fc.assert(
    fc.property(fc.array(fc.option(scores, { nil: null, freq: 5 }), { minLength: 1, maxLength: 5 }), (set) => {
      const songs = set.map((one) => (one === null ? null : song(one)));
      const found = planSetCapos(songs);
      const told = {
        moves: found.filter((one) => one?.moves).length,
        score: found.reduce((sum, one) => sum + (one?.option.score ?? 0), 0),
      };
      for (const tried of everyChoice(songs)) {
        expect(told.moves).toBeLessThanOrEqual(tried.moves);
        if (tried.moves === told.moves) expect(told.score).toBeGreaterThanOrEqual(tried.score);
      }
    }),
    { seed: 7, numRuns: 60 },
  );
});

function everyChoice(songs: readonly (readonly CapoOption[] | null)[]): readonly { moves: number; score: number }[] {
  let choices: readonly { moves: number; score: number; last: number | null }[] = [{ moves: 0, score: 0, last: null }];
  for (const options of songs) {
    if (options === null) {
      choices = choices.map((choice) => ({ ...choice, last: null }));
      continue;
    }
    const best = Math.max(...options.map(({ score }) => score));
    const good = options.filter(({ score }) => score >= best - 10);
    choices = choices.flatMap(({ moves: before, score, last }) =>
      good.map((option) => ({
        moves: before + (last !== null && last !== option.fret ? 1 : 0),
        score: score + option.score,
        last: option.fret,
      })),
    );
  }
  return choices;
}

test('three songs in G, D and A: one fret serves them all', () => {
  const plans = ['G', 'D', 'A'].map((key) => planCapo(readChart(`key: ${key}\n1 4 5 6-\n`)));
  expect(moves(plans)).toBe(0);
});
