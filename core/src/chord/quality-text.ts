import { type Failure, failure, type Result, success } from '../fault.ts';
import { type Formula, findTone, formulaOf, holdsAny } from './formula.ts';
import { ALTERED_FORMULA, type Extension, type Family, frameFormula, type Suspension } from './quality.ts';

export { CHART_SCHOOL, LETTER_SCHOOL, printQuality, type QualitySchool } from './quality-school.ts';

/** A quality being read: where the reader stands, and the tones gathered so far. */
interface Reading {
  /** The text with signs made plain, character for character. */
  readonly text: string;
  at: number;
  family: Family;
  extension: Extension;
  majorSeventh: boolean;
  /** The tones the frame brought, which an alteration takes the place of. */
  implied: Formula;
  formula: Formula;
}

const SIGNS: Readonly<Record<string, string>> = Object.fromEntries(
  // one character for one, so that places stay places
  [...'−–♭♯°ºØ∆Δ^⁰¹²³⁴⁵⁶⁷⁸⁹⁺⁻⁽⁾ᵃᵇᵈᵉᵍⁱʲᵐⁿᵒˢᵘ'].map((sign, place) => [sign, [...'--b#ooø△△△0123456789+-()abdegijmnosu'][place] as string]),
);
/** Text without any of the signs: all of ASCII but the caret. */
const PLAIN = /^[ -\]_-~]*$/;
const SIGN = new RegExp(`[${Object.keys(SIGNS).join('').replace('^', '\\^')}]`, 'gu');

const MAJOR_BEGINS = 'mM△j';
const MAJOR_SIGNS = ['maj', 'Maj', 'MAJ', '△', 'j'];
const FAMILY_SIGNS: readonly (readonly [string, Family])[] = [
  ['min', 'minor'],
  ['MIN', 'minor'],
  ['MI', 'minor'],
  ['mi', 'minor'],
  ['m', 'minor'],
  ['-', 'minor'],
  ['dim', 'diminished'],
  ['o', 'diminished'],
  ['aug', 'augmented'],
  ['+', 'augmented'],
];
const HALF_DIMINISHED_SIGNS = ['ø', 'h7'];
const EXTENSIONS: readonly Extension[] = ['13', '11', '9', '7', '69', '6'];
const SUSPENSIONS: readonly (readonly [string, Suspension])[] = [
  ['sus2sus4', 'sus2sus4'],
  ['sus24', 'sus2sus4'],
  ['sus4', 'sus4'],
  ['sus2', 'sus2'],
  ['sus', 'sus4'],
];
const ALTERABLE = ['13', '11', '9', '5'];
const ADDABLE = ['13', '11', '9', '7', '6', '5', '4', '3', '2'];
const STROKED = ['13', '11', '9', '6'];
const OMITTABLE = ['13', '11', '9', '7', '5', '3'];

const TRIAD = formulaOf('1', '3', '5');
const POWER = formulaOf('1', '5');
const FIFTHS = formulaOf('b5', '5', '#5');
const THIRDS = formulaOf('b3', '3');
const NINTH = formulaOf('9');
const NUMBERED: Readonly<Record<string, Formula>> = {
  '3': THIRDS,
  '5': FIFTHS,
  '7': formulaOf('bb7', 'b7', '7'),
  '9': formulaOf('b9', '9', '#9'),
  '11': formulaOf('b11', '11', '#11'),
  '13': formulaOf('b13', '13'),
};

/**
 * Reads what follows a root or a degree: `maj7`, `-7b5`, `7(b9,#11)`, `sus4`, `△`. Every school
 * is read; nothing at all means a major triad. Positions of faults count from `offset`.
 */
export function parseQuality(text: string, offset = 0): Result<Formula> {
  if (text === '') return success(TRIAD);
  const known = KNOWN.get(text);
  if (known !== undefined) return success(known);
  const short = spoken(text);
  const read = readQuality(short, offset + text.length - short.length);
  if (read.ok) remember(text, read.value);
  return read;
}

/** Qualities in whole words, as people say them, each with its sign. */
const SPOKEN: readonly (readonly [RegExp, string])[] = [
  [/^half-?dim(?:inished)?7?(?![a-z])/, 'm7b5'],
  [/^minor/, 'm'],
  [/^major/, 'maj'],
  [/^dom(?:inant)?$/, '7'],
  [/^dom(?:inant)?(?=\d)/, ''],
  [/^diminished/, 'dim'],
  [/^augmented/, 'aug'],
  [/^suspended/, 'sus'],
];

