import { PAPER_NAMES } from '@aurora/core';
import { z } from 'zod';

/** Which parts are wanted: of a whole set, or of one song in one key. */
export const packRequest = z
  .discriminatedUnion('of', [
    z.object({ of: z.literal('set'), setId: z.uuid(), paper: z.enum(PAPER_NAMES) }),
    z.object({
      of: z.literal('song'),
      songId: z.uuid(),
      key: z.string().max(60).nullable().describe('the key that sounds; null for the song’s own'),
      paper: z.enum(PAPER_NAMES),
    }),
  ])
  .meta({ id: 'PackRequest' });

/** Work the server does meanwhile. */
export const jobState = z
  .object({
    id: z.string(),
    state: z.enum(['working', 'done', 'stopped', 'failed']),
    done: z.number().int(),
    total: z.number().int(),
    /** What came of it, or why nothing did, in a sentence. */
    says: z.string(),
    /** Ids of songs and of the set that are there now, where work made some. */
    made: z.object({ songs: z.array(z.string()), setId: z.string().nullable() }).nullable(),
  })
  .meta({ id: 'Job' });

export type PackRequest = z.infer<typeof packRequest>;
export type JobState = z.infer<typeof jobState>;
