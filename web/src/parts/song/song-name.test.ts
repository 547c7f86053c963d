import { expect, test } from '@jest/globals';
import { songName } from './song-name.ts';

test.each([
  ['its name', 'Harbor Wall', ['1', '4'], 8, 'Harbor Wall'],
  ['its first bars', '', ['1', '4', '6-', '5', '1'], 8, '1 4 6– 5'],
  ['in the field’s signs', '', ['b7', '#4o', '2-7b5'], 3, '♭7 ♯4o 2–7♭5'],
  ['new while nothing is in it', '', [], 0, 'New song'],
])('a song is called by %s', (_, title, opening, bars, name) => expect(songName({ title, opening, bars })).toBe(name));
