import { z } from 'zod';

/** The longest chart text that is kept, in bytes of UTF-8, the same as the API's body limit. */
export const MOST_CHART_BYTES = 240 * 1024;

/** Chart text as it is stored: any text but the one character a database cannot hold. */
export const chartSource = z
  .string()
  .refine((text) => !text.includes('\u0000'), { error: 'the text holds a NUL character, which no chart can keep' });

const place = { line: z.number().int(), column: z.number().int(), length: z.number().int() };

const chartProblem = z
  .object({ ...place, code: z.string(), message: z.string(), severity: z.enum(['error', 'warning', 'info']) })
  .meta({ id: 'ChartProblem' });

export const chartParseRequest = z.object({ source: z.string() }).meta({ id: 'ChartParseRequest' });

export const chartParseAnswer = z
  .object({
    title: z.string(),
    key: z.string(),
    writtenBars: z.number().int(),
    performedBars: z.number().int(),
    sections: z.array(z.object({ name: z.string(), times: z.number().int(), from: z.number().int(), count: z.number().int() })),
    bars: z.array(
      z.object({
        section: z.string().nullable(),
        key: z.string(),
        time: z.string(),
        pickup: z.number().nullable(),
        chords: z.array(
          z.object({
            number: z.string(),
            letters: z.string(),
            beats: z.number().nullable(),
            push: z.boolean(),
            ring: z.boolean(),
            stop: z.boolean(),
            optional: z.boolean(),
          }),
        ),
        remarks: z.array(z.object({ to: z.string().nullable(), text: z.string() })),
      }),
    ),
    problems: z.array(chartProblem),
  })
  .meta({ id: 'ChartParseAnswer' });

const readerRequest = z.object({
  transpose: z.enum(['C', 'Bb', 'Eb', 'F'], { error: 'an instrument is in C, Bb, Eb or F' }).optional(),
  capo: z.number().int().min(0, { error: 'a capo sits at fret 0 to 11' }).max(11, { error: 'a capo sits at fret 0 to 11' }).optional(),
  tuning: z.number().int().min(-12).max(12).optional().describe('half steps the strings are tuned away from standard'),
});

export const chartRenderRequest = z
  .object({
    source: z.string(),
    key: z.string().max(200).optional(),
    as: z.enum(['numbers', 'letters', 'roman'], { error: 'as is numbers, letters or roman' }),
    reader: readerRequest.optional(),
  })
  .meta({ id: 'ChartRenderRequest' });

export const chartRenderAnswer = z
  .object({
    key: z.string().describe('the key the letters are in'),
    soundingKey: z.string(),
    text: z.string(),
    bars: z.array(z.string()),
    performed: z.array(z.string()),
  })
  .meta({ id: 'ChartRenderAnswer' });

export type ChartParseRequest = z.infer<typeof chartParseRequest>;
export type ChartParseAnswer = z.infer<typeof chartParseAnswer>;
export type ChartRenderRequest = z.infer<typeof chartRenderRequest>;
export type ChartRenderAnswer = z.infer<typeof chartRenderAnswer>;
