import { describe, expect, test } from '@jest/globals';
import { printNumber } from '../../degree/number-text.ts';
import { requireValue } from '../../fault.ts';
import { parseKey, printKey } from '../../key/key-text.ts';
import { analyzeText } from '../analyze.ts';

const keysOf = (source: string) => analyzeText(source).keys.map(({ key }) => printKey(key));
const regionsOf = (source: string, key?: string) =>
  analyzeText(source, key === undefined ? {} : { key: requireValue(parseKey(key)) }).regions.map(
    (region) =>
      `${printKey(region.key)} ${region.from}-${region.to}${region.pivot === null ? '' : ` from ${printNumber(region.pivot.numberBefore)}`}`,
  );

describe('finding the key', () => {
  test.each([
    ['E A B7 E', 'E'],
    ['Eb Cm F7 Bb7 Eb', 'Eb'],
    ['Gm Cm D7 Gm', 'Gm'],
    ['Bbm Gb Db Ab Bbm', 'Bbm'],
    ['F# B C#7 F#', 'F#'],
    ['Gb Cb Db7 Gb', 'Gb'],
    ['C#m A B G#7 C#m', 'C#m'],
    ['Dm7 G7 Cmaj7', 'C'],
    ['Dm7 G7', 'C'],
    ['Dm7b5 G7 Cm', 'Cm'],
    ['Em7 A7 Dm7 G7 Cmaj7', 'C'],
    ['Bm7 E7 Amaj7 Am7 D7 Gmaj7 Gm7 C7 Fmaj7', 'A'],
    ['Fm7 Bb7 Ebmaj7 Abmaj7 Dm7b5 G7 Cm', 'Cm'],
    ['F Bb C7 F Dm Gm C7 F', 'F'],
    ['C E7 Am F C G C', 'C'],
    ['G7 C7 G7 G7 C7 C7 G7 G7 D7 C7 G7 D7', 'G'],
    ['Dm7 G7 Dm7 G7 Dm7 G7 Dm7', 'D dorian'],
    ['A G D A G D A', 'A mixolydian'],
    ['Em F Em F G F Em', 'E phrygian'],
    ['F G F G Am G F', 'F lydian'],
    ['C', 'C'],
    ['F#m', 'F#m'],
  ])('%s is in %s', (source, key) => expect(keysOf(source)[0]).toBe(key));

  test('a song of many rounds is in the key of one round', () => {
    const round = 'C E7 Am C7 F Fm C G7';
    for (const times of [1, 2, 8, 60]) expect(keysOf(Array.from({ length: times }, () => round).join(' '))[0]).toBe('C');
  });

  test('relative keys and loops are two homes, a cadence makes one lead', () => {
    for (const source of ['Am F C G Am F C G', 'C G Am F C G Am F', 'Dm Bb F C Dm Bb F C'])
      expect(analyzeText(source).lead).toBe('two-homes');
    for (const source of ['C F G7 C', 'Am Dm E7 Am', 'G C D7 G Em C D7 G']) expect(analyzeText(source).lead).toBe('clear');
  });

  test('the runner-up is always named, with its reasons', () => {
    const { keys } = analyzeText('Am F C G Am F C G');
    expect(keys.length).toBeGreaterThan(1);
    for (const { reasons } of keys) expect(reasons.length).toBeGreaterThan(0);
    expect(keys[0]?.reasons).toContainEqual({ code: 'first-chord' });
    expect(keys[0]?.reasons).toContainEqual({ code: 'coverage', own: 8, of: 8 });
  });

  test('a given key is followed, whatever the chords say', () => {
    const { keys, lead, chords } = analyzeText('C F G7 C', { key: requireValue(parseKey('F')) });
    expect(printKey(keys[0]?.key as NonNullable<(typeof keys)[0]>['key'])).toBe('F');
    expect(lead).toBe('given');
    expect(chords.map(({ number }) => printNumber(number))).toEqual(['5', '1', '27', '5']);
  });

  test('the head of a chart gives the key, and so do numbers without one', () => {
    expect(keysOf('key: Em\n\n1- 4- 57 1-')[0]).toBe('Em');
    expect(keysOf('1 6- 4 5')[0]).toBe('C');
  });
});

describe('regions', () => {
  test.each([
    ['C F G7 C Am D7 G Em Am D7 G C D7 G', ['C 0-3', 'G 4-13 from 6-']],
    ['C F G C | D G A D', ['C 0-3', 'D 4-7']],
    ['C F G7 C C F G7 C A7 D G A7 D D G A7 D', ['C 0-7', 'D 8-16']],
    ['E A B7 E F Bb C7 F Bb C7 F', ['E 0-3', 'F 4-10']],
    ['Bb Eb F7 Bb Ebm Ab7 Db Gb Ab7 Db Bbm Ebm Ab7 Db', ['Bb 0-3', 'Db 4-13']],
  ])('%s: %s', (source, expected) => expect(regionsOf(source)).toEqual(expected));

  test.each(['C Am Dm G7 C A7 Dm G7 C', 'G Bm7b5 E7 Am7 D7 G', 'F Cm7 F7 Bbmaj7 Gm7 C7 F', 'C E7 Am D7 G7 C', 'Am Dm E7 Am C G Am E7 Am'])(
    '%s only visits: one key',
    (source) => expect(regionsOf(source)).toHaveLength(1),
  );

  test('a whole ii–V–I on a tonic that is no degree of the key before is a key of its own', () => {
    expect(regionsOf('Dm7 G7 Cmaj7 Cm7 F7 Bbmaj7 Bbm7 Eb7 Abmaj7')).toEqual(['C 0-2', 'Bb 3-5', 'Ab 6-8']);
    expect(regionsOf('Cmaj7 Gm7 C7 Fmaj7 Dm7 G7 Cmaj7')).toHaveLength(1);
  });

  test('a song that moves is judged by the key it begins in', () => {
    const { keys, lead } = analyzeText('C F G7 C Am F G7 C D A Bm G D A7 D G A7 D');
    expect(keys.map(({ key }) => printKey(key))[0]).toBe('C');
    expect(keys[0]?.score).toBe(100);
    expect(lead).toBe('clear');
  });

  test('a chart that names its keys is followed', () => {
    expect(regionsOf('key: G\n\n[A]\n1 4 5 1\n{key: +2}\n1 4 5 1')).toEqual(['G 0-3', 'A 4-7']);
    expect(analyzeText('key: G\n\n1 4 {key: Bb} 1 4').regions.map(({ by }) => by)).toEqual(['chart', 'chart']);
  });

  test('a song comes home again', () => {
    expect(regionsOf('C F G7 C D7 G C D7 G Em D7 G G7 C F G7 C F G7 C').at(-1)).toMatch(/^C /);
  });
});
