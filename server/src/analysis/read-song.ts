import { faultWords, type Progression, readProgression } from '@aurora/core';
import type { UnreadChord } from '@aurora/wire';
import { HttpFault } from '../http-fault.ts';

/** Far more than any song has; beyond it the answer would take longer than anybody waits. */
const MOST_CHORDS = 10_000;

/** Reads a chart or plain chords to be analyzed; refuses more than can be answered in time. */
export function readSong(source: string): Progression {
  const progression = readProgression(source);
  if (progression.chords.length > MOST_CHORDS) {
    throw new HttpFault('invalid', `That is ${progression.chords.length} chords; ${MOST_CHORDS} are read at once. Send the song in parts.`);
  }
  return progression;
}

/** What stood there and could not be read, with its place and why. */
export function unreadOf({ unread }: Progression): UnreadChord[] {
  return unread.map(({ text, before, problem }) => ({ text, before, ...problem.at, message: faultWords(problem.fault) }));
}
