import { BRIDGE_KINDS } from '@aurora/core';
import { z } from 'zod';
import { keyName, symbol } from './key-name.ts';

const bridgeEnd = z.object({
  chord: symbol,
  key: keyName.optional().describe('the chord is the 1 of its key when left out'),
});

export const bridgesRequest = z.object({ from: bridgeEnd, to: bridgeEnd }).meta({ id: 'BridgesRequest' });

export const bridgesAnswer = z
  .object({
    bridges: z
      .array(
        z.object({
          kind: z.enum(BRIDGE_KINDS),
          chords: z.array(z.string()).describe('what is played in between, empty for direct'),
          beats: z.number().int().describe('how long it takes'),
          smoothness: z.number().int().describe('0 to 100'),
          why: z.string(),
        }),
      )
      .describe('the smoothest first'),
  })
  .meta({ id: 'BridgesAnswer' });

export type BridgesRequest = z.infer<typeof bridgesRequest>;
export type BridgesAnswer = z.infer<typeof bridgesAnswer>;
