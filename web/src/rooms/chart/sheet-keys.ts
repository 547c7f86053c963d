import { beginsWriting } from './bar-typing.ts';
import { within } from './desk-text.ts';
import type { SheetInput } from './sheet-input.ts';

/** A key as it is pressed. */
export interface Press {
  readonly key: string;
  readonly ctrlKey?: boolean;
  readonly metaKey?: boolean;
  readonly altKey?: boolean;
  readonly shiftKey?: boolean;
}

const BARS_A_ROW = 4;

type Action = (() => unknown) | undefined;

function done(action: Action): boolean {
  action?.();
  return action !== undefined;
}

/** The keys that work while a bar is chosen; true when one was used. */
export function sheetKey(press: Press, sheet: SheetInput): boolean {
  if (press.ctrlKey === true || press.metaKey === true) return done(withControl(press.key, sheet));
  if (press.altKey === true) return done({ ArrowLeft: () => sheet.move(-1), ArrowRight: () => sheet.move(1) }[press.key]);
  return done(moving(press, sheet) ?? (sheet.selection === null ? undefined : onChosen(press.key, sheet)));
}

function withControl(key: string, sheet: SheetInput): Action {
  if (key === 'v') return sheet.putCopied() ? () => undefined : undefined;
  return { c: sheet.copy, x: sheet.cut, a: sheet.all, z: sheet.undo, y: sheet.redo, Z: sheet.redo }[key];
}

function moving({ key, shiftKey = false }: Press, sheet: SheetInput): Action {
  const go = shiftKey ? sheet.extend : sheet.go;
  return {
    ArrowLeft: () => (shiftKey ? sheet.extend(-1) : sheet.walk(-1)),
    ArrowRight: () => (shiftKey ? sheet.extend(1) : sheet.walk(1)),
    ArrowUp: () => go(-BARS_A_ROW),
    ArrowDown: () => go(BARS_A_ROW),
  }[key];
}

function onChosen(key: string, sheet: SheetInput): Action {
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
export function typingKey(press: Press, sheet: SheetInput): boolean {
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
function arrows(bar: number, sheet: SheetInput): Readonly<Record<string, () => void>> {
  const to = (step: number) => () => sheet.open(within(bar + step, sheet.bars));
  return { ArrowLeft: to(-1), ArrowRight: to(1), ArrowUp: to(-BARS_A_ROW), ArrowDown: to(BARS_A_ROW) };
}

function isLetter(key: string): boolean {
  return [...key].length === 1;
}
