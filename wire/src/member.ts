import { BARRE_LEVELS, CHORD_SHOWS, CUE_WISHES, PAGE_SIZES, PART_KINDS } from '@aurora/core';
import { z } from 'zod';
import { naming, words } from './band.ts';
import { instrument } from './neck.ts';

const pitch = z
  .number()
  .int({ error: 'a note is a whole MIDI number' })
  .min(24, { error: 'lower than any voice' })
  .max(108, { error: 'higher than any voice' });
const range = z.object({ low: pitch, high: pitch });
const voice = z.object({
  comfortable: range.describe('sung with ease, as MIDI numbers'),
  possible: range.describe('possible on a good day'),
});

const fret = z.number().int().min(0, { error: 'a capo sits at fret 0 to 11' }).max(11, { error: 'a capo sits at fret 0 to 11' });

/** How a member reads a song. */
export const memberReads = z
  .object({
    transpose: z
      .number()
      .int()
      .min(0, { error: 'an instrument reads 0 to 11 half steps above what sounds' })
      .max(11, { error: 'an instrument reads 0 to 11 half steps above what sounds' })
      .describe('half steps from the sounding note up to the written one, octaves aside: B♭ 2, E♭ 9, F 7'),
    octave: z
      .number()
      .int()
      .min(-3, { error: 'three octaves at most' })
      .max(3, { error: 'three octaves at most' })
      .describe('octaves the written note lies above what sounds, beside the transposition'),
    capo: fret.describe('where the capo usually sits'),
    maxCapo: fret.describe('the highest fret for a capo on this neck'),
    barres: z.enum(BARRE_LEVELS, { error: 'barres is none, some or any' }),
    show: z.enum(CHORD_SHOWS, { error: 'show is numbers, letters, both or roman' }),
    part: z.enum(PART_KINDS, { error: 'a part is chart, bass or form' }),
    size: z.enum(PAGE_SIZES, { error: 'size is fewest pages or large type' }),
    words: z.boolean().describe('lyrics under the bars'),
    cues: z.enum(CUE_WISHES, { error: 'cues is all, own or none' }),
    naming: naming.nullable().describe('the naming school; null for the band’s'),
    voice: voice.nullable().describe('what the member sings; null for one who does not'),
  })
  .meta({ id: 'MemberReads' });

/** How somebody reads before anything was said about it. */
export const DEFAULT_READS: z.infer<typeof memberReads> = {
  transpose: 0,
  octave: 0,
  capo: 0,
  maxCapo: 7,
  barres: 'some',
  show: 'both',
  part: 'chart',
  size: 'fewest pages',
  words: true,
  cues: 'all',
  naming: null,
  voice: null,
};

const name = words.trim().min(1, { error: 'give the player a name' }).max(60, { error: 'a name has at most 60 letters' });
const plays = words.trim().max(60, { error: 'an instrument has at most 60 letters' });

export const member = z
  .object({
    id: z.string(),
    name: z.string(),
    plays: z.string().describe('what the member plays, in words'),
    reads: memberReads,
    instrument: instrument.nullable().describe('the fretted instrument as set up; null for one that was never set up or has no frets'),
    isIn: z.boolean().default(false).describe('whether somebody is signed in as this player'),
  })
  .meta({ id: 'Member' });
export const membersAnswer = z.object({ members: z.array(member) }).meta({ id: 'Members' });

export const memberCreateRequest = z.object({ name, plays, reads: memberReads.partial().optional() }).meta({ id: 'MemberCreateRequest' });
/** What is left out stays as it is. */
export const memberChange = z
  .object({ name: name.optional(), plays: plays.optional(), reads: memberReads.partial().optional() })
  .meta({ id: 'MemberChange' });

export type Member = z.infer<typeof member>;
export type MemberReads = z.infer<typeof memberReads>;
export type MemberChange = z.infer<typeof memberChange>;
export type MemberCreateRequest = z.infer<typeof memberCreateRequest>;
