import { faultWords, type Key, printBarToken, printKey, readChart } from '@aurora/core';
import { temporal } from 'zundo';
import { create } from 'zustand';
import { HELP_WORDS } from '../wording/help.ts';

interface Progression {
  /** Bars as chart text writes them: `2-7`, `(2-7 57)`. */
  readonly bars: readonly string[];
  readonly add: (bars: readonly string[]) => void;
  readonly remove: (index: number) => void;
  readonly clear: () => void;
}

/** The chords being gathered for a new song; every step can be taken back. */
export const useProgression = create<Progression>()(
  temporal(
    (set) => ({
      bars: [],
      add: (bars) => set((state) => ({ bars: [...state.bars, ...bars] })),
      remove: (index) => set((state) => ({ bars: state.bars.filter((_, place) => place !== index) })),
      clear: () => set({ bars: [] }),
    }),
    { partialize: ({ bars }) => ({ bars }), equality: (past, now) => past.bars === now.bars },
  ),
);

/** What was typed, as bars, or what is wrong with it. Letters are read in the given key. */
export function readBarsTyped(text: string, key: Key): { readonly bars: readonly string[] } | { readonly fault: string } {
  const reading = readChart(`key: ${printKey(key)}\n[typed]\n${text}`);
  const problem = reading.problems.find(({ severity }) => severity === 'error');
  if (problem !== undefined) return { fault: faultWords(problem.fault) };
  return reading.bars.length === 0 ? { fault: HELP_WORDS.writeChordsAs } : { bars: reading.bars.map(printBarToken) };
}

const BARS_A_LINE = 4;

/** The progression as the chart of a new song. */
export function songOf(bars: readonly string[], key: Key): string {
  const lines = Array.from({ length: Math.ceil(bars.length / BARS_A_LINE) }, (_, line) =>
    bars.slice(line * BARS_A_LINE, (line + 1) * BARS_A_LINE).join(' '),
  );
  return `title: New song\nkey: ${printKey(key)}\ntime: 4/4\ntempo: 100\n\n[A]\n${lines.join('\n')}\n`;
}
