import { expect, test } from '@jest/globals';
import { colourWords, costWords, difficultyWord, holdWords, inversionWord, moveWords, oddityWords } from './neck-words.ts';

test.each([
  [
    moveWords(
      [
        { string: 5, kind: 'stays', frets: 0 },
        { string: 3, kind: 'moves', frets: -1 },
        { string: 2, kind: 'moves', frets: -1 },
      ],
      0,
    ),
    'String 5 stays, strings 3 2 down 1 fret',
  ],
  [
    moveWords(
      [
        { string: 3, kind: 'moves', frets: 2 },
        { string: 2, kind: 'moves', frets: 2 },
      ],
      2,
    ),
    'The whole shape up 2 frets; the hand goes up 2 frets',
  ],
  [
    moveWords(
      [
        { string: 6, kind: 'leaves', frets: 0 },
        { string: 1, kind: 'enters', frets: 0 },
      ],
      0,
    ),
    'String 1 added, string 6 left out',
  ],
  [holdWords({ kind: 'stays', fingers: [1, 2] }), '1st finger and 2nd finger stay for the next chord'],
  [holdWords({ kind: 'mutes', finger: 2, string: 5 }), 'the 2nd finger keeps string 5 quiet'],
  [holdWords({ kind: 'frees', finger: 4 }), 'frees the little finger'],
  [holdWords({ kind: 'thumb' }), 'thumb over the lowest string'],
  [costWords({ shift: 2, strings: 0.5, top: 0, common: 0, shape: 1.23, total: 3.73 }), 'shift 2 + fingers 0.5 + the shape itself 1.2'],
  [oddityWords({ kind: 'same', strings: [2, 1] }), 'Strings 2 and 1 are tuned alike.'],
  [colourWords(['b7', '11'], []), 'adds ♭7 and 11'],
  [colourWords(['2'], ['b3']), 'adds 2, leaves out ♭3'],
  [inversionWord(1), '1st inversion'],
  [inversionWord(null), 'another bass'],
  [difficultyWord(2), 'easy'],
  [difficultyWord(8), 'hard'],
])('“%s”', (said, wanted) => expect(said).toBe(wanted));
