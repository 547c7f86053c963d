import { changesSought, readProgression } from '@aurora/core';
import { SHELF_WORDS } from '../../wording/shelf.ts';

/** Why nothing can be sought by these chords yet; null when it can, or nothing is asked. */
export function patternFault(pattern: string): string | null {
  if (pattern.trim() === '') return null;
  const { unread } = readProgression(pattern);
  if (unread[0] !== undefined) return SHELF_WORDS.isNoChord(unread[0].text);
  return changesSought(readProgression(pattern)).length === 0 ? SHELF_WORDS.writeTwoChordsOrMore : null;
}
