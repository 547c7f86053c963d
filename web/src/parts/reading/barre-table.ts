import type { BarreLevel } from '@aurora/core';
import { PARTS_WORDS } from '../../wording/parts.ts';

/** How much of a barre a player can hold. */
export const BARRE_LEVELS: readonly (readonly [BarreLevel, string])[] = [
  ['none', PARTS_WORDS.noBarres],
  ['some', PARTS_WORDS.someBarres],
  ['any', PARTS_WORDS.anyShape],
];
