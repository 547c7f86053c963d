import { type Failure, failure, type Result, success } from '../fault.ts';
import type { Note } from '../pitch/note.ts';
import { printNote, scanNote } from '../pitch/note-text.ts';
import type { Chord } from './chord.ts';
import { LETTER_SCHOOL, parseQuality, printQuality, type QualitySchool } from './quality-text.ts';

/** Where the slash of a slash chord stands, −1 without one. `6/9` holds no slash bass. */
export function slashIndex(text: string): number {
  const slash = text.lastIndexOf('/');
  if (slash < 0 || text.indexOf(')', slash) > slash) return -1;
  // m/maj7: no bass is called so
  if (/^\/(?:maj|Maj|MAJ|ma|M|△|\^)/.test(text.slice(slash))) return -1;
  return text.slice(slash) === '/9' && text[slash - 1] === '6' ? -1 : slash;
}

/**
 * Reads a letter chord: `Ebm7b5`, `F#7(b9,#11)`, `D/F#`, `C6/9`, `G△7`. Roots are capitals A–G.
 * A bass equal to the root is no slash chord.
 */
export function parseChord(text: string): Result<Chord> {
  if (text === '') return failure({ code: 'empty', wanted: 'chord' }, 0, 0);
  const spaced = /\s/.test(text) ? parseChord(withoutSpaces(text)) : undefined;
  // what cannot be read without its spaces either is told where it stands
  return spaced?.ok === true ? spaced : parseTight(text);
}

/** `E flat min 7 / B flat` as `Ebmin7/Bb`, the way it is said. */
function withoutSpaces(text: string): string {
  const named = text.replace(/\b([A-G])\s+(flat|sharp)\b/g, (_, letter: string, sign: string) => `${letter}${sign === 'flat' ? 'b' : '#'}`);
  return named.replace(/\s+/g, '');
}

function parseTight(text: string): Result<Chord> {
  const root = scanNote(text);
  if ('ok' in root) return rootFault(text, root);
  const slash = !text.includes('/') || /\d\/(?:6|9|11|13)$/.test(text) ? -1 : slashIndex(text);
  const end = slash < 0 ? text.length : slash;
  const formula = parseQuality(sixNine(text.slice(root.end, end)), root.end);
  if (!formula.ok) return formula;
  if (slash < 0) return success({ root: root.note, formula: formula.value, bass: null });
  const bass = parseBass(text, slash + 1);
  return bass.ok ? success({ root: root.note, formula: formula.value, bass: bass.value === root.note ? null : bass.value }) : bass;
}

/** Why no chord begins with what stands there. */
function rootFault(text: string, root: Failure): Failure {
  if (/^[a-g]/.test(text)) return failure({ code: 'chord-lowercase', text }, 0, text.length);
  if (/^[Hh]/.test(text)) return failure({ code: 'chord-german', text }, 0, 1);
  return root.fault.code === 'note-letter' ? failure({ code: 'token-unreadable', text }, 0, text.length) : root;
}

/** Reads the bass note that starts at `start` and runs to the end of the text. */
function parseBass(text: string, start: number): Result<Note> {
  const scanned = scanNote(text, start);
  if ('ok' in scanned || scanned.end < text.length) {
    return failure({ code: 'bass-unknown', text, bass: text.slice(start) }, start, text.length - start);
  }
  return success(scanned.note);
}

/** `6/9` written without its slash, which is no bass. */
export function sixNine(quality: string): string {
  return quality.includes('/') ? quality.replace('6/9', '69') : quality;
}

/** The chord in letters, in one plain spelling unless a school is given: `Ebm7b5`, `D/F#`. */
export function printChord(chord: Chord, school: QualitySchool = LETTER_SCHOOL): string {
  const bass = chord.bass === null ? '' : `/${printNote(chord.bass, school.accidentals)}`;
  return `${printNote(chord.root, school.accidentals)}${printQuality(chord.formula, school)}${bass}`;
}
