import { z } from 'zod';
import { words } from './band.ts';

/** The most frets a neck has; the core's own limit. */
const MOST_FRETS = 24;
const MOST_STRINGS = 8;
const MOST_VOICINGS = 2000;

/** Open strings as MIDI note numbers or note names (`E2`, or `E` to be taken above the one before), lowest string first. */
export const tuning = z
  .array(z.union([z.number(), z.string().max(8)], { error: 'a string is a note such as E2, or a MIDI number' }))
  .max(64);

const fretError = { error: `a fret lies between 1 and ${MOST_FRETS}` };
const capoError = { error: 'a capo sits at fret 0 to 11' };

export const voicingsRequest = z
  .object({
    symbol: z.string().max(200, { error: 'that is too long for a chord' }),
    tuning: tuning.optional(),
    maxFret: z.number().int(fretError).min(1, fretError).max(MOST_FRETS, fretError).optional(),
    capo: z.number().int(capoError).min(0, capoError).max(11, capoError).optional(),
    families: z.array(z.string().max(40)).max(20).optional(),
    without: z.array(z.enum(['root', 'fifth'], { error: 'root or fifth' })).optional(),
    limit: z
      .number()
      .int()
      .min(1, { error: 'ask for at least one' })
      .max(MOST_VOICINGS, { error: `${MOST_VOICINGS} at most` })
      .optional(),
  })
  .meta({ id: 'VoicingsRequest' });

const finger = z.union([z.number().int(), z.literal('T')]).nullable();

export const voicingsAnswer = z
  .object({
    symbol: z.string(),
    tuning: z.array(z.number().int()).describe('open strings as MIDI note numbers, lowest first'),
    capo: z.number().int(),
    voicings: z.array(
      z.object({
        frets: z.array(z.number().int().nullable()).describe('lowest string first, counted from the nut; null is muted'),
        fromCapo: z.array(z.number().int().nullable()).describe('the same frets counted from the capo'),
        fingers: z.array(z.number().int().nullable()).describe('1 to 4, 0 open, null muted'),
        barres: z.array(z.object({ finger: z.number().int(), fret: z.number().int(), from: z.number().int(), to: z.number().int() })),
        fingerings: z.array(z.array(finger)).describe('other ways to hold it, easiest first; T is the thumb'),
        family: z.string(),
        families: z.array(z.string()),
        inversion: z.number().int().nullable().describe('which chord tone is lowest; null for a bass that is none'),
        difficulty: z.number().describe('0 to 10'),
        notes: z.array(z.string()).describe('what sounds, lowest string first'),
        formula: z.array(z.string()),
        omitted: z.array(z.string()),
        added: z.array(z.string()),
      }),
    ),
    total: z.number().int().describe('how many there are, however many were asked for'),
    leftOut: z.array(z.string()).describe('chord tones that never fit, because there are fewer strings'),
    partial: z.boolean().describe('whether the search was cut short'),
  })
  .meta({ id: 'VoicingsAnswer' });

/** An instrument as the core has it; what it may be is checked there. */
export const instrument = z
  .object({
    name: z.string().min(1, { error: 'give the instrument a name' }).max(80, { error: 'that name is too long' }),
    tuning: z.array(z.number()).max(MOST_STRINGS * 8),
    frets: z.number(),
    comfortFret: z.number(),
    scaleLength: z.number(),
    dots: z.enum(['ninth', 'tenth']),
    leftHanded: z.boolean(),
    capo: z.number(),
  })
  .meta({ id: 'Instrument' });

const ink = z.enum(['ink', 'quiet', 'line', 'accent', 'on-accent', 'paper']);
const number = z.number().min(-10_000).max(10_000);

const shape = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('line'), x1: number, y1: number, x2: number, y2: number, width: number, ink }),
  z.object({ kind: z.literal('rect'), x: number, y: number, width: number, height: number, radius: number, fill: ink }),
  z.object({
    kind: z.literal('circle'),
    x: number,
    y: number,
    radius: number,
    fill: ink.nullable(),
    stroke: ink.nullable(),
    width: number,
  }),
  z.object({
    kind: z.literal('path'),
    d: z
      .string()
      .max(20_000)
      .regex(/^[MLQCZ\d\s.,e-]*$/, { error: 'a path has absolute M, L, Q, C and Z only' }),
    fill: ink.nullable(),
    stroke: ink.nullable(),
    width: number,
  }),
  z.object({
    kind: z.literal('text'),
    x: number,
    y: number,
    text: z.string().max(500),
    size: z.number().min(1).max(200),
    anchor: z.enum(['start', 'middle', 'end']),
    face: z.enum(['text', 'bold', 'numeral']),
    ink,
  }),
]);

const side = z.number().min(10).max(2000);

/** Pages to be set as a PDF: the core's drawings. */
export const sheetRequest = z
  .object({
    title: words.max(200),
    author: words.max(200).default('').describe('whose pages they are; the band'),
    pages: z
      .array(z.object({ width: side, height: side, label: z.string().max(300), shapes: z.array(shape).max(20_000) }))
      .min(1, { error: 'a sheet has at least one page' })
      .max(40, { error: 'that is more than 40 pages' }),
  })
  .meta({ id: 'SheetRequest' });

export type VoicingsRequest = z.infer<typeof voicingsRequest>;
export type VoicingsAnswer = z.infer<typeof voicingsAnswer>;
export type SheetRequest = z.infer<typeof sheetRequest>;
