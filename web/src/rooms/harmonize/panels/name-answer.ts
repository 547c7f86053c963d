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
        `${name(tone.note)} sounds right, but the letter is wrong: the ${withGlyphs(tone.tone.name)} of ${nameChord(chord, naming)} is written ${name(tone.should)}.`,
      ];
    return tone.kind === 'foreign' ? [`${name(tone.note)} is not in it.`] : [];
  });
  if (missing.length > 0) said.push(`${missing.map(name).join(' and ')} ${missing.length === 1 ? 'is' : 'are'} missing.`);
  return said.length === 0 ? 'Right, every letter.' : said.join(' ');
}

function answerToName(text: string, chord: Chord, naming: Naming): string {
  const typed = parseChord(text);
  if (!typed.ok) return faultWords(typed.fault);
  if (typed.value.root !== chord.root) return `The root is ${nameNote(chord.root, naming.notes)}.`;
  const apart = tellApart(chord, typed.value);
  if (apart.length === 0) return 'Right.';
  const told = apart.map(({ first, second }) => {
    if (first === undefined) return `it has no ${withGlyphs(second?.name ?? '')}`;
    const note = nameNote(chord.root + first.interval, naming.notes);
    const other = second === undefined ? '' : `, where ${text} has ${nameNote(chord.root + second.interval, naming.notes)}`;
    return `its ${withGlyphs(first.name)} is ${note}${other}`;
  });
  return `Not quite: ${told.join('; ')}.`;
}
