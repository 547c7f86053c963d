import { z } from 'zod';

/** Longest symbol, note or key name anybody types. */
const MOST_SYMBOL = 200;
const symbol = z.string().max(MOST_SYMBOL, { error: 'that is too long for a chord, a note or a key' });
const notes = z.array(z.string());

export const harmonizeRequest = z
  .object({
    tonic: symbol,
    scale: symbol,
    depth: z.enum(['triad', 'seventh', 'ninth', 'eleventh', 'thirteenth'], {
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

export type HarmonizeRequest = z.infer<typeof harmonizeRequest>;
export type HarmonizeAnswer = z.infer<typeof harmonizeAnswer>;
export type ChordParseRequest = z.infer<typeof chordParseRequest>;
export type ChordParseAnswer = z.infer<typeof chordParseAnswer>;
