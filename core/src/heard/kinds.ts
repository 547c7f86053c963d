import { type Formula, formulaOf, formulaTones } from '../chord/formula.ts';
import type { ToneName } from '../chord/tone-table.ts';
import { chroma } from '../pitch/note.ts';

/** A quality a song may be heard in, and what speaks against it before anything is heard. */
export interface Kind {
  readonly formula: Formula;
  /** The half steps above the root that belong to it, one bit each. */
  readonly steps: number;
  /** Its first three tones alone, where it has more of them. */
  readonly plain: Formula | null;
  /** Plain chords cost nothing: a fuller name has to be earned by its notes. */
  readonly cost: number;
}

function kind(cost: number, ...names: readonly ToneName[]): Kind {
  const formula = formulaOf(...names);
  const steps = formulaTones(formula).reduce((heard, { interval }) => heard | (1 << chroma(interval)), 0);
  return { formula, steps, plain: names.length > 3 ? formulaOf(...names.slice(0, 3)) : null, cost };
}

/** What accompaniments are made of, plain ones first. */
export const KINDS: readonly Kind[] = [
  kind(0, '1', '3', '5'),
  kind(0, '1', 'b3', '5'),
  kind(0.3, '1', '3', '5', 'b7'),
  kind(0.4, '1', 'b3', '5', 'b7'),
  kind(0.5, '1', '3', '5', '7'),
  kind(0.45, '1', 'b3', 'b5'),
  kind(0.6, '1', 'b3', 'b5', 'b7'),
  kind(0.55, '1', 'b3', 'b5', 'bb7'),
  kind(0.7, '1', '3', '#5'),
  kind(0.65, '1', '4', '5'),
  kind(0.85, '1', '2', '5'),
  kind(0.75, '1', '4', '5', 'b7'),
  kind(0.85, '1', '3', '5', '6'),
  kind(0.85, '1', 'b3', '5', '6'),
  kind(1, '1', 'b3', '5', '7'),
];

/** How many of the kinds a melody alone is heard in: major, minor, dominant. */
export const MELODY_KINDS = 3;
