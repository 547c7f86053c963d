import { z } from 'zod';
import { song } from './band.ts';

/** One thing wrong with what was sent, as far as possible with its place in the text (1-based). */
const problemError = z
  .object({
    message: z.string(),
    line: z.number().int().optional(),
    column: z.number().int().optional(),
    length: z.number().int().optional(),
    path: z.string().optional(),
  })
  .meta({ id: 'ProblemError' });

/** An error answer, RFC 9457. `current`, or `currentSet`, comes with a stale save: what is stored now. */
export const problem = z
  .object({
    type: z.string(),
    title: z.string(),
    status: z.number().int(),
    detail: z.string(),
    errors: z.array(problemError).optional(),
    current: song.optional(),
    currentSet: z.unknown().optional().describe('a SetList'),
  })
  .meta({ id: 'Problem' });

/** What was taken away is gone. */
export const gone = z.object({ gone: z.boolean() }).meta({ id: 'Gone' });

export type Problem = z.infer<typeof problem>;
export type ProblemError = z.infer<typeof problemError>;
