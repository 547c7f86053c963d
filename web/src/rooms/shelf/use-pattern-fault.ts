import { useEffect, useState } from 'react';

/** Why nothing can be sought by a pattern yet. What reads it is fetched when the first chord is typed. */
export function usePatternFault(pattern: string): string | null {
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    let current = true;
    if (pattern.trim() === '') setFault(null);
    else void import('./pattern-fault.ts').then(({ patternFault }) => current && setFault(patternFault(pattern)));
    return () => {
      current = false;
    };
  }, [pattern]);
  return fault;
}
