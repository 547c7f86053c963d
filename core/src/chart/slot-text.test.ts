import { describe, expect, test } from '@jest/globals';
import { parseSlot, printSlot } from './slot-text.ts';

const C = 0;

describe('a chord with its marks', () => {
  test.each([
    ['1', {}],
    ['>4', { push: true }],
    ['<1>', { ring: true }],
    ['5!', { stop: true }],
    ['6-7?', { optional: true }],
    ['><1>', { push: true, ring: true }],
    ['>1..', { push: true, beats: 2 }],
    ['5/7.,', { beats: 1.5 }],
    ['5,', { beats: 0.5 }],
    ['<b7>...', { ring: true, beats: 3 }],
    ['5!..', { stop: true, beats: 2 }],
    ['NC.', { chord: null, beats: 1 }],
  ])('%s', (text, marks) => {
    const read = parseSlot(text, C);
    expect('slot' in read && read.slot).toMatchObject({ push: false, ring: false, stop: false, optional: false, beats: null, ...marks });
    expect('slot' in read && printSlot(read.slot)).toBe(text);
  });

  test('letters become numbers of the key they stand in', () => {
    const read = parseSlot('>D7', 1);
    expect('slot' in read && printSlot(read.slot)).toBe('>57');
  });

  test('let ring and stop contradict each other, and both are kept', () => {
    const read = parseSlot('<1>!', C);
    expect('slot' in read && read.faults.map(({ code }) => code)).toEqual(['ring-and-stop']);
    expect('slot' in read && printSlot(read.slot)).toBe('<1>!');
  });

  test.each([
    ['<1', 'unclosed'],
    ['1>', 'mark-order'],
    ['<1!>', 'mark-order'],
    ['!', 'token-unreadable'],
    ['', 'token-unreadable'],
    ['..', 'token-unreadable'],
    ['wat', 'token-unreadable'],
    ['9', 'degree-range'],
    ['>em', 'chord-lowercase'],
    ['1'.repeat(500), 'token-unreadable'],
  ])('%j is refused as %s', (text, code) => {
    const read = parseSlot(text, C);
    expect('fault' in read && read.fault.code).toBe(code);
  });
});
