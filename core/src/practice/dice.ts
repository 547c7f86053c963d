/** Chance with a seed: the same seed always throws the same. */
export interface Dice {
  /** From 0 up to, and never, 1. */
  readonly next: () => number;
  /** A whole number from 0 up to, and never, `below`. */
  readonly below: (below: number) => number;
  readonly pick: <One>(things: readonly One[]) => One;
  readonly shuffled: <One>(things: readonly One[]) => readonly One[];
}

const STEP = 0x6d2b79f5;
const WORD = 2 ** 32;

/** Dice for a seed: a 32-bit generator (mulberry32), good enough to shuffle questions. */
export function diceOf(seed: number): Dice {
  let state = Math.floor(seed) >>> 0;
  const next = () => {
    state = (state + STEP) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / WORD;
  };
  const below = (limit: number) => Math.floor(next() * limit);
  return {
    next,
    below,
    pick: (things) => things[below(things.length)] as (typeof things)[number],
    shuffled: (things) => {
      const order = [...things];
      for (let last = order.length - 1; last > 0; last -= 1) {
        const at = below(last + 1);
        [order[last], order[at]] = [order[at] as (typeof order)[number], order[last] as (typeof order)[number]];
      }
      return order;
    },
  };
}
