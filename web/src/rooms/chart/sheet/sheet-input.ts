import { type ChartEdit, type ChartedLetters, chartedLetters, type OpenChart, withOwnQualities } from '@aurora/core';
import { within } from '../desk-text.ts';
import { type BarSelection, choose, chordBeside, kept, reachTo } from './bar-selection.ts';
import { barText, closed, letterOf, newTyping, padWrites, type Typing } from './bar-typing.ts';
import { SheetClipboard } from './sheet-clipboard.ts';
import { SheetCommands } from './sheet-commands.ts';
import type { ChosenBars, SheetDocument, SheetInputState, SheetReading } from './sheet-state.ts';

/** Where leaving a bar leads to. */
type After = 'stay' | 'next' | 'before';

/**
 * Writing on the sheet: which bars are chosen, and what is being typed in the one that is open. It knows nothing of a
 * page, so that a chart can be written without one; the sheet draws its state, and `pressKey` hands it each key.
 */
export class SheetInput implements ChosenBars {
  readonly commands: SheetCommands;
  readonly clipboard: SheetClipboard;
  readonly #document: SheetDocument;
  readonly #listeners = new Set<() => void>();
  #reading: SheetReading;
  #state: SheetInputState;
  /** The last bar, left with Enter or Esc while the chart was written: what is typed next is the bar behind it. */
  #goesOnBehind: number | null = null;

  constructor(document: SheetDocument, reading: SheetReading) {
    this.#document = document;
    this.#reading = reading;
    this.commands = new SheetCommands(this);
    this.clipboard = new SheetClipboard(this, this.commands);
    const isEmpty = document.chart().reading.bars.length === 0;
    this.#state = { selection: null, typing: isEmpty ? newTyping(0) : null, reaching: false, charted: null, focus: 0 };
  }

  readonly get = (): SheetInputState => this.#state;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Another key or reader: letters typed from now on are theirs. */
  readonly read = (reading: SheetReading): void => {
    this.#reading = reading;
  };

  /** The bars chosen, as far as the chart still has them. */
  get selection(): BarSelection | null {
    return kept(this.#state.selection, this.bars);
  }

  get bars(): number {
    return this.#document.chart().reading.bars.length;
  }

  readonly chart = (): OpenChart => this.#document.chart();

  readonly edit = (edit: ChartEdit): void => void this.#document.edit(edit);

  // ------------------------------------------------------------------------------ choosing

  /** A bar pressed with a finger: what was being typed is written first. */
  readonly select = (bar: number, chord: number, reach = false): void => {
    const said = this.#saidAlready();
    this.finish();
    const reaches = reach || this.#state.reaching;
    this.#put({ selection: reaches ? reachTo(this.selection, bar) : choose(bar, chord), reaching: false, ...said });
  };

  /** Chooses by key or from elsewhere on the desk; what was being typed is written first. */
  readonly choose = (selection: BarSelection | null): void => {
    const said = this.#saidAlready();
    this.finish();
    this.#put({ selection, focus: this.#state.focus + 1, ...said });
  };
  readonly reach = (reaching: boolean): void => this.#put({ reaching });
  readonly walk = (step: 1 | -1): void => {
    const { bars } = this.#document.chart().reading;
    this.choose(chordBeside(this.selection, step, (bar) => bars[bar]?.chords.length ?? 0, bars.length));
  };
  readonly go = (bars: number): void => this.choose(choose(within((this.selection?.head ?? 0) + bars, this.bars)));
  readonly extend = (bars: number): void => this.choose(reachTo(this.selection, within((this.selection?.head ?? 0) + bars, this.bars)));
  readonly all = (): void => this.choose({ anchor: 0, head: this.bars - 1, chord: 0 });
  readonly clear = (): void => this.#put({ selection: null });

  /** Whether the chart is being written on: nothing stands in it yet, or its last bar was just left with Enter or Esc. */
  get goesOn(): boolean {
    const last = this.bars - 1;
    return last < 0 || (this.#goesOnBehind === last && this.selection?.head === last);
  }

  /** Opens the bar that is written next: the chosen one, or behind it where the chart is being written on. */
  #openChosen(): void {
    const { selection } = this;
    if (this.goesOn) this.openNew(this.bars);
    else if (selection !== null) this.open(selection.head);
  }

  // ------------------------------------------------------------------------------ typing

  /** Opens a bar: taken whole, so that what is typed stands in its place, or to be edited. */
  readonly open = (bar: number, how: 'replace' | 'edit' = 'replace'): void => {
    if (bar >= this.bars) {
      this.openNew(this.bars);
      return;
    }
    const text = barText(this.#document.chart(), bar);
    this.#put({
      typing: { bar, isNew: false, text, caret: text.length, whole: how === 'replace', fresh: false, was: text },
      selection: choose(bar),
    });
  };

