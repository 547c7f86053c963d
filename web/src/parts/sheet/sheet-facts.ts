import { type ChartReading, printLength, secondsOf, timelineOf } from '@aurora/core';

/** What is said over a chart on the screen: meter, tempo, how long it is, by whom. */
export function sheetFacts(reading: ChartReading): readonly string[] {
  const { head, performance } = reading;
  const seconds = secondsOf(timelineOf(reading));
  return [
    `${head.meter.beats}/${head.meter.unit}`,
    head.tempo === null ? '' : `${head.tempo} bpm`,
    head.feel,
    performance.count === 1 ? '1 bar played' : `${performance.count} bars played`,
    seconds === null || seconds === 0 ? '' : printLength(seconds),
    head.numbering === 'relative' ? 'numbered from the relative major' : '',
    head.by,
  ].filter((fact) => fact !== '');
}
