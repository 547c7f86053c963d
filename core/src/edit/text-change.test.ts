import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readChange, storeChange } from './change-json.ts';
import {
  applyChange,
  changeBetween,
  changeOf,
  composeChanges,
  invertChange,
  isNothing,
  mapChange,
  spansOf,
  type TextChange,
} from './text-change.ts';

const lines = fc
  .array(fc.constantFrom('1 4 5', '6- 2-', '', '[Verse]', '~ la', '1 4 5 1', 'key: G'), { maxLength: 7 })
  .map((rows) => rows.join('\n'));
const change = (before: string, after: string): TextChange => changeBetween(before, after) ?? changeOf([], before.length);

describe('the change between two texts', () => {
  test.each([
    ['1 4 5', '1 2- 5', [{ from: 2, to: 3, insert: '2-' }]],
    ['a\nb\nc', 'a\nc', [{ from: 2, to: 4, insert: '' }]],
    ['a', 'a\nb', [{ from: 1, to: 1, insert: '\nb' }]],
    ['a\nb', 'a', [{ from: 1, to: 3, insert: '' }]],
    // two bars in two lines are two spans, and the line between is left alone
    [
      '1 4\n5 5\n6- 1',
      '1 2-\n5 5\n6- 4',
      [
        { from: 2, to: 3, insert: '2-' },
        { from: 11, to: 12, insert: '4' },
      ],
    ],
    ['', '1', [{ from: 0, to: 0, insert: '1' }]],
    ['1\r\n4', '1\r\n5', [{ from: 3, to: 4, insert: '5' }]],
  ])('%j to %j', (before, after, spans) => expect(spansOf(change(before, after))).toEqual(spans));

  test('there is none between equal texts', () => expect(changeBetween('1 4', '1 4')).toBeNull());

  test('it does not fit a text of another length', () => expect(applyChange('1', change('1 4', '1 5'))).toBeNull());
});

describe('laws', () => {
  test('applied it gives the other text, and turned round the first again', () => {
    fc.assert(
      fc.property(fc.oneof(lines, fc.string()), fc.oneof(lines, fc.string()), (before, after) => {
        const made = change(before, after);
        expect(applyChange(before, made)).toBe(after);
        expect(applyChange(after, invertChange(made, before))).toBe(before);
        expect(isNothing(made)).toBe(before === after);
      }),
      { seed: 81, numRuns: 400 },
    );
  });

  test('two after each other are one', () => {
    fc.assert(
      fc.property(lines, lines, lines, (one, two, three) => {
        expect(applyChange(one, composeChanges(change(one, two), change(two, three)))).toBe(three);
      }),
      { seed: 82, numRuns: 300 },
    );
  });

  test('two made at once come to one text, whichever is carried over the other', () => {
    fc.assert(
      fc.property(lines, lines, lines, (base, mine, theirs) => {
        const [a, b] = [change(base, mine), change(base, theirs)];
        const [left, right] = [applyChange(theirs, mapChange(a, b, 'first')), applyChange(mine, mapChange(b, a, 'second'))];
        expect(left).not.toBeNull();
        expect(left).toBe(right);
      }),
      { seed: 83, numRuns: 400 },
    );
  });

  test('stored and read again it does the same; what is no change is none', () => {
    fc.assert(
      fc.property(lines, lines, (before, after) => {
        const read = readChange(JSON.parse(JSON.stringify(storeChange(change(before, after)))));
        expect(read === undefined ? null : applyChange(before, read)).toBe(after);
      }),
      { seed: 84, numRuns: 200 },
    );
    for (const no of [null, 1, 'x', {}, { version: 2, change: [] }, { version: 1, change: 'x' }, { version: 1, change: [{}] }])
      expect(readChange(no)).toBeUndefined();
  });
});
