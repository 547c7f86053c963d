import { useEffect, useRef, useState } from 'react';

/** Gives the keyboard back to where it was when something is laid over the room by a key, and no button opened it. */
export function useFocusBack() {
  const before = useRef<Element | null>(null);
  return {
    /** When it opens, before the keyboard goes there. */
    remember: () => {
      before.current = document.activeElement;
    },
    /** When it closes. */
    giveBack: (event: Event) => {
      const element = before.current;
      if (!(element instanceof HTMLElement) || !element.isConnected || element === document.body) return;
      event.preventDefault();
      element.focus({ preventScroll: true });
    },
  };
}

/** The same for something that is only there while it is open: the keyboard goes back when it is gone, unless it went elsewhere. */
export function useFocusBackAfter(): void {
  const [before] = useState(() => document.activeElement);
  useEffect(
    () => () => {
      // what is closing lets the keyboard go a moment later
      window.setTimeout(() => {
        const isFree = document.activeElement === null || document.activeElement === document.body;
        if (isFree && before instanceof HTMLElement && before.isConnected) before.focus({ preventScroll: true });
      });
    },
    [before],
  );
}
