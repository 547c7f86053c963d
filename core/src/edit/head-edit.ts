import type { ChartReading } from '../chart/reading.ts';

/** The chart text with a head line that says so: in place of the one of that name, else behind the last one. Nothing else changes. */
export function withHeadLine(source: string, { chart: { head } }: ChartReading, name: string, value: string): string {
  const line = `${name}: ${value}`;
  const lines = source.split('\n');
  const own = head.find((one) => one.kind === 'field' && one.name === name);
  if (own !== undefined) return lines.with(own.at.line - 1, line).join('\n');
  const last = head.findLast(({ kind }) => kind === 'field');
  if (last !== undefined) return lines.toSpliced(last.at.line, 0, line).join('\n');
  return [line, '', ...lines].join('\n');
}
