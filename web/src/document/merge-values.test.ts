import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { equalValues, mergeValues, takeTheirs } from './merge-values.ts';

const song = (id: string, more: object = {}) => ({ id, kind: 'song', key: null, capos: {}, ...more });
const BASE = { name: 'Friday', place: '', entries: [song('a'), song('b'), song('c')] };

describe('two people changed a set', () => {
  test.each([
    ['different fields', { ...BASE, name: 'Saturday' }, { ...BASE, place: 'Weir' }, { ...BASE, name: 'Saturday', place: 'Weir' }],
    [
      'different fields of one song',
      { ...BASE, entries: [song('a', { key: 'G' }), song('b'), song('c')] },
      { ...BASE, entries: [song('a', { capos: { jo: 3 } }), song('b'), song('c')] },
      { ...BASE, entries: [song('a', { key: 'G', capos: { jo: 3 } }), song('b'), song('c')] },
    ],
    [
      'capos of two players',
      { ...BASE, entries: [song('a', { capos: { jo: 3 } }), song('b'), song('c')] },
      { ...BASE, entries: [song('a', { capos: { al: 2 } }), song('b'), song('c')] },
      { ...BASE, entries: [song('a', { capos: { jo: 3, al: 2 } }), song('b'), song('c')] },
    ],
    [
      'one moved songs, the other changed one',
      { ...BASE, entries: [song('c'), song('a'), song('b')] },
      { ...BASE, entries: [song('a'), song('b', { key: 'D' }), song('c')] },
      { ...BASE, entries: [song('c'), song('a'), song('b', { key: 'D' })] },
    ],
    [
      'both added a song',
      { ...BASE, entries: [...BASE.entries, song('d')] },
      { ...BASE, entries: [song('e'), ...BASE.entries] },
      { ...BASE, entries: [song('e'), ...BASE.entries, song('d')] },
    ],
    [
      'one took a song out that the other changed: it stays',
      { ...BASE, entries: [song('a'), song('c')] },
      { ...BASE, entries: [song('a'), song('b', { key: 'D' }), song('c')] },
      { ...BASE, entries: [song('a'), song('b', { key: 'D' }), song('c')] },
    ],
    [
      'one took a song out',
      { ...BASE, entries: [song('a'), song('c')] },
      { ...BASE, name: 'X' },
      { ...BASE, name: 'X', entries: [song('a'), song('c')] },
    ],
  ])('%s', (_, mine, theirs, value) => expect(mergeValues<object>(BASE, mine, theirs)).toEqual({ value, clashes: [] }));

  test('the same field twice is told, and is mine until theirs is taken', () => {
    const with_ = (key: string) => ({ ...BASE, entries: [song('a', { key }), song('b'), song('c')] });
    const { value, clashes } = mergeValues<object>(BASE, with_('G'), with_('F'));
    expect(value).toEqual(with_('G'));
    expect(clashes).toEqual([{ path: ['entries', 'a', 'key'], mine: 'G', theirs: 'F' }]);
    expect(takeTheirs(value, clashes)).toEqual(with_('F'));
  });
});

test('where nothing clashes it does not matter who is first', () => {
  const entry = fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd'), key: fc.constantFrom(null, 'G', 'D') });
  const set = fc.record({ name: fc.constantFrom('x', 'y'), entries: fc.uniqueArray(entry, { selector: ({ id }) => id, maxLength: 4 }) });
  fc.assert(
    fc.property(set, set, set, (base, mine, theirs) => {
      const [one, other] = [mergeValues(base, mine, theirs), mergeValues(base, theirs, mine)];
      expect(one.clashes.map(({ path }) => path.join())).toEqual(expect.arrayContaining(other.clashes.map(({ path }) => path.join())));
      if (one.clashes.length > 0) return;
      const sorted = ({ value }: typeof one) => ({ ...value, entries: [...value.entries].sort((a, b) => a.id.localeCompare(b.id)) });
      expect(sorted(one)).toEqual(sorted(other));
    }),
    { seed: 98, numRuns: 300 },
  );
});

test.each([
  [{ a: 1, b: undefined }, { a: 1 }, true],
  [[1, { x: null }], [1, { x: null }], true],
  [[1], [1, 2], false],
  [{ a: {} }, { a: [] }, false],
  [null, {}, false],
])('%j and %j are equal: %j', (a, b, equal) => expect(equalValues(a, b)).toBe(equal));
