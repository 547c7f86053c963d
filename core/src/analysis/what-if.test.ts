import { describe, expect, test } from '@jest/globals';
import { parseChord, printChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { parseKey } from '../key/key-text.ts';
import { readProgression } from '../progression/progression.ts';
import { analyzeText } from './analyze.ts';
import { replaceChord } from './replace-chord.ts';
import { roundsOf } from './rounds.ts';
import { whatIf } from './what-if.ts';

const ideas = (key: string, source: string, index: number) =>
  whatIf(analyzeText(source, { key: requireValue(parseKey(key)) }), index).map(
    ({ kind, chords }) => `${kind}: ${chords.map((chord) => printChord(chord)).join(' ')}`,
  );
const chords = (text: string) => text.split(' ').map((symbol) => requireValue(parseChord(symbol)));

describe('what if', () => {
  test.each([
    ['C', 'C Dm G7 C', 1, 'secondary-dominant: A7 Dm'],
    ['C', 'C Dm G7 C', 1, 'diminished-approach: C#dim7 Dm'],
    ['C', 'C Dm G7 C', 1, 'thicker: Dm7'],
    ['C', 'C F C', 1, 'borrowed: Fm'],
    ['C', 'C F C', 1, 'thicker: Fmaj7'],
    ['C', 'C Am F', 1, 'borrowed: Ab'],
    ['C', 'C G7 C', 1, 'related-two: Dm7 G7'],
    ['C', 'C G7 C', 1, 'tritone-substitute: Db7'],
    ['C', 'C G7 C', 1, 'thinner: G'],
    ['C', 'C A7 Dm', 1, 'related-two: Em7b5 A7'],
    ['Am', 'Am Dm E7', 1, 'borrowed: D'],
    ['Am', 'Am Dm E7', 0, 'borrowed: A'],
    ['D dorian', 'Dm7 Dm7 Dm7', 1, 'modal-substitute: Em7/D'],
    ['D dorian', 'Dm7 Dm7 Dm7', 1, 'modal-substitute: Fmaj7/D'],
    ['F#', 'F# B C#', 2, 'secondary-dominant: G#7 C#'],
  ])('in %s, %s, chord %i: %s', (key, source, index, idea) => expect(ideas(key, source, index)).toContain(idea));

  test.each([
    ['what is there already is not suggested', 'C A7 Dm', 2, 'secondary-dominant: A7 Dm'],
    ['nor a 2 before a 5 that has one', 'Dm7 G7 C', 1, 'related-two: Dm7 G7'],
    ['nobody leans on a diminished chord', 'C Bdim C', 1, 'secondary-dominant: F#7 Bdim'],
  ])('%s', (_, source, index, idea) => expect(ideas('C', source, index)).not.toContain(idea));

  test('a chord that is not there has no suggestions', () => expect(ideas('C', 'C', 7)).toEqual([]));
});

describe('putting chords in', () => {
  test.each([
    ['C F G', 1, 'C7 F', 'C (C7 F) G'],
    ['C | F G | C', 1, 'Fm', 'C | Fm G | C'],
    ['C | F | C', 1, 'C7 F', 'C | C7 F | C'],
    ['key: D\n\n1 4 5', 1, 'Gm', 'key: D\n\n1 4- 5'],
    ['key: D\n\n1 (4 5) 1', 2, 'Em7 A', 'key: D\n\n1 (4.. 2-7. 5.) 1'],
    ['key: D\n\n1 % 5', 1, 'D7', 'key: D\n\n1 17 5'],
    ['key: D\n\n1 >4! 5', 1, 'Gm', 'key: D\n\n1 >4-! 5'],
    ['C F', 9, 'G', null],
    ['time: 3/4\n\n(1 4 5)', 1, 'C Dm F', null],
  ])('%j, chord %i, %s', (source, index, put, expected) => {
    expect(replaceChord(source, readProgression(source), index, chords(put))).toBe(expected);
  });
});

describe('rounds', () => {
  const rounds = (source: string) => roundsOf(readProgression(source));

  test('are the same in every key, from every chord, with or without sevenths', () => {
    const same = ['C G Am F C G Am F', 'key: Eb\n\n[A]\n1 5 6- 4', 'Am7 Fmaj7 C G7', 'D D A A Bm Bm G G'];
    const common = same.map(rounds).reduce((left, right) => left.filter((name) => right.includes(name)));
    expect(common).toHaveLength(1);
  });

  test('others have other names', () => {
    expect(rounds('C Am F G')).not.toEqual(rounds('C F Am G'));
    expect(rounds('C Am F G')).not.toEqual(rounds('C A F G'));
  });

  test.each(['', 'C', 'C F', 'C C C C'])('%j has none', (source) => expect(rounds(source)).toEqual([]));
});
