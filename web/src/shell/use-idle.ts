import { useEffect, useState } from 'react';

/** At the latest, in milliseconds: what waits for a quiet moment comes also where there is none. */
const LATEST_MS = 2000;

/** Whether the page has been drawn and had a quiet moment since: what nobody waits for is fetched then. */
export function useIdle(): boolean {
  const [isIdle, setIdle] = useState(false);
  useEffect(() => {
    // not every browser tells when it is quiet
    if (typeof window.requestIdleCallback !== 'function') {
      const timer = window.setTimeout(() => setIdle(true), LATEST_MS / 4);
      return () => window.clearTimeout(timer);
    }
    const waiting = window.requestIdleCallback(() => setIdle(true), { timeout: LATEST_MS });
    return () => window.cancelIdleCallback(waiting);
  }, []);
  return isIdle;
}
