import type { NumberChord } from '../degree/degree.ts';
import { type LetterCount, printNumber } from '../degree/number-text.ts';
import { type Fault, failure, type Result, success } from '../fault.ts';
import { type Key, moveKey } from '../key/key.ts';
import type { Note } from '../pitch/note.ts';
import { printChange } from './change-text.ts';
import type { BodyLine, Change, Chart, HeadLine, MusicItem, Place, Problem, Slot } from './chart.ts';
import { MOST_TIMES, printFormMark } from './form-text.ts';
import { countingTonic, type Head, readHead, tidyHeadName } from './head.ts';
import { type LineContext, parseMusicLine } from './music-line.ts';
import { printSlot } from './slot-text.ts';
import { linesOf } from './text-lines.ts';
import { type ChordToken, tokenWarnings } from './token-warning.ts';

/** What reading a text gives: always a chart, with whatever is wrong beside it. */
export interface ParsedChart {
  readonly chart: Chart;
  readonly head: Head;
  /** Problems of the text itself; those of beats and repeats come from `readBars`. */
  readonly problems: readonly Problem[];
}

const HEAD_NAME = /^[A-Za-z][A-Za-z0-9 _-]*$/;
const SECTION_LINE = /^\[([^\]]*)\]\s*(?:[x×]\s*(\d+)(?!\S))?\s*(?:--\s*(.*))?/;

/** Reads chart text. Any text gives a chart; nothing throws and nothing typed is dropped. */
export function parseChart(text: string): ParsedChart {
  const lines = linesOf(text);
  const headLines: HeadLine[] = [];
  let index = 0;
  for (; index < lines.length; index += 1) {
    const line = parseHeadLine(lines[index] as string, index + 1);
    if (line === undefined) break;
    if (line !== 'blank') headLines.push(line);
  }
  const { head, problems } = readHead(headLines);
  const state: BodyState = { head, problems: [...problems], lines: [], chordTokens: [], key: head.key };
  for (; index < lines.length; index += 1) readBodyLine(state, lines[index] as string, index + 1);
  state.problems.push(...tokenWarnings(state.chordTokens, head.keyNamed));
  return { chart: { head: headLines, body: state.lines }, head, problems: state.problems };
}

function parseHeadLine(line: string, number: number): HeadLine | 'blank' | undefined {
  const text = line.trim();
  const at: Place = { line: number, column: line.length - line.trimStart().length + 1, length: text.length };
  if (text === '') return 'blank';
  if (text.startsWith('//')) return { kind: 'comment', text: text.slice(2).trim(), at };
  const colon = text.indexOf(':');
  const name = text.slice(0, colon).trimEnd();
  const value = text.slice(colon + 1);
  if (colon < 0 || !HEAD_NAME.test(name) || value.startsWith('|')) return undefined;
  return { kind: 'field', name: tidyHeadName(name), value: value.trim(), at };
}

/** What reading the body carries from line to line. */
interface BodyState {
  readonly head: Head;
  readonly problems: Problem[];
  readonly lines: BodyLine[];
  readonly chordTokens: ChordToken[];
  /** The key in force, so that letters become numbers. */
  key: Key;
}

function readBodyLine(state: BodyState, raw: string, line: number, before = 0): void {
  const text = raw.trim();
  if (text === '') return;
  const offset = before + raw.length - raw.trimStart().length;
  const at: Place = { line, column: offset + 1, length: text.length };
  if (text.startsWith('//')) state.lines.push({ kind: 'comment', text: text.slice(2).trim(), at });
  else if (/^~(\s|$)/.test(text)) state.lines.push({ kind: 'words', text: text.slice(1).trim(), at });
  else if (text.startsWith('[')) readSection(state, text, at);
  else readMusic(state, text, at);
}

function readSection(state: BodyState, text: string, at: Place): void {
  const match = SECTION_LINE.exec(text);
  if (match === null) {
    state.problems.push({ fault: { code: 'unclosed', text: text.slice(0, 40), closing: ']' }, severity: 'error', at });
    state.lines.push({ kind: 'music', items: [{ kind: 'unread', text, at }], at });
    return;
  }
  const name = (match[1] as string).trim();
  if (name === '') state.problems.push({ fault: { code: 'section-nameless' }, severity: 'warning', at });
  const times = readTimes(state, match[2], at);
  state.lines.push({ kind: 'section', name, times, remark: match[3]?.trim() ?? null, at });
  const rest = text.slice(match[0].length);
  if (rest.trim() === '') return;
  const restAt = { ...at, column: at.column + match[0].length, length: rest.length };
  state.problems.push({ fault: { code: 'section-rest', name, rest: rest.trim().slice(0, 40) }, severity: 'warning', at: restAt });
  readBodyLine(state, rest, at.line, restAt.column - 1);
}

function readTimes(state: BodyState, digits: string | undefined, at: Place): number | null {
  const times = Number(digits);
  if (digits === undefined || (times >= 1 && times <= MOST_TIMES)) return digits === undefined ? null : times;
  const fault: Fault = { code: 'count-range', text: `x${digits.slice(0, 8)}`, most: MOST_TIMES };
  state.problems.push({ fault, severity: 'error', at });
  return null;
}

