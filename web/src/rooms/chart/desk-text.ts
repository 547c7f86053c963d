import { linesOf, openChart } from '@aurora/core';
import { type BarSelection, rangeOf } from './bar-selection.ts';

/** A bar as it would be typed: without the parentheses around a shared one. */
export function barText(text: string, bar: number): string {
  const { source, reading } = openChart(text);
  const found = reading.bars[bar];
  if (found === undefined) return '';
  const line = linesOf(source)[found.at.line - 1] ?? '';
  return line.slice(found.at.column - 1, found.at.column - 1 + found.at.length).replace(/^\((.*)\)$/, '$1');
}

/** The text with pasted lines behind the line of the chosen bars, or at the end. */
export function withPasted(text: string, selection: BarSelection | null, put: string): string {
  const bar = selection === null ? undefined : openChart(text).reading.bars[rangeOf(selection).to];
  if (bar === undefined) return `${text.trimEnd()}${text.trim() === '' ? '' : '\n'}${put}\n`;
  const rows = text.split('\n');
  rows.splice(bar.at.line, 0, put);
  return rows.join('\n');
}

const USUAL_NAMES = ['Intro', 'Verse', 'Chorus', 'Bridge', 'Outro'];

/** A name for a new section that no other has. */
export function freeSectionName(names: readonly string[]): string {
  const taken = new Set(names.map((name) => name.toLowerCase()));
  const usual = USUAL_NAMES.find((name) => !taken.has(name.toLowerCase()));
  if (usual !== undefined) return usual;
  let count = names.length + 1;
  while (taken.has(`section ${count}`)) count += 1;
  return `Section ${count}`;
}

/** A bar kept inside the chart. */
export function within(bar: number, bars: number): number {
  return Math.max(0, Math.min(bars - 1, bar));
}
