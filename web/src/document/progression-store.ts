import { faultWords, type Key, printBarToken, printKey, readChart } from '@aurora/core';
import { create } from 'zustand';
import { HELP_WORDS } from '../wording/help.ts';
import { doneAgain, type History, NO_HISTORY, type Steps, takenBack, written } from './history.ts';

/** Bars as chart text writes them: `2-7`, `(2-7 57)`. */
type Bars = readonly string[];

interface Progression {
  readonly bars: Bars;
  readonly history: History<BarsStep>;
}

/** One list of bars in place of another. */
interface BarsStep {
  readonly from: Bars;
  readonly to: Bars;
}

const same = (one: Bars, other: Bars) => one.length === other.length && one.every((bar, index) => bar === other[index]);

const STEPS: Steps<Bars, BarsStep> = {
  between: (from, to) => (same(from, to) ? null : { from, to }),
  apply: (bars, { from, to }) => (same(bars, from) ? to : null),
  invert: ({ from, to }) => ({ from: to, to: from }),
  goesOn: () => false,
  over: () => [],
  write: (step) => step,
  read: () => undefined,
};

/** The chords being gathered for a new song; every step can be taken back. */
export const useProgression = create<Progression>()(() => ({ bars: [], history: NO_HISTORY }));

function put(after: Bars): void {
  useProgression.setState(({ bars: before, history }) => ({
    bars: after,
    history: written(history, { before, after, typed: false, at: Date.now() }, STEPS),
  }));
}

export function addBars(bars: Bars): void {
  put([...useProgression.getState().bars, ...bars]);
}

export function removeBar(index: number): void {
  put(useProgression.getState().bars.filter((_, place) => place !== index));
}

export function clearBars(): void {
  put([]);
}

export function undoBars(): void {
  step(takenBack);
}

export function redoBars(): void {
  step(doneAgain);
}

function step(way: typeof takenBack): void {
  const { bars, history } = useProgression.getState();
  const moved = way(history, bars, STEPS);
  if (moved !== null) useProgression.setState({ bars: moved.value, history: moved.history });
}

/** What was typed, as bars, or what is wrong with it. Letters are read in the given key. */
export function readBarsTyped(text: string, key: Key): { readonly bars: readonly string[] } | { readonly fault: string } {
  const reading = readChart(`key: ${printKey(key)}\n[typed]\n${text}`);
  const problem = reading.problems.find(({ severity }) => severity === 'error');
  if (problem !== undefined) return { fault: faultWords(problem.fault) };
  return reading.bars.length === 0 ? { fault: HELP_WORDS.writeChordsAs } : { bars: reading.bars.map(printBarToken) };
}

const BARS_A_LINE = 4;

/** Bars as the lines of a chart, four a line. */
export function inLines(bars: readonly string[]): string {
  const lines = Array.from({ length: Math.ceil(bars.length / BARS_A_LINE) }, (_, line) =>
    bars.slice(line * BARS_A_LINE, (line + 1) * BARS_A_LINE).join(' '),
  );
  return lines.join('\n');
}

/** The progression as the chart of a new song. */
export function songOf(bars: readonly string[], key: Key): string {
  return `title: New song\nkey: ${printKey(key)}\ntime: 4/4\ntempo: 100\n\n[A]\n${inLines(bars)}\n`;
}
