import type { OUTCOMES } from '../choices.ts';

export type Outcome = (typeof OUTCOMES)[number];

/** One time through an item, or one answer: what is remembered of it. */
export interface Pass {
  /** Given once, where it was played: sent twice it counts once. */
  readonly id: string;
  /** When, in milliseconds. */
  readonly at: number;
  /** Which item, as `itemId` writes it. */
  readonly item: string;
  /** Where within the item: a stage, a question. */
  readonly stage: string;
  /** Beats a minute; null where nothing was counted. */
  readonly tempo: number | null;
  /** Milliseconds until it was answered; null for what is not answered. */
  readonly answeredIn: number | null;
  readonly outcome: Outcome;
  /** What was said instead of the right answer, or where it broke: the place of the chord or bar, a section's name; empty otherwise. */
  readonly said: string;
  /** Whether nothing was shown while it was played or said. */
  readonly hidden: boolean;
  /** How long it took in all, in seconds. */
  readonly seconds: number;
  /** Which night of the programme it belongs to; null for none. */
  readonly night: number | null;
}

/** Whether it went as it should. */
export function isGood({ outcome }: Pick<Pass, 'outcome'>): boolean {
  return outcome === 'clean' || outcome === 'right';
}

/** Whether it broke off or was wrong. */
export function isBad({ outcome }: Pick<Pass, 'outcome'>): boolean {
  return outcome === 'stopped' || outcome === 'wrong';
}

/** The place at which a pass broke or wavered, counted from 1 among the chords or bars of its item; null where nobody said. */
export function placeOfBreak({ outcome, said }: Pick<Pass, 'outcome' | 'said'>): number | null {
  return (outcome === 'stopped' || outcome === 'shaky') && /^[1-9]\d{0,3}$/.test(said) ? Number(said) : null;
}

/**
 * Passes in the order they were played. A clock that went back, or stood in the future, moves nothing:
 * what claims to be later than now was played now.
 */
export function inOrder(passes: readonly Pass[], now: number): readonly Pass[] {
  return passes.map((pass) => (pass.at > now ? { ...pass, at: now } : pass)).sort((a, b) => a.at - b.at);
}