  /** Opens a new bar before that one; the number of bars means behind the last. */
  readonly openNew = (bar: number): void => this.#put({ typing: newTyping(bar), selection: choose(bar) });

  /** Types over the chosen bar. */
  readonly begin = (key: string): void => {
    this.#openChosen();
    this.type(key);
  };

  /** One letter typed, or what a single key stands for. */
  readonly type = (key: string): void => {
    const { typing } = this.#state;
    if (typing === null) return;
    const [before, after] = typing.whole ? ['', ''] : [typing.text.slice(0, typing.caret), typing.text.slice(typing.caret)];
    const writes = padWrites(key, before) ?? letterOf(key, before);
    this.field(`${before}${writes}${after}`, before.length + writes.length);
  };

  /** Puts something at the caret, in the place of a bar taken whole; with none open it opens the chosen one. */
  readonly put = (writes: string): void => {
    if (this.#state.typing === null) this.#openChosen();
    const { typing } = this.#state;
    if (typing === null) return;
    const [before, after] = typing.whole ? ['', ''] : [typing.text.slice(0, typing.caret), typing.text.slice(typing.caret)];
    this.field(`${before}${writes}${after}`, before.length + writes.length);
  };

  readonly erase = (): void => {
    const { typing } = this.#state;
    if (typing === null) return;
    const { text, caret, whole } = typing;
    if (whole) this.field('', 0);
    else if (caret > 0) this.field(text.slice(0, caret - 1) + text.slice(caret), caret - 1);
  };

  /** The field as it stands after something was typed in it. */
  readonly field = (text: string, caret: number): void => {
    const { typing } = this.#state;
    if (typing === null) return;
    const fresh = typing.fresh || typing.whole || typing.text === '';
    this.#typing({ text, caret, whole: false, fresh });
  };

  /** The caret as it was put by hand. */
  readonly caret = (from: number, to: number): void => {
    const { typing } = this.#state;
    if (typing === null) return;
    const whole = from === 0 && to === typing.text.length && typing.text !== '';
    if (typing.caret !== to || typing.whole !== whole) this.#typing({ caret: to, whole });
  };

  readonly editWhole = (): void => this.#typing({ whole: false, caret: this.#state.typing?.text.length ?? 0 });

  /** Whether nothing was typed in the bar that is open. */
  get isUntouched(): boolean {
    const { typing } = this.#state;
    return typing !== null && ((typing.text === typing.was && !typing.fresh) || closed(typing.text) === '');
  }

  /** Writes what was typed and goes where it asks; what cannot be read is the bar's own text, and marked. */
  readonly commit = (after: After): void => {
    const { typing } = this.#state;
    if (typing === null) {
      if (after === 'next') this.#goOn();
      return;
    }
    if (typing.isNew && closed(typing.text) === '') this.#leaveEmpty(typing, after);
    else {
      this.#write(typing);
      this.#leave(typing.bar, after);
      if (typing.isNew && after === 'stay') this.#goesOnBehind = typing.bar;
    }
  };

  /** From a chosen bar to the next one; behind the last a new one is opened, so that what is typed next stands in no other. */
  #goOn(): void {
    const next = (this.selection?.head ?? -1) + 1;
    if (next >= this.bars) this.openNew(this.bars);
    else this.choose(choose(next));
  }

  /** Writes what was typed, if anything. */
  readonly finish = (): void => {
    const { typing } = this.#state;
    if (typing === null) return;
    this.#write(typing);
    this.#put({ typing: null });
  };

