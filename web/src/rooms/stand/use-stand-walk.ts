import type { StandLine } from '@aurora/core';
import { useState } from 'react';
import { lineAfter, pageOf, turnedTo } from './stand-walk.ts';

interface WalkWish {
  readonly lines: readonly StandLine[];
  readonly pages: readonly (readonly number[])[];
  /** Pages that lie open beside each other; 0 where one goes line by line. */
  readonly open: number;
  readonly onPast: ((way: 1 | -1) => void) | undefined;
}

/** Where in the chart one is: by its line, so that another type or another key loses nothing. */
export function useStandWalk({ lines, pages, open, onPast }: WalkWish) {
  const [line, setLine] = useState(0);
  const at = Math.min(line, Math.max(0, lines.length - 1));
  const page = pageOf(pages, at);
  const turn = (way: 1 | -1) => {
    const next = open === 0 ? at + way : turnedTo(pages, page, way * open);
    if (next < 0 || next >= lines.length) onPast?.(way);
    else setLine(next);
  };
  return {
    line: at,
    page,
    turn,
    go: (to: number) => setLine(Math.max(0, Math.min(lines.length - 1, to))),
    /** To the beginning of the next section, or of this one and then the one before. */
    toSection: (way: 1 | -1) => setLine(lineAfter(lines, at, way)),
  };
}
