import { expect, test } from '@jest/globals';
import { SHORTCUTS } from '../../../session/shortcuts.ts';
import { pressKey } from './sheet-keys.ts';
import { sheetOn } from './sheet-on-text.ts';

/** What a key makes of a chart whose second bar is chosen. */
function after(key: string, held: { ctrlKey?: boolean; altKey?: boolean; shiftKey?: boolean } = {}) {
  const { input, text } = sheetOn('key: G\n\n1 4 5 6-\n2- 5 1 1\n');
  input.select(1, 0);
  const used = pressKey({ key, ...held }, input);
  const { typing } = input.get();
  const chosen = input.selection;
  return { used, body: text().split('\n\n')[1], typed: typing?.text, at: chosen === null ? null : [chosen.anchor, chosen.head] };
}

test.each([
  ['ArrowRight', {}, { at: [2, 2] }],
  ['ArrowLeft', { shiftKey: true }, { at: [1, 0] }],
  ['ArrowDown', {}, { at: [5, 5] }],
  ['ArrowUp', { shiftKey: true }, { at: [1, 0] }],
  ['ArrowLeft', { altKey: true }, { at: [0, 0], body: '4 1 5 6-\n2- 5 1 1\n' }],
  ['Enter', {}, { typed: '4' }],
  ['F2', {}, { typed: '4' }],
  ['Delete', {}, { body: '1 5 6-\n2- 5 1 1\n', at: [0, 0] }],
  ['s', {}, { body: '1 (4 4) 5 6-\n2- 5 1 1\n' }],
  ['u', {}, { body: '1 4 4 5 6-\n2- 5 1 1\n' }],
  ['o', {}, { body: '1 4? 5 6-\n2- 5 1 1\n' }],
  ['p', {}, { body: '1 >4 5 6-\n2- 5 1 1\n' }],
  ['r', {}, { body: '1 |: 4 :| 5 6-\n2- 5 1 1\n' }],
  ['+', {}, { body: '1 4maj7 5 6-\n2- 5 1 1\n' }],
  ['h', {}, { body: '1' }],
  ['5', {}, { typed: '5' }],
  ['b', {}, { typed: 'b' }],
  // small letters that are notes are notes, whatever they open elsewhere
  ['e', {}, { typed: 'E' }],
  ['d', {}, { typed: 'D' }],
  ['g', {}, { typed: 'G' }],
  ['A', {}, { typed: 'A' }],
  ['a', { ctrlKey: true }, { at: [0, 7] }],
  ['Escape', {}, { at: null }],
  // keys of the whole house are left to it
  ['n', {}, { used: false }],
  ['[', {}, { used: false }],
  ['v', {}, { used: false }],
])('%s with %j: %j', (key, held, found) => expect(after(key, held)).toMatchObject(found));

test('with nothing chosen only walking is left', () => {
  const { input } = sheetOn('key: G\n\n1 4\n');
  expect(['5', 'Delete', 's', 'Enter', 'e'].map((key) => pressKey({ key }, input))).toEqual([false, false, false, false, false]);
  expect(pressKey({ key: 'ArrowRight' }, input)).toBe(true);
  expect(input.selection).toMatchObject({ head: 0 });
});

test('no key of the sheet means something else everywhere, but for the letters that are notes', () => {
  const everywhere = SHORTCUTS.filter(({ where, keys }) => where === 'Everywhere' && keys.length === 1).map(({ keys }) => keys);
  expect(everywhere.length).toBeGreaterThan(5);
  for (const key of everywhere.filter((one) => !/[a-g]/.test(one))) expect(after(key).used).toBe(false);
});
