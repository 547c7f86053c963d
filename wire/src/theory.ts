import { DEPTHS } from '@aurora/core';
import { z } from 'zod';
import { keyName, symbol } from './key-name.ts';

const notes = z.array(z.string());

export const harmonizeRequest = z
  .object({
    tonic: symbol,
    scale: symbol,
    depth: z.enum(DEPTHS, {
      error: 'depth is triad, seventh, ninth, eleventh or thirteenth',
    }),
  })
  .meta({ id: 'HarmonizeRequest' });

export const harmonizeAnswer = z
  .object({
    key: z.object({ tonic: z.string(), scale: z.string() }),
    notes,
    steps: z.array(z.enum(['W', 'H', 'W+H'])),
    chords: z.array(
      z.object({
        degree: z.string(),
        number: z.string(),
        roman: z.string(),
        symbol: z.string(),
        quality: z.string(),
        function: z.enum(['tonic', 'subdominant', 'dominant']),
        notes,
        formula: z.array(z.string()),
        parentDegrees: z.array(z.string()),
        stack: z.array(z.string()),
      }),
    ),
  })
  .meta({ id: 'HarmonizeAnswer' });

export const chordParseRequest = z.object({ symbol }).meta({ id: 'ChordParseRequest' });

export const chordParseAnswer = z
  .object({
    symbol: z.string(),
    root: z.string(),
    bass: z.string().nullable(),
    quality: z.string(),
    notes,
    formula: z.array(z.string()),
  })
  .meta({ id: 'ChordParseAnswer' });

/** More than any instrument sounds at once; what is above it is a slip. */
const MOST_NOTES = 24;

export const chordIdentifyRequest = z
  .object({
    notes: z
      .array(symbol)
      .min(1, { error: 'name at least one note' })
      .max(MOST_NOTES, { error: `that is more than ${MOST_NOTES} notes: leave out the ones that repeat` }),
    key: keyName.optional(),
  })
  .meta({ id: 'ChordIdentifyRequest' });

export const chordIdentifyAnswer = z
  .object({
    candidates: z.array(
      z.object({
        symbol: z.string(),
        root: z.string(),
        bass: z.string().nullable(),
        inversion: z.number().int().nullable().describe('0 for the root in the bass; null when the root is missing'),
        missing: z.array(z.string()),
        quality: z.string(),
        rank: z.number().int(),
        common: z.boolean().describe('whether the name is in common use'),
      }),
    ),
  })
  .meta({ id: 'ChordIdentifyAnswer' });

export type ChordIdentifyAnswer = z.infer<typeof chordIdentifyAnswer>;
export type HarmonizeRequest = z.infer<typeof harmonizeRequest>;
export type HarmonizeAnswer = z.infer<typeof harmonizeAnswer>;
export type ChordParseRequest = z.infer<typeof chordParseRequest>;
export type ChordParseAnswer = z.infer<typeof chordParseAnswer>;
