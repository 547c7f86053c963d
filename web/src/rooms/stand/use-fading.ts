import { useEffect, useState } from 'react';

const AWAY_MS = 3000;
/** What a foot does is no sign that hands are there. */
const PEDAL = /^(Page|Arrow| $)/;

/** Whether the controls are in sight: after three seconds in which nobody touched anything they leave. */
export function useFading(): boolean {
  const [shown, setShown] = useState(true);
  useEffect(() => {
    let timer = window.setTimeout(() => setShown(false), AWAY_MS);
    const stir = (event: Event) => {
      if (event instanceof KeyboardEvent && PEDAL.test(event.key)) return;
      window.clearTimeout(timer);
      setShown(true);
      timer = window.setTimeout(() => setShown(false), AWAY_MS);
    };
    const signs = ['pointermove', 'pointerdown', 'keydown', 'focusin'] as const;
    for (const sign of signs) window.addEventListener(sign, stir);
    return () => {
      window.clearTimeout(timer);
      for (const sign of signs) window.removeEventListener(sign, stir);
    };
  }, []);
  return shown;
}
