import type { SlotMark } from '@aurora/core';
import { within } from '../desk-text.ts';
import type { BarSelection } from './bar-selection.ts';
import { beginsWriting } from './bar-typing.ts';

/** A key as it is pressed. */
export interface Press {
  readonly key: string;
  readonly ctrlKey?: boolean;
  readonly metaKey?: boolean;
  readonly altKey?: boolean;
  readonly shiftKey?: boolean;
}

/** A sheet as its keys need it. */
export interface KeyedSheet {
  readonly selection: BarSelection | null;
  readonly bars: number;
  readonly get: () => { readonly typing: { readonly bar: number; readonly whole: boolean } | null };
  readonly walk: (step: 1 | -1) => void;
  readonly go: (bars: number) => void;
  readonly extend: (bars: number) => void;
  readonly all: () => void;
  readonly clear: () => void;
  readonly open: (bar: number, how?: 'replace' | 'edit') => void;
  readonly begin: (key: string) => void;
  readonly type: (key: string) => void;
  readonly erase: () => void;
  readonly editWhole: () => void;
  readonly commit: (after: 'stay' | 'next' | 'before') => void;
  readonly cancel: () => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly delete: () => void;
  readonly duplicate: () => void;
  readonly join: () => void;
  readonly split: () => void;
  readonly insert: () => void;
  readonly section: () => void;
  readonly repeat: () => void;
  readonly ending: (passes: readonly number[]) => void;
  readonly mark: (mark: SlotMark) => void;
  readonly deepen: (depth: 'triad' | 'seventh') => void;
  readonly move: (step: 1 | -1) => void;
  readonly copy: () => void;
  readonly cut: () => void;
  readonly putCopied: () => boolean;
}

const BARS_A_ROW = 4;

type Action = (() => unknown) | undefined;

function done(action: Action): boolean {
  action?.();
  return action !== undefined;
}

/** The keys that work while a bar is chosen; true when one was used. */
export function sheetKey(press: Press, sheet: KeyedSheet): boolean {
  if (press.ctrlKey === true || press.metaKey === true) return done(withControl(press.key, sheet));
  if (press.altKey === true) return done({ ArrowLeft: () => sheet.move(-1), ArrowRight: () => sheet.move(1) }[press.key]);
  return done(moving(press, sheet) ?? (sheet.selection === null ? undefined : onChosen(press.key, sheet)));
}

function withControl(key: string, sheet: KeyedSheet): Action {
  if (key === 'v') return sheet.putCopied() ? () => undefined : undefined;
  return { c: sheet.copy, x: sheet.cut, a: sheet.all, z: sheet.undo, y: sheet.redo, Z: sheet.redo }[key];
}

function moving({ key, shiftKey = false }: Press, sheet: KeyedSheet): Action {
  const go = shiftKey ? sheet.extend : sheet.go;
  return {
    ArrowLeft: () => (shiftKey ? sheet.extend(-1) : sheet.walk(-1)),
    ArrowRight: () => (shiftKey ? sheet.extend(1) : sheet.walk(1)),
    ArrowUp: () => go(-BARS_A_ROW),
    ArrowDown: () => go(BARS_A_ROW),
  }[key];
}

function onChosen(key: string, sheet: KeyedSheet): Action {
  const head = sheet.selection?.head ?? 0;
  const commands: Readonly<Record<string, () => unknown>> = {
    Enter: () => sheet.open(head, 'edit'),
    F2: () => sheet.open(head, 'edit'),
    Escape: sheet.clear,
    Delete: sheet.delete,
    Backspace: sheet.delete,
    i: sheet.insert,
    s: sheet.split,
    j: sheet.join,
    r: sheet.repeat,
    '8': () => sheet.ending([1]),
    '9': () => sheet.ending([2]),
    h: sheet.section,
    u: sheet.duplicate,
    '+': () => sheet.deepen('seventh'),
    '-': () => sheet.deepen('triad'),
    p: () => sheet.mark('push'),
    l: () => sheet.mark('ring'),
    z: () => sheet.mark('stop'),
    o: () => sheet.mark('optional'),
  };
  return commands[key] ?? (beginsWriting(key) ? () => sheet.begin(key) : undefined);
}

/** The keys that work while a bar is typed; true when one was used. What is left is for the field. */
export function typingKey(press: Press, sheet: KeyedSheet): boolean {
  const { key } = press;
  if (press.ctrlKey === true || press.metaKey === true) return done({ z: sheet.undo, y: sheet.redo, Z: sheet.redo }[key]);
  if (press.altKey === true) return false;
  const { typing } = sheet.get();
  const leave: Readonly<Record<string, () => unknown>> = {
    Enter: () => (typing?.whole === true ? sheet.editWhole() : sheet.commit('stay')),
    F2: sheet.editWhole,
    Tab: () => sheet.commit(press.shiftKey === true ? 'before' : 'next'),
    Escape: sheet.cancel,
    Backspace: sheet.erase,
    ...(typing?.whole === true ? arrows(typing.bar, sheet) : {}),
  };
  return done(leave[key] ?? (isLetter(key) ? () => sheet.type(key) : undefined));
}

/** From a bar taken whole the arrows lead on, as from a chosen one. */
function arrows(bar: number, sheet: KeyedSheet): Readonly<Record<string, () => void>> {
  const to = (step: number) => () => sheet.open(within(bar + step, sheet.bars));
  return { ArrowLeft: to(-1), ArrowRight: to(1), ArrowUp: to(-BARS_A_ROW), ArrowDown: to(BARS_A_ROW) };
}

function isLetter(key: string): boolean {
  return [...key].length === 1;
}
