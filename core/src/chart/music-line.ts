import type { LetterCount } from '../degree/number-text.ts';
import type { Fault } from '../fault.ts';
import { parseChange } from './change-text.ts';
import type { Change, MusicItem, Place, Problem, Severity, Slot } from './chart.ts';
import { isEndingOpen, MOST_TIMES, parseEndingOpen, parseFormWords, parseRepeatSign } from './form-text.ts';
import { type LineToken, scanLine } from './line-scan.ts';
import { parseSlot } from './slot-text.ts';
import type { ChordToken } from './token-warning.ts';

/** What a line of music is read with, and what it adds to while being read. */
export interface LineContext {
  readonly line: number;
  /** Column offset of the text within its line. */
  readonly offset: number;
  /** The note degree 1 stands on just now; changes with the key. */
  tonic: number;
  /** Letters without a key named are chords as typed; under a key they are the chords of that chart. */
  readonly letters: LetterCount;
  readonly problems: Problem[];
  /** Every chord read so far, with the text it was read from. */
  readonly chordTokens: ChordToken[];
  /** Called when a key change is read, so that the letters after it count from the new tonic. */
  readonly onChange: (change: Change) => void;
}

const COUNT = /^[x×]\d{1,3}$/i;

/**
 * Reads a line of music. Without plain bar lines one token is one bar; with them, what stands
 * between two bar lines is one bar. What cannot be read is kept as such, with a problem.
 */
export function parseMusicLine(text: string, context: LineContext): readonly MusicItem[] {
  const tokens = withCounts(scanLine(text), text);
  const barred = tokens.some((token) => token.kind === 'barline' && isPlain(token));
  for (const token of tokens) if (!token.closed) report(context, unclosed(token), placeOf(context, token));
  return barred ? readBarred(tokens, text, context) : tokens.flatMap((token) => readToken(token, text, context));
}

/** `|` and `||`; a bar line with a colon is a repeat sign. */
function isPlain(token: LineToken): boolean {
  return /^\|+$/.test(token.text);
}

function readToken(token: LineToken, text: string, context: LineContext): readonly MusicItem[] {
  const at = placeOf(context, token);
  switch (token.kind) {
    case 'quoted':
      return [{ kind: 'remark', text: token.text.trim(), at }];
    case 'braced':
      return [readBraced(token, at, context)];
    case 'barline':
      return readRepeatSign(token, at, context);
    case 'cue':
      return [readCue(token, at, context)];
    case 'group':
      if (!isBalanced(token)) return [{ kind: 'unread', text: `(${token.text}`, at }];
      return [sharedBar(innerTokens(token, text), token.text, at, context)];
    case 'word':
      return [readWord(token, at, context)];
  }
}

function readWord(token: LineToken, at: Place, context: LineContext): MusicItem {
  if (token.text === '%' || token.text === '%%') return { kind: 'again', bars: token.text === '%' ? 1 : 2, at };
  if (token.text === ']') return { kind: 'form', mark: { kind: 'ending-close' }, at };
  if (isEndingOpen(token.text)) return { kind: 'form', mark: parseEndingOpen(token.text), at };
  if (COUNT.test(token.text)) {
    report(context, { code: 'count-stray', text: token.text }, at);
    return { kind: 'unread', text: token.text, at };
  }
  const slot = readSlot(token, context);
  if (slot === undefined) return { kind: 'unread', text: token.text, at };
  if (slot.beats !== null && !/alt\.$/.test(token.text)) report(context, { code: 'beats-outside-bar', text: token.text }, at);
  return { kind: 'bar', slots: [{ ...slot, beats: null }], broken: null, at };
}

function readCue(token: LineToken, at: Place, context: LineContext): MusicItem {
  if (token.words !== null && token.text !== '') return { kind: 'cue', to: token.text, text: token.words.trim(), at };
  report(context, { code: 'cue-wordless', text: `@${token.text}` }, at);
  return { kind: 'unread', text: `@${token.text}`, at };
}

function readBraced(token: LineToken, at: Place, context: LineContext): MusicItem {
  const text = token.text.trim();
  const mark = parseFormWords(text);
  if (mark !== undefined) return { kind: 'form', mark, at };
  const change = parseChange(text);
  if (change === undefined || 'code' in change) {
    report(context, change ?? { code: 'change-unknown', text: `{${text.slice(0, 40)}}` }, at);
    return { kind: 'unread', text: `{${token.text}}`, at };
  }
  context.onChange(change);
  return { kind: 'change', change, at };
}

/** A count directly behind a repeat's end belongs to it. */
function withCounts(tokens: readonly LineToken[], text: string): readonly LineToken[] {
  return tokens.flatMap((token, index) => {
    const [before, next] = [tokens[index - 1], tokens[index + 1]];
    if (before !== undefined && takesCount(before) && isCount(token)) return [];
    if (next === undefined || !takesCount(token) || !isCount(next)) return [token];
    const length = next.start + next.length - token.start;
    return [{ ...token, text: text.slice(token.start, token.start + length), length }];
  });
}

