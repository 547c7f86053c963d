import type { LossCode } from '../wording/loss-words.ts';

/** One kind of loss, with the bars it concerns, counted from 1; none where it concerns the whole song. */
export interface Loss {
  readonly code: LossCode;
  readonly bars: readonly number[];
  /** What exactly, in the song's own words; empty where there is nothing to add. */
  readonly what: string;
}

/** Gathers losses while a song is turned over, each kind once. */
export class LossList {
  readonly #found = new Map<string, { code: LossCode; bars: Set<number>; what: string }>();

  /** `bar` counts from 1; null for the whole song. */
  add(code: LossCode, bar: number | null = null, what = ''): void {
    const name = `${code} ${what}`;
    const known = this.#found.get(name) ?? { code, bars: new Set<number>(), what };
    if (bar !== null) known.bars.add(bar);
    this.#found.set(name, known);
  }

  get all(): readonly Loss[] {
    return [...this.#found.values()].map(({ code, bars, what }) => ({ code, bars: [...bars].sort((a, b) => a - b), what }));
  }
}
