import { z } from 'zod';
import { words } from './band.ts';

const number = words.min(1).max(40);

/** A chord one player plays otherwise; refused when somebody would rather hear it as written. */
const chordSwap = z
  .object({
    memberId: z.uuid(),
    chord: number.describe('the chart’s number'),
    stretch: z.number().int().min(0).max(1000).describe('the key of the chart it stands in, counted from 0'),
    instead: number.describe('the number that is played'),
    refusedBy: words.max(60).describe('who would rather hear it as written; empty while nobody minds'),
  })
  .meta({ id: 'ChordSwap' });

export const swapsAnswer = z.object({ swaps: z.array(chordSwap) }).meta({ id: 'ChordSwaps' });
/** What one player plays for a chord from now on; null for the chord as written. */
export const swapRequest = chordSwap.omit({ instead: true }).extend({ instead: number.nullable() }).meta({ id: 'ChordSwapRequest' });

export type ChordSwap = z.infer<typeof chordSwap>;
export type SwapRequest = z.infer<typeof swapRequest>;
