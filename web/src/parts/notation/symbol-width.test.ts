import { DEFAULT_NAMING, numberView, parseNumberOrLetters, requireValue } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { numeralSize } from './numeral-size.ts';
import { symbolEms } from './symbol-width.ts';

const ems = (text: string) => symbolEms(numberView(requireValue(parseNumberOrLetters(text, 0)), DEFAULT_NAMING));

describe('how wide a symbol is', () => {
  test('more is wider: a sign before, a quality, a bass', () => {
    for (const [short, long] of [
      ['1', 'b7'],
      ['2-', '2-7'],
      ['57', '5maj7'],
      ['1', '1/3'],
      ['1maj7', '1maj7add11no5'],
    ] as const)
      expect(ems(short)).toBeLessThan(ems(long));
  });

  test('what is raised is set half as large: four letters take about as much as two digits', () => {
    expect((ems('1sus4') - ems('1')) / ems('1')).toBeGreaterThan(1.5);
    expect((ems('1sus4') - ems('1')) / ems('1')).toBeLessThan(2.5);
  });
});

describe('the size a number is set in', () => {
  test('is the largest that fits, the very largest only where it is asked for', () => {
    expect(numeralSize(1, 60)).toBe('text-numeral');
    expect(numeralSize(1, 60, true)).toBe('text-great');
    expect(numeralSize(2, 60)).toBe('text-head');
  });

  test('is the smallest where nothing fits: then it stands on two lines', () => expect(numeralSize(9, 60)).toBe('text-lead'));
});
