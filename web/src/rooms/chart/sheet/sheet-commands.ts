import { type BarSign, type Change, type ChangeKind, type ChartEdit, deepenBars, type FormerChords, type SlotMark } from '@aurora/core';
import { freeSectionName } from '../desk-text.ts';
import { type BarSelection, choose, rangeOf } from './bar-selection.ts';
import type { ChosenBars } from './sheet-state.ts';

/** What can be done with the chosen bars; afterwards they, or what came of them, are chosen. */
export class SheetCommands {
  readonly #sheet: ChosenBars;
  #former: FormerChords = {};

  constructor(sheet: ChosenBars) {
    this.#sheet = sheet;
  }

  readonly delete = (): void =>
    this.#onBars(
      (range) => ({ kind: 'delete-bars', range }),
      (from) => choose(Math.max(0, from - 1)),
    );
  readonly duplicate = (): void =>
    this.#onBars(
      (range) => ({ kind: 'duplicate-bars', range }),
      (_, to) => choose(to + 1),
    );
  readonly join = (): void =>
    this.#onBars(
      (range) => ({ kind: 'join-bars', range }),
      (from) => choose(from),
    );
  readonly split = (): void => this.#onBar((bar) => ({ kind: 'split-bar', bar }));
  readonly repeat = (): void => this.#onBars((range) => ({ kind: 'toggle-repeat', range }));
  readonly ending = (passes: readonly number[]): void => this.#onBars((range) => ({ kind: 'mark-ending', range, passes }));
  readonly sign = (sign: BarSign): void => this.#onBar((bar) => ({ kind: 'toggle-sign', bar, sign }));
  readonly changeFrom = (what: ChangeKind, change: Change | null): void =>
    this.#onBar((bar) => ({ kind: 'change-from', bar, what, change }));
  readonly mark = (mark: SlotMark): void => {
    const { selection } = this.#sheet;
    const place = selection !== null && selection.anchor === selection.head ? selection.chord : null;
    this.#onBars((range) => ({ kind: 'toggle-mark', range, mark, place }));
  };
  readonly deepen = (depth: 'triad' | 'seventh'): void =>
    this.#onBars((range) => {
      const former = this.#former;
      this.#former = deepenBars(this.#sheet.chart(), range, depth, former).former;
      return { kind: 'deepen', range, depth, former };
    });
  readonly move = (step: 1 | -1): void => {
    const { selection } = this.#sheet;
    if (selection === null) return;
    const { from, to } = rangeOf(selection);
    const before = step === -1 ? from - 1 : to + 2;
    if (before < 0 || before > this.#sheet.bars) return;
    this.#sheet.edit({ kind: 'move-bars', range: { from, to }, before });
    this.#sheet.choose({ ...selection, anchor: selection.anchor + step, head: selection.head + step });
  };
  readonly moveTo = (before: number): void => {
    const { selection } = this.#sheet;
    if (selection === null) return;
    const { from, to } = rangeOf(selection);
    const landed = before > to ? before - (to - from + 1) : before;
    this.#sheet.edit({ kind: 'move-bars', range: { from, to }, before });
    this.#sheet.choose({ anchor: landed, head: landed + to - from, chord: 0 });
  };
  readonly section = (): void => {
    const names = this.#sheet.chart().reading.sections.map(({ name }) => name);
    this.#onBars(({ from }) => ({ kind: 'begin-section', bar: from, name: freeSectionName(names) }));
  };
  readonly insert = (): void => {
    if (this.#sheet.selection !== null) this.#sheet.openNew(rangeOf(this.#sheet.selection).to + 1);
  };

  #onBars(
    edit: (range: { readonly from: number; readonly to: number }) => ChartEdit,
    then?: (from: number, to: number) => BarSelection,
  ): void {
    const { selection } = this.#sheet;
    if (selection === null) return;
    const range = rangeOf(selection);
    this.#sheet.edit(edit(range));
    if (this.#sheet.bars === 0) this.#sheet.openNew(0);
    else this.#sheet.choose(then === undefined ? selection : then(range.from, range.to));
  }

  #onBar(edit: (bar: number) => ChartEdit): void {
    const { selection } = this.#sheet;
    if (selection === null) return;
    this.#sheet.edit(edit(selection.head));
    this.#sheet.choose(selection);
  }
}
