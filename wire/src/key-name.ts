import { z } from 'zod';

/** Longest symbol, note or key name anybody types. */
const MOST_SYMBOL = 200;

/** A chord, a note, a scale or a key as it is typed. */
export const symbol = z.string().max(MOST_SYMBOL, { error: 'that is too long for a chord, a note or a key' });

/** A key as most calls take it. */
export const keyName = z.object({ tonic: symbol, scale: symbol }, { error: 'a key is { "tonic": "Eb", "scale": "major" }' });
