import { memberCreateRequest, setListBody, songChange, songsQuery } from '@aurora/wire';
import { describe, expect, test } from '@jest/globals';
import type { z } from 'zod';

const SONG = '11111111-2222-4333-8444-555555555555';
const letters = (count: number) => 'x'.repeat(count);
const many = (count: number, one: unknown) => Array.from({ length: count }, () => one);

const song = (change: object = {}) => ({
  kind: 'song',
  id: 'e1',
  songId: SONG,
  key: null,
  tempo: null,
  capos: {},
  starts: '',
  notes: '',
  seconds: null,
  join: { kind: 'gap' },
  ...change,
});
const set = (change: object = {}) => ({ name: 'Friday', place: '', startsAt: '', gapSeconds: 30, entries: [], ...change });
const ofEntry = (change: object) => set({ entries: [song(change)] });

/** What is just allowed, and what is one too much or too little. */
const BOUNDS: readonly (readonly [string, z.ZodType, (value: never) => object, unknown, unknown])[] = [
  ['letters of a set’s name', setListBody, (name: string) => set({ name }), letters(80), letters(81)],
  ['no name', setListBody, (name: string) => set({ name }), 'x', ' '],
  ['letters of a place', setListBody, (place: string) => set({ place }), letters(80), letters(81)],
  ['the first hour', setListBody, (startsAt: string) => set({ startsAt }), '0:00', '-1:00'],
  ['the last minute', setListBody, (startsAt: string) => set({ startsAt }), '23:59', '24:00'],
  ['time between songs', setListBody, (gapSeconds: number) => set({ gapSeconds }), 600, 601],
  ['no time between songs', setListBody, (gapSeconds: number) => set({ gapSeconds }), 0, -1],
  ['entries of a set', setListBody, (count: number) => set({ entries: many(count, song()) }), 200, 201],
  ['letters of an entry’s id', setListBody, (id: string) => ofEntry({ id }), letters(60), letters(61)],
  ['slowest tempo', setListBody, (tempo: number) => ofEntry({ tempo }), 20, 19],
  ['fastest tempo', setListBody, (tempo: number) => ofEntry({ tempo }), 400, 401],
  ['highest capo', setListBody, (fret: number) => ofEntry({ capos: { [SONG]: fret } }), 11, 12],
  ['lowest capo', setListBody, (fret: number) => ofEntry({ capos: { [SONG]: fret } }), 0, -1],
  ['who counts in', setListBody, (starts: string) => ofEntry({ starts }), letters(80), letters(81)],
  ['notes', setListBody, (notes: string) => ofEntry({ notes }), letters(600), letters(601)],
  ['longest song', setListBody, (seconds: number) => ofEntry({ seconds }), 14_400, 14_401],
  ['shortest song', setListBody, (seconds: number) => ofEntry({ seconds }), 1, 0],
  ['letters of a tag', songChange, (tag: string) => ({ tags: [tag] }), letters(40), letters(41)],
  ['tags of a song', songChange, (count: number) => ({ tags: many(count, 'slow') }), 20, 21],
  ['what is sought', songsQuery, (find: string) => ({ find }), letters(200), letters(201)],
  ['chords sought', songsQuery, (pattern: string) => ({ pattern }), letters(400), letters(401)],
  ['songs of a page', songsQuery, (limit: string) => ({ limit }), '200', '201'],
  ['letters of a player’s name', memberCreateRequest, (name: string) => ({ name, plays: '' }), letters(60), letters(61)],
  ['letters of what is played', memberCreateRequest, (plays: string) => ({ name: 'Tam', plays }), letters(60), letters(61)],
  ['a player’s capo', memberCreateRequest, (capo: number) => ({ name: 'Tam', plays: '', reads: { capo } }), 11, 12],
  ['half steps that are read', memberCreateRequest, (transpose: number) => ({ name: 'Tam', plays: '', reads: { transpose } }), 11, 12],
];

describe('what a request may hold', () => {
  test.each(BOUNDS)('%s', (_, schema, of, most, more) => {
    expect([schema.safeParse(of(most as never)).success, schema.safeParse(of(more as never)).success]).toEqual([true, false]);
  });
});
