import { parseKey, requireValue, symbolText } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { BUILD_CHOICES, buildName, buildOf, deepen, depthsOf, nextBuild } from './depth.ts';
import { columnsOf } from './harmonize-view.ts';

const key = (text: string) => requireValue(parseKey(text));
const symbols = (home: string, build: Parameters<typeof columnsOf>[2]) =>
  columnsOf(key(home), key(home), build)
    .map(({ letter }) => symbolText(letter))
    .join(' ');

describe('how the chords of a key are built', () => {
  test.each([
    ['C', 'triad', 'C Dm Em F G Am Bdim'],
    ['C', 'ninth', 'Cmaj9 Dm9 Em7♭9 Fmaj9 G9 Am9 Bm7♭5♭9'],
    ['C', 'band', 'C Dm Em F G7 Am Bdim'],
    ['Am', 'band', 'Am Bm7♭5 C Dm Em7 F G'],
    ['C', 'four', 'Cmaj7add11no5 Dm7add11no5 Em7add11no5 Fmaj7♯11no5 G7add11no5 Am7add11no5 Bm7add11no5'],
    ['C', 'five', 'Cmaj7add11 Dm7add11 Em7add11 Fmaj7♯11 G7add11 Am7add11 Bm7♭5add11'],
  ] as const)('%s, %s', (home, name, expected) => expect(symbols(home, buildOf(name))).toBe(expected));

  test('one degree may be deeper than the rest', () => {
    const build = deepen(buildOf('triad'), 4, key('G'));
    expect(symbols('G', build)).toBe('G Am Bm C D7 Em F♯dim');
    expect(symbols('G', deepen(build, 4, key('G')))).toBe('G Am Bm C D9 Em F♯dim');
    expect(depthsOf(deepen(buildOf('band'), 0, key('G')) as never, key('G'))[4]).toBe('seventh');
  });

  test('stepping through the builds leads around', () => {
    let build = buildOf('triad');
    const seen = BUILD_CHOICES.map(() => {
      build = nextBuild(build);
      return buildName(build);
    });
    expect(seen.at(-1)).toBe('triad');
    expect(new Set(seen).size).toBe(BUILD_CHOICES.length);
  });

  test('augmented fourths are marked in the stack', () => {
    const [, , , four] = columnsOf(key('C'), key('C'), buildOf('four'));
    expect(four?.tones.map(({ note, below }) => [note, below])).toEqual([
      ['A', 'P4'],
      ['E', 'P4'],
      ['B', 'A4'],
      ['F', null],
    ]);
  });
});
