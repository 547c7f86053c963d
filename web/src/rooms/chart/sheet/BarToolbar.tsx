import { DropdownMenu } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import type { Rewriting } from '../../../document/use-song-draft.ts';
import { useShortcuts } from '../../../session/use-shortcuts.ts';
import { Button } from '../../../ui/Button.tsx';
import { Hint, KeyCap } from '../../../ui/Hint.tsx';
import {
  BeforeIcon,
  DeleteIcon,
  DuplicateIcon,
  ListIcon,
  NextIcon,
  PasteIcon,
  ReachIcon,
  RedoIcon,
  UndoIcon,
  WriteIcon,
} from '../../../ui/icons.ts';
import { MenuItem } from '../../../ui/MenuItem.tsx';
import { CHART_WORDS } from '../../../wording/chart.ts';
import { type BarSelection, rangeOf } from './bar-selection.ts';
import type { SheetInput } from './sheet-input.ts';

interface BarToolbarProps {
  readonly input: SheetInput;
  readonly selection: BarSelection | null;
  readonly rewriting: Rewriting;
  /** Whether the next bar pressed is chosen along with these: what Shift does, for fingers. */
  readonly reaching: boolean;
  readonly onPaste: () => void;
  /** Key, meter, tempo and pickup from the chosen bar on. */
  readonly onChanges: () => void;
}

/** What can be done with the chosen bars, each with its key. */
export function BarToolbar({ input, selection, rewriting, reaching, onPaste, onChanges }: BarToolbarProps) {
  const count = selection === null ? 0 : rangeOf(selection).to - rangeOf(selection).from + 1;
  return (
    <div
      role="toolbar"
      aria-label={CHART_WORDS.theChosenBars}
      className="flex flex-wrap items-center px-1 not-phone:border-l not-phone:border-hairline"
    >
      <Tool text={CHART_WORDS.undo} keys="Ctrl Z" disabled={rewriting.undo === null} onPress={input.undo}>
        <UndoIcon size={18} />
      </Tool>
      <Tool text={CHART_WORDS.redo} keys="Ctrl Y" disabled={rewriting.redo === null} onPress={input.redo}>
        <RedoIcon size={18} />
      </Tool>
      {count === 0 ? (
        <span className="px-3 text-fine text-quiet">{CHART_WORDS.chooseABarAndTypeDigits}</span>
      ) : (
        <ChosenTools input={input} head={selection?.head ?? 0} reaching={reaching} onChanges={onChanges} />
      )}
      <span className="min-w-12 text-fine font-semibold text-quiet">{count > 1 ? CHART_WORDS.barsCounted(count) : ''}</span>
      <Tool text={CHART_WORDS.pasteChordsFromAnywhere} keys="Ctrl V" onPress={onPaste}>
        <PasteIcon size={18} aria-hidden="true" /> <span className="phone:sr-only">{CHART_WORDS.pasteWord}</span>
      </Tool>
    </div>
  );
}

interface ChosenToolsProps extends Pick<BarToolbarProps, 'input' | 'reaching' | 'onChanges'> {
  readonly head: number;
}

function ChosenTools({ input, head, reaching, onChanges }: ChosenToolsProps) {
  return (
    <>
      <Tool text={CHART_WORDS.writeTheBar} keys="Enter" onPress={() => input.open(head, 'edit')}>
        <WriteIcon size={18} />
      </Tool>
      <Tool text={CHART_WORDS.aNewBarBehindIt} keys="i" onPress={input.commands.insert}>
        {CHART_WORDS.addBarSign}
      </Tool>
      <Hint text={CHART_WORDS.chooseUpToAnotherBar} keys="Shift">
        <Button
          look="bare"
          aria-label={CHART_WORDS.chooseUpToAnotherBar}
          aria-pressed={reaching}
          onClick={() => input.reach(!reaching)}
          className="min-w-9 px-1.5! aria-pressed:bg-wash"
        >
          <ReachIcon size={18} />
        </Button>
      </Hint>
      <Menu label={CHART_WORDS.barsMenu} items={barItems(input)} />
      <Menu label={CHART_WORDS.signs} shortcut="k" items={signItems(input, onChanges)} />
      <Menu label={CHART_WORDS.chords} items={chordItems(input)} />
      <Tool text={CHART_WORDS.earlier} keys="Alt ←" onPress={() => input.commands.move(-1)}>
        <BeforeIcon size={18} />
      </Tool>
      <Tool text={CHART_WORDS.later} keys="Alt →" onPress={() => input.commands.move(1)}>
        <NextIcon size={18} />
      </Tool>
      <Tool text={CHART_WORDS.duplicate} keys="u" onPress={input.commands.duplicate}>
        <DuplicateIcon size={17} />
      </Tool>
      <Tool text={CHART_WORDS.deleteWord} keys="Delete" onPress={input.commands.delete}>
        <DeleteIcon size={17} />
      </Tool>
    </>
  );
}

