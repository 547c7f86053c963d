import { expect, test } from '@jest/globals';
import { PIECE_KIND, type PieceDraftValue } from './piece-kind.ts';

const border = (beat: number) => ({ said: { kind: 'border' as const, at: { bar: 1, beat }, isBorder: true }, print: 'a' });
const base: PieceDraftValue = { title: 'Hymn', rhythm: 'auto', songId: null, said: {} };
const mine: PieceDraftValue = { ...base, said: { 'border 1:2': border(2) } };
const theirs: PieceDraftValue = { ...base, title: 'Quay Hymn', said: { 'border 1:3': border(3) } };

test('what two say of different things is put together without a question', () => {
  expect(PIECE_KIND.merge(base, mine, theirs)).toEqual({
    value: { ...base, title: 'Quay Hymn', said: { 'border 1:2': border(2), 'border 1:3': border(3) } },
    clashes: [],
  });
});

test('what two say of one thing is asked about', () => {
  const other = { ...base, said: { 'border 1:2': { ...border(2), print: 'b' } } };
  expect(PIECE_KIND.merge(base, mine, other).clashes).toHaveLength(1);
});

test('a step is applied and taken back', () => {
  const step = PIECE_KIND.steps.between(base, mine);
  if (step === null) throw new Error('no step');
  expect(PIECE_KIND.steps.apply(base, step)).toEqual(mine);
  expect(PIECE_KIND.steps.apply(mine, PIECE_KIND.steps.invert(step, base))).toEqual(base);
  expect(PIECE_KIND.steps.between(base, { ...base })).toBeNull();
});

test('kept on the device it is read again; what is none is not', () => {
  expect(PIECE_KIND.read(JSON.parse(JSON.stringify(PIECE_KIND.write(mine))))).toEqual(mine);
  expect(PIECE_KIND.read({ title: 1 })).toBeUndefined();
  const step = PIECE_KIND.steps.between(base, mine);
  expect(PIECE_KIND.steps.read(JSON.parse(JSON.stringify(step)))).toEqual(step);
  expect(PIECE_KIND.steps.read(null)).toBeUndefined();
});
