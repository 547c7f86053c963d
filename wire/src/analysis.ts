import { z } from 'zod';
import { keyName } from './key-name.ts';

const index = z.number().int().describe('0-based, counts the chords of the answer');
const namedKey = { tonic: z.string(), scale: z.string() };

export const analyzeRequest = z
  .object({
    source: z.string(),
    key: keyName.optional().describe('the home key, when it is known'),
    reading: z.enum(['local', 'home'], { error: 'reading is local or home' }).optional(),
  })
  .meta({ id: 'AnalyzeRequest' });

/** What stood in a source and could not be read. */
export const unreadChord = z
  .object({
    text: z.string(),
    before: z.number().int().describe('how many chords were read before it'),
    line: z.number().int(),
    column: z.number().int(),
    length: z.number().int(),
    message: z.string(),
  })
  .meta({ id: 'UnreadChord' });

const reading = z.object({
  kind: z.string(),
  target: z.string().optional().describe('the degree aimed at, as its plain triad'),
  resolution: z.enum(['resolves', 'deceptive', 'delayed', 'unresolved']).optional(),
  sources: z.array(z.string()).optional().describe('scales on the same tonic that hold the chord, nearest first'),
});

export const analyzeAnswer = z
  .object({
    lead: z.enum(['clear', 'two-homes', 'given', 'none']),
    keys: z.array(z.object({ ...namedKey, score: z.number(), reasons: z.array(z.string()) })),
    regions: z.array(
      z.object({
        ...namedKey,
        from: index,
        to: index,
        pivot: z.object({ index, numberBefore: z.string() }).optional(),
        why: z.string(),
      }),
    ),
    chords: z.array(
      z.object({
        symbol: z.string(),
        number: z.string(),
        roman: z.string(),
        function: z.enum(['tonic', 'subdominant', 'dominant', 'other']),
        reading,
        others: z.array(reading).describe('the next best readings'),
        scales: z.array(z.object({ tonic: z.string(), name: z.string(), why: z.string(), sharesWithNext: z.array(z.string()) })),
        why: z.string(),
        bar: z.number().int().describe('0-based'),
        height: z.number().describe('how far it stands from home'),
        note: z.string().optional().describe('what the player says of it'),
      }),
    ),
    patterns: z.array(z.object({ kind: z.string(), tonic: z.string(), from: index, to: index, minor: z.boolean() })),
    unread: z.array(unreadChord),
  })
  .meta({ id: 'AnalyzeAnswer' });

export type AnalyzeAnswer = z.infer<typeof analyzeAnswer>;
export type AnalyzeRequest = z.infer<typeof analyzeRequest>;
export type UnreadChord = z.infer<typeof unreadChord>;
