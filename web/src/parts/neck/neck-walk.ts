import type { NeckDot } from './neck-view.ts';

export type Direction = 'left' | 'right' | 'up' | 'down';

export const DIRECTIONS: Readonly<Record<string, Direction>> = {
  ArrowLeft: 'left',
  ArrowRight: 'right',
  ArrowUp: 'up',
  ArrowDown: 'down',
};

/** On a neck for the left hand, left and right change places. */
export function mirrored(direction: Direction): Direction {
  if (direction === 'left') return 'right';
  return direction === 'right' ? 'left' : direction;
}

/** The name of a place, by string and fret. */
export function placeOf({ string, fret }: Pick<NeckDot, 'string' | 'fret'>): string {
  return `${string}-${fret}`;
}
