import { type ChartReading, printLength, secondsOf, timelineOf } from '@aurora/core';
import { PARTS_WORDS } from '../../wording/parts.ts';

/** What is said over a chart on the screen: meter, tempo, how long it is, by whom. */
export function sheetFacts(reading: ChartReading): readonly string[] {
  const { head, performance } = reading;
  const seconds = secondsOf(timelineOf(reading));
  return [
    `${head.meter.beats}/${head.meter.unit}`,
    head.tempo === null ? '' : PARTS_WORDS.bpm(head.tempo),
    head.feel,
    performance.count === 1 ? PARTS_WORDS.oneBarPlayed : PARTS_WORDS.barsPlayed(performance.count),
    seconds === null || seconds === 0 ? '' : printLength(seconds),
    head.numbering === 'relative' ? PARTS_WORDS.numberedFromTheRelativeMajor : '',
    head.by,
  ].filter((fact) => fact !== '');
}
