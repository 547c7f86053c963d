import { useEffect, useState } from 'react';

/** What is known of a pattern: until it has been read, nothing may be asked by it. */
interface PatternRead {
  readonly fault: string | null;
  readonly mayAsk: boolean;
}

/** Whether songs can be sought by a pattern, and if not, why. What reads it is fetched when the first chord is typed. */
export function usePatternRead(pattern: string): PatternRead {
  const [read, setRead] = useState<{ readonly pattern: string; readonly fault: string | null }>({ pattern: '', fault: null });
  useEffect(() => {
    let current = true;
    if (pattern.trim() === '') setRead({ pattern, fault: null });
    else void import('./pattern-fault.ts').then(({ patternFault }) => current && setRead({ pattern, fault: patternFault(pattern) }));
    return () => {
      current = false;
    };
  }, [pattern]);
  return { fault: read.fault, mayAsk: read.pattern === pattern && read.fault === null };
}
