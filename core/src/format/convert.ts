import { strToU8 } from 'fflate';
import type { Problem } from '../chart/chart.ts';
import { readChart } from '../chart/reading.ts';
import { type Result, success } from '../fault.ts';
import type { Note } from '../pitch/note.ts';
import { CONCERT_READER, writtenKey } from '../reader/reader.ts';
import { faultWords } from '../wording/fault-words.ts';
import { readAbc } from './abc/abc-read.ts';
import { ABC_FORM, writeAbc } from './abc/abc-write.ts';
import { type LeadSheet, leadSheetOf } from './lead-sheet.ts';
import { chartOfSheet } from './lead-sheet-chart.ts';
import { textOf } from './letters.ts';
import { type Loss, LossList } from './loss.ts';
import { readMidi } from './midi/midi-read.ts';
import { writeMidi } from './midi/midi-write.ts';
import { readMusicXml } from './musicxml/musicxml-read.ts';
import { MUSICXML_FORM, type WrittenFor, writeMusicXml } from './musicxml/musicxml-write.ts';
import { readMxl, writeMxl } from './musicxml/mxl.ts';
import { readChordText } from './text-read.ts';
import { TEXT_FORM, writeChordText } from './text-write.ts';

/** The formats a song can go out in and come in from. */
export const FORMAT_NAMES = ['chart', 'musicxml', 'mxl', 'midi', 'abc', 'text'] as const;
export type FormatName = (typeof FORMAT_NAMES)[number];

/** A format as files have it. */
export interface FormatFile {
  /** For people. */
  readonly label: string;
  readonly ending: string;
  readonly mediaType: string;
  readonly isText: boolean;
}

export const FORMAT_FILES: Readonly<Record<FormatName, FormatFile>> = {
  chart: { label: 'Chart text', ending: 'chart.txt', mediaType: 'text/plain', isText: true },
  musicxml: { label: 'MusicXML', ending: 'musicxml', mediaType: 'application/vnd.recordare.musicxml+xml', isText: true },
  mxl: { label: 'MusicXML, compressed', ending: 'mxl', mediaType: 'application/vnd.recordare.musicxml', isText: false },
  midi: { label: 'MIDI', ending: 'mid', mediaType: 'audio/midi', isText: false },
  abc: { label: 'ABC', ending: 'abc', mediaType: 'text/vnd.abc', isText: true },
  text: { label: 'Chords over lyrics', ending: 'txt', mediaType: 'text/plain', isText: true },
};

/** A song in another format, or as chart text, with what got lost on the way. */
export interface Converted<Content> {
  readonly content: Content;
  readonly losses: readonly Loss[];
}

/**
 * Chart text as a file of another format, sounding with its home on `tonic`, or where the chart has
 * it. What is written is what a transposing reader reads; MIDI is what sounds for everybody.
 */
export function writeFormat(format: FormatName, source: string, tonic: Note | null, reader: WrittenFor = CONCERT): Converted<Uint8Array> {
  const losses = new LossList();
  if (format === 'chart') return { content: strToU8(source), losses: [] };
  const reading = readChart(source);
  addProblems(reading.problems, losses);
  const home = tonic ?? reading.head.key.tonic;
  if (format === 'midi') return { content: writeMidi(reading, source, home, losses), losses: losses.all };
  const form = { musicxml: MUSICXML_FORM, mxl: MUSICXML_FORM, abc: ABC_FORM, text: TEXT_FORM }[format];
  const written = writtenKey({ ...CONCERT_READER, transpose: reader.transpose }, { ...reading.head.key, tonic: home });
  const score = leadSheetOf(reading, written.tonic, form, losses);
  const text =
    format === 'abc'
      ? writeAbc(score, losses, reader.show)
      : format === 'text'
        ? writeChordText(score, losses, reader.show)
        : writeMusicXml(score, losses, reader);
  return { content: format === 'mxl' ? writeMxl(text) : strToU8(text), losses: losses.all };
}

const MOST_PROBLEMS = 20;

/** What is wrong with the chart itself, line by line: what cannot be read there cannot be written. */
function addProblems(problems: readonly Problem[], losses: LossList): void {
  const errors = problems.filter(({ severity }) => severity === 'error');
  for (const { fault, at } of errors.slice(0, MOST_PROBLEMS)) {
    losses.add('chart-problem', null, `line ${at.line}: ${faultWords(fault).replace(/\.$/, '')}`);
  }
  if (errors.length > MOST_PROBLEMS) losses.add('chart-problem', null, `${errors.length - MOST_PROBLEMS} more places`);
}

/** A file of some format as chart text, or why it cannot be read. */
export function readFormat(format: FormatName, bytes: Uint8Array): Result<Converted<string>> {
  const losses = new LossList();
  const read = readText(format, bytes, losses);
  return read.ok ? success({ content: read.value, losses: losses.all }) : read;
}

function readText(format: FormatName, bytes: Uint8Array, losses: LossList): Result<string> {
  switch (format) {
    case 'chart':
      return success(textOf(bytes));
    case 'text':
      return readChordText(textOf(bytes), losses);
    case 'midi':
      return asChart(readMidi(bytes, losses), losses);
    case 'abc':
      return asChart(readAbc(textOf(bytes), losses), losses);
    case 'musicxml':
      return asChart(readMusicXml(textOf(bytes), losses), losses);
    case 'mxl': {
      const xml = readMxl(bytes);
      return xml.ok ? asChart(readMusicXml(xml.value, losses), losses) : xml;
    }
  }
}

function asChart(score: Result<LeadSheet>, losses: LossList): Result<string> {
  return score.ok ? success(chartOfSheet(score.value, losses)) : score;
}

const CONCERT: WrittenFor = { transpose: 0, octave: 0, show: 'both' };

const BY_ENDING: readonly (readonly [RegExp, FormatName])[] = [
  [/\.(musicxml|xml)$/i, 'musicxml'],
  [/\.mxl$/i, 'mxl'],
  [/\.(mid|midi|smf)$/i, 'midi'],
  [/\.abc$/i, 'abc'],
  [/\.chart(\.txt)?$/i, 'chart'],
];

const LOOKED_AT = 2000;

/** The format of a file, by its first bytes, else by its name; text that names a head line or numbers is a chart. */
export function formatOf(name: string, bytes: Uint8Array): FormatName {
  const first = String.fromCharCode(...bytes.slice(0, 4));
  if (first === 'MThd') return 'midi';
  if (first.startsWith('PK')) return 'mxl';
  const start = textOf(bytes.slice(0, LOOKED_AT));
  if (/^\s*<\?xml|<score-/.test(start)) return 'musicxml';
  if (/^\s*(%abc|X:\s*\d)/m.test(start)) return 'abc';
  return BY_ENDING.find(([ending]) => ending.test(name))?.[1] ?? (isChart(textOf(bytes.slice(0, 20_000))) ? 'chart' : 'text');
}

/** Whether a text reads as a chart without a fault. */
function isChart(text: string): boolean {
  const { bars, problems } = readChart(text);
  return bars.length > 0 && problems.every(({ severity }) => severity !== 'error');
}
