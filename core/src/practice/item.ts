import type { STUDIES } from '../choices.ts';
import type { Key } from '../key/key.ts';
import { parseKey } from '../key/key-text.ts';
import { keyText } from './key-questions.ts';

export type Study = (typeof STUDIES)[number];

/** The smallest thing that is practised and remembered: a study, what of it, and in which key. */
export interface Item {
  readonly study: Study;
  /** What of the study: a kind of question, a stage of a night, a shape; a song's id. */
  readonly what: string;
  /** `Eb major`; empty where the key plays no part. */
  readonly key: string;
}

/** An item as one word, the way it is kept. */
export function itemId({ study, what, key }: Item): string {
  return `${study}/${what}/${key}`;
}

/** The item of a word; undefined for a word that names none. */
export function findItem(id: string): Item | undefined {
  const [study, what, key, ...rest] = id.split('/');
  if (study === undefined || what === undefined || key === undefined || rest.length > 0 || study === '') return undefined;
  return { study: study as Study, what, key };
}

/** An item of a study in a key. */
export function itemIn(study: Study, what: string, key: Key | null): Item {
  return { study, what, key: key === null ? '' : keyText(key) };
}

/** The key of an item; null where it plays no part or is that of a join of two. */
export function keyOfItem({ key }: Item): Key | null {
  const read = parseKey(key);
  return read.ok ? read.value : null;
}
