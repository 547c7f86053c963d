import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { BARRE_LEVELS } from '../choices.ts';
import { printChord } from '../chord/chord-text.ts';
import { printKey } from '../key/key-text.ts';
import { chroma } from '../pitch/note.ts';
import { type CapoOption, type CapoWish, planCapo } from './capo-plan.ts';

const plan = (source: string, wish?: CapoWish) => planCapo(readChart(source), wish);
const at = (options: readonly CapoOption[], fret: number) => options.find((option) => option.fret === fret) as CapoOption;
const shapes = ({ shapes }: CapoOption) => shapes.map(({ sounding, shape }) => `${printChord(sounding)}=${printChord(shape)}`);

/** The capo table of the field: what sounds when a shape is played at frets 0 to 11, counted on the keyboard. */
const KEYBOARD = ['C', 'C#', 'D', 'D#', 'E', 'F', 'F#', 'G', 'G#', 'A', 'A#', 'B'];
const FLATS: Readonly<Record<string, string>> = {
  Db: 'C#',
  Eb: 'D#',
  Gb: 'F#',
  Ab: 'G#',
  Bb: 'A#',
  Cb: 'B',
  Fb: 'E',
  'E#': 'F',
  'B#': 'C',
};
const placeOf = (symbol: string) => {
  const name = /^[A-G][#b]?/.exec(symbol)?.[0] ?? '';
  return KEYBOARD.indexOf(FLATS[name] ?? name);
};
const suffixOf = (symbol: string) => symbol.replace(/^[A-G][#b]*/, '').replace(/\/.*$/, '');

describe('every key, every fret, every shape', () => {
  test.each('C G D A E B F# Db Ab Eb Bb F'.split(' '))('%s', (tonic) => {
    const options = plan(`key: ${tonic}\n1 2-7 3- 4maj7 57 6- 7-7b5 1/3\n`);
    expect(options.map(({ fret }) => fret).sort((a, b) => a - b)).toEqual(Array.from({ length: 12 }, (_, fret) => fret));
    for (const { fret, shapeKey, soundingKey, shapes: found } of options) {
      expect(printKey(soundingKey)).toBe(tonic);
      expect((placeOf(printKey(shapeKey)) + fret) % 12).toBe(placeOf(tonic));
      for (const { sounding, shape } of found) {
        const [heard, held] = [printChord(sounding), printChord(shape)];
        expect((placeOf(held) + fret) % 12).toBe(placeOf(heard));
        expect(suffixOf(held)).toBe(suffixOf(heard));
        if (sounding.bass !== null) expect((chroma(shape.bass as number) + fret) % 12).toBe(chroma(sounding.bass));
      }
    }
  });

  test.each([
    ['E', 4, 'C', 'E=C A=F B=G C#m=Am'],
    ['Eb', 1, 'D', 'Eb=D Ab=G Bb=A Cm=Bm'],
    ['Bb', 3, 'G', 'Bb=G Eb=C F=D Gm=Em'],
    ['F#m', 2, 'Em', 'F#m=Em'],
  ])('%s with capo %i is played in %s', (key, fret, shapeKey, expected) => {
    const option = at(plan(`key: ${key}\n${key.endsWith('m') ? '1-' : '1 4 5 6-'}\n`), fret);
    expect(printKey(option.shapeKey)).toBe(shapeKey);
    expect(shapes(option).join(' ')).toBe(expected);
  });

  test('strings tuned down a half step: the same shapes one fret higher', () => {
    const plain = at(plan('key: D\n1 4 2- 5\n'), 2);
    const down = at(plan('key: D\n1 4 2- 5\n', { tuning: -1 }), 3);
    expect(shapes(down)).toEqual(shapes(plain));
    expect(printKey(down.shapeKey)).toBe('C');
  });
});

describe('the kindest fret', () => {
  test.each([
    ['G', 0],
    ['C', 0],
    ['D', 0],
    ['B', 4],
    ['Bb', 3],
    ['Ab', 1],
    ['A', 2],
    ['Eb', 3],
  ])('of 1 6- 4 5 in %s is %i', (tonic, fret) => expect(plan(`key: ${tonic}\n1 6- 4 5\n`)[0]?.fret).toBe(fret));

  test('F♯ B C♯ D♯m: E and D shapes before F shapes at the first fret', () => {
    const frets = plan('key: F#\nF# B C# D#m\n').map(({ fret }) => fret);
    expect(Math.max(frets.indexOf(2), frets.indexOf(4))).toBeLessThan(frets.indexOf(1));
  });

  test('comes first, and scores fall', () => {
    const scores = plan('key: Ab\n1 6- 4 5\n').map(({ score }) => score);
    expect(scores).toEqual([...scores].sort((a, b) => b - a));
    for (const score of scores) {
      expect(score).toBeGreaterThanOrEqual(0);
      expect(score).toBeLessThanOrEqual(100);
    }
  });

  test('for a player without barres has none, wherever a fret without them is', () => {
    for (const tonic of ['B', 'Bb', 'Eb', 'F#', 'Db', 'Ab'])
      expect(plan(`key: ${tonic}\n1 6- 4 5\n`, { level: 'none' })[0]?.openShare).toBe(1);
  });

  test('weighs chords by how long they sound as the song is played', () => {
    const verse = '1 1 1 1';
    const once = at(plan(`key: D\n[V]\n${verse}\n[B]\n6- 6- 6- 6-\n`), 0);
    const often = at(plan(`key: D\n[V] x3\n${verse}\n[B]\n6- 6- 6- 6-\n`), 0);
    expect(once.openShare).toBe(0.5);
    expect(often.openShare).toBe(0.75);
    expect(often.shapes.map(({ beats }) => beats)).toEqual([48, 16]);
  });

  test('the hardest chord is told', () => {
    expect(printChord(at(plan('key: G\n1 4 5 7-7b5 b3\n'), 0).hardest?.shape as never)).toMatch(/^(F#m7b5|Bb)$/);
    expect(at(plan('key: G\nNC | NC\n'), 0)).toMatchObject({ hardest: null, shapes: [], openShare: 0 });
  });
});

test('what is asked is kept: a tonic, a highest fret, every level', () => {
  const options = plan('key: D\n1 5\n', { tonic: -3, maxFret: 3 });
  expect(options.map(({ fret }) => fret).sort()).toEqual([0, 1, 2, 3]);
  expect(options.every(({ soundingKey }) => printKey(soundingKey) === 'Eb')).toBe(true);
  for (const level of BARRE_LEVELS) expect(plan('key: D\n1 5\n', { level })).toHaveLength(12);
});

describe('shapes after a change of key', () => {
  const KEYS = ['C', 'Db', 'D', 'Eb', 'E', 'F', 'F#', 'Gb', 'G', 'Ab', 'A', 'Bb', 'B', 'C#m', 'Ebm', 'G#m', 'Bbm', 'F#m'];

  const PAIRS = KEYS.flatMap((from) => KEYS.map((to) => [from, to] as const));

  test.each(PAIRS)('from %s to %s no shape has a double accidental, at any fret', (from, to) => {
    const options = plan(`key: ${from}\n\n[A]\n1 2-7 57 37\n{key: ${to}}\n[B]\n1 6-7 37 57/7 b7 #4-7b5\n`);
    const names = options.flatMap((option) => option.shapes.map(({ shape }) => printChord(shape)));
    expect(names.filter((name) => /##|[A-G]bb/.test(name))).toEqual([]);
  });

  test('sound what is heard, whatever they are called', () => {
    const reading = readChart('key: E\n\n[A]\n1 4 57\n{key: +1}\n[B]\n1 6-7 37\n');
    for (const { fret, shapes } of planCapo(reading))
      for (const { shape, sounding } of shapes) expect((chroma(shape.root) + fret) % 12).toBe(chroma(sounding.root));
  });
});
