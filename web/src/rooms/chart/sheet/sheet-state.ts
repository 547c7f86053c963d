import type { ChartEdit, ChartedLetters, Note, OpenChart, Result } from '@aurora/core';
import type { BarSelection } from './bar-selection.ts';
import type { Typing } from './bar-typing.ts';

/** What the sheet shows of being written in. */
export interface SheetInputState {
  readonly selection: BarSelection | null;
  readonly typing: Typing | null;
  /** The next bar pressed is chosen along with these: what Shift does, for fingers. */
  readonly reaching: boolean;
  /** The bar whose letters were just written as other degrees than typed, so that it can be said and taken back. */
  readonly charted: (ChartedLetters & { readonly bar: number }) | null;
  /** Counts the times the chosen bar was asked to have the focus. */
  readonly focus: number;
}

/** The chart as the sheet writes in it. */
export interface SheetDocument {
  readonly chart: () => OpenChart;
  readonly edit: (edit: ChartEdit) => Result<null>;
  readonly undo: () => void;
  readonly redo: () => void;
}

/** How what is typed is read. */
export interface SheetReading {
  /** What letters on the screen count from in a bar. */
  readonly lettersFrom: (bar: number) => Note;
  /** Whether a digit alone writes the key's own chord. */
  readonly ownChords: boolean;
}

/** The chart with the bars chosen in it, as commands need it. */
export interface ChosenBars {
  readonly selection: BarSelection | null;
  readonly bars: number;
  readonly chart: () => OpenChart;
  readonly edit: (edit: ChartEdit) => void;
  readonly choose: (selection: BarSelection | null) => void;
  readonly openNew: (bar: number) => void;
}
