import { describe, expect, test } from '@jest/globals';
import { chartOf } from '../../../document/open-chart.ts';
import { barText, beginsWriting, chartText, closed, letterOf, newTyping, PAD, padWrites } from './bar-typing.ts';

describe('single keys for what follows a degree', () => {
  test.each([
    ['j', '1', 'maj7'],
    ['j', '(1', 'maj7'],
    ['j', 'b3', 'maj7'],
    ['h', '7', '-7b5'],
    ['s', '5', 'sus4'],
    ['a', '1', 'add9'],
    ['x', '5', '7alt'],
    ['n', '', 'NC'],
    ['n', '1 ', 'NC'],
    // in letters and words a key is the letter it is
    ['a', 'Bb', null],
    ['j', 'ma', null],
    ['s', 'G', null],
    ['n', '1', null],
    ['n', 'mi', null],
    // what writes itself needs no shorthand
    ['-', '6', null],
    ['b', '', null],
    ['q', '1', null],
  ])('%s after “%s” writes %j', (key, before, writes) => expect(padWrites(key, before)).toBe(writes));

  test('no two keys of the pad are alike, and each has its word', () => {
    expect(new Set(PAD.map(({ key }) => key)).size).toBe(PAD.length);
    expect(new Set(PAD.map(({ says }) => says)).size).toBe(PAD.length);
    expect(PAD.filter(({ says }) => says.trim() === '')).toEqual([]);
  });
});

describe('what begins a bar', () => {
  test.each([...'1234567', ...'ABCDEFG', ...'acdefgb', '#', '(', '<', '>', '%'])('%s does', (key) => expect(beginsWriting(key)).toBe(true));
  test.each([...'089', 'h', 'i', 'n', 'o', 's', 'u', 'H', 'Tab', 'Enter', ' ', '-', '/'])('%s does not', (key) =>
    expect(beginsWriting(key)).toBe(false),
  );

  test.each([
    ['c', '', 'C'],
    ['g', '1 ', 'G'],
    ['e', '(', 'E'],
    ['d', '>', 'D'],
    ['b', '', 'b'],
    ['d', 'A', 'd'],
    ['m', '', 'm'],
  ])('small %s after “%s” is %s', (key, before, letter) => expect(letterOf(key, before)).toBe(letter));
});

describe('what is typed', () => {
  test.each([
    ['<1', '<1>'],
    ['>1', '>1'],
    ['<5!', '<5>!'],
    ['1 <4', '1 <4>'],
    ['<1>', '<1>'],
    [' 6- ', '6-'],
    ['', ''],
  ])('“%s” is closed as “%s”', (typed, text) => expect(closed(typed)).toBe(text));

  test.each([
    ['b6', '♭6'],
    ['2-7', '2–7'],
    ['#4', '♯4'],
    ['7-7b5', '7–7♭5'],
  ])('%s stands in a sentence as %s', (text, shown) => expect(chartText(text)).toBe(shown));

  test('a bar is opened as it would be typed, a shared one without its parentheses', () => {
    const chart = chartOf('key: G\n\n1 (4 5/7) >6- %\n');
    expect([0, 1, 2, 3, 4].map((bar) => barText(chart, bar))).toEqual(['1', '4 5/7', '>6-', '%', '']);
  });

  test('a new bar is empty, and typed anew', () =>
    expect(newTyping(3)).toMatchObject({ bar: 3, isNew: true, text: '', fresh: true, was: '' }));
});
