import { BRIDGE_KINDS } from '@aurora/core';
import { z } from 'zod';
import { song, words } from './band.ts';

const entryId = words.min(1).max(60);
const fret = z.number().int().min(0).max(11);
const seconds = z
  .number()
  .int({ error: 'a length is a whole number of seconds' })
  .min(1, { error: 'longer than nothing' })
  .max(4 * 60 * 60, { error: 'four hours at most' });

const join = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('gap') }),
  z.object({
    kind: z.literal('bridge'),
    bridge: z.enum(BRIDGE_KINDS),
  }),
]);

const setSong = z
  .object({
    kind: z.literal('song'),
    id: entryId,
    songId: z.uuid({ error: 'that is no song' }),
    key: words.max(60).nullable().describe('tonight’s key, as in a chart’s head; null for the song’s own'),
    tempo: z
      .number()
      .min(20, { error: 'a tempo lies between 20 and 400' })
      .max(400, { error: 'a tempo lies between 20 and 400' })
      .nullable(),
    capos: z.record(z.uuid(), fret).describe('frets by player; who is not named plays as usual'),
    starts: words.max(80).describe('who counts in'),
    notes: words.max(600),
    seconds: seconds.nullable().describe('how long it lasts; null for as long as the chart says'),
    join: join.describe('how it goes over into what comes next'),
  })
  .meta({ id: 'SetSong' });

const setBreak = z.object({ kind: z.literal('break'), id: entryId, name: words.max(80), seconds }).meta({ id: 'SetBreak' });

const content = {
  name: words.trim().min(1, { error: 'give the set a name' }).max(80, { error: 'a name has at most 80 letters' }),
  place: words.max(80),
  startsAt: z
    .string()
    .regex(/^(([01]?\d|2[0-3]):[0-5]\d)?$/, { error: 'a time of day, such as 20:30, or nothing' })
    .describe('when it begins, 20:30; empty when nobody knows'),
  date: z
    .union([z.literal(''), z.iso.date({ error: 'a day, such as 2026-12-31, or nothing' })])
    .default('')
    .describe('the day it is played, 2026-12-31; empty when nobody knows'),
  gapSeconds: z.number().int().min(0).max(600, { error: 'ten minutes at most; add a break for longer' }),
  entries: z.array(z.discriminatedUnion('kind', [setSong, setBreak])).max(200, { error: 'a set has at most 200 songs and breaks' }),
};

const savedBy = z.string().nullable().default(null).describe('the name of the player who saved it last; null where nobody is known');

export const setListBody = z.object(content).meta({ id: 'SetListBody' });
const setListHead = z
  .object({
    id: z.string(),
    name: z.string(),
    place: z.string(),
    startsAt: z.string(),
    date: z.string(),
    songs: z.number().int(),
    revision: z.number().int(),
    savedAt: z.string(),
    savedBy,
  })
  .meta({ id: 'SetListHead' });
export const setListsAnswer = z.object({ sets: z.array(setListHead) }).meta({ id: 'SetLists' });

/** A set with the songs that are in it, charts included. */
export const setList = z
  .object({ ...content, id: z.string(), revision: z.number().int(), savedAt: z.string(), savedBy, songs: z.array(song) })
  .meta({ id: 'SetList' });
export const setListSaveRequest = z
  .object({ ...content, baseRevision: z.number().int().min(1, { error: 'a revision counts from 1' }) })
  .meta({ id: 'SetListSaveRequest' });

export type SetListBody = z.infer<typeof setListBody>;
export type SetListHead = z.infer<typeof setListHead>;
export type SetList = z.infer<typeof setList>;
export type SetSongEntry = z.infer<typeof setSong>;
export type SetBreakEntry = z.infer<typeof setBreak>;
