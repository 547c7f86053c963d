import { ChangeSet } from '@codemirror/state';
import type { TextChange } from './text-change.ts';

/** A change as it is stored and sent. */
export interface StoredChange {
  readonly version: 1;
  readonly change: unknown;
}

export function storeChange(change: TextChange): StoredChange {
  return { version: 1, change: change.toJSON() };
}

/** A stored change as a value; undefined for anything that is none. */
export function readChange(stored: unknown): TextChange | undefined {
  if (typeof stored !== 'object' || stored === null) return undefined;
  const { version, change } = stored as Partial<StoredChange>;
  if (version !== 1) return undefined;
  try {
    return ChangeSet.fromJSON(change);
  } catch {
    return undefined;
  }
}
