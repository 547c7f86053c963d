import { useRef, useState } from 'react';

/** How a pass went, by the player's word. */
type Marked = 'clean' | 'shaky' | 'stopped';

/** A mark: how it went, where it broke or wavered, and whether it was played for as long as its music lasts. */
export interface MarkGiven {
  readonly outcome: Marked;
  /** The chord or bar it broke at, from 1; null where nobody said. */
  readonly place: number | null;
  /** Whether it was played with the click to its end: only then does its tempo count. */
  readonly inTime: boolean;
}

export interface Marking {
  /** Whether there is something to mark: it was played since the last mark. */
  readonly hasPlayed: boolean;
  /** A mark that came before its music can have been over, and is asked about. */
  readonly asked: MarkGiven | null;
  readonly began: () => void;
  readonly halted: () => void;
  readonly give: (outcome: Marked, place?: number | null) => void;
  readonly isSo: () => void;
  readonly isNotSo: () => void;
}

/** Who counts the last bar differently has played it too. */
const ENOUGH = 0.75;

/**
 * Takes a mark for what was played. One that comes sooner than its music lasts is asked about first; a break is
 * taken at once, since it ends the music. `lengthMs` is how long the music lasts.
 */
export function useMarking(lengthMs: number, keep: (mark: MarkGiven) => void): Marking {
  const since = useRef<number | null>(null);
  const longest = useRef(0);
  const [hasPlayed, setHasPlayed] = useState(false);
  const [asked, setAsked] = useState<MarkGiven | null>(null);
  const settle = () => {
    longest.current = Math.max(longest.current, since.current === null ? 0 : performance.now() - since.current);
    since.current = null;
  };
  const take = (mark: MarkGiven) => {
    since.current = null;
    longest.current = 0;
    setHasPlayed(false);
    setAsked(null);
    keep(mark);
  };
  return {
    hasPlayed,
    asked,
    began: () => {
      since.current = performance.now();
      setHasPlayed(true);
      setAsked(null);
    },
    halted: settle,
    give: (outcome, place = null) => {
      settle();
      const inTime = longest.current >= lengthMs * ENOUGH;
      const mark = { outcome, place, inTime: inTime || (outcome === 'stopped' && longest.current > 0) };
      if (inTime || outcome === 'stopped') take(mark);
      else setAsked(mark);
    },
    isSo: () => asked !== null && take(asked),
    isNotSo: () => setAsked(null),
  };
}
