import { expect, test } from '@jest/globals';
import { matchScore } from './match-score.ts';

/** The entries that fit, the best first. */
const sought = (text: string, entries: readonly (readonly string[])[]) =>
  entries
    .map((names) => [names[0], matchScore(text, names)] as const)
    .filter(([, score]) => score > 0)
    .sort((a, b) => b[1] - a[1])
    .map(([name]) => name);

test.each([
  ['chart', [['Songs'], ['Number chart', 'a glossary word'], ['Chart']], ['Chart', 'Number chart']],
  ['eb', [['Webb’s Quay'], ['Key of E♭'], ['E♭ instrument'], ['E♭']], ['E♭', 'E♭ instrument', 'Key of E♭', 'Webb’s Quay']],
  ['wall', [['Harbor Wall', 'Ines Calloway'], ['Low Tide'], ['Wallflower Reel']], ['Wallflower Reel', 'Harbor Wall']],
  [
    'calloway',
    [
      ['Harbor Wall', 'Ines Calloway'],
      ['Low Tide', 'Bram Teller'],
    ],
    ['Harbor Wall'],
  ],
  ['tide low', [['Low Tide Waltz'], ['High Tide']], ['Low Tide Waltz']],
  ['xyz', [['Harbor Wall']], []],
])('%s finds the best first', (text, entries, found) => expect(sought(text, entries)).toEqual(found));

test('with nothing sought everything fits', () => expect(matchScore('', ['Songs'])).toBe(1));
