import { analyzeText } from '../analysis/analyze.ts';
import { findMeter } from '../chart/head.ts';
import { readChart } from '../chart/reading.ts';
import { linesOf } from '../chart/text-lines.ts';
import { type PastedLine, pastedText, readPasted } from '../edit/pasted-text.ts';
import { failure, type Result, success } from '../fault.ts';
import type { Key } from '../key/key.ts';
import { parseKey, printKey } from '../key/key-text.ts';
import { LossList } from './loss.ts';

const MOST_LETTERS = 400_000;
/** So many lines of chords are enough to hear a key. */
const LINES_HEARD = 64;

/** Reads chords over lyrics, with or without bar lines, as chart text. Without a key line the key is found from the chords. */
export function readChordText(text: string, losses: LossList): Result<string> {
  if (text.length > MOST_LETTERS) return failure({ code: 'format-large', format: 'text' }, 0, 0);
  const lines = withTitle(linesOf(text.replace(/\r\n?/g, '\n')));
  const keyLine = lines.map((line) => /^\s*key\s*:\s*(\S.*)$/i.exec(line)?.[1]).find((value) => value !== undefined);
  const named = keyLine === undefined ? undefined : parseKey(keyLine.trim());
  const meter = lines.map((line) => /^\s*time\s*:\s*(\S+)\s*$/i.exec(line)?.[1]).find((value) => value !== undefined);
  const beats = findMeter(meter ?? '')?.beats ?? 4;
  const stroked = lines.map((line) => withStrokes(line, beats));
  const first = readPasted(stroked.join('\n'), 0);
  if (!first.some(({ kind }) => kind === 'chords')) return failure({ code: 'format-empty', format: 'text' }, 0, 0);
  if (named?.ok) return success(tidied(readPasted(stroked.join('\n'), named.value.tonic)));
  const chords = first.filter(({ kind }) => kind === 'chords').slice(0, LINES_HEARD);
  const guessed = analyzeText(chords.map(({ text: bars }) => bars).join('\n')).keys[0]?.key;
  const key = guessed === undefined ? 'C' : printKey(guessed);
  losses.add('key-guessed', null, guessed === undefined ? key : printKey(guessed, 'glyph'));
  return success(tidied([{ kind: 'head', typed: '', text: `key: ${key}` }, ...readPasted(stroked.join('\n'), guessed?.tonic ?? 0)]));
}

/** A whole song as it was found somewhere: as chart text, with what was found in it. */
export interface FoundSong {
  readonly source: string;
  /** Null where no title stands on it. */
  readonly title: string | null;
  readonly key: Key;
  /** Whether the key stands on it, or was heard in the chords; numbers have none of their own. */
  readonly keyIs: 'named' | 'heard' | 'open';
  readonly bars: number;
}

/** Reads a whole song pasted from anywhere: chart text, or chords over lyrics; undefined where it holds no bar. */
export function findSong(text: string): FoundSong | undefined {
  const asChart = readChart(text);
  // chart text that can be read is taken as it stands
  const isChart = asChart.bars.length > 0 && asChart.head.keyNamed && asChart.problems.every(({ severity }) => severity !== 'error');
  const losses = new LossList();
  const read = isChart ? success(text) : readChordText(text, losses);
  if (!read.ok) return undefined;
  const { head, bars } = readChart(read.value);
  if (bars.length === 0) return undefined;
  const heard = losses.all.some(({ code }) => code === 'key-guessed');
  const inNumbers = heard && !/(?<![^\s(|><])[A-G]/.test(text.replace(/^.*[:[].*$/gm, ''));
  const keyIs = heard ? (inNumbers ? 'open' : 'heard') : 'named';
  return { source: read.value, title: head.title === '' ? null : head.title, key: head.key, keyIs, bars: bars.length };
}

/** A first line of words before anything else is the song's title. */
function withTitle(lines: readonly string[]): readonly string[] {
  const first = lines.findIndex((line) => line.trim() !== '');
  const words = lines[first]?.trim() ?? '';
  if (first < 0 || /[:|[\]]/.test(words) || !endsTitle(lines[first + 1])) return lines;
  const [read] = readPasted(words, 0);
  return read?.kind === 'words' ? [...lines.slice(0, first), `title: ${words}`, ...lines.slice(first + 1)] : lines;
}

/** Behind a title comes an empty line, or what the head says next. */
function endsTitle(line = ''): boolean {
  return line.trim() === '' || /^\s*(key|time|tempo|by|feel|range)\s*:/i.test(line);
}

/** `| G / / D |` as beats: `| (G... D.) |`. A bar that does not add up is left as it stands, and the chart says so. */
function withStrokes(line: string, beats: number): string {
  if (!line.includes('|') || !/(^|[\s|])\/(?=[\s|]|$)/.test(line)) return line;
  return line
    .split('|')
    .map((bar) => {
      const words = bar.trim().split(/\s+/);
      if (!words.includes('/')) return bar;
      const chords: { name: string; beats: number }[] = [];
      for (const word of words) {
        const last = chords.at(-1);
        if (word === '/' && last !== undefined) last.beats += 1;
        else if (word !== '/') chords.push({ name: word, beats: 1 });
      }
      if (chords.length === 1 && chords[0]?.beats === beats) return ` ${chords[0].name} `;
      return ` (${chords.map((chord) => `${chord.name}${'.'.repeat(chord.beats)}`).join(' ')}) `;
    })
    .join('|');
}

/** Head lines first, then the body, as chart text wants it; a key, meter or tempo between the bars goes from there. */
function tidied(lines: readonly PastedLine[]): string {
  const begins = lines.findIndex(({ kind }) => kind === 'chords' || kind === 'section');
  const head = lines.filter(({ kind }, at) => kind === 'head' && at < begins);
  const body = lines.filter(({ kind }, at) => kind !== 'head' || at > begins).map(asChange);
  const text = `${pastedText(head)}\n\n${pastedText(body).replace(/\n(?=\[)/g, '\n\n')}\n`;
  return text.replace(/\n{3,}/g, '\n\n').trimStart();
}

function asChange(line: PastedLine): PastedLine {
  const [, name, value = ''] = line.kind === 'head' ? (/^(key|time|tempo): (.*)$/.exec(line.text) ?? []) : [];
  if (name === undefined) return line;
  return { ...line, text: name === 'time' ? `{${value}}` : `{${name}: ${value}}` };
}
