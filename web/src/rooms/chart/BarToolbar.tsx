import type { SlotMark } from '@aurora/core';
import {
  BetweenVerticalEnd,
  ChevronDown,
  ChevronLeft,
  ChevronRight,
  ClipboardPaste,
  Copy,
  PenLine,
  Redo2,
  Trash2,
  Undo2,
} from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';
import type { Rewriting } from '../../document/use-rewriting.ts';
import { Button } from '../../ui/Button.tsx';
import { Hint, KeyCap } from '../../ui/Hint.tsx';
import { MenuItem } from '../../ui/MenuItem.tsx';

/** What can be done with the chosen bars. */
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
  /** Whether the next bar pressed is chosen along with these: what Shift does, for fingers. */
  readonly reaching: boolean;
  readonly onReaching: (reaching: boolean) => void;
}

/** What can be done with the chosen bars, each with its key. */
export function BarToolbar({ rewriting, count, reaching, onReaching, ...commands }: BarToolbarProps) {
  const none = count === 0;
  return (
    <div role="toolbar" aria-label="The chosen bars" className="flex flex-wrap items-center border-t border-hairline bg-ground px-2">
      <Tool text="Take back" keys="Ctrl Z" disabled={rewriting.undo === null} onPress={() => rewriting.undo?.()}>
        <Undo2 size={18} />
      </Tool>
      <Tool text="Do again" keys="Ctrl Y" disabled={rewriting.redo === null} onPress={() => rewriting.redo?.()}>
        <Redo2 size={18} />
      </Tool>
      {none ? (
        <span className="px-3 text-[15px] text-quiet">Choose a bar and type: digits are degrees.</span>
      ) : (
        <>
          <Tool text="Write the bar" keys="Enter" onPress={commands.onWrite}>
            <PenLine size={18} />
          </Tool>
          <Tool text="A new bar behind it" keys="i" onPress={commands.onInsert}>
            +bar
          </Tool>
          <Hint text="Choose up to another bar" keys="Shift">
            <Button
              look="bare"
              aria-label="Choose up to another bar"
              aria-pressed={reaching}
              onClick={() => onReaching(!reaching)}
              className="min-w-9 px-1.5! aria-pressed:bg-wash"
            >
              <BetweenVerticalEnd size={18} />
            </Button>
          </Hint>
          <Menu
            label="Bars"
            items={[
              ['Split the bar', 's', commands.onSplit],
              ['Join the bars into one', 'j', commands.onJoin],
              ['Repeat them', 'r', commands.onRepeat],
              ['First ending', '8', () => commands.onEnding([1])],
              ['Second ending', '9', () => commands.onEnding([2])],
              ['A section begins here', 'h', commands.onSection],
            ]}
          />
          <Menu
            label="Chords"
            items={[
              ['Thicker: the key’s sevenths', '+', () => commands.onDeepen('seventh')],
              ['Thinner: triads', '-', () => commands.onDeepen('triad')],
              ['Pushed', 'p', () => commands.onMark('push')],
              ['Let ring', 'l', () => commands.onMark('ring')],
              ['Stop', 'z', () => commands.onMark('stop')],
              ['Optional: others may leave it out', 'o', () => commands.onMark('optional')],
            ]}
          />
          <Tool text="Earlier" keys="Alt ←" onPress={() => commands.onMove(-1)}>
            <ChevronLeft size={18} />
          </Tool>
          <Tool text="Later" keys="Alt →" onPress={() => commands.onMove(1)}>
            <ChevronRight size={18} />
          </Tool>
          <Tool text="Duplicate" keys="u" onPress={commands.onDuplicate}>
            <Copy size={17} />
          </Tool>
          <Tool text="Take out" keys="Delete" onPress={commands.onDelete}>
            <Trash2 size={17} />
          </Tool>
        </>
      )}
      <span className="mr-auto text-sm font-semibold text-quiet">{count > 1 ? `${count} bars` : ''}</span>
      <Tool text="Paste chords from anywhere" keys="Ctrl V" onPress={commands.onPaste}>
        <ClipboardPaste size={18} />
      </Tool>
    </div>
  );
}

interface ToolProps {
  readonly text: string;
  readonly keys: string;
  readonly disabled?: boolean;
  readonly onPress: () => void;
  readonly children: ReactNode;
}

function Tool({ text, keys, disabled = false, onPress, children }: ToolProps) {
  return (
    <Hint text={text} keys={keys}>
      <Button
        look="bare"
        aria-label={text}
        disabled={disabled}
        // the sheet keeps the focus, so that a key may follow a press
        onPointerDown={(event) => event.preventDefault()}
        onClick={onPress}
        className="min-w-9 px-1.5! text-[15px]"
      >
        {children}
      </Button>
    </Hint>
  );
}

type ToolItem = readonly [text: string, key: string, press: () => void];

function Menu({ label, items }: { readonly label: string; readonly items: readonly ToolItem[] }) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button look="bare" className="gap-1 px-2! text-[15px]">
          {label} <ChevronDown size={14} aria-hidden="true" />
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content side="top" align="start" className="z-30 min-w-64 rounded-xl border border-edge bg-raised p-1.5 shadow-lg">
          {items.map(([text, key, press]) => (
            <MenuItem key={text} onPress={press}>
              <span className="mr-auto pr-3">{text}</span>
              <KeyCap keys={key} />
            </MenuItem>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
