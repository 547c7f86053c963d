import type { Steps } from './history.ts';

/** What two people made of one value, put together, and what has to be asked. */
interface Merged<T, Clash> {
  /** What is in dispute is in it as it is here. */
  readonly value: T;
  readonly clashes: readonly Clash[];
}

/** What a draft has to know about the kind of document it keeps. */
export interface DraftKind<T, Step, Clash> {
  readonly name: string;
  readonly equal: (a: T, b: T) => boolean;
  readonly merge: (base: T, mine: T, theirs: T) => Merged<T, Clash>;
  readonly steps: Steps<T, Step>;
  /** The value as it is kept on the device, and back; undefined for anything that is none. */
  readonly write: (value: T) => unknown;
  readonly read: (stored: unknown) => T | undefined;
}
