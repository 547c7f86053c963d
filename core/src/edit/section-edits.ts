import type { Section, WrittenBar } from '../chart/bars.ts';
import { printChange } from '../chart/change-text.ts';
import { printChart } from '../chart/chart-text.ts';
import { countingTonic, headValue, type Numbering } from '../chart/head.ts';
import { linesOf } from '../chart/text-lines.ts';
import type { NumberChord } from '../degree/degree.ts';
import { printNumber } from '../degree/number-text.ts';
import type { Key } from '../key/key.ts';
import type { OpenChart } from './bar-edits.ts';

/** A text cut at its section headings; each block with its lyrics and comments, without empty lines around it. */
interface Blocks {
  /** Head, and whatever stands before the first section. */
  readonly lead: string;
  readonly sections: readonly string[];
}

function blocksOf({ source, reading }: OpenChart): Blocks {
  const rows = linesOf(source);
  const starts = reading.sections.map(({ at }) => at.line - 1);
  const block = (from: number, to: number) =>
    rows
      .slice(from, to)
      .join('\n')
      .replace(/^(?:[ \t]*\n)+/, '')
      .trimEnd();
  return {
    lead: block(0, starts[0] ?? rows.length),
    sections: starts.map((from, index) => block(from, starts[index + 1] ?? rows.length)),
  };
}

function textOf(lead: string, sections: readonly string[]): string {
  return `${[lead, ...sections].filter((block) => block !== '').join('\n\n')}\n`;
}

/** What stands before the first section as text: the head, and whatever music has no heading. */
export function leadText(chart: OpenChart): string {
  return blocksOf(chart).lead;
}

/** A section as text, heading, lyrics and comments included. */
export function sectionText(chart: OpenChart, section: number): string {
  return blocksOf(chart).sections[section] ?? '';
}

/** Moves a section before another one; the number of sections means behind the last. */
export function moveSection(chart: OpenChart, section: number, before: number): string {
  if (before === section || before === section + 1) return chart.source;
  const { lead, sections } = blocksOf(chart);
  const moved = sections[section] as string;
  const rest = sections.filter((_, index) => index !== section);
  rest.splice(before > section ? before - 1 : before, 0, moved);
  return textOf(lead, rest);
}

/** Takes a section away with everything in it. */
export function deleteSection(chart: OpenChart, section: number): string {
  const { lead, sections } = blocksOf(chart);
  return textOf(
    lead,
    sections.filter((_, index) => index !== section),
  );
}

/** Writes a section again behind itself, under a name of its own. */
export function duplicateSection(chart: OpenChart, section: number): string {
  const { name } = chart.reading.sections[section] as Section;
  return insertSection(chart, section + 1, sectionText(chart, section).replace(`[${name}]`, `[${freeName(chart, name)}]`));
}

/** Puts a section's text before another section; the number of sections means at the end. */
export function insertSection(chart: OpenChart, before: number, text: string): string {
  const { lead, sections } = blocksOf(chart);
  return textOf(lead, [...sections.slice(0, before), text.trim(), ...sections.slice(before)]);
}

/** Puts a section's text in the place of a section. */
export function replaceSection(chart: OpenChart, section: number, text: string): string {
  const { lead, sections } = blocksOf(chart);
  return textOf(
    lead,
    sections.map((block, index) => (index === section ? text.trim() : block)),
  );
}

/** A name like this one that no section has yet: `Verse 2`. */
function freeName({ reading }: OpenChart, name: string): string {
  const names = new Set(reading.sections.map((section) => section.name.toLowerCase()));
  const stem = name.replace(/\s+\d+$/, '');
  let count = 2;
  while (names.has(`${stem} ${count}`.toLowerCase())) count += 1;
  return `${stem} ${count}`;
}

/** What the heading of a section says. */
export interface Heading {
  readonly name: string;
  /** How often it is played; 1 is left unwritten. */
  readonly times: number;
  readonly remark: string | null;
}

/** Rewrites a section's heading. */
export function nameSection({ source, reading }: OpenChart, section: number, heading: Heading): string {
  const rows = [...linesOf(source)];
  const { at } = reading.sections[section] as Section;
  rows[at.line - 1] = headingText(heading);
  return rows.join('\n');
}

function headingText({ name, times, remark }: Heading): string {
  const plain = name.replace(/[[\]\r\n]/g, '').trim();
  return `[${plain}]${times > 1 ? ` x${times}` : ''}${remark === null || remark.trim() === '' ? '' : ` -- ${remark.trim()}`}`;
}

/** Begins a section at a bar: its line is parted there. The number of bars means at the end. */
export function beginSection({ source, reading }: OpenChart, bar: number, name: string): string {
  const rows = [...linesOf(source)];
  const heading = headingText({ name, times: 1, remark: null });
  const written = reading.bars[bar];
  if (written === undefined) {
    while (rows.at(-1)?.trim() === '') rows.pop();
    return `${[...rows, ...(rows.length === 0 ? [] : ['']), heading].join('\n')}\n`;
  }
  const row = rows[written.at.line - 1] ?? '';
  const start = startOfBar(row, written, reading.bars[bar - 1]);
  const [before, behind] = [row.slice(0, start).trimEnd(), row.slice(start)];
  const above = rows[written.at.line - 2]?.trim() ?? '';
  const gap = before === '' && (above === '' || written.at.line === 1) ? [] : [''];
  rows.splice(written.at.line - 1, 1, ...(before === '' ? [] : [before]), ...gap, heading, behind);
  return rows.join('\n');
}

/** Where a bar begins on its line, with the marks that stand before it. */
function startOfBar(row: string, { at }: WrittenBar, before: WrittenBar | undefined): number {
  const from = before?.at.line === at.line ? before.at.column - 1 + before.at.length : 0;
  const between = row.slice(from, at.column - 1);
  const marks = /(?:\s*(?:\|:|\{(?!fine|to coda|d[cs])[^}]*\}|[\d,-]+\.\[))+\s*$/i.exec(between);
  const start = at.column - 1 - (marks === null ? 0 : marks[0].trimStart().length);
  return from === 0 && row.slice(0, start).trim() === '' ? 0 : start;
}

/**
 * Numbers the whole chart from the minor tonic or from the relative major. Every chord stays what
 * it is; only what it is counted from changes, so that doing it back gives the same chart.
 */
export function renumber({ reading }: OpenChart, to: Numbering): string {
  const { chart, head, stretches } = reading;
  if (head.numbering === to) return printChart(chart);
  let stretch = 0;
  const text = printChart(chart, {
    chord: (chord) => printNumber(recount(chord, (stretches[stretch] as { readonly key: Key }).key, head.numbering, to)),
    change: (change) => {
      if (change.kind === 'key' || change.kind === 'step') stretch += 1;
      return printChange(change);
    },
    field: (name, value) => (name === 'numbering' ? to : value),
  });
  if (headValue(chart.head, 'numbering') !== undefined) return text;
  const lines = text.split('\n');
  const keyLine = lines.findIndex((line) => line.startsWith('key:'));
  lines.splice(keyLine + 1, 0, `numbering: ${to}`);
  return lines.join('\n');
}

function recount(chord: NumberChord, key: Key, from: Numbering, to: Numbering): NumberChord {
  const shift = countingTonic(key, from) - countingTonic(key, to);
  return { ...chord, degree: chord.degree + shift, bass: chord.bass === null ? null : chord.bass + shift };
}
