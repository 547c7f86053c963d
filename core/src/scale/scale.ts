import { mod } from '../fault.ts';
import { type Interval, intervalSemitones } from '../interval/interval.ts';
import { findScaleNumber } from '../interval/interval-text.ts';
import { type ChordScaleName, FREE_SCALE_TABLE, SCALE_ALIASES, SCALE_TABLE, type ScaleName } from './scale-table.ts';

/** A step between neighbouring scale notes: whole, half, or a whole and a half. */
export type Step = 'W' | 'H' | 'W+H';

export const SCALE_NAMES = Object.keys(SCALE_TABLE) as ScaleName[];

const INTERVALS = new Map<ScaleName, readonly Interval[]>(
  SCALE_NAMES.map((name) => [name, SCALE_TABLE[name].split(' ').map((number) => findScaleNumber(number) as Interval)]),
);

/** The seven intervals of a scale above its tonic, ascending, the tonic first. */
export function scaleIntervals(scale: ScaleName): readonly Interval[] {
  return INTERVALS.get(scale) as readonly Interval[];
}

const FREE_INTERVALS = new Map<string, readonly Interval[]>(
  Object.entries(FREE_SCALE_TABLE).map(([name, numbers]) => [
    name,
    numbers.split(' ').map((number) => findScaleNumber(number) as Interval),
  ]),
);

/** The intervals of any scale played over a chord, ascending; six to eight of them. */
export function chordScaleIntervals(scale: ChordScaleName): readonly Interval[] {
  return FREE_INTERVALS.get(scale) ?? scaleIntervals(scale as ScaleName);
}

/** The seven steps of a scale, the last one leading back up to the tonic. */
export function scaleSteps(scale: ScaleName): readonly Step[] {
  const intervals = scaleIntervals(scale);
  return intervals.map((interval, index) => {
    const next = intervals[(index + 1) % intervals.length] as Interval;
    return stepOf(mod(intervalSemitones(next) - intervalSemitones(interval), 12));
  });
}

/** Whether a chord on the tonic is minor: the scale has ♭3 and no 3. */
export function isMinorScale(scale: ScaleName): boolean {
  return scaleIntervals(scale).some((interval) => interval === -3);
}

/** The scale by any of its names, whatever the case; undefined when no player would know it. */
export function findScale(text: string): ScaleName | undefined {
  const name = text.trim().toLowerCase().replace(/\s+/g, ' ').replaceAll('♭', 'b').replaceAll('♯', '#');
  if (Object.hasOwn(SCALE_TABLE, name)) return name as ScaleName;
  return Object.hasOwn(SCALE_ALIASES, name) ? SCALE_ALIASES[name] : undefined;
}

function stepOf(semitones: number): Step {
  if (semitones === 1) return 'H';
  return semitones === 2 ? 'W' : 'W+H';
}
