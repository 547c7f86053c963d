import type { WrittenBars } from './bars.ts';
import type { Problem } from './chart.ts';

/** The most bars a performance is written out to. */
const MOST_PERFORMED = 20_000;

/** The chart as it is played. */
export interface Performance {
  /** Indices of written bars in playing order, `MOST_PERFORMED` at most. */
  readonly order: readonly number[];
  /** How many bars are played in all. */
  readonly count: number;
  readonly problems: readonly Problem[];
}

/** Unrolls the sections: bars before the first one once, then every section as often as it says. */
export function performBars({ bars, sections }: WrittenBars): Performance {
  const lead = sections[0]?.from ?? bars.length;
  const order: number[] = [];
  let count = lead;
  playBars(order, 0, lead);
  for (const section of sections) {
    count += section.count * section.times;
    for (let time = 0; time < section.times && order.length < MOST_PERFORMED; time += 1) playBars(order, section.from, section.count);
  }
  const first = sections[0];
  if (count <= MOST_PERFORMED || first === undefined) return { order, count, problems: [] };
  const fault = { code: 'performance-long', bars: count, most: MOST_PERFORMED } as const;
  return { order, count, problems: [{ fault, severity: 'warning', at: first.at }] };
}

function playBars(order: number[], from: number, count: number): void {
  for (let bar = from; bar < from + count && order.length < MOST_PERFORMED; bar += 1) order.push(bar);
}
