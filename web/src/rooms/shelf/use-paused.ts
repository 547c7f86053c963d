import { useEffect, useState } from 'react';

const PAUSE_MS = 200;

/** A value as it was when it last rested: what is typed is asked for after a pause, not at every letter. */
export function usePaused<Value>(value: Value): Value {
  const [rested, setRested] = useState(value);
  const now = JSON.stringify(value);
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is compared is the value, which is a new object at every drawing
  useEffect(() => {
    const timer = window.setTimeout(() => setRested(value), PAUSE_MS);
    return () => window.clearTimeout(timer);
  }, [now]);
  return rested;
}
