import { chordOnTonic } from '../degree/degree.ts';
import { parseNumber } from '../degree/number-text.ts';
import { findScaleNumber } from '../interval/interval-text.ts';
import { DEFAULT_NAMING, type Naming, nameChord, nameNote } from '../naming/naming.ts';
import type { Note } from '../pitch/note.ts';
import { GLOSSARY_TABLE, type GlossaryEntry } from './glossary-table.ts';

/** A term explained for a key: its example in letters. */
export type Term = GlossaryEntry;

/** Every term, in the order they build on each other. */
export const GLOSSARY: readonly GlossaryEntry[] = GLOSSARY_TABLE;

/** The entry with its example written out on a tonic. */
export function explainTerm(entry: GlossaryEntry, tonic: Note, naming: Naming = DEFAULT_NAMING): Term {
  const example = entry.example.replace(/\{(=?)([^}]+)\}/g, (place, isNote: string, text: string) => {
    if (isNote !== '') {
      const interval = findScaleNumber(text);
      return interval === undefined ? place : nameNote(tonic + interval, naming.notes);
    }
    const number = parseNumber(text, tonic);
    return number.ok ? nameChord(chordOnTonic(number.value, tonic), naming) : place;
  });
  return { ...entry, example };
}
