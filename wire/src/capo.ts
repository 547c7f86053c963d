import { z } from 'zod';
import { unreadChord } from './analysis.ts';

const fretError = { error: 'a capo sits at fret 0 to 11' };

export const capoRequest = z
  .object({
    source: z.string().describe('a chart, or chords separated by spaces and bars'),
    key: z.string().max(200).optional().describe('the key that sounds, as in a chart’s head; the song’s own when left out'),
    maxFret: z.number().int(fretError).min(0, fretError).max(11, fretError).optional(),
    tuning: z
      .number()
      .int()
      .min(-12, { error: 'tuned down by 12 half steps at most' })
      .max(12, { error: 'tuned up by 12 half steps at most' })
      .optional()
      .describe('half steps the strings are tuned away from standard'),
    barres: z
      .enum(['none', 'some', 'any'], { error: 'barres is none, some or any' })
      .optional()
      .describe('how the player stands with barre chords'),
  })
  .meta({ id: 'CapoRequest' });

export const capoAnswer = z
  .object({
    options: z
      .array(
        z.object({
          fret: z.number().int(),
          shapeKey: z.string(),
          soundingKey: z.string(),
          shapes: z.array(
            z.object({
              sounding: z.string(),
              shape: z.string(),
              open: z.boolean(),
              frets: z.array(z.number().int().nullable()).nullable().describe('from the capo, lowest string first'),
              beats: z.number().describe('how long it sounds as the song is played'),
            }),
          ),
          openShare: z.number().describe('the share of the time that open chords sound'),
          hardest: z.string().nullable(),
          score: z.number().int().describe('0 to 100, higher is kinder'),
          why: z.string(),
        }),
      )
      .describe('the kindest fret first'),
    unread: z.array(unreadChord).describe('what stood in the source and could not be read'),
  })
  .meta({ id: 'CapoAnswer' });

export type CapoRequest = z.infer<typeof capoRequest>;
export type CapoAnswer = z.infer<typeof capoAnswer>;
