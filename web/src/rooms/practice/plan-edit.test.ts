import { planPractice, STANDARD_GUITAR } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { longer, shorter, skipBlock, swapped } from './plan-edit.ts';

const PRACTICE = { passes: [], programme: null, instrument: STANDARD_GUITAR };
const SCENE = { practice: PRACTICE, songs: [], seed: 7 };
const PLAN = planPractice({
  minutes: 30,
  passes: [],
  programme: null,
  songs: [],
  tuning: STANDARD_GUITAR.tuning,
  now: Date.UTC(2026, 0, 5),
  seed: 7,
});
const minutes = (blocks: typeof PLAN) => blocks.map((block) => block.minutes);
const places = PLAN.map((_, place) => place);

test('there is a plan to change', () => expect(PLAN.length).toBeGreaterThan(2));

describe.each(places)('block %i of a plan', (at) => {
  const others = (blocks: typeof PLAN) => blocks.filter((_, place) => place !== at);

  test('is a minute longer or shorter, and the others stay', () => {
    expect(longer(PLAN, at)[at]?.minutes).toBe((PLAN[at]?.minutes ?? 0) + 1);
    expect(minutes(shorter(longer(PLAN, at), at))).toEqual(minutes(PLAN));
    expect(others(longer(PLAN, at))).toEqual(others(PLAN));
  });

  test('lasts a minute at least, however often it is shortened', () => {
    let blocks = PLAN;
    for (let press = 0; press < 40; press += 1) blocks = shorter(blocks, at);
    expect(blocks[at]?.minutes).toBe(1);
    expect(blocks[at]?.items).toEqual(PLAN[at]?.items);
  });

  test('is left out, and the others stay in their order', () => expect(skipBlock(PLAN, at)).toEqual(others(PLAN)));

  test('gives way to something else of the same length', () => {
    const after = swapped(PLAN, at, SCENE);
    expect(minutes(after)).toEqual(minutes(PLAN));
    expect(others(after)).toEqual(others(PLAN));
    if (after[at] !== PLAN[at]) expect(after[at]?.kind).not.toBe(PLAN[at]?.kind);
  });
});

test('what is not there is neither changed nor swapped', () => {
  expect(longer(PLAN, 99)).toEqual(PLAN);
  expect(skipBlock(PLAN, 99)).toEqual(PLAN);
  expect(swapped(PLAN, 99, SCENE)).toBe(PLAN);
});

test('a swap never brings what stands in the plan already', () => {
  const what = (blocks: typeof PLAN) =>
    blocks.map(({ kind, items }) => `${kind} ${items.map(({ item }) => `${item.what}/${item.key}`).join()}`);
  for (const seed of [1, 2, 3, 4, 5, 6, 7, 8])
    for (const at of places) {
      const after = what(swapped(PLAN, at, { ...SCENE, seed }));
      expect(new Set(after).size).toBe(after.length);
    }
});
