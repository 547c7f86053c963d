import { isEnharmonic, type Note, plainNote } from '../pitch/note.ts';
import { type Key, keyNotes } from './key.ts';

/** A pitch under the name its chord gives it, else the key, else the plainest. */
export function noteName(midi: number, key: Key | null, named: readonly Note[] = []): Note {
  const plain = plainNote(midi);
  const known = [...named, ...(key === null ? [] : keyNotes(key))].find((note) => isEnharmonic(note, plain));
  return known ?? plain;
}
