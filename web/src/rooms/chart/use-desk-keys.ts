import type { ChartReading } from '@aurora/core';
import type { KeyboardEvent } from 'react';
import type { KeyMap } from '../../session/use-shortcuts.ts';
import type { BarCommands } from './BarToolbar.tsx';
import { type BarSelection, choose, chordBeside, rangeOf, reachTo } from './bar-selection.ts';
import { freeSectionName, within } from './desk-text.ts';
import { sheetKey } from './sheet-keys.ts';
import type { BarEditing } from './use-bar-editing.ts';
import type { BarTyping } from './use-bar-typing.ts';

interface DeskKeysRoom {
  readonly editing: BarEditing;
  readonly selection: BarSelection | null;
  readonly typing: BarTyping;
  readonly reading: ChartReading;
  readonly go: (to: BarSelection | null) => void;
  readonly focusSoon: () => void;
  readonly onPaste: () => void;
}

/** The commands of the desk, and the keys that give them. */
export interface DeskKeys {
  readonly commands: BarCommands;
  readonly onKeyDown: (event: KeyboardEvent) => void;
  /** Keys that work wherever the focus is. */
  readonly anywhere: KeyMap;
}

export function useDeskKeys({ editing, selection, typing, reading, go, focusSoon, onPaste }: DeskKeysRoom): DeskKeys {
  const { commands } = editing;
  const bars = reading.bars.length;
  const chordsOf = (bar: number) => reading.bars[bar]?.chords.length ?? 0;
  const walk = (step: 1 | -1) => go(chordBeside(selection, step, chordsOf, bars));
  const onToolbar: BarCommands = {
    onWrite: () => selection !== null && typing.begin(selection.head, null),
    onInsert: () => selection !== null && typing.begin(rangeOf(selection).to + 1, '', true),
    onSplit: commands.split,
    onJoin: commands.join,
    onRepeat: commands.repeat,
    onEnding: commands.ending,
    onMark: commands.mark,
    onDeepen: commands.deepen,
    onDuplicate: commands.duplicate,
    onMove: commands.move,
    onSection: () => commands.section(freeSectionName(reading.sections.map(({ name }) => name))),
    onDelete: commands.delete,
    onPaste,
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const onBar = (event.target as HTMLElement).closest('[data-place]') !== null;
    if (editing.typing !== null || !onBar) return;
    const used = sheetKey(event, {
      ...onToolbar,
      isChosen: selection !== null,
      onWalk: walk,
      onReach: (by) => go(reachTo(selection, within((selection?.head ?? 0) + by, bars))),
      onGo: (by) => go(choose(within((selection?.head ?? 0) + by, bars))),
      onBegin: (typed) => selection !== null && typing.begin(selection.head, typed),
      onCopy: commands.copy,
      onCut: () => {
        commands.copy();
        commands.delete();
      },
      onPutCopied: () => commands.putCopied() || onPaste(),
      onClear: () => editing.setSelection(null),
      onAll: () => go({ anchor: 0, head: bars - 1, chord: 0 }),
    });
    if (!used) return;
    event.preventDefault();
    focusSoon();
  };
  return { commands: onToolbar, onKeyDown, anywhere: { ArrowLeft: () => walk(-1), ArrowRight: () => walk(1) } };
}
