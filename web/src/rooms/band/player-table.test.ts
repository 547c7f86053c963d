import { memberReads } from '@aurora/wire';
import { describe, expect, test } from '@jest/globals';
import { PLAYER_TABLE, usualReads } from './player-table.ts';

describe('how instruments are read', () => {
  // when each instrument reads C4, this many half steps lower sounds: the tables of any orchestration book
  test.each([
    ['clarinet', 2],
    ['soprano saxophone', 2],
    ['alto saxophone', 9],
    ['tenor saxophone', 14],
    ['baritone saxophone', 21],
    ['trumpet', 2],
    ['horn in F', 7],
    ['guitar', 12],
    ['bass', 12],
    ['flute', 0],
    ['trombone', 0],
  ])('%s sounds %i half steps below what it reads', (plays, semitones) => {
    const { transpose = 0, octave = 0 } = usualReads(plays);
    expect(transpose + 12 * octave).toBe(semitones);
  });

  test('a drummer reads the form, a bass player the bass', () => {
    expect(usualReads('drums').part).toBe('form');
    expect(usualReads(' Bass ').part).toBe('bass');
    expect(usualReads('kazoo')).toEqual({});
  });

  test('is always something a member can have', () => {
    for (const [, reads] of PLAYER_TABLE) expect(memberReads.partial().safeParse(reads).success).toBe(true);
  });
});
