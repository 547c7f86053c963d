import { changesSought, readProgression } from '@aurora/core';

/** Why nothing can be sought by these chords yet; null when it can, or nothing is asked. */
export function patternFault(pattern: string): string | null {
  if (pattern.trim() === '') return null;
  const { unread } = readProgression(pattern);
  if (unread[0] !== undefined) return `“${unread[0].text}” is no chord.`;
  return changesSought(readProgression(pattern)).length === 0 ? 'Write two chords or more.' : null;
}
