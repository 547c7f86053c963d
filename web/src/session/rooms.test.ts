import { expect, test } from '@jest/globals';
import { isHinted, roomAt } from './rooms.ts';

test.each([
  ['/band', true],
  ['/band/tonight', true],
  ['/songs/s1/band', true],
  ['/band/players', false],
  ['/songs/s1/band/files', false],
  ['/neck', true],
  ['/', true],
])('at %s the hint of the room stands: %s', (path, stands) => expect(isHinted(path)).toBe(stands));

test.each([
  ['/', 'songs'],
  ['/band/players', 'band'],
  ['/songs/s1/chart', 'chart'],
  ['/songs/s1/stand', 'stand'],
  ['/practice/session', 'practice'],
  ['/you', 'you'],
])('%s lies in %s', (path, room) => expect(roomAt(path)).toBe(room));
