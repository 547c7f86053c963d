import { NAMING_SCHOOLS } from '@aurora/core';
import { z } from 'zod';
import { chartSource } from './chart.ts';

export const band = z.object({ id: z.string(), name: z.string() }).meta({ id: 'Band' });
export const bandsAnswer = z.object({ bands: z.array(band) }).meta({ id: 'Bands' });

const songHead = {
  id: z.string(),
  title: z.string(),
  by: z.string(),
  key: z.string(),
  tempo: z.number().nullable(),
  /** Written bars. */
  bars: z.number().int(),
  /** The first bars as numbers, one string a bar. */
  opening: z.array(z.string()),
  /** How far its chords stand from home, from first to last, at most 120 of them. */
  ridge: z.array(z.number()).describe('heights above home at equal steps of the song’s time'),
  /** Words the band sorts its songs by. */
  tags: z.array(z.string()),
  archived: z.boolean(),
  /** Counts the saves; a save names the revision it started from. */
  revision: z.number().int(),
  savedAt: z.string(),
};

const songSummary = z.object(songHead).meta({ id: 'SongSummary' });
export const song = z.object({ ...songHead, source: z.string() }).meta({ id: 'Song' });
export const songsAnswer = z
  .object({ songs: z.array(songSummary), next: z.string().nullable().describe('where the next page begins; null on the last one') })
  .meta({ id: 'Songs' });

/** Words that a database can hold. */
export const words = z.string().refine((text) => !text.includes('\u0000'), { error: 'the text holds a NUL character' });

/** What the shelf can be asked for. Everything given must hold. */
export const songsQuery = z.object({
  find: words.max(200).optional().describe('words of title, writer or key'),
  pattern: words.max(400).optional().describe('chords as numbers or letters, found in any key and rotation: 1 4 6- 5'),
  tag: words.max(60).optional(),
  sort: z.enum(['title', 'key', 'tempo', 'saved'], { error: 'songs are sorted by title, key, tempo or saved' }).default('title'),
  archived: z.enum(['yes', 'no'], { error: 'archived is yes or no' }).default('no'),
  after: z.string().max(600).optional().describe('the `next` of the page before'),
  limit: z.coerce.number().int().min(1).max(200).default(60),
});

const tag = z.string().trim().min(1, { error: 'a tag has at least one letter' }).max(40, { error: 'a tag has at most 40 letters' });
/** What is said about a song beside its chart. What is left out stays as it is. */
export const songChange = z
  .object({
    tags: z.array(tag).max(20, { error: 'a song has at most 20 tags' }).optional(),
    archived: z.boolean().optional(),
  })
  .meta({ id: 'SongChange' });

export const tagsAnswer = z.object({ tags: z.array(z.object({ tag: z.string(), songs: z.number().int() })) }).meta({ id: 'Tags' });

export const songCreateRequest = z.object({ source: chartSource }).meta({ id: 'SongCreateRequest' });
export const songSaveRequest = z
  .object({
    source: chartSource,
    baseRevision: z.number().int().min(1, { error: 'a revision counts from 1' }),
  })
  .meta({ id: 'SongSaveRequest' });

const alikeSong = z
  .object({
    id: z.string(),
    title: z.string(),
    key: z.string(),
    rounds: z.array(z.string()).describe('the rounds of chords both have, by the name a round has in every key and rotation'),
  })
  .meta({ id: 'AlikeSong' });
export const alikeAnswer = z.object({ songs: z.array(alikeSong) }).meta({ id: 'AlikeSongs' });

const versionHead = {
  revision: z.number().int(),
  savedAt: z.string(),
  name: z.string().nullable(),
  by: z.string().nullable().describe('the name of the player who saved; null where nobody is known'),
};
export const songVersion = z.object({ ...versionHead, source: z.string() }).meta({ id: 'SongVersion' });
export const songVersionsAnswer = z
  .object({
    versions: z.array(
      z
        .object({
          ...versionHead,
          changes: z.array(z.string()).describe('what it changed of the save before it in this list, in words; none for the first'),
        })
        .meta({ id: 'SongVersionHead' }),
    ),
    next: z.number().int().nullable().describe('the revision the next page begins before; null on the last one'),
  })
  .meta({ id: 'SongVersions' });
export const versionsQuery = z.object({
  before: z.coerce.number().int().min(1).optional(),
  named: z.enum(['yes', 'no'], { error: 'named is yes or no' }).default('no').describe('only versions that have a name'),
});
export const versionName = z
  .object({ name: words.trim().max(80, { error: 'a name has at most 80 letters' }).nullable() })
  .meta({ id: 'SongVersionName' });

/** The schools of naming. */
export const naming = z.object({
  majorSeventh: z.enum(NAMING_SCHOOLS.majorSeventh),
  minorSeventh: z.enum(NAMING_SCHOOLS.minorSeventh),
  halfDiminished: z.enum(NAMING_SCHOOLS.halfDiminished),
  diminished: z.enum(NAMING_SCHOOLS.diminished),
  steps: z.enum(NAMING_SCHOOLS.steps),
  degrees: z.enum(NAMING_SCHOOLS.degrees),
  inversions: z.enum(NAMING_SCHOOLS.inversions).default('figures'),
  notes: z.enum(NAMING_SCHOOLS.notes),
  spelling: z.enum(NAMING_SCHOOLS.spelling).default('proper'),
});

/** What a band agrees on, whatever the machine it is opened on. */
export const preferences = z
  .object({
    /** What things are called; theme, sound and what is folded away are the device's own. */
    naming,
  })
  .meta({ id: 'Preferences' });
/** Any of them; those left out stay as they are. */
export const preferencesChange = preferences.partial().meta({ id: 'PreferencesChange' });

/** What a band has agreed on before it has changed anything. */
export const DEFAULT_PREFERENCES: z.infer<typeof preferences> = {
  naming: {
    majorSeventh: 'maj7',
    minorSeventh: 'm7',
    halfDiminished: 'm7♭5',
    diminished: 'dim',
    steps: 'W-H',
    degrees: 'numbers',
    inversions: 'figures',
    notes: 'english',
    spelling: 'proper',
  },
};

export type Band = z.infer<typeof band>;
export type SongSummary = z.infer<typeof songSummary>;
export type AlikeSong = z.infer<typeof alikeSong>;
export type Song = z.infer<typeof song>;
export type SongsQuery = z.infer<typeof songsQuery>;
export type SongChange = z.infer<typeof songChange>;
export type SongVersion = z.infer<typeof songVersion>;
export type SongVersionHead = z.infer<typeof songVersionsAnswer>['versions'][number];
export type Preferences = z.infer<typeof preferences>;
export type PreferencesChange = z.infer<typeof preferencesChange>;
