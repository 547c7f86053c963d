import { create } from 'zustand';

/** What the half sheet of a phone shows: the room's own tools, why, the neck, or the chart's text. */
export type HandPart = 'tools' | 'why' | 'neck' | 'text';

interface HandState {
  readonly raised: HandPart | null;
  /** The part that is raised next time. */
  readonly last: HandPart;
}

/** The half sheet that rises over a room where there is no place for companions beside it. */
export const useHand = create<HandState>()(() => ({ raised: null, last: 'tools' }));

/** Raises it with the part that was open last, or with another one. */
export function raiseHand(part?: HandPart): void {
  useHand.setState(({ last }) => ({ raised: part ?? last, last: part ?? last }));
}

export function lowerHand(): void {
  useHand.setState({ raised: null });
}
