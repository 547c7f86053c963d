import { describe, expect, test } from '@jest/globals';
import { parseLength, printLength } from './length-text.ts';

describe('lengths of time', () => {
  test.each([
    ['3:07', 187],
    ['0:30', 30],
    ['4', 240],
    [' 12:00 ', 720],
    ['240:00', 14_400],
  ])('%j is %i seconds', (text, seconds) => expect(parseLength(text)).toBe(seconds));

  test.each(['', '0', '0:00', '3:60', '3:7', '-3:07', '3.5', '240:01', '3:07:00', 'long'])('%j is none', (text) =>
    expect(parseLength(text)).toBeUndefined(),
  );

  test.each([
    [187, '3:07'],
    [59.6, '1:00'],
    [3600, '60:00'],
    [0, '0:00'],
  ])('%d seconds are %s', (seconds, text) => expect(printLength(seconds)).toBe(text));

  test('what is printed is read back', () => {
    for (let seconds = 1; seconds < 2000; seconds += 1) expect(parseLength(printLength(seconds))).toBe(seconds);
  });
});