function readMusic(state: BodyState, text: string, at: Place): void {
  const context: LineContext = {
    line: at.line,
    offset: at.column - 1,
    tonic: countingTonic(state.key, state.head.numbering),
    letters: state.head.keyNamed ? 'as-charted' : 'as-typed',
    problems: state.problems,
    chordTokens: state.chordTokens,
    onChange: (change) => {
      state.key = keyAfter(state.key, change);
      context.tonic = countingTonic(state.key, state.head.numbering);
    },
  };
  const items = parseMusicLine(text, context);
  if (items.length > 0) state.lines.push({ kind: 'music', items, at });
}

/** The key in force after a change, in the chart's own key. */
export function keyAfter(key: Key, change: Change): Key {
  if (change.kind === 'key') return change.key;
  return change.kind === 'step' ? moveKey(key, change.semitones) : key;
}

// ----------------------------------------------------------------------------------- printing

/** How chords and changes are written when a chart is printed other than as plain chart text. */
export interface ChartPrinter {
  readonly chord: (chord: NumberChord) => string;
  /** Told of every change as it is passed, so that the chords after it can follow. */
  readonly change: (change: Change) => string;
  readonly field: (name: string, value: string) => string;
}

const PLAIN_PRINTER: ChartPrinter = { chord: printNumber, change: printChange, field: (_, value) => value };

/** Things on a line of music as tidy text. */
export function printMusicLine(items: readonly MusicItem[]): string {
  return items.map((item) => printItem(item, PLAIN_PRINTER)).join(' ');
}

/**
 * Reads one bar as it is typed by itself: `4`, `(2-7 57)`, or `2-7 57` for a bar that two chords
 * share. Letters count from `tonic`. Anything else than chords is a fault, or kept as a bar's own text.
 */
export function parseBarTokens(
  typed: string,
  tonic: Note,
  letters: LetterCount = 'as-charted',
  unread: 'refused' | 'kept' = 'refused',
): Result<MusicItem> {
  const text = typed.trim();
  const lead = typed.length - typed.trimStart().length;
  if (text === '') return failure({ code: 'empty', wanted: 'chord' }, 0, typed.length);
  const problems: Problem[] = [];
  const context: LineContext = { line: 1, offset: 0, tonic, letters, problems, chordTokens: [], onChange: () => undefined };
  // bar lines around it make whatever stands between them one bar
  const [item, ...more] = parseMusicLine(`|${text}|`, context);
  const fault = problems.find(({ severity }) => severity === 'error');
  if (fault !== undefined && unread === 'refused') return failure(fault.fault, Math.max(0, lead + fault.at.column - 2), fault.at.length);
  if (item === undefined || more.length > 0 || (item.kind !== 'bar' && item.kind !== 'again'))
    return failure({ code: 'token-unreadable', text }, lead, text.length);
  return success(item);
}

/** The chart as tidy text. Reading it back gives the same chart. */
export function printChart(chart: Chart, printer: ChartPrinter = PLAIN_PRINTER): string {
  const lines = chart.head.map((line) =>
    line.kind === 'comment' ? printComment(line.text) : `${line.name}: ${printer.field(line.name, line.value)}`.trimEnd(),
  );
  let fresh = lines.length === 0;
  for (const line of chart.body) {
    if (!fresh && (line.kind === 'section' || lines.length === chart.head.length)) lines.push('');
    fresh = false;
    const text = printBodyLine(line, printer);
    const misread =
      line.kind === 'music' && (OTHER_LINE.test(text) || SECTION_LINE.test(text) || (line === chart.body[0] && HEAD_LIKE.test(text)));
    lines.push(misread ? `${NOTHING} ${text}` : text);
  }
  return lines.length === 0 ? '' : `${lines.join('\n')}\n`;
}

/** Music that begins with something unread may look like a line of another kind; an empty remark keeps it music. */
const OTHER_LINE = /^(?:~(?:\s|$)|\/\/)/;
const HEAD_LIKE = /^[A-Za-z][A-Za-z0-9 _-]*:(?!\|)/;
const NOTHING = '""';

function printBodyLine(line: BodyLine, printer: ChartPrinter): string {
  switch (line.kind) {
    case 'section': {
      const times = line.times === null ? '' : ` x${line.times}`;
      return `[${line.name}]${times}${line.remark === null ? '' : ` -- ${line.remark}`}`.trimEnd();
    }
    case 'words':
      return `~ ${line.text}`.trimEnd();
    case 'comment':
      return printComment(line.text);
    case 'music':
      return line.items.map((item) => printItem(item, printer)).join(' ');
  }
}

function printComment(text: string): string {
  return `// ${text}`.trimEnd();
}

function printItem(item: MusicItem, printer: ChartPrinter): string {
  switch (item.kind) {
    case 'bar':
      return item.broken === null ? printSlots(item.slots, printer) : `(${item.broken})`;
    case 'again':
      return '%'.repeat(item.bars);
    case 'change':
      return `{${printer.change(item.change)}}`;
    case 'remark':
      return `"${item.text}"`;
    case 'cue':
      return `@${item.to} "${item.text}"`;
    case 'form':
      return printFormMark(item.mark);
    case 'unread':
      return item.text;
  }
}

/** A lone chord without marked beats is its own bar; anything else stands in parentheses. */
function printSlots(slots: readonly Slot[], printer: ChartPrinter): string {
  const printed = slots.map((slot) => printSlot(slot, printer.chord));
  const lone = slots.length === 1 && slots[0]?.beats === null;
  return lone ? (printed[0] as string) : `(${printed.join(' ')})`;
}
