import { type ReactNode, useDeferredValue } from 'react';

/**
 * Something large, drawn in small steps after what stands around it is there, between which a finger is
 * answered; until then `instead` keeps its place.
 */
export function Soon({ instead, children }: { readonly instead: ReactNode; readonly children: ReactNode }) {
  const isThere = useDeferredValue(true, false);
  return isThere ? children : instead;
}
