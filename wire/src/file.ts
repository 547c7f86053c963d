import { z } from 'zod';
import { words } from './band.ts';

const format = z.enum(['chart', 'musicxml', 'mxl', 'midi', 'abc', 'text'], {
  error: 'a format is chart, musicxml, mxl, midi, abc or text',
});

const loss = z
  .object({
    code: z.string(),
    message: z.string().describe('what was lost, in a sentence'),
    bars: z.array(z.number().int()).describe('the bars it concerns, counted from 1; none for the whole song'),
  })
  .meta({ id: 'Loss' });

export const convertRequest = z
  .object({
    from: format,
    to: format,
    content: z.string().describe('text, or base64 for mxl and midi'),
    key: words.max(200).optional().describe('the key that sounds, as in a chart’s head; the song’s own when left out'),
    reader: z
      .object({
        transpose: z.number().int().min(0).max(11, { error: 'an instrument reads 0 to 11 half steps above what sounds' }),
        octave: z.number().int().min(-3).max(3).optional(),
      })
      .optional()
      .describe('for whom it is written: half steps and octaves from the sounding note up to the written one'),
    show: z
      .enum(['both', 'letters', 'numbers'], { error: 'chords are shown as both, letters or numbers' })
      .optional()
      .describe('letters and numbers, or one of them alone; formats with room for one show letters unless told otherwise'),
  })
  .meta({ id: 'ConvertRequest' });

export const convertAnswer = z
  .object({
    content: z.string(),
    encoding: z.enum(['text', 'base64']),
    fileName: z.string(),
    mediaType: z.string(),
    losses: z.array(loss),
  })
  .meta({ id: 'ConvertAnswer' });

/** How the file that is sent is called. */
export const importQuery = z.object({
  name: z
    .string()
    .default('')
    .transform((name) => name.slice(0, 200))
    .describe('the file’s name; a song without a title is named after it'),
});

const importedSong = z.object({
  title: z.string(),
  key: z.string(),
  bars: z.number().int(),
  source: z.string().describe('the chart it becomes'),
  tags: z.array(z.string()),
  losses: z.array(z.string()).describe('what was lost or guessed, in sentences'),
  problems: z.array(z.string()).describe('what is wrong with the chart, in sentences'),
});

/** What a file would become, to be looked at before it is taken. */
export const importPreview = z
  .discriminatedUnion('kind', [
    z.object({ kind: z.literal('songs'), format: z.string(), songs: z.array(importedSong) }),
    z.object({
      kind: z.literal('set'),
      name: z.string(),
      entries: z.number().int(),
      missing: z.array(z.string()).describe('titles nobody has on the shelf'),
    }),
    z.object({
      kind: z.literal('backup'),
      band: z.string(),
      savedAt: z.string(),
      songs: z.number().int(),
      versions: z.number().int(),
      members: z.number().int(),
      sets: z.number().int(),
    }),
  ])
  .meta({ id: 'ImportPreview' });

export const importAccept = z
  .object({ take: z.array(z.number().int().min(0)).max(20_000).optional().describe('which songs, counted from 0; all when left out') })
  .meta({ id: 'ImportAccept' });

export const exportRequest = z.object({ format: z.union([format, z.literal('all')]) }).meta({ id: 'ExportRequest' });

export type ConvertAnswer = z.infer<typeof convertAnswer>;
export type ConvertRequest = z.infer<typeof convertRequest>;
export type ImportPreview = z.infer<typeof importPreview>;
export type ImportAccept = z.infer<typeof importAccept>;
export type ExportRequest = z.infer<typeof exportRequest>;