/** A quality that begins with a whole word, with its sign in the place of it. */
function spoken(text: string): string {
  const found = /^[a-z]{3}/.test(text) ? SPOKEN.find(([word]) => word.test(text)) : undefined;
  return found === undefined ? text : text.replace(found[0], found[1]);
}

/** Qualities that were read before: a song has few of them, and they come again and again. */
const KNOWN = new Map<string, Formula>();
const MOST_KNOWN = 500;

function remember(text: string, formula: Formula): void {
  if (KNOWN.size >= MOST_KNOWN) KNOWN.clear();
  KNOWN.set(text, formula);
}

function readQuality(text: string, offset: number): Result<Formula> {
  const plain = PLAIN.test(text) ? text : text.replace(SIGN, (sign) => SIGNS[sign] as string);
  if (plain === '5') return success(POWER);
  if (plain === 'alt') return success(ALTERED_FORMULA);
  const reading: Reading = { text: plain, at: 0, family: 'major', extension: 'none', majorSeventh: false, implied: 0, formula: 0 };
  const fault = readPower(reading) ?? readFrame(reading) ?? readDepartures(reading);
  if (fault === undefined) return success(reading.formula);
  return { ...fault, span: { start: fault.span.start + offset, length: fault.span.length } };
}

/** `5add9`: what is added to a chord without a third. */
function readPower(reading: Reading): Failure | undefined {
  if (!reading.text.startsWith('5add')) return undefined;
  take(reading, '5');
  reading.family = 'power';
  return undefined;
}

function readFrame(reading: Reading): Failure | undefined {
  if (reading.family === 'power') {
    reading.formula = POWER;
    return undefined;
  }
  const flatFive = readFamily(reading);
  if (flatFive === undefined) return unknown(reading);
  reading.implied = frameFormula({ ...reading, suspension: 'none' });
  reading.formula = reading.implied;
  if (flatFive) setFifth(reading, formulaOf('b5'));
  return undefined;
}

/** Family and extension; answers whether a half-diminished sign was read, undefined for nonsense. */
function readFamily(reading: Reading): boolean | undefined {
  if (isDigit(reading)) {
    readExtensionFirst(reading);
    return false;
  }
  if (readMajorFamily(reading)) return false;
  if (takeAny(reading, HALF_DIMINISHED_SIGNS)) {
    reading.family = 'minor';
    reading.extension = takeExtension(reading) ?? '7';
    return true;
  }
  reading.family = takePair(reading, FAMILY_SIGNS) ?? 'major';
  if (reading.family === 'augmented' && take(reading, '5')) return false;
  if (reading.family !== 'major') readMajorSeventhSign(reading);
  reading.extension = takeExtension(reading) ?? reading.extension;
  return reading.majorSeventh && reading.extension === 'none' ? undefined : false;
}

/** `7`, `13`, and `7M`: the extension before the sign of its major seventh. */
function readExtensionFirst(reading: Reading): void {
  reading.extension = takeExtension(reading) ?? 'none';
  const mayBeMajor = reading.extension !== 'none' && reading.extension !== '6' && reading.extension !== '69';
  if (mayBeMajor && reading.text[reading.at] === 'M') reading.majorSeventh = take(reading, 'M');
}

/** `maj7`, `△`, `(maj7)`; false where no major sign stands. */
function readMajorFamily(reading: Reading): boolean {
  const inside = startsMajorParenthesis(reading);
  if (inside) take(reading, '(');
  const sign = reading.text[reading.at];
  if (!takeMajorSign(reading)) return false;
  reading.majorSeventh = true;
  reading.extension = takeExtension(reading) ?? (inside || sign === '△' ? '7' : 'none');
  return true;
}

/** `C(maj7)`: the seventh alone in its parenthesis. */
function startsMajorParenthesis({ text, at }: Reading): boolean {
  if (text[at] !== '(') return false;
  return /^\((?:maj|Maj|MAJ|ma|MA|M|j|△)(?:7|9|11|13)\)/.test(text.slice(at)) || /^\(△\)/.test(text.slice(at));
}

/** The `maj7` of a minor-major seventh, with or without its parenthesis, or behind a stroke. */
function readMajorSeventhSign(reading: Reading): void {
  const start = reading.at;
  if (!take(reading, '(')) take(reading, '/');
  const sign = reading.at;
  if (takeMajorSign(reading)) {
    reading.majorSeventh = true;
    if (reading.text[sign] === '△') reading.extension = '7';
  } else {
    reading.at = start;
  }
}

