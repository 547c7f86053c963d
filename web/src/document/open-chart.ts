import { type OpenChart, openChart } from '@aurora/core';

/** So many texts are in use at once: what is written, what it was, what others saved. */
const MOST_KNOWN = 6;
const known = new Map<string, OpenChart>();

/** A text with its reading. It is read once, whoever asks: a key press must not read it over and over. */
export function chartOf(text: string): OpenChart {
  const before = known.get(text);
  if (before !== undefined) return before;
  const chart = openChart(text);
  known.set(text, chart);
  const [oldest] = known.keys();
  if (known.size > MOST_KNOWN && oldest !== undefined) known.delete(oldest);
  return chart;
}
