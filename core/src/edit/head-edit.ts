import type { ChartReading } from '../chart/reading.ts';

/**
 * The chart text with a head line that says so: in place of the one of that name, else behind the last one, a title before
 * all others. Without a value the line goes. Nothing else changes.
 */
export function withHeadLine(source: string, { chart: { head } }: ChartReading, name: string, value: string): string {
  const line = `${name}: ${value}`;
  const lines = source.split('\n');
  const own = head.find((one) => one.kind === 'field' && one.name === name);
  if (value === '') return own === undefined ? source : lines.toSpliced(own.at.line - 1, 1).join('\n');
  if (own !== undefined) return lines.with(own.at.line - 1, line).join('\n');
  const first = head.find(({ kind }) => kind === 'field');
  if (name === 'title' && first !== undefined) return lines.toSpliced(first.at.line - 1, 0, line).join('\n');
  const last = head.findLast(({ kind }) => kind === 'field');
  if (last !== undefined) return lines.toSpliced(last.at.line, 0, line).join('\n');
  return [line, '', ...lines].join('\n');
}
