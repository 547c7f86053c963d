import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { renderChart } from '../chart/render.ts';
import { requireValue } from '../fault.ts';
import { parseKey } from '../key/key-text.ts';
import { readFormat, writeFormat } from './convert.ts';
import { findSong } from './text-read.ts';

const textOf = (chart: string, tonic: number | null = null) => new TextDecoder().decode(writeFormat('text', chart, tonic).content);
const read = (text: string) => readFormat('text', new TextEncoder().encode(text));
const chartOf = (text: string) => requireValue(read(text)).content;
const letters = (chart: string) => renderChart(readChart(chart), readChart(chart).head.key.tonic, 'letters').performed;
const numbers = (chart: string) => renderChart(readChart(chart), readChart(chart).head.key.tonic, 'numbers').performed;

test('a chart as chords over lyrics', () => {
  expect(textOf('title: Rope\nkey: G\ntempo: 90\n\n[Verse] x2\n1 (4 5) (1... 5/7.) NC\n~ rope over rail\n')).toBe(
    'Title: Rope\nKey: G\nTime: 4/4\nTempo: 90\n\n[Verse] x2\n| G | C D | G / / D/F# | N.C. |\nrope over rail\n',
  );
});

describe('chords over lyrics of others', () => {
  test('a line of chords over a line of words', () => {
    const chart = chartOf(
      'Rope Walk\n\nKey: G\n\nVerse 1:\nG        C      D\nrope over rail and rail\n\nChorus x2\nEm  C  G  D\nhaul away\n',
    );
    expect(chart).toMatch(/^title: Rope Walk$/m);
    expect(letters(chart)).toEqual(['G', 'C', 'D', 'Em', 'C', 'G', 'D', 'Em', 'C', 'G', 'D']);
    expect(chart).toContain('~ rope over rail and rail');
    expect(readChart(chart).sections.map(({ name, times }) => [name, times])).toEqual([
      ['Verse 1', 1],
      ['Chorus', 2],
    ]);
  });

  test('bar lines are followed, strokes count beats', () => {
    const chart = chartOf('Key: D\n| D / G A | Bm / / / | G  A |\n');
    expect(letters(chart)).toEqual(['D G A', 'Bm', 'G A']);
    expect(readChart(chart).bars[0]?.chords.map(({ beats }) => beats)).toEqual([2, 1, 1]);
    expect(readChart(chart).bars[2]?.chords.map(({ beats }) => beats)).toEqual([2, 2]);
  });

  test('without a key line the key is found, and that is told', () => {
    const { content, losses } = requireValue(read('Bb Eb F Bb\nGm Eb F7 Bb\n'));
    expect(content).toMatch(/^key: Bb$/m);
    expect(numbers(content).slice(0, 4)).toEqual(['1', '4', '5', '1']);
    expect(losses).toEqual([{ code: 'key-guessed', bars: [], what: 'B♭' }]);
  });

  test('a key and a meter between the bars go from there', () => {
    const chart = chartOf('Key: C\n| C | F |\nKey: D\nTime: 3/4\n| D | G |\n');
    expect(numbers(chart)).toEqual(['1', '4', '1', '4']);
    expect(readChart(chart).bars.map(({ meter }) => meter.beats)).toEqual([4, 4, 3, 3]);
  });

  test.each([
    ['nothing', ''],
    ['words alone', 'The tide is out\nand so am I\n'],
  ])('%s is refused', (_, text) => {
    const result = read(text);
    expect(result.ok ? null : result.fault.code).toBe('format-empty');
  });
});

describe('a whole song as it is pasted', () => {
  test.each([
    ['Rope Walk\n\nKey: Eb\n\n[Verse]\nEb  Ab  Bb  Eb\n', { title: 'Rope Walk', keyIs: 'named', bars: 4 }, 'Eb'],
    ['Rope Walk\nKey: Eb\n\n[Verse]\nEb  Ab\n', { title: 'Rope Walk', keyIs: 'named', bars: 2 }, 'Eb'],
    ['Rope Walk\nTempo: 90\n\nBb Eb F Bb\n', { title: 'Rope Walk', keyIs: 'heard', bars: 4 }, 'Bb'],
    ['Bb Eb F Bb\nGm Eb F7 Bb\n', { title: null, keyIs: 'heard', bars: 8 }, 'Bb'],
    ['title: Weir\nkey: A\n\n1 4 (5 1)\n', { title: 'Weir', keyIs: 'named', bars: 3 }, 'A'],
    ['1 4 5 1\n6- 4 5 1\n', { title: null, keyIs: 'open', bars: 8 }, null],
  ])('%j', (text, found, key) => {
    expect(findSong(text)).toMatchObject(found);
    if (key !== null) expect(readChart(findSong(text)?.source ?? '').head.key).toEqual(requireValue(parseKey(key)));
  });

  test.each(['', 'only words here\nand here', '[Verse]\n'])('%j is none', (text) => expect(findSong(text)).toBeUndefined());
});

test('numbers alone, counted in the key of their bar', () => {
  const source = 'key: G\n\n[A]\n1 (4 5/7) b7 2-7\n{key: +2} 57 1\n';
  const numbers = new TextDecoder().decode(writeFormat('text', source, null, { transpose: 2, octave: 0, show: 'numbers' }).content);
  expect(numbers).toMatch(/^\| 1 \| 4 5\/7 \| b7 \| 2-7 \|$/m);
  expect(numbers).toMatch(/^\| 57 \| 1 \|$/m);
  const abc = new TextDecoder().decode(writeFormat('abc', source, null, { transpose: 0, octave: 0, show: 'numbers' }).content);
  expect(abc).toContain('"^♭7"');
  expect(abc).not.toMatch(/"[A-G]/);
});
