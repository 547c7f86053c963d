import { z } from 'zod';
import { song, words } from './band.ts';
import { linkToken } from './people.ts';
import { setList } from './set-list.ts';

const until = z.enum(['evening', 'taken back'], { error: 'a link opens until the evening is over, or until it is taken back' });
const key = words.max(60).nullable().default(null).describe('the key a song is read in, as in a chart’s head; null for its own');

/** One chart, or a set with its charts, for whoever has the link. */
export const sendRequest = z
  .discriminatedUnion('what', [
    z.object({ what: z.literal('song'), songId: z.uuid({ error: 'that is no song' }), key, until }),
    z.object({ what: z.literal('set'), setId: z.uuid({ error: 'that is no set' }), until }),
  ])
  .meta({ id: 'SendRequest' });

const expiresAt = z.string().nullable().describe('null until it is taken back');

export const sentLink = z
  .object({ id: z.string(), token: z.string().describe('shown once: only its hash is kept'), expiresAt })
  .meta({ id: 'SentLink' });

export const sentChartsAnswer = z
  .object({
    sent: z.array(
      z.object({
        id: z.string(),
        what: z.enum(['song', 'set']),
        name: z.string().describe('title of the song, name of the set'),
        key: z.string().nullable(),
        madeBy: z.string(),
        madeAt: z.string(),
        expiresAt,
      }),
    ),
  })
  .meta({ id: 'SentCharts' });

export const openSentRequest = z.object({ token: linkToken }).meta({ id: 'OpenSentRequest' });

/** What a link shows: a song, or a set with its songs. */
export const sentChart = z
  .object({
    band: z.string(),
    bandId: z.string().describe('whoever plays in it reads it there, as they like it'),
    madeBy: z.string(),
    expiresAt,
    key: z.string().nullable(),
    song: song.nullable(),
    set: setList.nullable(),
  })
  .meta({ id: 'SentChart' });

export type SendRequest = z.infer<typeof sendRequest>;
export type SentLink = z.infer<typeof sentLink>;
export type SentHead = z.infer<typeof sentChartsAnswer>['sent'][number];
export type SentChart = z.infer<typeof sentChart>;
