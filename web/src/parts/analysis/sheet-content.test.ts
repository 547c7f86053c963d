import { analyzeText, DEFAULT_NAMING } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { FULL_LAYER, LAYER_NAMES, type Layer, NO_LAYER, scaleOf, sheetContent } from './sheet-content.ts';

const SOURCE = 'title: Weir\nkey: C\n\n[A]\n1 4- 2-7 57\n1 1\n';
const content = (layer: Layer, source = SOURCE) => sheetContent(analyzeText(source), DEFAULT_NAMING, layer);
const below = (layer: Layer) => content(layer).rows.flatMap(({ bars }) => bars.flatMap(({ chords }) => chords.map((chord) => chord.below)));

describe('the printed analysis', () => {
  test('names the song and its key, and the next best one', () => {
    const { title, facts, foot } = content(FULL_LAYER);
    expect(title).toBe('Weir');
    expect(facts).toMatch(/^In C major; next best /);
    expect(foot).toBe('Aurora Ridge');
    expect(content(FULL_LAYER, '').title).toBe('Analysis');
    expect(content(FULL_LAYER, '').facts).toBe('');
  });

  test('every bar with its number and letter', () => {
    const [row] = content(NO_LAYER).rows;
    expect(row?.section).toBe('A');
    expect(row?.bars.map(({ chords: [chord] }) => `${chord?.number}${chord?.raised} ${chord?.letter}`)).toEqual([
      '1 C',
      '4– Fm',
      '2–7 Dm7',
      '57 G7',
    ]);
  });

  test('each layer alone, and none', () => {
    expect(below(NO_LAYER)).toEqual([[], [], [], [], [], []]);
    expect(below({ ...NO_LAYER, romans: true })).toEqual([['I'], ['iv'], ['ii7'], ['V7'], ['I'], ['I']]);
    expect(below({ ...NO_LAYER, readings: true })).toEqual([[], ['borrowed'], [], [], [], []]);
    expect(below({ ...NO_LAYER, scales: true })[0]).toEqual([scaleOf(analyzeText(SOURCE), 0, DEFAULT_NAMING)]);
    expect(LAYER_NAMES.map(([name]) => name).sort()).toEqual(Object.keys(NO_LAYER).sort());
  });

  test('brackets only where they are wanted', () => {
    const brackets = (layer: Layer) =>
      content(layer).rows.flatMap(({ bars }) => bars.flatMap(({ chords }) => chords.map((chord) => chord.bracket !== null)));
    expect(brackets({ ...NO_LAYER, brackets: true })).toEqual([false, false, true, true, true, false]);
    expect(brackets(NO_LAYER)).toEqual([false, false, false, false, false, false]);
  });

  test('where borrowed chords come from, both keys written out', () => {
    const remark = content(FULL_LAYER).remarks.find((line) => line.startsWith('Fm'));
    expect(remark).toMatch(/^Fm \(borrowed\) from C (natural|harmonic) minor: its iv\./);
    expect(remark).toContain('C major: C Dm Em F G Am Bdim');
  });

  test('the player’s notes stand in quotation marks, their word as theirs', () => {
    const source = 'key: C\nreading 2-1: 1 [4-] 1 = chromatic-mediant -- like at home\n\n1 4- 1\n';
    const lines = sheetContent(analyzeText(source), DEFAULT_NAMING, FULL_LAYER).rows[0]?.bars[1]?.chords[0]?.below;
    expect(lines).toEqual(['iv', 'yours: chromatic mediant', '“like at home”']);
  });
});

test('the scale of a chord in a few letters; none for a chord that is not there', () => {
  const analysis = analyzeText('key: C\n1 4 57 1\n');
  expect([0, 1, 2].map((index) => scaleOf(analysis, index, DEFAULT_NAMING))).toEqual(['C ionian', 'F lydian', 'G mixolydian']);
  expect(scaleOf(analysis, 9, DEFAULT_NAMING)).toBeNull();
});
