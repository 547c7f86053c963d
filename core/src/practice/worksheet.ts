import type { Chord } from '../chord/chord.ts';
import { chordNotes } from '../chord/chord.ts';
import { parseChord } from '../chord/chord-text.ts';
import { parseNumberOrLetters, printNumber } from '../degree/number-text.ts';
import { printRoman } from '../degree/roman-text.ts';
import { type HarmonizedChord, harmonize } from '../harmony/harmonize.ts';
import { intervalName } from '../interval/interval.ts';
import { type Key, keyNotes } from '../key/key.ts';
import { isEnharmonic, letterStep, type Note } from '../pitch/note.ts';
import { parseNote, printNote, withGlyphs } from '../pitch/note-text.ts';
import { qualityText } from './key-questions.ts';

/** What is derived of a key by hand, row by row. */
export const WORKSHEET_ROWS = ['notes', 'numbers', 'roman', 'tones', 'stack', 'quality'] as const;
export type WorksheetRow = (typeof WORKSHEET_ROWS)[number];

/** How a cell of a worksheet was filled. */
export type CellMark =
  | { readonly kind: 'empty' }
  | { readonly kind: 'right' }
  /** The sound is right, and the key has it under another letter. */
  | { readonly kind: 'letter'; readonly wanted: Note }
  /** The right letter, sharper or flatter than the key has it. */
  | { readonly kind: 'accidental'; readonly wanted: Note }
  /** A tone the key does not have. */
  | { readonly kind: 'foreign'; readonly said: Note; readonly has: Note }
  | { readonly kind: 'wrong'; readonly wanted: string }
  | { readonly kind: 'unread'; readonly row: WorksheetRow };

/** A key to be derived: the solution of every row, degree by degree. */
export function worksheetOf(key: Key, depth: 'triad' | 'seventh'): Readonly<Record<WorksheetRow, readonly string[]>> {
  const chords = harmonize(key, depth);
  return {
    notes: chords.map(({ chord }) => printNote(chord.root)),
    numbers: chords.map(({ number }) => printNumber(number)),
    roman: chords.map(({ number }) => printRoman(number)),
    tones: chords.map(({ chord }) =>
      chordNotes(chord)
        .map((note) => printNote(note))
        .join(' '),
    ),
    stack: chords.map(({ stack }) => stack.map(intervalName).join(' ')),
    quality: chords.map(({ chord }) => qualityText(chord) || 'major'),
  };
}

interface Cell {
  readonly key: Key;
  readonly depth: 'triad' | 'seventh';
  readonly row: WorksheetRow;
  /** 0 for the first degree. */
  readonly place: number;
}

/** Checks a cell, and says what is wrong with it. */
export function checkCell({ key, depth, row, place }: Cell, text: string): CellMark {
  const written = text.trim();
  const chord = harmonize(key, depth)[place] as HarmonizedChord;
  if (written === '') return { kind: 'empty' };
  return CHECKS[row](written, chord, key);
}

type Check = (text: string, chord: HarmonizedChord, key: Key) => CellMark;

const CHECKS: Readonly<Record<WorksheetRow, Check>> = {
  notes: (text, { chord }, key) => checkNotes([text], [chord.root], key),
  tones: (text, { chord }, key) => checkNotes(text.split(/[\s,-]+/), chordNotes(chord), key),
  numbers: (text, { number, chord }, key) => {
    const read = parseNumberOrLetters(text, key.tonic);
    if (!read.ok) return { kind: 'unread', row: 'numbers' };
    const isSame = read.value.degree === number.degree && read.value.formula === chord.formula;
    return isSame ? { kind: 'right' } : { kind: 'wrong', wanted: printNumber(number) };
  },
  roman: (text, { number }) => compared(plainRoman(text), plainRoman(printRoman(number)), printRoman(number)),
  stack: (text, { stack }) =>
    compared(text.split(/[\s,]+/).join(' '), stack.map(intervalName).join(' '), stack.map(intervalName).join(' ')),
  quality: (text, { chord }) => {
    const said = qualitySaid(text);
    if (said === undefined) return { kind: 'unread', row: 'quality' };
    return said === chord.formula ? { kind: 'right' } : { kind: 'wrong', wanted: qualityText(chord) || 'major' };
  },
};

function compared(said: string, wanted: string, shown: string): CellMark {
  return said === wanted ? { kind: 'right' } : { kind: 'wrong', wanted: shown };
}

/** The numeral without the spelling of its quality: `ii7`, `IIm7` and `ii-7` are told apart by their letters alone. */
function plainRoman(text: string): string {
  return withGlyphs(text.replace(/△/g, 'maj').replace(/[−–-]/g, '').replace(/ø7?/g, 'm7b5')).replaceAll(' ', '');
}

function qualitySaid(text: string): number | undefined {
  const spoken = /^(major|maj)$/i.test(text) ? '' : /^(minor|min)$/i.test(text) ? 'm' : text;
  const read = parseChord(`C${spoken}`);
  return read.ok ? (read.value as Chord).formula : undefined;
}

function checkNotes(texts: readonly string[], wanted: readonly Note[], key: Key): CellMark {
  const said = texts.filter((text) => text !== '').map((text) => parseNote(text.charAt(0).toUpperCase() + text.slice(1)));
  if (said.some((read) => !read.ok)) return { kind: 'unread', row: wanted.length === 1 ? 'notes' : 'tones' };
  const notes = said.flatMap((read) => (read.ok ? [read.value] : []));
  const at = wanted.findIndex((note, place) => notes[place] !== note);
  if (at < 0 && notes.length === wanted.length) return { kind: 'right' };
  const [should, is] = [wanted[at], notes[at]];
  if (should === undefined || is === undefined) return { kind: 'wrong', wanted: wanted.map((note) => printNote(note)).join(' ') };
  return markNote(is, should, key);
}

function markNote(said: Note, wanted: Note, key: Key): CellMark {
  if (isEnharmonic(said, wanted)) return { kind: 'letter', wanted };
  if (letterStep(said) === letterStep(wanted)) return { kind: 'accidental', wanted };
  const has = keyNotes(key).find((note) => letterStep(note) === letterStep(said)) as Note;
  return has === said ? { kind: 'wrong', wanted: printNote(wanted) } : { kind: 'foreign', said, has };
}
