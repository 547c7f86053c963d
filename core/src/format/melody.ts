import { printPitch } from '../key/range-text.ts';
import type { LeadSheet } from './lead-sheet.ts';
import type { LossList } from './loss.ts';

/**
 * What is left of a melody in a chart: its lowest and highest note, which a singer's key is found by.
 * Notes that sound together are no melody, and leave nothing.
 *
 * @param midi the notes of the melody as they sound; null where it is none.
 */
export function withMelody(score: LeadSheet, midi: readonly number[] | null, losses: LossList): LeadSheet {
  if (midi === null) {
    losses.add('notes');
    return score;
  }
  if (midi.length === 0) return score;
  const key = score.bars[0]?.key ?? null;
  const ends = [midi.reduce((low, note) => Math.min(low, note)), midi.reduce((high, note) => Math.max(high, note))];
  const range = ends.map((note) => printPitch(note, key));
  losses.add('notes', null, range.join(' to '));
  if (score.fields.some(([name]) => name === 'range')) return score;
  return { ...score, fields: [...score.fields, ['range', range.join(' ')]] };
}
