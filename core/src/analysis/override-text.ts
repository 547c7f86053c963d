import type { ChartReading } from '../chart/reading.ts';
import { printNumber } from '../degree/number-text.ts';
import type { Key } from '../key/key.ts';
import { parseKey, printKey } from '../key/key-text.ts';
import type { Progression } from '../progression/progression.ts';
import { READING_KINDS, type ReadingKind } from './reading.ts';

/**
 * What a player says against the rules. It is kept in the chart's head, one line each, so that it
 * travels with the song: `reading 12-1: 4 [b77] 1 = borrowed -- from the minor` for the first chord
 * of bar 12, and `region 9-16: D -- the bridge` for bars 9 to 16.
 */
export type Override = ReadingOverride | RegionOverride;

export interface ReadingOverride {
  readonly kind: 'reading';
  /** 1-based, as a player counts. */
  readonly bar: number;
  readonly place: number;
  /** The chord that was meant, and those beside it, as numbers; a dash where there is none. */
  readonly before: string;
  readonly number: string;
  readonly after: string;
  readonly reading: ReadingKind;
  readonly note: string;
  /** The chord it is about now; null when an edit has taken that chord away. */
  readonly index: number | null;
}

export interface RegionOverride {
  readonly kind: 'region';
  readonly firstBar: number;
  readonly lastBar: number;
  readonly key: Key;
  readonly note: string;
  /** Whether the song still has those bars. */
  readonly fits: boolean;
}

const READING_NAME = /^reading (\d{1,4})-(\d{1,2})$/i;
const REGION_NAME = /^region (\d{1,4})-(\d{1,4})$/i;
const READING_VALUE = /^(\S+)\s+\[(\S+)\]\s+(\S+)\s*=\s*([a-z-]+)(?:\s+--\s*(.*))?$/;
const REGION_VALUE = /^(.*?)(?:\s+--\s*(.*))?$/;
const NONE = '–';

/** What the player has said in a chart's head. Lines that are something else are left alone. */
export function readOverrides(progression: Progression): readonly Override[] {
  const said = headFields(progression.chart).filter(({ name }) => READING_NAME.test(name) || REGION_NAME.test(name));
  if (said.length === 0) return [];
  const numbers = progression.chords.map(({ number }) => printNumber(number));
  return said.flatMap(({ name, value }): Override[] => {
    const read = readReading(name, value, progression, numbers) ?? readRegion(name, value, progression);
    return read === undefined ? [] : [read];
  });
}

function headFields(chart: ChartReading): readonly { readonly name: string; readonly value: string }[] {
  return chart.chart.head.flatMap((line) => (line.kind === 'field' ? [line] : []));
}

function readReading(name: string, value: string, progression: Progression, numbers: readonly string[]): ReadingOverride | undefined {
  const place = READING_NAME.exec(name);
  const parts = READING_VALUE.exec(value);
  const reading = READING_KINDS.find((kind) => kind === parts?.[4]);
  if (place === null || parts === null || reading === undefined) return undefined;
  const [, before = NONE, number = '', after = NONE, , note = ''] = parts;
  const said = { bar: Number(place[1]), place: Number(place[2]), before, number, after };
  return { kind: 'reading', ...said, reading, note, index: findChord(said, progression, numbers) };
}

type SaidPlace = Pick<ReadingOverride, 'bar' | 'place' | 'before' | 'number' | 'after'>;

/**
 * The chord that is meant: where it was said, if that chord is still there; else the only chord
 * with the same neighbours, wherever an edit has moved it.
 */
function findChord(said: SaidPlace, { chords }: Progression, numbers: readonly string[]): number | null {
  const index = chords.findIndex(({ bar, place }) => bar === said.bar - 1 && place === said.place - 1);
  if (index >= 0 && numbers[index] === said.number) return index;
  const moved = numbers.flatMap((number, at) =>
    number === said.number && (numbers[at - 1] ?? NONE) === said.before && (numbers[at + 1] ?? NONE) === said.after ? [at] : [],
  );
  return moved.length === 1 ? (moved[0] as number) : null;
}

function readRegion(name: string, value: string, { chart }: Progression): RegionOverride | undefined {
  const place = REGION_NAME.exec(name);
  const [, keyName = '', note = ''] = REGION_VALUE.exec(value) ?? [];
  const key = parseKey(keyName);
  if (place === null || !key.ok) return undefined;
  const [firstBar, lastBar] = [Number(place[1]), Number(place[2])];
  return {
    kind: 'region',
    firstBar,
    lastBar,
    key: key.value,
    note,
    fits: firstBar >= 1 && firstBar <= lastBar && lastBar <= chart.bars.length,
  };
}

/** The chart text with the player's word on a chord; null takes it back. */
export function sayReading(
  source: string,
  progression: Progression,
  index: number,
  said: { readonly reading: ReadingKind; readonly note: string } | null,
): string {
  const numbers = progression.chords.map(({ number }) => printNumber(number));
  const chord = progression.chords[index];
  if (chord === undefined) return source;
  const kept = readOverrides(progression).find((override) => override.kind === 'reading' && override.index === index);
  const cleared = kept?.kind === 'reading' ? withoutLine(source, `reading ${kept.bar}-${kept.place}`) : source;
  if (said === null) return cleared;
  const around = `${numbers[index - 1] ?? NONE} [${numbers[index]}] ${numbers[index + 1] ?? NONE}`;
  return withLine(cleared, `reading ${chord.bar + 1}-${chord.place + 1}`, `${around} = ${said.reading}${noteText(said.note)}`);
}

/** The chart text with the player's word on the key of some bars; null takes it back. */
export function sayRegion(
  source: string,
  firstBar: number,
  lastBar: number,
  said: { readonly key: Key; readonly note: string } | null,
): string {
  const name = `region ${firstBar}-${lastBar}`;
  const cleared = withoutLine(source, name);
  return said === null ? cleared : withLine(cleared, name, `${printKey(said.key)}${noteText(said.note)}`);
}

/** The chart text without one thing the player said. */
export function takeBack(source: string, override: Override): string {
  const name =
    override.kind === 'reading' ? `reading ${override.bar}-${override.place}` : `region ${override.firstBar}-${override.lastBar}`;
  return withoutLine(source, name);
}

function noteText(note: string): string {
  const plain = note.replace(/\s+/g, ' ').trim();
  return plain === '' ? '' : ` -- ${plain}`;
}

/** Adds a head line behind the last one, or in front of a chart that has no head. */
function withLine(source: string, name: string, value: string): string {
  const lines = source.split('\n');
  const at = headLength(lines);
  return [...lines.slice(0, at), `${name}: ${value}`, ...lines.slice(at)].join('\n');
}

function withoutLine(source: string, name: string): string {
  const lines = source.split('\n');
  const head = headLength(lines);
  return lines.filter((line, index) => index >= head || line.slice(0, line.indexOf(':')).trim().toLowerCase() !== name).join('\n');
}

/** How many lines the head has, up to its last `name: value` line. */
function headLength(lines: readonly string[]): number {
  let length = 0;
  for (const [index, line] of lines.entries()) {
    const text = line.trim();
    if (text === '' || text.startsWith('//')) continue;
    if (!/^[A-Za-z][A-Za-z0-9 _-]*:(?!\|)/.test(text)) break;
    length = index + 1;
  }
  return length;
}
