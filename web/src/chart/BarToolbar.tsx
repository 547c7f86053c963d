import type { SlotMark } from '@aurora/core';
import { ChevronLeft, ChevronRight, Copy, Diamond, Heading, PenLine, Redo2, Repeat, Scissors, Trash2, Undo2 } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Rewriting } from '../history/use-rewriting.ts';
import { Button } from '../ui/Button.tsx';
import { Hint } from '../ui/Hint.tsx';

/** What a press on the toolbar asks for. */
export interface BarCommands {
  readonly onWrite: () => void;
  readonly onInsert: () => void;
  readonly onSplit: () => void;
  readonly onJoin: () => void;
  readonly onRepeat: () => void;
  readonly onEnding: (passes: readonly number[]) => void;
  readonly onMark: (mark: SlotMark) => void;
  readonly onDeepen: (depth: 'triad' | 'seventh') => void;
  readonly onDuplicate: () => void;
  readonly onMove: (step: 1 | -1) => void;
  readonly onSection: () => void;
  readonly onDelete: () => void;
  readonly onPaste: () => void;
}

interface BarToolbarProps extends BarCommands {
  readonly rewriting: Rewriting;
  /** How many bars are chosen. */
  readonly count: number;
}

/** What can be done with the chosen bars, each with its key. */
export function BarToolbar({ rewriting, count, ...commands }: BarToolbarProps) {
  const none = count === 0;
  return (
    <div
      role="toolbar"
      aria-label="The chosen bars"
      className="flex flex-wrap items-center gap-x-0.5 border-t border-hairline bg-ground px-3 py-1"
    >
      <Tool text="Take back" keys="Ctrl Z" disabled={rewriting.undo === null} onPress={() => rewriting.undo?.()}>
        <Undo2 size={18} />
      </Tool>
      <Tool text="Do again" keys="Ctrl Y" disabled={rewriting.redo === null} onPress={() => rewriting.redo?.()}>
        <Redo2 size={18} />
      </Tool>
      <Divider />
      <Tool text="Write the bar" keys="Enter" disabled={none} onPress={commands.onWrite}>
        <PenLine size={18} />
      </Tool>
      <Tool text="A new bar behind it" keys="i" disabled={none} onPress={commands.onInsert}>
        +bar
      </Tool>
      <Tool text="Split the bar" keys="s" disabled={none} onPress={commands.onSplit}>
        <Scissors size={18} />
      </Tool>
      <Tool text="Join the bars into one" keys="j" disabled={count < 2} onPress={commands.onJoin}>
        ( )
      </Tool>
      <Tool text="Repeat" keys="r" disabled={none} onPress={commands.onRepeat}>
        <Repeat size={18} />
      </Tool>
      <Tool text="First ending" keys="8" disabled={none} onPress={() => commands.onEnding([1])}>
        1.
      </Tool>
      <Tool text="Second ending" keys="9" disabled={none} onPress={() => commands.onEnding([2])}>
        2.
      </Tool>
      <Tool text="A section begins here" keys="h" disabled={none} onPress={commands.onSection}>
        <Heading size={18} />
      </Tool>
      <Divider />
      <Tool text="Thicker: the key’s sevenths" keys="+" disabled={none} onPress={() => commands.onDeepen('seventh')}>
        7ths
      </Tool>
      <Tool text="Thinner: triads" keys="-" disabled={none} onPress={() => commands.onDeepen('triad')}>
        triads
      </Tool>
      <Tool text="Pushed" keys="p" disabled={none} onPress={() => commands.onMark('push')}>
        {'>'}
      </Tool>
      <Tool text="Let ring" keys="l" disabled={none} onPress={() => commands.onMark('ring')}>
        <Diamond size={17} />
      </Tool>
      <Tool text="Stop" keys="z" disabled={none} onPress={() => commands.onMark('stop')}>
        !
      </Tool>
      <Tool text="Optional: others may leave it out" keys="o" disabled={none} onPress={() => commands.onMark('optional')}>
        ?
      </Tool>
      <Divider />
      <Tool text="Earlier" keys="Alt ←" disabled={none} onPress={() => commands.onMove(-1)}>
        <ChevronLeft size={18} />
      </Tool>
      <Tool text="Later" keys="Alt →" disabled={none} onPress={() => commands.onMove(1)}>
        <ChevronRight size={18} />
      </Tool>
      <Tool text="Duplicate" keys="u" disabled={none} onPress={commands.onDuplicate}>
        <Copy size={17} />
      </Tool>
      <Tool text="Take out" keys="Delete" disabled={none} onPress={commands.onDelete}>
        <Trash2 size={17} />
      </Tool>
      <Button look="bare" className="px-2.5" onClick={commands.onPaste}>
        Paste…
      </Button>
      {count > 1 && <span className="ml-1 text-sm font-semibold text-quiet">{count} bars</span>}
    </div>
  );
}

interface ToolProps {
  readonly text: string;
  readonly keys: string;
  readonly disabled: boolean;
  readonly onPress: () => void;
  readonly children: ReactNode;
}

function Tool({ text, keys, disabled, onPress, children }: ToolProps) {
  return (
    <Hint text={text} keys={keys}>
      <Button
        look="bare"
        aria-label={text}
        disabled={disabled}
        // the sheet keeps the focus, so that a key may follow a press
        onPointerDown={(event) => event.preventDefault()}
        onClick={onPress}
        className="min-w-11 px-1.5 text-[15px]"
      >
        {children}
      </Button>
    </Hint>
  );
}

function Divider() {
  return <span aria-hidden="true" className="mx-1 h-6 w-px bg-hairline" />;
}
