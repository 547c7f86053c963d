import { type AccidentalStyle, printAccidentals } from '../pitch/note-text.ts';
import type { Formula } from './formula.ts';
import { ALTERED_FORMULA, type Family, type Quality, qualityOf } from './quality.ts';
import type { ToneName } from './tone-table.ts';

/** How a naming school writes qualities. One plain value, passed in. */
export interface QualitySchool {
  readonly minor: string;
  readonly diminished: string;
  /** The diminished triad, where it is called something else: `mb5`. */
  readonly diminishedTriad: string;
  readonly augmented: string;
  readonly majorSeventh: string;
  /** What a minor seventh with ♭5 is called: spelled out, or by its sign. */
  readonly halfDiminished: 'flat-five' | 'sign';
  /** Whether what follows a bare minor stands in parentheses: `m(maj7)`, `m(add9)`. */
  readonly minorParentheses: boolean;
  /** Whether an augmented major seventh is written `maj7#5` rather than `+maj7`. */
  readonly sharpFive: boolean;
  readonly accidentals: AccidentalStyle;
}

/** The one plain spelling of letter chords, as the API answers: `Gm7b5`, `Gm(maj7)`, `Gmaj7#5`. */
export const LETTER_SCHOOL: QualitySchool = {
  minor: 'm',
  diminished: 'dim',
  diminishedTriad: 'dim',
  augmented: 'aug',
  majorSeventh: 'maj',
  halfDiminished: 'flat-five',
  minorParentheses: true,
  sharpFive: true,
  accidentals: 'ascii',
};

/** The spelling of chart text: `2-7`, `7-7b5`, `1-maj7`, `5+7`. */
export const CHART_SCHOOL: QualitySchool = {
  minor: '-',
  diminished: 'o',
  diminishedTriad: 'o',
  augmented: '+',
  majorSeventh: 'maj',
  halfDiminished: 'flat-five',
  minorParentheses: false,
  sharpFive: false,
  accidentals: 'ascii',
};

/** A song has a handful of qualities and prints each of them hundreds of times. */
const printed = new WeakMap<QualitySchool, Map<Formula, string>>();
const MOST_REMEMBERED = 500;

/** The quality as the school writes it; `parseQuality` reads every school back. */
export function printQuality(formula: Formula, school: QualitySchool): string {
  let known = printed.get(school);
  if (known === undefined || known.size > MOST_REMEMBERED) {
    known = new Map();
    printed.set(school, known);
  }
  let text = known.get(formula);
  if (text === undefined) {
    text = spellQuality(formula, school);
    known.set(formula, text);
  }
  return text;
}

function spellQuality(formula: Formula, school: QualitySchool): string {
  if (formula === ALTERED_FORMULA) return '7alt';
  const quality = qualityOf(formula);
  if (quality.family === 'power') return '5';
  if (isAddedPower(quality)) return `5${quality.additions.map((name) => `add${printTone(name, school)}`).join('')}`;
  const stem = printStem(quality, school);
  const suspension = quality.suspension === 'none' ? '' : quality.suspension;
  const alterations = quality.alterations.filter((name) => !(name === 'b5' && stem.tellsFlatFive));
  const departures = [
    ...(stem.sharpFive ? ['#5' as const, ...alterations] : alterations).map((name) => printTone(name, school)),
    ...quality.additions.map((name) => `add${printTone(name, school)}`),
    ...quality.omissions.map((number) => `no${number}`),
  ].join('');
  const head = stem.text + suspension;
  const bareAlteration = head === '' && quality.alterations.length > 0;
  const bareMinor = school.minorParentheses && head === school.minor && departures !== '';
  return bareAlteration || bareMinor ? `${head}(${departures})` : head + departures;
}

/** Root and fifth with something added: `5add9` rather than `add9no3`. */
function isAddedPower({ family, extension, suspension, alterations, additions, omissions }: Quality): boolean {
  if (family !== 'major' || extension !== 'none' || suspension !== 'none' || alterations.length > 0) return false;
  return additions.length > 0 && omissions.length === 1 && omissions[0] === 3;
}

interface Stem {
  readonly text: string;
  readonly tellsFlatFive: boolean;
  readonly sharpFive: boolean;
}

function printStem(quality: Quality, school: QualitySchool): Stem {
  const { family, extension, majorSeventh } = quality;
  const number = extension === 'none' ? '' : extension;
  const seventh = majorSeventh && number !== '' ? `${school.majorSeventh}${number}` : number;
  const plain = { tellsFlatFive: false, sharpFive: false };
  if (family === 'minor' && school.halfDiminished === 'sign' && !majorSeventh && isHalfDiminished(quality)) {
    return { ...plain, text: `ø${number}`, tellsFlatFive: true };
  }
  if (family === 'augmented' && majorSeventh && school.sharpFive) return { ...plain, text: seventh, sharpFive: true };
  const signs: Record<Family, string> = {
    major: '',
    minor: school.minor,
    diminished: number === '' ? school.diminishedTriad : school.diminished,
    augmented: school.augmented,
    power: '',
  };
  const parentheses = majorSeventh && school.minorParentheses && (family === 'minor' || family === 'diminished');
  return { ...plain, text: signs[family] + (parentheses ? `(${seventh})` : seventh) };
}

function isHalfDiminished({ extension, alterations }: Quality): boolean {
  return alterations[0] === 'b5' && (extension === '7' || extension === '9' || extension === '11' || extension === '13');
}

function printTone(name: ToneName, school: QualitySchool): string {
  if (school.accidentals === 'ascii') return name;
  const digits = name.replace(/^[b#]+/, '');
  const count = name.length - digits.length;
  return printAccidentals(name.startsWith('b') ? -count : count, 'glyph') + digits;
}
