import {
  type Chord,
  checkSpelling,
  faultWords,
  type Naming,
  type Note,
  nameChord,
  nameNote,
  parseChord,
  parseNote,
  tellApart,
  withGlyphs,
} from '@aurora/core';
import { HARMONIZE_WORDS } from '../../../wording/harmonize.ts';

/** What to say to what was typed. One word that is a chord is a name; anything else is notes. */
export function answerTo(text: string, chord: Chord, naming: Naming): string {
  const words = text.split(/[\s,]+/);
  if (words.length === 1 && !parseNote(text).ok) return answerToName(text, chord, naming);
  const notes: Note[] = [];
  for (const word of words) {
    const note = parseNote(word);
    if (!note.ok) return faultWords(note.fault);
    notes.push(note.value);
  }
  return answerToNotes(notes, chord, naming);
}

function answerToNotes(notes: readonly Note[], chord: Chord, naming: Naming): string {
  const name = (note: Note) => nameNote(note, naming.notes);
  const { tones, missing } = checkSpelling(chord, notes);
  const said = tones.flatMap((tone) => {
    if (tone.kind === 'misspelt')
      return [
        HARMONIZE_WORDS.soundsRightButTheLetterIs(name(tone.note), withGlyphs(tone.tone.name), nameChord(chord, naming), name(tone.should)),
      ];
    return tone.kind === 'foreign' ? [HARMONIZE_WORDS.isNotInIt(name(tone.note))] : [];
  });
  if (missing.length > 0) said.push(HARMONIZE_WORDS.missing(missing.map(name).join(' and '), missing.length === 1 ? 'is' : 'are'));
  return said.length === 0 ? HARMONIZE_WORDS.rightEveryLetter : said.join(' ');
}

function answerToName(text: string, chord: Chord, naming: Naming): string {
  const typed = parseChord(text);
  if (!typed.ok) return faultWords(typed.fault);
  if (typed.value.root !== chord.root) return HARMONIZE_WORDS.theRootIs(nameNote(chord.root, naming.notes));
  const apart = tellApart(chord, typed.value);
  if (apart.length === 0) return HARMONIZE_WORDS.right;
  const told = apart.map(({ first, second }) => {
    if (first === undefined) return HARMONIZE_WORDS.itHasNo(withGlyphs(second?.name ?? ''));
    const note = nameNote(chord.root + first.interval, naming.notes);
    const other = second === undefined ? '' : HARMONIZE_WORDS.whereHas(text, nameNote(chord.root + second.interval, naming.notes));
    return HARMONIZE_WORDS.itsIs(withGlyphs(first.name), note, other);
  });
  return HARMONIZE_WORDS.notQuite(told.join('; '));
}
