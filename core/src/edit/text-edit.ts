/**
 * A change of a text as a value: at one place some characters give way to others. It can be
 * applied, turned round and applied again, so undo and redo are the same thing as writing.
 */
export interface TextEdit {
  /** Characters before the change, from 0. */
  readonly at: number;
  readonly removed: string;
  readonly inserted: string;
}

/** The smallest edit that makes one text of another; null when they are equal. */
export function editBetween(before: string, after: string): TextEdit | null {
  if (before === after) return null;
  const shorter = Math.min(before.length, after.length);
  let at = 0;
  while (at < shorter && before[at] === after[at]) at += 1;
  let end = 0;
  while (end < shorter - at && before[before.length - 1 - end] === after[after.length - 1 - end]) end += 1;
  return { at, removed: before.slice(at, before.length - end), inserted: after.slice(at, after.length - end) };
}

/** The text after the edit. Null when the text is not the one the edit was made for. */
export function applyEdit(text: string, { at, removed, inserted }: TextEdit): string | null {
  return text.startsWith(removed, at) ? text.slice(0, at) + inserted + text.slice(at + removed.length) : null;
}

/** The edit that takes this one back. */
export function invertEdit({ at, removed, inserted }: TextEdit): TextEdit {
  return { at, removed: inserted, inserted: removed };
}