function takesCount({ kind, text }: LineToken): boolean {
  return kind === 'barline' && /^:\|+$/.test(text);
}

function isCount({ kind, text }: LineToken): boolean {
  return kind === 'word' && COUNT.test(text);
}

function readRepeatSign({ text }: LineToken, at: Place, context: LineContext): readonly MusicItem[] {
  return parseRepeatSign(text).map((mark) => {
    const times = mark.kind === 'repeat-close' ? mark.times : null;
    if (times !== null && (times < 1 || times > MOST_TIMES))
      report(context, { code: 'count-range', text: `x${times}`, most: MOST_TIMES }, at);
    return { kind: 'form', mark, at };
  });
}

/**
 * A bar shared by several chords. Bad tokens are reported; the bar keeps its good chords, and its
 * text as typed so that nothing is lost.
 */
function sharedBar(tokens: readonly LineToken[], text: string, at: Place, context: LineContext): MusicItem {
  const slots: Slot[] = [];
  for (const token of tokens) {
    const slot = isSharable(token) ? readSlot(token, context) : undefined;
    if (slot !== undefined) slots.push(slot);
    else if (!isSharable(token)) report(context, { code: 'repeat-in-bar', text: token.text }, placeOf(context, token));
  }
  if (tokens.length === 0) report(context, { code: 'bar-empty' }, at);
  return { kind: 'bar', slots, broken: slots.length < tokens.length || tokens.length === 0 ? text.trim() : null, at };
}

/** Whether the token can be a chord inside a shared bar; `%`, remarks and changes cannot. */
function isSharable(token: LineToken): boolean {
  return token.kind === 'word' && !token.text.startsWith('%');
}

function readSlot(token: LineToken, context: LineContext): Slot | undefined {
  const read = parseSlot(token.text, context.tonic, context.letters);
  const at = placeOf(context, token);
  if ('fault' in read) {
    report(context, read.fault, { ...at, column: at.column + read.start, length: read.length });
    return undefined;
  }
  for (const fault of read.faults) report(context, fault, at);
  if (read.slot.chord !== null) context.chordTokens.push({ text: token.text, chord: read.slot.chord, at });
  return read.slot;
}

// ---------------------------------------------------------------------- lines with bar lines

function readBarred(tokens: readonly LineToken[], text: string, context: LineContext): readonly MusicItem[] {
  const items: MusicItem[] = [];
  let measure: LineToken[] = [];
  let opening: LineToken | undefined;
  for (const token of tokens) {
    if (token.kind !== 'barline') {
      measure.push(token);
      continue;
    }
    items.push(...readMeasure(measure, text, context));
    if (opening !== undefined && measure.length === 0) report(context, { code: 'bar-empty' }, placeOf(context, token));
    if (!isPlain(token)) items.push(...readRepeatSign(token, placeOf(context, token), context));
    opening = token;
    measure = [];
  }
  items.push(...readMeasure(measure, text, context));
  return items;
}

/** What stands between two bar lines: chords become one bar, everything else keeps its place. */
function readMeasure(tokens: readonly LineToken[], text: string, context: LineContext): readonly MusicItem[] {
  const chords = tokens.filter(isChordToken);
  if (chords.length < 2) return tokens.flatMap((token) => readToken(token, text, context));
  const first = chords[0] as LineToken;
  const last = chords.at(-1) as LineToken;
  return tokens.flatMap((token) => {
    if (!isChordToken(token)) return readToken(token, text, context);
    if (token !== first) return [];
    const at = placeOf(context, { start: first.start, length: last.start + last.length - first.start });
    const inner = chords.flatMap((chord) => (chord.kind === 'group' ? innerTokens(chord, text) : [chord]));
    return [sharedBar(inner, inner.map((chord) => chord.text).join(' '), at, context)];
  });
}

function isChordToken(token: LineToken): boolean {
  if (token.kind !== 'group' && token.kind !== 'word') return false;
  return isBalanced(token) && !isEndingOpen(token.text) && token.text !== ']' && !COUNT.test(token.text);
}

/** Whether the parentheses inside the token match, so that it can stand inside others. */
function isBalanced(token: LineToken): boolean {
  if (token.closed && token.kind === 'group') return true;
  let depth = 0;
  for (const character of token.text) {
    if (character === '(') depth += 1;
    if (character === ')') depth -= 1;
    if (depth < 0) return false;
  }
  return depth === 0;
}

// ------------------------------------------------------------------------------- small steps

function innerTokens(group: LineToken, text: string): readonly LineToken[] {
  return scanLine(text, group.start + 1, group.start + group.length - (group.closed ? 1 : 0));
}

function placeOf(context: LineContext, token: { readonly start: number; readonly length: number }): Place {
  return { line: context.line, column: context.offset + token.start + 1, length: token.length };
}

function unclosed(token: LineToken): Fault {
  const closing = token.kind === 'quoted' ? '"' : token.kind === 'braced' ? '}' : ')';
  return { code: 'unclosed', text: token.text.slice(0, 40), closing };
}

function report(context: LineContext, fault: Fault, at: Place, severity: Severity = 'error'): void {
  context.problems.push({ fault, severity, at });
}
