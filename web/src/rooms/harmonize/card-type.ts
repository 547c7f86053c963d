import type { SymbolView } from '@aurora/core';
import { type NumeralSize, numeralSize } from '../../parts/notation/numeral-size.ts';
import { symbolEms } from '../../parts/notation/symbol-width.ts';
import type { ColumnView } from './harmonize-view.ts';

/** How the seven cards are set: all alike, so that none shouts. */
export interface CardType {
  readonly numeral: NumeralSize;
  readonly letter: NumeralSize | 'text-base';
  /** Whether qualities stand under their chords. */
  readonly tail: 'raised' | 'below';
}

/** Longer qualities than this stand on a second line. */
const LONGEST_RAISED = 3;
/** What the frame takes of a card. */
const FRAME = 16;
const LETTER_PIXELS = 19;

/** The one type for all cards of so many pixels. */
export function cardType(columns: readonly ColumnView[], pixels: number, compact: boolean): CardType {
  const room = pixels - FRAME;
  const isLong = columns.some(({ numeral }) => numeral.raised.length > LONGEST_RAISED);
  const widest = (view: (column: ColumnView) => SymbolView) =>
    Math.max(...columns.map((column) => symbolEms(isLong ? { ...view(column), raised: '' } : view(column))));
  const size = numeralSize(
    widest(({ numeral }) => numeral),
    room,
    !compact,
  );
  const letters = Math.max(...columns.map(({ letter }) => symbolEms({ ...letter, main: letter.main + letter.raised, raised: '' })));
  const letterTail = isLong || letters * LETTER_PIXELS > room;
  return {
    numeral: compact && size === 'text-numeral' ? 'text-figure' : size,
    letter: letters * LETTER_PIXELS > room && !letterTail ? 'text-base' : 'text-lead',
    tail: letterTail ? 'below' : 'raised',
  };
}
