import { CADENCE_KINDS, RHYTHMS, SCORE_FORMATS, TONE_KINDS } from '@aurora/core';
import { z } from 'zod';

const place = z
  .object({
    bar: z.number().int().describe('counted from 1 as written, repeats not played out; a pickup is bar 0'),
    beat: z.number().describe('from 1 in the meter’s denominator, with fractions'),
  })
  .meta({ id: 'ScorePlace' });

const namedKey = z.object({ tonic: z.string(), scale: z.string() });

/** How large a file of notes may be, in bytes. */
export const MOST_SCORE_BYTES = 4 * 1024 * 1024;

const scoreFormat = z.enum(SCORE_FORMATS, { error: 'a piece comes as musicxml, mxl, midi or abc' });
const rhythm = z.enum(RHYTHMS, { error: 'the harmony may change by auto, beat, half or bar' });

export const reduceRequest = z
  .object({
    format: scoreFormat,
    data: z.string().describe('text, or base64 for mxl and midi; at most 4 MB'),
    options: z
      .object({ rhythm: rhythm.optional().describe('where the harmony may change: anywhere (auto), on beats, half bars, or bars') })
      .optional(),
  })
  .meta({ id: 'ReduceRequest' });

export const reduceAnswer = z
  .object({
    title: z.string(),
    parts: z.array(z.object({ id: z.string(), name: z.string() })),
    keys: z.array(
      z.object({ ...namedKey.shape, from: place, to: place.describe('where the next key begins, or the bar behind the last') }),
    ),
    columns: z.array(
      z.object({
        ...place.shape,
        beats: z.number(),
        notes: z.array(z.string()).describe('what sounds of the chord, lowest first, with octaves'),
        chord: z.string().nullable().describe('plain symbol with its bass after a slash; null where nothing is decided'),
        root: z.string().nullable(),
        bass: z.string().nullable(),
        inversion: z.number().int().min(0).max(3).nullable().describe('which third is in the bass; null for a bass outside the chord'),
        number: z.string().nullable(),
        roman: z.string().nullable(),
        key: namedKey,
        function: z.enum(['tonic', 'subdominant', 'dominant', 'other']).nullable(),
        reading: z
          .object({
            kind: z.string(),
            target: z.string().optional(),
            resolution: z.enum(['resolves', 'deceptive', 'delayed', 'unresolved']).optional(),
          })
          .nullable(),
        pedal: z.boolean().describe('whether its bass lies under it without belonging to it'),
        confidence: z.number().describe('0 to 1'),
        others: z.array(z.string()).describe('what else the same notes may be, best first'),
      }),
    ),
    tones: z.array(
      z.object({
        part: z.string().describe('an id of the parts'),
        ...place.shape,
        note: z.string().describe('as it sounds, with its octave'),
        kind: z.enum(TONE_KINDS),
        resolvesTo: z.string().nullable().describe('the note it goes to by step'),
        figures: z.string().optional().describe('of a suspension, over the bass: 4-3'),
      }),
    ),
    cadences: z.array(z.object({ kind: z.enum(CADENCE_KINDS), ...place.shape })),
    left: z.array(z.string()).describe('what of the file was passed over or guessed, in sentences'),
  })
  .meta({ id: 'ReduceAnswer' });

export type ReduceAnswer = z.infer<typeof reduceAnswer>;
export type ReduceRequest = z.infer<typeof reduceRequest>;
