import { analyzeText, songProfile } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { floorLine, MOST_HEIGHT, pathOf, plateausOf, ridgeLine, ridgeRuns, spanAt } from './ridge-view.ts';

const profile = (source: string) => songProfile(analyzeText(source));

describe('the ridge’s line', () => {
  test('chords are plateaus as wide as they last, with a slope of half a beat at most on each side', () => {
    expect(ridgeLine(profile('key: C\n1 5\n').spans)).toEqual([
      { x: 0, y: 0 },
      { x: 0.5, y: 0 },
      { x: 3.5, y: 0 },
      { x: 4.5, y: 2 },
      { x: 7.5, y: 2 },
      { x: 8, y: 2 },
    ]);
  });

  test('home is the valley floor, what is wilder than the picture lies at its rim, and no chords are no line', () => {
    expect(pathOf(ridgeLine([{ from: 0, to: 10, top: 0 }]))).toBe(
      `M0 ${MOST_HEIGHT} L0.5 ${MOST_HEIGHT} L9.5 ${MOST_HEIGHT} L10 ${MOST_HEIGHT}`,
    );
    expect(ridgeLine([{ from: 0, to: 4, top: 99 }]).every(({ y }) => y === MOST_HEIGHT)).toBe(true);
    expect(pathOf(ridgeLine([]))).toBe('');
  });

  test('is broken over chords outside the key, and whole again after them', () => {
    const runs = ridgeRuns(profile('key: C\n1 4 b7 1 5\n').spans);
    expect(runs.map(({ outside }) => outside)).toEqual([false, true, false]);
    // it breaks where the plateau before ends and mends where the next one begins
    expect(runs[1]?.points[0]).toEqual(runs[0]?.points.at(-1));
    expect(runs[1]?.points.at(-1)).toEqual(runs[2]?.points[0]);
  });

  test('the floor steps where the key changes', () => {
    const floor = floorLine(profile('key: C\n[A]\n1 4 57 1\n[B]\n{key: D} 1 4 57 1\n').spans);
    expect(new Set(floor.slice(0, 8).map(({ y }) => y))).toEqual(new Set([0]));
    expect(new Set(floor.slice(8).map(({ y }) => y))).toEqual(new Set([1]));
  });

  test('a press finds the chord that lasts there', () => {
    const song = profile('key: C\n1 (4 5) 1\n');
    expect([0, 0.34, 0.6, 1].map((share) => spanAt(song, share)?.index)).toEqual([0, 1, 2, 3]);
    expect(spanAt(profile(''), 0.5)).toBeUndefined();
  });

  test('equal heights beside each other are one plateau', () => {
    expect(plateausOf([0, 0, 2, 2, 2, 0])).toEqual([
      { from: 0, to: 2, top: 0 },
      { from: 2, to: 5, top: 2 },
      { from: 5, to: 6, top: 0 },
    ]);
  });
});
