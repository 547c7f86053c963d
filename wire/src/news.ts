import { z } from 'zod';

/** What of a band may change. */
export const NEWS_KINDS = ['song', 'set', 'piece', 'member', 'preference', 'swap', 'job'] as const;

/** Something of a band that changed: names and revisions only; whoever shows it asks for it. */
export const bandNewsItem = z
  .object({
    seq: z.number().int().describe('its place among the changes of the house; later ones are larger'),
    kind: z.enum(NEWS_KINDS),
    id: z
      .string()
      .nullable()
      .describe('of the song, set, piece, player, the song of a swapped chord, or work; null for the band’s own preferences'),
    revision: z.number().int().nullable().describe('null for what has none, and for what is gone'),
  })
  .meta({ id: 'NewsItem' });

export const bandNewsAnswer = z
  .object({
    changes: z.array(bandNewsItem),
    last: z.number().int().describe('what is asked after the next time'),
    all: z.boolean().describe('whether so much changed, or so long ago, that anything may have'),
  })
  .meta({ id: 'BandNews' });

export type NewsItem = z.infer<typeof bandNewsItem>;
export type BandNews = z.infer<typeof bandNewsAnswer>;
