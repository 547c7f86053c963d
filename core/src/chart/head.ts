import type { Fault } from '../fault.ts';
import { type Key, relativeMajorTonic } from '../key/key.ts';
import { parseKey } from '../key/key-text.ts';
import type { Note } from '../pitch/note.ts';
import { type PitchRange, parseRange } from '../pitch/pitch-text.ts';
import { isMinorScale } from '../scale/scale.ts';
import type { HeadLine, Meter, Place, Problem, Severity } from './chart.ts';
import { type FormEntry, parseFormLine } from './form-text.ts';

/** `tonic`: numbers count from the key's own tonic; `relative`: minor keys count from their relative major. */
export type Numbering = 'tonic' | 'relative';

/** What the head lines say, with defaults where they are silent. */
export interface Head {
  readonly title: string;
  readonly by: string;
  readonly key: Key;
  /** Whether a readable key line is there; without one the chart is in C. */
  readonly keyNamed: boolean;
  readonly numbering: Numbering;
  readonly meter: Meter;
  /** Beats a minute: dotted quarters in 6/8, 9/8 and 12/8, else the meter's unit. Null when unsaid. */
  readonly tempo: number | null;
  readonly feel: string;
  /** The melody's lowest and highest note, in the chart's own key. */
  readonly range: PitchRange | null;
  /** The play order, when a form line gives one. */
  readonly form: { readonly entries: readonly FormEntry[]; readonly at: Place } | null;
}

const DEFAULT_KEY: Key = { tonic: 0, scale: 'major' };
const DEFAULT_METER: Meter = { beats: 4, unit: 4 };

const KNOWN_NAMES = new Set(['title', 'by', 'key', 'numbering', 'time', 'tempo', 'feel', 'form', 'range', 'note']);

/** The head name in its tidy form: known names in lower case, others as typed. */
export function tidyHeadName(name: string): string {
  const lower = name.toLowerCase();
  return KNOWN_NAMES.has(lower) ? lower : name;
}

/** The value of a head line as it is typed, by its tidy name; undefined where there is no such line. The first counts. */
export function headValue(lines: readonly HeadLine[], name: string): string | undefined {
  for (const line of lines) if (line.kind === 'field' && line.name === name) return line.value;
  return undefined;
}

/** Reads the head lines; values that cannot be read leave the default and a problem. */
export function readHead(lines: readonly HeadLine[]): { head: Head; problems: readonly Problem[] } {
  const fields = new Map<string, { value: string; at: Place }>();
  const problems: Problem[] = [];
  const report = (fault: Fault, at: Place, severity: Severity = 'error') => problems.push({ fault, severity, at });
  for (const line of lines) {
    if (line.kind !== 'field') continue;
    const name = line.name.toLowerCase();
    if (KNOWN_NAMES.has(name) && fields.has(name)) report({ code: 'head-twice', name }, line.at, 'warning');
    else fields.set(name, line);
  }
  const read = <T>(name: string, parse: (value: string) => T | Fault, fallback: T): T => {
    const field = fields.get(name);
    if (field === undefined) return fallback;
    const value = parse(field.value);
    if (!isFault(value)) return value;
    report(value, field.at);
    return fallback;
  };
  const key = read<Key | null>('key', keyOf, null);
  const numbering = read('numbering', numberingOf, 'tonic');
  if (numbering === 'relative' && key !== null && !isMinorScale(key.scale)) {
    const field = fields.get('numbering') as { at: Place };
    report({ code: 'numbering-in-major', key: (fields.get('key') as { value: string }).value }, field.at, 'warning');
  }
  const head: Head = {
    title: fields.get('title')?.value ?? '',
    by: fields.get('by')?.value ?? '',
    key: key ?? DEFAULT_KEY,
    keyNamed: key !== null,
    numbering,
    meter: read('time', (value) => findMeter(value) ?? unreadable('time', value, 'a meter such as 4/4 or 6/8'), DEFAULT_METER),
    tempo: read<number | null>('tempo', (value) => findTempo(value) ?? unreadable('tempo', value, 'beats a minute, 20 to 400'), null),
    feel: fields.get('feel')?.value ?? '',
    range: read<PitchRange | null>('range', rangeOf, null),
    form: formOf(fields.get('form')),
  };
  return { head, problems };
}

/** A form line with at least one name on it. Its place is that of its value. */
function formOf(field: { value: string; at: Place } | undefined): Head['form'] {
  const entries = field === undefined ? [] : parseFormLine(field.value);
  if (field === undefined || entries.length === 0) return null;
  const { at, value } = field;
  return { entries, at: { ...at, column: at.column + at.length - value.length, length: value.length } };
}

/** The note that degree 1 stands on: the tonic, or the relative major of a minor key. */
export function countingTonic(key: Key, numbering: Numbering): Note {
  return numbering === 'relative' ? relativeMajorTonic(key) : key.tonic;
}

/** `6/8` as a meter; undefined unless 1–32 beats of a whole, half, quarter … thirty-second. */
export function findMeter(text: string): Meter | undefined {
  const match = /^\s*(\d{1,2})\s*\/\s*(1|2|4|8|16|32)\s*$/.exec(text);
  const beats = Number(match?.[1]);
  return match !== null && beats >= 1 && beats <= 32 ? { beats, unit: Number(match[2]) } : undefined;
}

/** Whether two meters are one: 3/4 and 6/8 are two. */
export function sameMeter(a: Meter, b: Meter): boolean {
  return a.beats === b.beats && a.unit === b.unit;
}

const LOWEST_TEMPO = 20;
const HIGHEST_TEMPO = 400;

/** A tempo in beats a minute, 20 to 400. */
export function findTempo(text: string): number | undefined {
  const bpm = /^\s*\d{1,3}(\.\d{1,2})?\s*$/.test(text) ? Number(text) : Number.NaN;
  return bpm >= LOWEST_TEMPO && bpm <= HIGHEST_TEMPO ? bpm : undefined;
}

/** The nearest tempo a chart can hold, in beats a minute: 20 to 400, in hundredths. */
export function nearestTempo(bpm: number): number {
  return Math.round(Math.min(HIGHEST_TEMPO, Math.max(LOWEST_TEMPO, bpm)) * 100) / 100;
}

function keyOf(value: string): Key | Fault {
  const key = parseKey(value);
  return key.ok ? key.value : key.fault;
}

function rangeOf(value: string): PitchRange | Fault {
  const range = parseRange(value);
  if (range.ok) return range.value;
  return range.fault.code === 'range-upside-down' ? range.fault : unreadable('range', value, 'two notes with their octave, such as B3 D5');
}

function numberingOf(value: string): Numbering | Fault {
  const name = value.toLowerCase();
  return name === 'tonic' || name === 'relative' ? name : unreadable('numbering', value, 'tonic or relative');
}

function unreadable(name: string, value: string, wanted: string): Fault {
  return { code: 'head-value', name, value, wanted };
}

function isFault(value: unknown): value is Fault {
  return typeof value === 'object' && value !== null && 'code' in value;
}
