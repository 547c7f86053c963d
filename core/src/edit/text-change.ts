import { ChangeSet, Text } from '@codemirror/state';
import { commonPairs } from './common-pairs.ts';

/**
 * A change of a text as a value: it can be applied, turned round, put together with the next one,
 * and carried over a change that somebody else made meanwhile. Undo, saving, merging and following
 * another player are all made of these.
 */
export type TextChange = ChangeSet;

const docOf = (text: string): Text => Text.of(text.split('\n'));
const textOf = (doc: Text): string => doc.toString();

/** Some characters of a text giving way to others. Offsets in characters from 0; `to` is not included. */
export interface Span {
  readonly from: number;
  readonly to: number;
  readonly insert: string;
}

/** A change of a text of so many characters, from spans in order that do not overlap. */
export function changeOf(spans: readonly Span[], length: number): TextChange {
  return ChangeSet.of([...spans], length, '\n');
}

/**
 * The change that makes one text of another: lines that both have are left alone, and within what
 * is between them only the middle that differs gives way. Null when the texts are equal.
 */
export function changeBetween(before: string, after: string): TextChange | null {
  if (before === after) return null;
  const [old, now] = [linesWithEnds(before), linesWithEnds(after)];
  const [oldStarts, nowStarts] = [startsOf(old), startsOf(now)];
  const spans: Span[] = [];
  let [from, to] = [0, 0];
  // a last pair behind both texts closes what is left over
  for (const [left, right] of [...commonPairs(old, now), [old.length, now.length] as const]) {
    const [start, end] = [oldStarts[from] as number, oldStarts[left] as number];
    const insert = after.slice(nowStarts[to], nowStarts[right]);
    if (left > from || right > to) spans.push(narrowed({ from: start, to: end, insert }, before));
    [from, to] = [left + 1, right + 1];
  }
  return changeOf(spans, before.length);
}

/** Lines with the break that ends each, so that they add up to the text. */
function linesWithEnds(text: string): readonly string[] {
  return text.split(/(?<=\n)/);
}

/** Where each line begins, and behind the last where the next would. */
function startsOf(lines: readonly string[]): readonly number[] {
  const starts = [0];
  for (const line of lines) starts.push((starts.at(-1) as number) + line.length);
  return starts;
}

/** A span without what its two sides begin and end with in common. */
function narrowed({ from, to, insert }: Span, before: string): Span {
  const old = before.slice(from, to);
  const shorter = Math.min(old.length, insert.length);
  let start = 0;
  while (start < shorter && old[start] === insert[start]) start += 1;
  let end = 0;
  while (end < shorter - start && old[old.length - 1 - end] === insert[insert.length - 1 - end]) end += 1;
  return { from: from + start, to: to - end, insert: insert.slice(start, insert.length - end) };
}

/** The text after a change; null when the change was made for a text of another length. */
export function applyChange(text: string, change: TextChange): string | null {
  return change.length === text.length ? textOf(change.apply(docOf(text))) : null;
}

/** The change that takes this one back, made for the text before it. */
export function invertChange(change: TextChange, before: string): TextChange {
  return change.invert(docOf(before));
}

/** Two changes one after the other as one. */
export function composeChanges(first: TextChange, second: TextChange): TextChange {
  return first.compose(second);
}

/**
 * A change carried over another one made to the same text: it then applies to the text after that
 * other one. Where both write at the same place, the one that comes `first` stands first, so that
 * both sides come to the same text.
 */
export function mapChange(change: TextChange, over: TextChange, comes: 'first' | 'second'): TextChange {
  return change.map(over, comes === 'first');
}

/** Whether a change does nothing. */
export function isNothing(change: TextChange): boolean {
  return change.empty;
}

/** The stretches of the text before that a change touches, with what it writes there. */
export function spansOf(change: TextChange): readonly Span[] {
  const spans: Span[] = [];
  change.iterChanges((from, to, _newFrom, _newTo, inserted) => void spans.push({ from, to, insert: textOf(inserted) }));
  return spans;
}
