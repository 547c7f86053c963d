import { parseChord, sixNine, slashIndex } from '../chord/chord-text.ts';
import { CHART_SCHOOL, parseQuality, printQuality } from '../chord/quality-text.ts';
import { type Failure, failure, type Result, success } from '../fault.ts';
import { majorInterval } from '../interval/interval.ts';
import { printScaleNumber } from '../interval/interval-text.ts';
import { MOST_ACCIDENTALS } from '../pitch/note.ts';
import { scanAccidentals, scanNote } from '../pitch/note-text.ts';
import { chartNumber, type Degree, type NumberChord, numberChord } from './degree.ts';

const BARE_ALTERATION = /^(7[b#♭♯]\d|7alt)/;

/**
 * Reads a number chord, `[accidental]degree[quality][/bass]`: `2-7`, `b77`, `5/7`, `16/9`. The
 * first digit is the degree, the rest its quality. A bass may be a letter, counted from `tonic`.
 */
export function parseNumber(text: string, tonic: number): Result<NumberChord> {
  const degree = scanDegree(text, 0);
  if ('ok' in degree) return degree;
  const rest = text.slice(degree.end);
  const slash = slashIndex(rest);
  const quality = slash < 0 ? rest : rest.slice(0, slash);
  const trap = findTrap(text, quality, slash < 0 ? '' : rest.slice(slash + 1));
  if (trap !== undefined) return trap;
  const formula = parseQuality(sixNine(quality), degree.end);
  if (!formula.ok) return explain(formula, text, quality);
  if (slash < 0) return success({ degree: degree.degree, formula: formula.value, bass: null });
  const bass = parseBassDegree(text, degree.end + slash + 1, tonic);
  if (!bass.ok) return bass;
  return success({ degree: degree.degree, formula: formula.value, bass: bass.value === degree.degree ? null : bass.value });
}

/** The number as chart text writes it: `2-7`, `b7`, `7-7b5`, `5/7`. */
export function printNumber(chord: NumberChord): string {
  const bass = chord.bass === null ? '' : `/${printScaleNumber(chord.bass)}`;
  return `${printScaleNumber(chord.degree)}${printQuality(chord.formula, CHART_SCHOOL)}${bass}`;
}

function scanDegree(text: string, start: number): { degree: Degree; end: number } | Failure {
  const { count, end } = scanAccidentals(text, start);
  const digit = text[end] ?? '';
  if (!/^\d$/.test(digit)) return failure({ code: 'token-unreadable', text }, start, text.length - start);
  if (!/^[1-7]$/.test(digit)) return failure({ code: 'degree-range', text, digit }, end, 1);
  if (Math.abs(count) > MOST_ACCIDENTALS) return failure({ code: 'degree-accidentals', text }, start, end - start);
  return { degree: majorInterval(Number(digit) - 1) + 7 * count, end: end + 1 };
}

function parseBassDegree(text: string, start: number, tonic: number): Result<Degree> {
  const unknown = failure({ code: 'bass-unknown', text, bass: text.slice(start) }, start, text.length - start);
  const letter = scanNote(text, start);
  if (!('ok' in letter)) {
    if (letter.end < text.length) return unknown;
    const chord = numberChord({ root: letter.note, formula: 0, bass: null }, tonic);
    return success(chord.degree);
  }
  const degree = scanDegree(text, start);
  return 'ok' in degree || degree.end < text.length ? unknown : success(degree.degree);
}

/** Spellings that look right and mean something else: answered, never guessed. */
function findTrap(text: string, quality: string, bass: string): Failure | undefined {
  if (quality === '' && bass === '9') return failure({ code: 'number-six-nine', text, write: '169' }, 0, text.length);
  if (BARE_ALTERATION.test(text)) {
    return failure({ code: 'number-on-seven', text, write: `5${text}` }, 0, text.length);
  }
  return undefined;
}

/** A quality made of digits is bars run together: `13`, `1451`. */
function explain(fault: Failure, text: string, quality: string): Failure {
  if (fault.fault.code === 'quality-bare-alteration') {
    const degree = text.slice(0, text.length - quality.length);
    return { ...fault, fault: { ...fault.fault, write: degree + fault.fault.write } };
  }
  if (/^[1-7]+$/.test(quality) && !text.includes('/')) {
    const write = [text.slice(0, text.length - quality.length), ...quality].join(' ');
    return failure({ code: 'number-run-together', text, write }, 0, text.length);
  }
  return fault;
}

/** Whether letters give the number as it is counted, or the one a chart writes for them. */
export type LetterCount = 'as-typed' | 'as-charted';

/** Reads a chord by number or by letters; letters are counted from `tonic`. */
export function parseNumberOrLetters(text: string, tonic: number, count: LetterCount = 'as-typed'): Result<NumberChord> {
  if (/^[b#♭♯]*\d/.test(text)) return parseNumber(text, tonic);
  const chord = parseChord(text);
  if (!chord.ok) return chord;
  return success(count === 'as-charted' ? chartNumber(chord.value, tonic) : numberChord(chord.value, tonic));
}
