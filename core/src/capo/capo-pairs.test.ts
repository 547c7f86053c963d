import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { printChord } from '../chord/chord-text.ts';
import { INSTRUMENTS, type Instrument, STANDARD_GUITAR, tuningOffset } from '../fretboard/instrument.ts';
import { pairCapos } from './capo-pairs.ts';
import { planCapo, wishOf } from './capo-plan.ts';

const named = (name: string) => INSTRUMENTS.find((one) => one.name === name) as Instrument;

describe('strings tuned away', () => {
  test.each([
    ['Guitar', 0],
    ['Guitar, half step down', -1],
    ['Guitar, low D', 0],
    ['Guitar, open G', 0],
    ['Bass', 0],
  ])('%s: %i', (name, offset) => expect(tuningOffset(named(name).tuning)).toBe(offset));

  test('a whole step down counts two, whatever the neck', () => {
    expect(tuningOffset(STANDARD_GUITAR.tuning.map((midi) => midi - 2))).toBe(-2);
  });

  test('a guitar a half step down plays a song in E♭ with E shapes, one in open G has shapes of its own', () => {
    const down = planCapo(readChart('key: Eb\n1 4 5\n'), { ...wishOf(named('Guitar, half step down')), maxFret: 0 });
    expect(down[0]?.shapes.map(({ shape }) => printChord(shape))).toEqual(['E', 'A', 'B']);
    const openG = planCapo(readChart('key: G\n1\n'), { ...wishOf(named('Guitar, open G')), maxFret: 0 });
    // every open string of that tuning belongs to the chord of G
    expect(openG[0]?.shapes[0]?.hold).toMatchObject({ open: true, difficulty: 0 });
    expect(openG[0]?.shapes[0]?.hold.frets?.every((fret) => fret === 0 || fret === null)).toBe(true);
  });
});

describe('two guitars', () => {
  const song = readChart('key: D\n1 6- 4 5\n');
  const plain = planCapo(song);
  const pairs = pairCapos(plain, plain);

  test('every pair of frets is there, the best first', () => {
    expect(pairs).toHaveLength(144);
    const scores = pairs.map(({ score }) => score);
    expect(scores).toEqual([...scores].sort((a, b) => b - a));
  });

  test('the best pair does not double', () => {
    expect(pairs[0]?.apart).not.toBe(0);
    for (const { first, second, apart } of pairs) expect(apart).toBe(second.fret - first.fret);
  });

  test('of two pairs as easy, the one that fills the sound comes before the one that doubles', () => {
    const of = (first: number, second: number) => pairs.findIndex((pair) => pair.first.fret === first && pair.second.fret === second);
    const [best] = plain;
    expect(of(best?.fret ?? 0, best?.fret ?? 0)).toBeGreaterThan(0);
  });

  test('a guitar a half step down at fret 1 doubles one in standard tuning without a capo', () => {
    const down = planCapo(song, wishOf(named('Guitar, half step down')));
    const doubled = pairCapos(plain, down).find(({ first, second }) => first.fret === 0 && second.fret === 1);
    expect(doubled).toMatchObject({ apart: 0 });
    expect(doubled?.first.shapeKey).toEqual(doubled?.second.shapeKey);
  });
});