/** `ma` counts only before a number: `madd9` is a minor chord. */
function takeMajorSign(reading: Reading): boolean {
  const first = reading.text[reading.at];
  if (first === undefined || !MAJOR_BEGINS.includes(first)) return false;
  if (takeAny(reading, MAJOR_SIGNS)) return true;
  if (/^(?:ma|MA)\d/.test(reading.text.slice(reading.at, reading.at + 3))) return takeAny(reading, ['ma', 'MA']);
  return !reading.text.startsWith('MI', reading.at) && take(reading, 'M');
}

function takeExtension(reading: Reading): Extension | undefined {
  return isDigit(reading) ? EXTENSIONS.find((extension) => take(reading, extension)) : undefined;
}

function readDepartures(reading: Reading): Failure | undefined {
  let depth = parenthesesBefore(reading);
  while (reading.at < reading.text.length) {
    const start = reading.at;
    const nested = takeParenthesis(reading);
    depth += nested;
    if (nested > 0 && EMPTY_PARENTHESES.test(reading.text.slice(start))) return unknown({ ...reading, at: start });
    const fault = nested !== 0 || take(reading, ',') || take(reading, ' ') ? undefined : readDeparture(reading, depth > 0);
    if (fault !== undefined) return fault;
    if (depth < 0) return unknown({ ...reading, at: start });
  }
  return depth === 0 ? undefined : unknown({ ...reading, at: reading.text.lastIndexOf('(') });
}

const EMPTY_PARENTHESES = /^\(\s*\)/;

/** 1 for an opening parenthesis, −1 for a closing one, 0 for anything else. */
function takeParenthesis(reading: Reading): number {
  if (take(reading, '(')) return 1;
  return take(reading, ')') ? -1 : 0;
}

function parenthesesBefore(reading: Reading): number {
  return reading.text.lastIndexOf('(', reading.at - 1) >= 0 && reading.at > 0 ? 1 : 0;
}

function readDeparture(reading: Reading, inside: boolean): Failure | undefined {
  const start = reading.at;
  const first = reading.text[start];
  // most departures are alterations
  if (first === 'b' || first === '#') return readAlteration(reading, start);
  const suspension = first === 's' ? takePair(reading, SUSPENSIONS) : undefined;
  if (suspension !== undefined) return suspend(reading, suspension, start);
  if (inside && takeMajorSign(reading)) return majorSeventhOf(reading, start);
  const worded = WORDS.find(([words]) => takeAny(reading, words));
  if (worded !== undefined) return worded[1](reading, start);
  return readSigned(reading, start, inside);
}

/** Departures that begin with a word. */
const WORDS: readonly (readonly [readonly string[], (reading: Reading, start: number) => Failure | undefined])[] = [
  [['add', 'Add'], readAddition],
  [['omit', 'no'], readOmission],
  [['alt.', 'alt'], readAltered],
];

function readSigned(reading: Reading, start: number, inside: boolean): Failure | undefined {
  if (start > 0 && take(reading, 'aug')) return raiseFifth(reading, start);
  if (start > 0 && take(reading, '/')) return readStroke(reading, start);
  if (start === 0 && take(reading, '2')) return add(reading, NINTH);
  const mayStack = inside && reading.extension !== 'none';
  const stacked = mayStack ? STROKED.find((candidate) => candidate !== '6' && take(reading, candidate)) : undefined;
  return stacked === undefined ? readAlteration(reading, start) : add(reading, findTone(stacked) as Formula);
}

function suspend(reading: Reading, suspension: Suspension, start: number): Failure | undefined {
  if (reading.family !== 'major' || !holdsAny(reading.formula, THIRDS)) return contradiction(reading, start);
  // sus7, sus9, sus13: the seventh behind its suspension
  const extension = reading.extension === 'none' ? (takeExtension(reading) ?? 'none') : 'none';
  if (extension === '6' || extension === '69') return contradiction(reading, start);
  const tones = frameFormula({ family: 'major', extension, majorSeventh: false, suspension });
  if (extension !== 'none') reading.extension = extension;
  reading.formula = (reading.formula & ~THIRDS) | (extension === 'none' ? tones & ~POWER : tones);
  return undefined;
}

/** `(maj7)` behind a ninth: the seventh that the ninth stands on is a major one. */
function majorSeventhOf(reading: Reading, start: number): Failure | undefined {
  if (!take(reading, '7')) return unknown({ ...reading, at: start });
  if (reading.family !== 'minor' || reading.extension === 'none' || reading.extension.startsWith('6')) return contradiction(reading, start);
  reading.formula = (reading.formula & ~(NUMBERED['7'] as Formula)) | formulaOf('7');
  return undefined;
}

