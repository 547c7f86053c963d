import { changeWords, readChart } from '@aurora/core';

/** Longer charts are not compared one save after the other. */
const MOST_COMPARED = 40_000;

/** What each chart changed of the one behind it, newest first. */
export function changesOf(sources: readonly string[]): readonly (readonly string[])[] {
  const readings = sources.map((source) => (source.length > MOST_COMPARED ? null : readChart(source)));
  return readings.map((reading, index) => {
    const before = readings[index + 1];
    return reading === null || before === null || before === undefined ? [] : changeWords(before, reading);
  });
}
