import { SCORE_FORMATS } from '@aurora/core';
import { z } from 'zod';
import { preferences, words } from './band.ts';
import { memberReads } from './member.ts';
import { instrument } from './neck.ts';
import { pieceWork } from './piece.ts';
import { practicePass, practiceSession, practiceSettings } from './practice.ts';
import { setListBody } from './set-list.ts';

export const BACKUP_FORMAT = 'aurora-ridge band';
/** Counts the changes of the schema; a backup of a newer one is refused. */
export const BACKUP_VERSION = 3;

const id = z.uuid({ error: 'an id is missing or damaged' });
const time = z.iso.datetime({ offset: true, error: 'a time such as 2026-11-26T20:30:00Z' });

/** A whole band: people, songs with every version, sets, easier chords, preferences, what everybody practised, written-out pieces. */
export const bandBackup = z
  .object({
    format: z.literal(BACKUP_FORMAT),
    version: z.number().int(),
    savedAt: time,
    band: z.object({ name: words.min(1).max(200) }),
    preferences: preferences.partial(),
    members: z
      .array(z.object({ id, name: words.min(1).max(60), plays: words.max(60), reads: memberReads, instrument: instrument.nullable() }))
      .max(500),
    songs: z
      .array(
        z.object({
          id,
          tags: z.array(words.max(40)).max(20),
          archived: z.boolean(),
          versions: z
            .array(
              z.object({
                revision: z.number().int().min(1),
                savedAt: time,
                name: words.max(80).nullable(),
                by: id.nullable().default(null).describe('the player who saved'),
                source: words,
              }),
            )
            .min(1, { error: 'a song has at least one version' }),
        }),
      )
      .max(50_000),
    sets: z.array(setListBody.extend({ id })).max(5000),
    swaps: z
      .array(
        z.object({
          songId: id,
          memberId: id,
          chord: words.min(1).max(40),
          stretch: z.number().int().min(0),
          instead: words.min(1).max(40),
          refusedBy: words.max(60),
        }),
      )
      .max(100_000),
    practice: z
      .array(
        z.object({
          memberId: id,
          settings: practiceSettings,
          passes: z.array(practicePass).max(500_000),
          sessions: z.array(practiceSession).max(50_000),
        }),
      )
      .max(500)
      .default([])
      .describe('since version 2'),
    pieces: z
      .array(pieceWork.extend({ id, by: words.max(200), format: z.enum(SCORE_FORMATS), data: z.string().describe('in base64') }))
      .max(2000)
      .default([])
      .describe('written-out pieces; since version 3'),
  })
  .meta({ id: 'BandBackup' });

export type BandBackup = z.infer<typeof bandBackup>;