/** `7aug`, `7+`: the fifth of a seventh chord raised. */
function raiseFifth(reading: Reading, start: number): Failure | undefined {
  return setFifth(reading, formulaOf('#5')) ? undefined : contradiction(reading, start);
}

/** `7/13`: a tone behind a stroke, added to a seventh chord. */
function readStroke(reading: Reading, start: number): Failure | undefined {
  const number = STROKED.find((candidate) => take(reading, candidate));
  if (number === undefined || reading.extension === 'none') return unknown({ ...reading, at: start });
  return add(reading, findTone(number) as Formula);
}

function readAddition(reading: Reading, start: number): Failure | undefined {
  const sign = takeAccidental(reading);
  const twice = sign === 'b' && take(reading, 'b') ? 'b' : '';
  const number = ADDABLE.find((candidate) => take(reading, candidate));
  const tone = number === undefined ? undefined : findTone(sign + twice + number);
  return tone === undefined ? unknown({ ...reading, at: start }) : add(reading, tone);
}

function readOmission(reading: Reading, start: number): Failure | undefined {
  const number = OMITTABLE.find((candidate) => take(reading, candidate));
  if (number === undefined) return unknown({ ...reading, at: start });
  const tones = NUMBERED[number] as Formula;
  if (!holdsAny(reading.formula, tones)) return contradiction(reading, start);
  reading.formula &= ~tones;
  return undefined;
}

function readAltered(reading: Reading, start: number): Failure | undefined {
  if (reading.family !== 'major' || reading.extension !== '7' || reading.majorSeventh) return contradiction(reading, start);
  if (reading.formula !== reading.implied) return contradiction(reading, start);
  reading.formula = ALTERED_FORMULA;
  return undefined;
}

function readAlteration(reading: Reading, start: number): Failure | undefined {
  const sign = takeAccidental(reading, true);
  if (start > 0 && reading.text[start] === '+' && !isDigit(reading)) return raiseFifth(reading, start);
  if (sign === 'b' && reading.family === 'minor' && take(reading, '6')) return add(reading, formulaOf('b13'));
  const number = sign === '' ? undefined : ALTERABLE.find((candidate) => take(reading, candidate));
  const tone = number === undefined ? undefined : findTone(sign + number);
  if (number === undefined || tone === undefined) return unknown({ ...reading, at: start });
  if (start === 0) {
    const text = reading.text.slice(0, reading.at);
    return failure({ code: 'quality-bare-alteration', text, write: `(${sign}${number})` }, 0, reading.at);
  }
  if (number === '5') return setFifth(reading, tone) ? undefined : contradiction(reading, start);
  reading.formula &= ~((findTone(number) as Formula) & reading.implied);
  return add(reading, tone);
}

/** Puts an altered fifth in place of the plain one; false when another altered fifth stands there. */
function setFifth(reading: Reading, tone: Formula): boolean {
  const standing = reading.formula & FIFTHS;
  if (standing !== tone && standing !== formulaOf('5')) return false;
  reading.formula = (reading.formula & ~FIFTHS) | tone;
  return true;
}

function add(reading: Reading, tone: Formula): undefined {
  reading.formula |= tone;
  return undefined;
}

// ------------------------------------------------------------------------------- small steps

function isDigit({ text, at }: Reading): boolean {
  const character = text.charCodeAt(at);
  return character >= 48 && character <= 57;
}

function take(reading: Reading, word: string): boolean {
  if (!reading.text.startsWith(word, reading.at)) return false;
  reading.at += word.length;
  return true;
}

function takeAny(reading: Reading, words: readonly string[]): boolean {
  return words.some((word) => take(reading, word));
}

function takePair<T>(reading: Reading, pairs: readonly (readonly [string, T])[]): T | undefined {
  return pairs.find(([word]) => take(reading, word))?.[1];
}

/** `b` or `#`, empty when there is neither; `-` and `+` count too where a symbol allows them. */
function takeAccidental(reading: Reading, withSigns = false): string {
  if (take(reading, 'b') || (withSigns && take(reading, '-'))) return 'b';
  return take(reading, '#') || (withSigns && take(reading, '+')) ? '#' : '';
}

function unknown(reading: Reading): Failure {
  const rest = reading.text.slice(reading.at);
  return failure({ code: 'quality-unknown', text: reading.text, rest }, reading.at, rest.length);
}

function contradiction(reading: Reading, start: number): Failure {
  const tones = reading.text.slice(start, reading.at);
  return failure({ code: 'quality-contradiction', text: reading.text, tones }, start, reading.at - start);
}
