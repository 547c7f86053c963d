import type { KeyboardEvent } from 'react';
import type { BarCommands } from './BarToolbar.tsx';
import { beginsWriting } from './bar-typing.ts';

/** What the keys of the sheet ask for, beside the commands of the toolbar. */
export interface SheetKeys extends BarCommands {
  readonly isChosen: boolean;
  readonly onWalk: (step: 1 | -1) => void;
  /** Chooses on, by one bar or by a row. */
  readonly onReach: (bars: number) => void;
  readonly onGo: (bars: number) => void;
  readonly onBegin: (typed: string) => void;
  readonly onCopy: () => void;
  readonly onCut: () => void;
  readonly onPutCopied: () => void;
  readonly onClear: () => void;
  readonly onAll: () => void;
}

const BARS_A_ROW = 4;

/** The keys that work while a bar has the focus; true when one was used. */
export function sheetKey(event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>, keys: SheetKeys): boolean {
  const action =
    event.ctrlKey || event.metaKey ? withControl(event.key, keys) : event.altKey ? withAlt(event.key, keys) : plain(event, keys);
  action?.();
  return action !== undefined;
}

function withControl(key: string, keys: SheetKeys): (() => void) | undefined {
  return { c: keys.onCopy, x: keys.onCut, v: keys.onPutCopied, a: keys.onAll }[key];
}

function withAlt(key: string, keys: SheetKeys): (() => void) | undefined {
  return { ArrowLeft: () => keys.onMove(-1), ArrowRight: () => keys.onMove(1) }[key];
}

function plain({ key, shiftKey }: Pick<KeyboardEvent, 'key' | 'shiftKey'>, keys: SheetKeys): (() => void) | undefined {
  const go = shiftKey ? keys.onReach : keys.onGo;
  const moves: Readonly<Record<string, () => void>> = {
    ArrowLeft: () => (shiftKey ? keys.onReach(-1) : keys.onWalk(-1)),
    ArrowRight: () => (shiftKey ? keys.onReach(1) : keys.onWalk(1)),
    ArrowUp: () => go(-BARS_A_ROW),
    ArrowDown: () => go(BARS_A_ROW),
  };
  if (moves[key] !== undefined) return moves[key];
  if (!keys.isChosen) return undefined;
  const commands: Readonly<Record<string, () => void>> = {
    Enter: keys.onWrite,
    Escape: keys.onClear,
    Delete: keys.onDelete,
    Backspace: keys.onDelete,
    i: keys.onInsert,
    s: keys.onSplit,
    j: keys.onJoin,
    r: keys.onRepeat,
    '8': () => keys.onEnding([1]),
    '9': () => keys.onEnding([2]),
    h: keys.onSection,
    u: keys.onDuplicate,
    '+': () => keys.onDeepen('seventh'),
    '-': () => keys.onDeepen('triad'),
    p: () => keys.onMark('push'),
    l: () => keys.onMark('ring'),
    z: () => keys.onMark('stop'),
    o: () => keys.onMark('optional'),
  };
  if (commands[key] !== undefined) return commands[key];
  return beginsWriting(key) ? () => keys.onBegin(key) : undefined;
}
