import { lettersTonic, type Note } from '@aurora/core';
import { type KeyboardEvent as ReactKeyboardEvent, useEffect, useLayoutEffect, useMemo, useSyncExternalStore } from 'react';
import { chartOf } from '../../../document/open-chart.ts';
import { type ChartDraft, edit } from '../../../document/song-drafts.ts';
import { useChartView } from '../../../session/chart-view-store.ts';
import { takeEarlyKeys } from '../../../ui/keyboard/early-keys.ts';
import { SheetInput } from './sheet-input.ts';
import { pressKey } from './sheet-keys.ts';
import type { SheetInputState, SheetReading } from './sheet-state.ts';

/** The sheet's keys over an open song, for as long as it is shown; what was being typed is written when it is left. */
export function useSheetInput(draft: ChartDraft, written: Note): { readonly input: SheetInput; readonly state: SheetInputState } {
  const ownChords = useChartView((view) => view.ownChords);
  const reading = useMemo(
    (): SheetReading => ({ lettersFrom: (bar) => lettersTonic(chartOf(draft.get().value).reading, bar, written), ownChords }),
    [draft, written, ownChords],
  );
  // biome-ignore lint/correctness/useExhaustiveDependencies: another reading is handed over below
  const input = useMemo(
    () =>
      new SheetInput(
        { chart: () => chartOf(draft.get().value), edit: (change) => edit(draft, change), undo: draft.undo, redo: draft.redo },
        reading,
      ),
    [draft],
  );
  useLayoutEffect(() => input.read(reading), [input, reading]);
  useLayoutEffect(() => typedEarly(input), [input]);
  useEffect(() => input.finish, [input]);
  return { input, state: useSyncExternalStore(input.subscribe, input.get) };
}

/** What was typed while the sheet was on its way stands in the bar that is open. */
function typedEarly(input: SheetInput): void {
  const keys = takeEarlyKeys();
  if (input.get().typing !== null) for (const key of keys) pressKey(key, input);
}

/** Hands keys to the sheet: those of its bars and its field, and those that nothing on the page has; none where it is only read. */
export function useSheetKeys(input: SheetInput, onPaste: (text: string) => void, mayWrite: boolean): (event: ReactKeyboardEvent) => void {
  useEffect(() => {
    if (!mayWrite) return;
    const listen = (event: KeyboardEvent) => {
      // a key pressed while the page is being drawn anew is for the bar that is open
      const isIdle = event.target === document.body || (isButton(event.target) && /^[1-7]$/.test(event.key));
      if (isIdle && !event.defaultPrevented && isForSheet(event, input)) take(event, input);
    };
    const paste = (event: ClipboardEvent) => {
      if (!isOnSheet(event.target) || input.get().typing !== null) return;
      event.preventDefault();
      onPaste(event.clipboardData?.getData('text/plain') ?? '');
    };
    window.addEventListener('keydown', listen, true);
    window.addEventListener('paste', paste);
    return () => {
      window.removeEventListener('keydown', listen, true);
      window.removeEventListener('paste', paste);
    };
  }, [input, onPaste, mayWrite]);
  return (event) => {
    if (!mayWrite) return;
    const field = event.target instanceof HTMLInputElement && event.target.dataset.typing !== undefined ? event.target : null;
    if (field === null ? isOnSheet(event.target) : !isForField(event.key, field, input)) take(event, input);
  };
}

/** Letters over a part that is marked are the field's own business. */
function isForField(key: string, field: HTMLInputElement, input: SheetInput): boolean {
  const { selectionStart: from, selectionEnd: to } = field;
  followCaret(field, input);
  return from !== to && input.get().typing?.whole !== true && (key.length === 1 || key === 'Backspace');
}

/** The caret as it stands in the field; one of before the last key is no longer where the next letter goes. */
export function followCaret({ value, selectionStart, selectionEnd }: HTMLInputElement, input: SheetInput): void {
  if (value === input.get().typing?.text) input.caret(selectionStart ?? 0, selectionEnd ?? 0);
}

function take(event: KeyboardEvent | ReactKeyboardEvent, input: SheetInput): void {
  const composing = 'isComposing' in event ? event.isComposing : event.nativeEvent.isComposing;
  if (composing || !pressKey(event, input)) return;
  event.preventDefault();
  event.stopPropagation();
}

/** With nothing open, only what begins with a chosen bar is the sheet's. */
function isForSheet(event: KeyboardEvent, input: SheetInput): boolean {
  if (input.get().typing !== null) return true;
  return (input.selection !== null || input.goesOn) && !event.ctrlKey && !event.metaKey;
}

/** On a button of the desk a degree is for the chosen bar all the same: a Tab too many loses nothing. */
function isButton(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.tagName === 'BUTTON' &&
    target.closest('[role=dialog], [role=menu]') === null &&
    !isOnSheet(target)
  );
}

function isOnSheet(target: EventTarget | null): boolean {
  return target === document.body || (target instanceof HTMLElement && target.closest('[data-place]') !== null);
}