  /** The chart is written elsewhere from now on: what was typed is written, an empty new bar is forgotten. */
  readonly rest = (): void => {
    const { typing } = this.#state;
    if (typing?.isNew === true && closed(typing.text) === '') this.#put({ typing: null, selection: null });
    else this.finish();
  };

  /** Leaves the bar as it was. */
  readonly cancel = (): void => {
    const { typing } = this.#state;
    const last = this.bars - 1;
    const bar = typing === null ? 0 : typing.isNew ? Math.min(Math.max(0, typing.bar - 1), last) : typing.bar;
    this.#put({ typing: null, selection: last < 0 ? null : choose(bar), focus: this.#state.focus + 1 });
    if (typing?.isNew === true) this.#goesOnBehind = bar;
  };

  /** A new bar left empty: on and on it stays open, back it is forgotten. */
  #leaveEmpty({ bar }: Typing, after: After): void {
    if (after === 'before' && bar > 0) this.open(bar - 1);
    else if (after === 'stay') this.cancel();
  }

  #write(typing: Typing): void {
    if (this.isUntouched) return;
    const { bar, isNew } = typing;
    const charted = this.charted(typing);
    const typed = this.meant(typing);
    this.edit({ kind: 'write-bar', bar, isNew, typed, lettersFrom: this.#reading.lettersFrom(bar), keeps: true });
    this.#put({ charted: charted === null ? null : { ...charted, bar } });
  }

  /** What will be written otherwise than typed: letters on a raised degree that is a lowered one. */
  readonly charted = (typing: Typing): ChartedLetters | null => {
    const { bar, isNew } = typing;
    return chartedLetters(this.#document.chart(), { bar, isNew, typed: this.meant(typing), lettersFrom: this.#reading.lettersFrom(bar) });
  };

  /** What was said of the last bar written is forgotten by the next step; what is only now being typed is said first. */
  #saidAlready(): Partial<SheetInputState> {
    return this.#state.typing === null ? { charted: null } : {};
  }

  /** Writes the degrees as they were typed after all. */
  readonly keepTyped = (): void => {
    const { charted } = this.#state;
    if (charted === null) return;
    this.#put({ charted: null });
    this.edit({ kind: 'write-bar', bar: charted.bar, isNew: false, typed: charted.asTyped, lettersFrom: null });
  };

  /** What is typed as it will be written: brackets closed, and a digit alone as the key's own chord where that is chosen. */
  readonly meant = ({ text, bar, fresh }: Typing): string => {
    const whole = closed(text);
    return this.#reading.ownChords && fresh ? withOwnQualities(whole, this.#document.chart().reading, bar) : whole;
  };

  #leave(bar: number, after: After): void {
    const next = bar + (after === 'next' ? 1 : -1);
    if (after === 'stay' || next < 0) this.#put({ typing: null, selection: choose(bar), focus: this.#state.focus + 1 });
    else this.open(next);
  }

  #typing(change: Partial<Typing>): void {
    const { typing } = this.#state;
    if (typing !== null) this.#put({ typing: { ...typing, ...change } });
  }

  // ------------------------------------------------------------------------------ history

  readonly undo = (): void => this.#back(this.#document.undo);
  readonly redo = (): void => this.#back(this.#document.redo);

  /** A bar that is open is left as it was first; there is nothing to take back of it yet. */
  #back(step: () => void): void {
    if (this.#state.typing !== null && !this.isUntouched) {
      const { was } = this.#state.typing;
      this.#typing({ text: was, caret: was.length, whole: was !== '', fresh: was === '' });
      return;
    }
    this.#put({ charted: null });
    step();
    const { typing } = this.#state;
    if (typing !== null && this.bars > 0) this.open(Math.min(typing.bar, this.bars - (typing.isNew ? 0 : 1)));
    if (this.bars === 0) this.openNew(0);
  }

  #put(change: Partial<SheetInputState>): void {
    if ('selection' in change) this.#goesOnBehind = null;
    this.#state = { ...this.#state, ...change };
    for (const listener of this.#listeners) listener();
  }
}
