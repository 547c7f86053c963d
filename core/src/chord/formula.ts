import type { Interval } from '../interval/interval.ts';
import { majorInterval } from '../interval/interval.ts';
import { scanAccidentals } from '../pitch/note-text.ts';
import { TONE_TABLE, type ToneName } from './tone-table.ts';

/**
 * The tones of a chord against its own root, as a set: bit n stands for entry n of the tone
 * table. Two chords are of one quality exactly when their formulas are the same number.
 */
export type Formula = number;

/** One tone of a formula. */
export interface Tone {
  readonly name: ToneName;
  /** 1–7, or 9, 11, 13 for tones past the octave. */
  readonly number: number;
  /** Sharps or flats against the major scale of the root. */
  readonly alteration: number;
  /** Distance from the root on the line of fifths. */
  readonly interval: Interval;
}

const TONES: readonly Tone[] = TONE_TABLE.map((name) => {
  const { count, end } = scanAccidentals(name, 0);
  const number = Number(name.slice(end));
  return { name, number, alteration: count, interval: majorInterval((number - 1) % 7) + 7 * count };
});

/** Looked up for every note of every name tried: plain records, without anything inherited. */
const INTERVALS: Record<ToneName, Interval> = Object.assign(
  Object.create(null),
  Object.fromEntries(TONES.map(({ name, interval }) => [name, interval])),
);
const BITS: Record<string, Formula | undefined> = Object.assign(
  Object.create(null),
  Object.fromEntries(TONE_TABLE.map((name, index) => [name, 1 << index])),
);

/** The formula holding just this tone; undefined when no chord tone has that name. */
export function findTone(name: string): Formula | undefined {
  return BITS[name];
}

/** How far the tone lies from the root on the line of fifths. */
export function toneInterval(name: ToneName): Interval {
  return INTERVALS[name];
}

/** The formula made of the named tones, such as `formulaOf('1', 'b3', '5')`. */
export function formulaOf(...names: readonly ToneName[]): Formula {
  return names.reduce((formula, name) => formula | (BITS[name] as Formula), 0);
}

/** Every seventh a chord may have: diminished, minor, major. */
export const SEVENTHS: Formula = formulaOf('bb7', 'b7', '7');

/** The formula without its seventh. */
export function withoutSeventh(formula: Formula): Formula {
  return formula & ~SEVENTHS;
}

/** The tones of a formula in spelling order, root first. */
export function formulaTones(formula: Formula): readonly Tone[] {
  if (formula === 0) return [];
  return TONES.filter((_, index) => (formula & (1 << index)) !== 0);
}

/** The tones' names: `['1', 'b3', '5']`. */
export function formulaNames(formula: Formula): readonly ToneName[] {
  return formulaTones(formula).map((tone) => tone.name);
}

/** Whether the formula holds all tones of the other one. */
export function holdsAll(formula: Formula, tones: Formula): boolean {
  return (formula & tones) === tones;
}

/** Whether the formula holds at least one tone of the other one. */
export function holdsAny(formula: Formula, tones: Formula): boolean {
  return (formula & tones) !== 0;
}
