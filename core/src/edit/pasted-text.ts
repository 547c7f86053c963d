import { printChart } from '../chart/chart-text.ts';
import { readChart } from '../chart/reading.ts';
import { linesOf } from '../chart/text-lines.ts';
import { parseChord } from '../chord/chord-text.ts';
import { parseNumberOrLetters } from '../degree/number-text.ts';
import type { Note } from '../pitch/note.ts';
import { printNote } from '../pitch/note-text.ts';
import type { OpenChart } from './bar-edits.ts';

/** How a line of what was pasted is taken. */
export interface PastedLine {
  readonly kind: 'section' | 'chords' | 'words' | 'blank' | 'head';
  /** The line as typed, and as chart text; lines that say nothing to a chart become nothing. */
  readonly typed: string;
  readonly text: string;
}

/** How chords without bar lines become bars. */
export type ChordsABar = 1 | 2 | 4;

const HEADING =
  /^\s*(?:\[([^\]]+)\]|((?:verse|chorus|bridge|intro|outro|solo|tag|coda|refrain|interlude|pre-?chorus|hook|vamp|head|ending)\b[^:|]*?):?)\s*(?:[x×]\s*(\d{1,2}))?\s*$/i;
const HEAD_LINE = /^\s*(title|by|key|time|tempo|feel|numbering)\s*:\s*(\S.*)$/i;
const SEPARATORS = /(?<=\s)[-–—]+(?=\s|$)|[,;]+(?=\s|$)|→/g;

/**
 * Reads chords as they are found on paper or in a message: letters or numbers, with or without bar
 * lines, above lyrics or alone. Every line says what it was taken for, so that it can be shown
 * before it lands. Letters count from `tonic`.
 */
export function readPasted(text: string, tonic: Note, chordsABar: ChordsABar = 1): readonly PastedLine[] {
  return linesOf(text).map((typed) => readLine(typed.replace(/\t/g, '    '), tonic, chordsABar));
}

/** The lines as one chart text. */
export function pastedText(lines: readonly PastedLine[]): string {
  return lines
    .filter(({ text }) => text !== '')
    .map(({ text }) => text)
    .join('\n');
}

function readLine(typed: string, tonic: Note, chordsABar: ChordsABar): PastedLine {
  const line = typed.trim();
  if (line === '') return { kind: 'blank', typed, text: '' };
  const heading = HEADING.exec(line);
  if (heading !== null) {
    const name = (heading[1] ?? heading[2] ?? '').trim();
    return { kind: 'section', typed, text: `[${name}]${heading[3] === undefined ? '' : ` x${heading[3]}`}` };
  }
  const head = HEAD_LINE.exec(line);
  if (head !== null) return { kind: 'head', typed, text: `${(head[1] as string).toLowerCase()}: ${(head[2] as string).trim()}` };
  if (line.startsWith('~') || line.startsWith('//')) return { kind: 'words', typed, text: line };
  return isChordLine(line, tonic)
    ? { kind: 'chords', typed, text: barsOf(line, tonic, chordsABar) }
    : { kind: 'words', typed, text: `~ ${line}` };
}

/** Whether most of a line's words are chords. Words of one letter that are English are no evidence. */
function isChordLine(line: string, tonic: Note): boolean {
  const words = tokensOf(line);
  const chords = words.filter((word) => isChord(word, tonic));
  const plain = chords.filter((word) => word !== 'A' && word !== 'I');
  if (chords.length === 0) return false;
  return chords.length === words.length || (plain.length > 0 && chords.length * 3 >= words.length * 2);
}

function tokensOf(line: string): readonly string[] {
  return line
    .replace(SEPARATORS, ' ')
    .split(/[\s|:]+/)
    .filter((word) => word !== '' && !/^(?:[x×]\d+|%+|\/+|\.)$/i.test(word));
}

const NO_CHORD = /^N\.?C\.?$/;
const MARKS = /^[>(<]*|[)>!?.,]*$/g;

function isChord(word: string, tonic: Note): boolean {
  const core = word.replace(MARKS, '');
  return NO_CHORD.test(core) || parseNumberOrLetters(core, tonic).ok || parseChord(core).ok;
}

/** A line of chords as bars. Bar lines are followed; without them so many chords share a bar. */
function barsOf(line: string, tonic: Note, chordsABar: ChordsABar): string {
  const clean = line
    .replace(SEPARATORS, ' ')
    .replace(/N\.C\.?/g, 'NC')
    .replace(/\s+/g, ' ')
    .trim();
  if (clean.includes('|')) return /^\|/.test(clean) || /\|$/.test(clean) ? clean : `| ${clean} |`;
  if (/[(){}"]/.test(clean)) return clean;
  const words = clean.split(' ').filter((word) => isChord(word, tonic) || word === '%');
  const bars: string[] = [];
  for (let from = 0; from < words.length; from += chordsABar) {
    const bar = words.slice(from, from + chordsABar);
    bars.push(bar.length === 1 ? (bar[0] as string) : `(${bar.join(' ')})`);
  }
  return bars.join(' ');
}

/** The chart's text with pasted lines behind the line of a bar, or at the end. */
export function putPasted({ source, reading }: OpenChart, behind: number | null, text: string): string {
  const bar = behind === null ? undefined : reading.bars[behind];
  if (bar === undefined) return `${source.trimEnd()}${source.trim() === '' ? '' : reading.bars.length === 0 ? '\n\n' : '\n'}${text}\n`;
  const rows = source.split('\n');
  rows.splice(bar.at.line, 0, text);
  return rows.join('\n');
}

/** Lines of chart text whose letters count from another note than the chart's own: they become numbers. */
export function countedLines(text: string, tonic: Note): string {
  const { chart } = readChart(`key: ${printNote(tonic)}\n\n${text}`);
  return printChart({ head: [], body: chart.body }).trimEnd();
}
