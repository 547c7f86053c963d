import { expect, test } from '@jest/globals';
import { patternFault } from './pattern-fault.ts';

test.each([
  ['', null],
  ['1 4 6- 5', null],
  ['G Em C D', null],
  ['1', 'Write two chords or more.'],
  ['1 1 1', 'Write two chords or more.'],
  ['1 wat 4', '“wat” is no chord.'],
])('the pattern %j: %j', (pattern, fault) => expect(patternFault(pattern)).toBe(fault));