function barItems(input: SheetInput): readonly ToolItem[] {
  return [
    [CHART_WORDS.splitTheBar, 's', input.commands.split],
    [CHART_WORDS.joinTheBarsIntoOne, 'j', input.commands.join],
    [CHART_WORDS.repeatThem, 'r', input.commands.repeat],
    [CHART_WORDS.firstEnding, '8', () => input.commands.ending([1])],
    [CHART_WORDS.secondEnding, '9', () => input.commands.ending([2])],
    [CHART_WORDS.aSectionBeginsHere, 'h', input.commands.section],
  ];
}

/** Signs and jumps; in the open menu the first letters find them. */
function signItems(input: SheetInput, onChanges: () => void): readonly ToolItem[] {
  const jump = (to: 'start' | 'segno', until: 'coda' | 'fine' | 'either') => () =>
    input.commands.sign({ kind: 'jump', to, until, keepRepeats: false });
  return [
    [CHART_WORDS.keyMeterTempoPickupFromHere, '', onChanges],
    [CHART_WORDS.segno, '', () => input.commands.sign({ kind: 'sign', sign: 'segno' })],
    [CHART_WORDS.coda, '', () => input.commands.sign({ kind: 'sign', sign: 'coda' })],
    [CHART_WORDS.toCoda, '', () => input.commands.sign({ kind: 'to-coda' })],
    [CHART_WORDS.fine, '', () => input.commands.sign({ kind: 'sign', sign: 'fine' })],
    ['D.C.', '', jump('start', 'either')],
    [CHART_WORDS.dCAlFine, '', jump('start', 'fine')],
    [CHART_WORDS.dCAlCoda, '', jump('start', 'coda')],
    ['D.S.', '', jump('segno', 'either')],
    [CHART_WORDS.dSAlFine, '', jump('segno', 'fine')],
    [CHART_WORDS.dSAlCoda, '', jump('segno', 'coda')],
  ];
}

function chordItems(input: SheetInput): readonly ToolItem[] {
  return [
    [CHART_WORDS.thickerTheKeysSevenths, '+', () => input.commands.deepen('seventh')],
    ['Thinner: triads', '-', () => input.commands.deepen('triad')],
    [CHART_WORDS.pushed, 'p', () => input.commands.mark('push')],
    [CHART_WORDS.letRingMenu, 'l', () => input.commands.mark('ring')],
    [CHART_WORDS.stop, 'z', () => input.commands.mark('stop')],
    [CHART_WORDS.optionalOthersMayLeaveItOut, 'o', () => input.commands.mark('optional')],
  ];
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
        className="min-w-9 px-1.5! text-base"
      >
        {children}
      </Button>
    </Hint>
  );
}

type ToolItem = readonly [text: string, key: string, press: () => void];

interface MenuProps {
  readonly label: string;
  readonly items: readonly ToolItem[];
  /** The single key that opens it. */
  readonly shortcut?: string;
}

function Menu({ label, items, shortcut }: MenuProps) {
  const [open, setOpen] = useState(false);
  useShortcuts(shortcut === undefined ? {} : { [shortcut]: () => setOpen(true) });
  return (
    <DropdownMenu.Root open={open} onOpenChange={setOpen}>
      <DropdownMenu.Trigger asChild>
        <Button look="bare" className="gap-0.5 px-1! text-base">
          {label} <ListIcon size={12} aria-hidden="true" />
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content side="top" align="start" className="z-30 min-w-64 rounded-xl border border-edge bg-raised p-1.5 shadow-lg">
          {items.map(([text, key, press]) => (
            <MenuItem key={text} onPress={press}>
              <span className="mr-auto pr-3">{text}</span>
              {key !== '' && <KeyCap keys={key} />}
            </MenuItem>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
