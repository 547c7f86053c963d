import type { NumberChord } from '../degree/degree.ts';
import { printRoman } from '../degree/roman-text.ts';
import { type Naming, nameRoman } from '../naming/naming.ts';
import type { AnalyzedChord, Hearing, LocalPart } from './analysis.ts';
import type { Reading } from './reading.ts';

/** What a Roman numeral is written from. */
export interface RomanQuestion {
  readonly number: NumberChord;
  readonly reading: Reading;
  readonly local: LocalPart | null;
}

/** Writes a plain numeral in some school. */
type RomanWriter = (number: NumberChord) => string;

/** A chord's Roman numeral under a hearing, as the school writes it: by case or in capitals, inversions as figures or after a slash. */
export function romanUnder(chord: AnalyzedChord, hearing: Hearing, naming: Naming): string {
  const write: RomanWriter = (number) => nameRoman(number, { ...naming, degrees: naming.degrees === 'capitals' ? 'capitals' : 'roman' });
  return hearing === 'local' ? localRoman(chord, write) : write(chord.number);
}

/**
 * The Roman numeral under the local hearing: chords that lean on another degree are written over
 * it, `V7/ii`, `ii7/IV`, `vii°7/vi`, `subV7/I`.
 */
export function localRoman(question: RomanQuestion, write: RomanWriter = printRoman): string {
  const { number, reading, local } = question;
  const target = local?.part === 'two' ? local.target : reading.target;
  if (target === null || !isApplied(question)) return write(number);
  const onTarget = `/${write(target)}`;
  const bass = number.bass === null ? null : number.bass - target.degree;
  const print = (degree: number) => write({ degree, formula: number.formula, bass });
  switch (reading.kind) {
    case 'secondary-dominant':
      return `${print(FIVE)}${onTarget}`;
    case 'tritone-substitute':
      return `sub${write({ degree: FIVE, formula: number.formula, bass: null })}${onTarget}`;
    case 'secondary-leading-tone':
      return `${print(SEVEN)}${onTarget}`;
    default:
      return `${print(TWO)}${onTarget}`;
  }
}

const FIVE = 1;
const SEVEN = 5;
const TWO = 2;
const APPLIED: readonly string[] = ['secondary-dominant', 'tritone-substitute', 'secondary-leading-tone', 'related-two'];

function isApplied({ reading, local }: RomanQuestion): boolean {
  return APPLIED.includes(reading.kind) || local?.part === 'two';
}
