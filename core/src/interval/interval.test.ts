import { describe, expect, test } from '@jest/globals';
import { intervalName, intervalNumber, intervalSemitones } from './interval.ts';
import { findScaleNumber, printScaleNumber } from './interval-text.ts';

describe('intervals by their distance in fifths', () => {
  test.each([
    [0, 'P1', '1', 0],
    [1, 'P5', '5', 7],
    [-1, 'P4', '4', 5],
    [4, 'M3', '3', 4],
    [-3, 'm3', 'b3', 3],
    [5, 'M7', '7', 11],
    [-2, 'm7', 'b7', 10],
    [-9, 'd7', 'bb7', 9],
    [6, 'A4', '#4', 6],
    [-6, 'd5', 'b5', 6],
    [8, 'A5', '#5', 8],
    [-8, 'd4', 'b4', 4],
    [9, 'A2', '#2', 3],
    [13, 'AA4', '##4', 7],
  ])('%i is %s', (interval, name, number, semitones) => {
    expect(intervalName(interval)).toBe(name);
    expect(printScaleNumber(interval)).toBe(number);
    expect(findScaleNumber(number)).toBe(interval);
    expect(intervalSemitones(interval)).toBe(semitones);
    expect(intervalNumber(interval)).toBe(Number(number.slice(-1)));
  });

  test.each(['0', '8', 'b', '', 'bbb3', '3b', '#b4', 'x'])('%j is no scale number', (text) => {
    expect(findScaleNumber(text)).toBeUndefined();
  });
});
