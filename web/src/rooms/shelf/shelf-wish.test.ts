import { describe, expect, test } from '@jest/globals';
import { soughtBy } from './shelf-wish.ts';

describe('one field knows what is sought', () => {
  test.each(['1 4', '1 4 6- 5', '2-7 57 1maj7', 'b7 4 1', '♭7 4 1', '1 5/7 6-', 'C Am F', 'Dm7 G7 Cmaj7', 'Bb F/A Gm', '  1   4 '])(
    'chords: %s',
    (typed) => expect(soughtBy(typed)).toEqual({ find: '', pattern: typed }),
  );
  test.each([
    '',
    'kelp',
    'Kelp Ladder',
    'Nine Mile Fogbell',
    '4',
    'Em',
    'A Go',
    'Ferry at Four',
    '1 more time',
    'E minor',
    'Bb',
    'Two Lanterns 2',
  ])('words: %j', (typed) => expect(soughtBy(typed)).toEqual({ find: typed, pattern: '' }));
});
