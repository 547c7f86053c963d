import { pulseOf } from '../chart/timeline.ts';
import { type Measure, type Score, TICKS } from './score.ts';
import { lastBy } from './search.ts';

/** A place in a piece: bars count from 1 with a pickup as bar 0, beats from 1 in the meter's denominator. */
export interface ScorePlace {
  readonly bar: number;
  readonly beat: number;
}

/** Ticks in a beat of the meter's denominator. */
export function beatTicks({ meter }: Pick<Measure, 'meter'>): number {
  return (TICKS * 4) / meter.unit;
}

/** Ticks in what is felt as one beat: three eighths in 6/8. */
export function pulseTicks({ meter }: Pick<Measure, 'meter'>): number {
  return beatTicks({ meter }) * pulseOf(meter);
}

/** The index of the measure that a time lies in; the last one for what lies behind it. */
export function measureAt({ measures }: Pick<Score, 'measures'>, time: number): number {
  return lastBy(measures, time);
}

const PRECISE = 1000;

/** Where a time is written. Beats are told to a thousandth. */
export function placeOf(score: Pick<Score, 'measures'>, time: number): ScorePlace {
  const measure = score.measures[measureAt(score, time)] as Measure;
  return { bar: measure.number, beat: 1 + Math.round(((time - measure.from) / beatTicks(measure)) * PRECISE) / PRECISE };
}

/** The time of a place; undefined for a bar that is not there. */
export function timeOf({ measures }: Pick<Score, 'measures'>, { bar, beat }: ScorePlace): number | undefined {
  const measure = measures.find(({ number }) => number === bar);
  return measure === undefined ? undefined : Math.round(measure.from + (beat - 1) * beatTicks(measure));
}

/** How strongly a time is felt: 3 on the first beat, 2 in the middle of a bar, 1 on another beat, 0 off the beat. */
export function accentAt(score: Pick<Score, 'measures'>, time: number): 0 | 1 | 2 | 3 {
  const measure = score.measures[measureAt(score, time)] as Measure;
  return accentIn(measure, time);
}

/** The same in a measure that is known. A pickup is the end of a bar. */
export function accentIn(measure: Measure, time: number): 0 | 1 | 2 | 3 {
  const full = beatTicks(measure) * measure.meter.beats;
  const isPickup = measure.number === 0;
  const into = time - measure.from + (isPickup ? Math.max(0, full - (measure.to - measure.from)) : 0);
  if (into === 0) return 3;
  const pulse = pulseTicks(measure);
  if (into % pulse !== 0) return 0;
  const pulses = full / pulse;
  return pulses % 2 === 0 && pulses > 2 && (into / pulse) % 2 === 0 ? 2 : 1;
}
