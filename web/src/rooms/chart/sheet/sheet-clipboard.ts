import { type Cell, cellsOf } from '@aurora/core';
import { rangeOf } from './bar-selection.ts';
import type { SheetCommands } from './sheet-commands.ts';
import type { ChosenBars } from './sheet-state.ts';

/** Bars that were copied, for as long as the page is open, in whatever song. */
let copied: readonly Cell[] = [];

/** Copying the chosen bars, and putting them in. */
export class SheetClipboard {
  readonly #sheet: ChosenBars;
  readonly #commands: SheetCommands;

  constructor(sheet: ChosenBars, commands: SheetCommands) {
    this.#sheet = sheet;
    this.#commands = commands;
  }

  readonly copy = (): void => {
    if (this.#sheet.selection !== null) copied = cellsOf(this.#sheet.chart(), rangeOf(this.#sheet.selection));
  };
  readonly cut = (): void => {
    this.copy();
    this.#commands.delete();
  };
  /** Puts what was copied behind the chosen bars; false when nothing was. */
  readonly putCopied = (): boolean => {
    if (copied.length === 0) return false;
    const behind = this.#sheet.selection === null ? this.#sheet.bars : rangeOf(this.#sheet.selection).to + 1;
    this.#sheet.edit({ kind: 'put-bars', before: behind, cells: copied });
    this.#sheet.choose({ anchor: behind, head: behind + copied.length - 1, chord: 0 });
    return true;
  };
}
