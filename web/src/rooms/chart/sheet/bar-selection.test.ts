import { describe, expect, test } from '@jest/globals';
import { type BarSelection, choose, chordBeside, kept, rangeOf, reachTo } from './bar-selection.ts';
import { beginsWriting, closed, PAD, padWrites } from './bar-typing.ts';

describe('choosing bars', () => {
  const chords = [1, 2, 0, 1];
  const beside = (selection: BarSelection | null, step: 1 | -1) => chordBeside(selection, step, (bar) => chords[bar] ?? 0, chords.length);

  test.each<[from: BarSelection | null, step: 1 | -1, to: BarSelection]>([
    [null, 1, choose(0)],
    [null, -1, choose(3)],
    [choose(0), 1, choose(1)],
    [choose(1), 1, choose(1, 1)],
    [choose(1, 1), 1, choose(2)],
    [choose(2), -1, choose(1, 1)],
    [choose(3), 1, choose(3)],
    [choose(0), -1, choose(0)],
  ])('from %j by %i to %j', (from, step, to) => expect(beside(from, step)).toEqual(to));

  test('several at once, whichever way, and never beyond the chart', () => {
    expect(rangeOf(reachTo(choose(5), 2))).toEqual({ from: 2, to: 5 });
    expect(reachTo(null, 2)).toEqual(choose(2));
    expect(kept({ anchor: 2, head: 9, chord: 1 }, 5)).toEqual({ anchor: 2, head: 4, chord: 0 });
    expect(kept(choose(1), 5)).toEqual(choose(1));
    expect(kept(choose(1), 0)).toBeNull();
    expect(chordBeside(choose(0), 1, () => 0, 0)).toBeNull();
  });
});

describe('typing a bar', () => {
  test.each([
    ['j', '1', 'maj7'],
    ['h', 'b7', '-7b5'],
    ['s', '5', 'sus4'],
    ['a', '(2- 4', 'add9'],
    ['x', '>5', '7alt'],
    ['n', '', 'NC'],
    ['n', '1 ', 'NC'],
    // within letters they are letters
    ['s', 'G', null],
    ['a', 'Bm', null],
    ['j', '1ma', null],
    ['n', '1', null],
    ['-', '1', null],
    ['7', '1', null],
  ])('%s after %j writes %j', (key, before, writes) => expect(padWrites(key, before)).toBe(writes));

  test('digits, capitals and signs begin to write, commands do not', () => {
    for (const key of ['1', '7', 'A', 'G', 'b', '#', '(', '<', '>', '%']) expect(beginsWriting(key)).toBe(true);
    for (const key of ['0', '8', 'H', 'r', 'Enter', ' ', 'Tab', '.']) expect(beginsWriting(key)).toBe(false);
  });

  test('a diamond left open is closed', () => {
    expect(closed('<1')).toBe('<1>');
    expect(closed('>>1 <4..')).toBe('>>1 <4>..');
    expect(closed(' <1> 4 ')).toBe('<1> 4');
  });

  test('every key of the pad is there once', () => expect(new Set(PAD.map(({ key }) => key)).size).toBe(PAD.length));
});
