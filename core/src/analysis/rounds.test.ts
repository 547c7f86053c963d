import { describe, expect, test } from '@jest/globals';
import { readProgression } from '../progression/progression.ts';
import { changesOf, changesSought } from './rounds.ts';

const goesThrough = (song: string, pattern: string) => {
  const word = changesOf(readProgression(song));
  return changesSought(readProgression(pattern)).some((sought) => word.includes(sought));
};

describe('a number pattern in a song', () => {
  test.each([
    ['key: A\n\n1 5 6- 4 1 5 6- 4', '1 5 6- 4', true],
    ['key: A\n\n1 5 6- 4 1 5 6- 4', '6- 4 1 5', true],
    ['Eb Bb Cm Ab', '1 5 6- 4', true],
    ['Cm Ab Eb Bb', '1 5 6- 4', true],
    ['key: Em\n\n1- b6 b3 b7', '6- 4 1 5', true],
    ['key: A\n\n1 1 5 5 6-7 6- 4maj7', '1 5 6- 4', true],
    ['key: A\n\n4 1 5', '1 5 6- 4', false],
    ['key: A\n\n1 5 6 4', '1 5 6- 4', false],
    ['key: A\n\n2-7 57 1maj7', 'Dm7 G7 C', true],
    ['key: A\n\n1 4', '1', false],
    ['', '1 4', false],
  ])('%j and %j: %s', (song, pattern, expected) => expect(goesThrough(song, pattern)).toBe(expected));
});
