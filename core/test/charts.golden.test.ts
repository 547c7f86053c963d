import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import { parseKey, readChart, renderChart, requireValue } from '../src/index.ts';

interface Expected {
  readonly writtenBars: number;
  readonly performedBars: number;
  readonly letters: Readonly<Record<string, readonly string[]>>;
  readonly performedLetters?: Readonly<Record<string, readonly string[]>>;
  readonly beats?: Readonly<Record<string, readonly number[]>>;
  readonly numbers?: readonly string[];
  readonly sameMusicAs?: string;
}

const FOLDER = new URL('./golden/charts/', import.meta.url);
const EXPECTED: Readonly<Record<string, Expected>> = JSON.parse(readFileSync(new URL('expected.json', FOLDER), 'utf8'));
const NAMES = Object.keys(EXPECTED);
const source = (name: string) => readFileSync(new URL(`${name}.txt`, FOLDER), 'utf8');
const tonicOf = (key: string) => requireValue(parseKey(key)).tonic;

test('every chart in the folder has its expected values', () => {
  expect(
    readdirSync(FOLDER)
      .filter((file) => file.endsWith('.txt'))
      .sort(),
  ).toEqual(NAMES.map((name) => `${name}.txt`).sort());
});

describe.each(NAMES)('%s', (name) => {
  const expected = EXPECTED[name] as Expected;
  const chart = readChart(source(name));

  test('has its bars', () => {
    expect(chart.bars).toHaveLength(expected.writtenBars);
    expect(chart.problems).toEqual([]);
    expect(chart.performance.count).toBe(expected.performedBars);
    expect(chart.performance.order).toHaveLength(expected.performedBars);
  });

  test.each(Object.entries(expected.letters))('read in %s', (key, letters) => {
    const rendered = renderChart(chart, tonicOf(key), 'letters');
    expect(rendered.bars).toEqual(letters);
    const performed = expected.performedLetters?.[key];
    if (performed !== undefined) expect(rendered.performed).toEqual(performed);
  });

  test('shares beats as marked', () => {
    for (const [bar, beats] of Object.entries(expected.beats ?? {})) {
      expect(chart.bars[Number(bar) - 1]?.chords.map((chord) => chord.beats)).toEqual(beats);
    }
  });

  test('keeps its numbers in every key', () => {
    const home = renderChart(chart, tonicOf('C'), 'numbers').bars;
    if (expected.numbers !== undefined) expect(home).toEqual(expected.numbers);
    for (const key of Object.keys(expected.letters)) {
      const read = readChart(renderChart(chart, tonicOf(key), 'letters').text);
      expect(renderChart(read, tonicOf(key), 'numbers').bars).toEqual(home);
    }
  });
});

test('the two minor numberings are one music', () => {
  const letters = (name: string) => renderChart(readChart(source(name)), tonicOf('Gm'), 'letters').bars;
  expect(letters('kelp-ladder')).toEqual(letters(EXPECTED['kelp-ladder']?.sameMusicAs as string));
});
