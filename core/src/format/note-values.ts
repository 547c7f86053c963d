import { TICKS } from '../score/score.ts';

/** A written note value: its name, dots, and whether it is one of three in the time of two. */
export interface NoteValue {
  readonly ticks: number;
  readonly type: string;
  readonly dots: number;
  readonly isTriplet: boolean;
}

const TYPES = ['whole', 'half', 'quarter', 'eighth', '16th', '32nd', '64th'] as const;
const MOST_DOTS = 2;

const PLAIN: readonly NoteValue[] = TYPES.flatMap((type, at) => {
  const ticks = (4 * TICKS) / 2 ** at;
  return Array.from(
    { length: MOST_DOTS + 1 },
    (_, dots): NoteValue => ({ ticks: ticks * (2 - 0.5 ** dots), type, dots, isTriplet: false }),
  );
});
const TRIPLETS: readonly NoteValue[] = TYPES.map((type, at) => ({
  ticks: ((4 * TICKS) / 2 ** at) * (2 / 3),
  type,
  dots: 0,
  isTriplet: true,
}));
const BY_TICKS = new Map([...TRIPLETS, ...PLAIN].map((value) => [value.ticks, value]));
const LONGEST_FIRST = PLAIN.filter(({ dots }) => dots < MOST_DOTS).sort((a, b) => b.ticks - a.ticks);
const LEAST = TRIPLETS.at(-1) as NoteValue;

/** A length as the fewest values that are written for it, one tied to the next; what no value fits is written as the shortest. */
export function valuesFor(ticks: number): readonly NoteValue[] {
  const values: NoteValue[] = [];
  let left = Math.round(ticks);
  while (left > 0) {
    const whole = BY_TICKS.get(left);
    const value = whole ?? LONGEST_FIRST.find((one) => one.ticks <= left) ?? { ...LEAST, ticks: left };
    values.push(value);
    left -= value.ticks;
  }
  return values;
}
