import { within } from '../desk-text.ts';
import { beginsWriting } from './bar-typing.ts';
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

/** Does what a key asks for on the sheet; false when it means nothing there. */
export function pressKey(press: Press, sheet: SheetInput): boolean {
  return sheet.get().typing === null ? sheetKey(press, sheet) : typingKey(press, sheet);
}

/** The keys that work while a bar is chosen; true when one was used. */
function sheetKey(press: Press, sheet: SheetInput): boolean {
  if (press.ctrlKey === true || press.metaKey === true) return done(withControl(press.key, sheet));
  if (press.altKey === true) return done({ ArrowLeft: () => sheet.commands.move(-1), ArrowRight: () => sheet.commands.move(1) }[press.key]);
  const meant = moving(press, sheet) ?? (sheet.selection === null ? undefined : onChosen(press.key, sheet));
  // an empty chart has no bar to choose: what begins one begins the first
  return done(meant ?? (sheet.goesOn && /^[1-7b#A-G]$/.test(press.key) ? () => sheet.begin(press.key) : undefined));
}

function withControl(key: string, sheet: SheetInput): Action {
  if (key === 'v') return sheet.clipboard.putCopied() ? () => undefined : undefined;
  return { c: sheet.clipboard.copy, x: sheet.clipboard.cut, a: sheet.all, z: sheet.undo, y: sheet.redo, Z: sheet.redo }[key];
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
    Delete: sheet.commands.delete,
    Backspace: sheet.commands.delete,
    i: sheet.commands.insert,
    s: sheet.commands.split,
    j: sheet.commands.join,
    r: sheet.commands.repeat,
    '8': () => sheet.commands.ending([1]),
    '9': () => sheet.commands.ending([2]),
    h: sheet.commands.section,
    u: sheet.commands.duplicate,
    '+': () => sheet.commands.deepen('seventh'),
    '-': () => sheet.commands.deepen('triad'),
    p: () => sheet.commands.mark('push'),
    l: () => sheet.commands.mark('ring'),
    z: () => sheet.commands.mark('stop'),
    o: () => sheet.commands.mark('optional'),
  };
  return commands[key] ?? (beginsWriting(key) ? () => sheet.begin(key) : undefined);
}

/** The keys that work while a bar is typed; true when one was used. What is left is for the field. */
function typingKey(press: Press, sheet: SheetInput): boolean {
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
