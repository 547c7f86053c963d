import type { StandLine } from '@aurora/core';
import { type PointerEvent, useRef } from 'react';
import type { KeyMap } from '../../session/use-shortcuts.ts';
import { lineAfter } from './stand-walk.ts';
import type { useStandWalk } from './use-stand-walk.ts';

/** Held so long, a press goes to the next section. */
const LONG_MS = 550;
/** The part of the screen, from the left, that turns back. */
const BACK_SHARE = 0.35;

export interface StandPress {
  readonly keys: KeyMap;
  readonly touch: {
    readonly onPointerDown: (event: PointerEvent) => void;
    readonly onPointerUp: (event: PointerEvent) => void;
  };
}

/** The pedal, the arrows and the finger: a press turns, a long one goes to where a section begins. */
export function useStandKeys({ line, turn, go }: ReturnType<typeof useStandWalk>, lines: readonly StandLine[]): StandPress {
  const from = useRef<number | null>(null);
  const down = useRef(0);
  const by = (way: 1 | -1) => (event: KeyboardEvent) => {
    if (!event.repeat) {
      from.current = line;
      turn(way);
    } else if (from.current !== null) {
      // held: the page it turned first is left for the section, once
      go(lineAfter(lines, from.current, way));
      from.current = null;
    }
  };
  return {
    keys: {
      PageDown: by(1),
      PageUp: by(-1),
      ' ': by(1),
      ArrowDown: by(1),
      ArrowUp: by(-1),
      ArrowRight: by(1),
      ArrowLeft: by(-1),
    },
    touch: {
      onPointerDown: () => {
        down.current = performance.now();
      },
      onPointerUp: ({ clientX, currentTarget }) => {
        const { left, width } = currentTarget.getBoundingClientRect();
        const way = clientX - left < width * BACK_SHARE ? -1 : 1;
        if (performance.now() - down.current >= LONG_MS) go(lineAfter(lines, line, way));
        else turn(way);
      },
    },
  };
}
