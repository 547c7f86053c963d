import { type Failure, failure, type Result, success } from '../fault.ts';
import { accidentals, letterStep, MOST_ACCIDENTALS, type Note, simplest } from './note.ts';

/** How accidentals are written: plain text (`Bb`) or music glyphs (`B♭`). */
export type AccidentalStyle = 'ascii' | 'glyph';

const LETTERS = 'CDEFGAB';
const LETTER_NOTES: readonly Note[] = [0, 2, 4, -1, 1, 3, 5];

/** One sharp or flat is seven places on the line of fifths. */
const PER_ACCIDENTAL = 7;

/** What a scan found: the note and the offset just behind it. */
export interface ScannedNote {
  readonly note: Note;
  readonly end: number;
}

/** Change in accidentals that one character stands for; 0 for any other character. */
function accidentalOf(character: string | undefined): number {
  if (character === 'b' || character === '♭') return -1;
  if (character === '#' || character === '♯') return 1;
  return 0;
}

/** Sharps and flats from `start` on, all of one kind, as `{ count, end }`. */
export function scanAccidentals(text: string, start: number): { count: number; end: number } {
  // a natural says that there is none
  if (text[start] === '♮') return { count: 0, end: start + 1 };
  const sign = accidentalOf(text[start]);
  let end = start;
  while (sign !== 0 && accidentalOf(text[end]) === sign) end += 1;
  return { count: sign * (end - start), end };
}

/**
 * Reads a capital note letter with its accidentals at `start`; further text may follow.
 * Refuses a letter outside A–G and more than two accidentals.
 */
export function scanNote(text: string, start = 0): ScannedNote | Failure {
  const step = LETTERS.indexOf(text[start] ?? ' ');
  if (step < 0) return failure({ code: 'note-letter', text: text.slice(start) }, start, Math.max(1, text.length - start));
  const { count, end } = scanAccidentals(text, start + 1);
  const note = (LETTER_NOTES[step] as Note) + PER_ACCIDENTAL * count;
  if (Math.abs(count) > MOST_ACCIDENTALS) {
    const easier = printNote(simplest(note));
    return failure({ code: 'note-accidentals', text: text.slice(start, end), easier }, start, end - start);
  }
  return { note, end };
}

/** Reads a whole text as one note name: `F#`, `B♭`, `Ebb`. English letters only. */
export function parseNote(text: string): Result<Note> {
  const trimmed = text.trim();
  if (trimmed === '') return failure({ code: 'empty', wanted: 'note' }, 0, 0);
  const scanned = scanNote(trimmed);
  if ('ok' in scanned) return scanned;
  if (scanned.end < trimmed.length) {
    const rest = trimmed.slice(scanned.end);
    return failure({ code: 'note-rest', text: trimmed, rest }, scanned.end, rest.length);
  }
  return success(scanned.note);
}

/** Accidentals as text: −2 gives `bb` or `♭♭`, 0 gives nothing. */
export function printAccidentals(count: number, style: AccidentalStyle = 'ascii'): string {
  const sign = style === 'ascii' ? (count < 0 ? 'b' : '#') : count < 0 ? '♭' : '♯';
  return sign.repeat(Math.abs(count));
}

/** The note's English name. Notes past double accidentals print too, though none is readable back. */
export function printNote(note: Note, style: AccidentalStyle = 'ascii'): string {
  return `${LETTERS[letterStep(note)]}${printAccidentals(accidentals(note), style)}`;
}

/**
 * Plain-text accidentals of numbers and Roman numerals as glyphs: `b3` gives `♭3`, `#iv` `♯iv`. A
 * note name keeps its letter B.
 */
export function withGlyphs(text: string): string {
  return text.replaceAll(/b(?=[b\diIvV])/g, '♭').replaceAll('#', '♯');
}
