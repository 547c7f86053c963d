import { letterStep, MOST_ACCIDENTALS } from '../pitch/note.ts';
import { type AccidentalStyle, printAccidentals, scanAccidentals } from '../pitch/note-text.ts';
import { type Interval, majorInterval } from './interval.ts';

/**
 * The interval as a number counted on the major scale: `1`, `b3`, `#4`, `bb7`.
 * This is how formulas and degrees are written.
 */
export function printScaleNumber(interval: Interval, style: AccidentalStyle = 'ascii'): string {
  return `${printAccidentals(accidentalsOnMajor(interval), style)}${letterStep(interval) + 1}`;
}

/** Sharps or flats the interval has against the major scale: ♭3 is −1, ♯4 is 1. */
export function accidentalsOnMajor(interval: Interval): number {
  return (interval - majorInterval(letterStep(interval))) / 7;
}

/** Reads `b3`, `#4`, `♭♭7`; undefined for anything else. Numbers run from 1 to 7. */
export function findScaleNumber(text: string): Interval | undefined {
  const { count, end } = scanAccidentals(text, 0);
  const step = Number(text.slice(end)) - 1;
  if (!/^[1-7]$/.test(text.slice(end)) || Math.abs(count) > MOST_ACCIDENTALS) return undefined;
  return majorInterval(step) + 7 * count;
}
