import type { BarreLevel } from '@aurora/core';

/** How much of a barre a player can hold. */
export const BARRE_LEVELS: readonly (readonly [BarreLevel, string])[] = [
  ['none', 'No barres'],
  ['some', 'Some barres'],
  ['any', 'Any shape'],
];
