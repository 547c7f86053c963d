import type { BarCell, CellRow } from '@aurora/core';
import { Fragment, memo } from 'react';
import { hasMarksOver, ROW_AND_OVER } from '../../../parts/sheet/bar-place.ts';
import { sheetColumns } from '../../../parts/sheet/row-columns.ts';
import { CHART_WORDS } from '../../../wording/chart.ts';
import { BarInput } from './BarInput.tsx';
import { type BarSelection, rangeOf } from './bar-selection.ts';
import type { Typing } from './bar-typing.ts';
import type { ChordLayer } from './chord-layer.ts';
import { Grip } from './Grip.tsx';
import { SheetBarCell } from './SheetBarCell.tsx';
import type { SheetInput } from './sheet-input.ts';
import type { Drop } from './use-sheet-drag.ts';

interface RowProps {
  readonly name: string;
  readonly row: CellRow;
  readonly turn: boolean;
  readonly layer: ReadonlyMap<string, ChordLayer> | null;
  readonly drop: Drop;
  /** Whether bars behind the last one are typed here. */
  readonly isLast: boolean;
  /** Whether bars can be dragged and written, or are only read. */
  readonly mayWrite: boolean;
  /** How many bars the chart has. */
  readonly bars: number;
  readonly selection: BarSelection | null;
  readonly playing: number | null;
  readonly typing: Typing | null;
  readonly input: SheetInput;
  /** How wide the whole row is, in pixels. */
  readonly pixels: number;
}

/** Up to four bars side by side, with the words under them; the bar that is typed stands in its place. */
export const SheetRow = memo(function SheetRow({ name, row, isLast, bars, typing, input, pixels, ...look }: RowProps) {
  const columns = sheetColumns(row, pixels);
  const field = (bar: number, isNew: boolean) =>
    typing?.bar === bar && typing.isNew === isNew ? <BarInput key={`typed ${bar} ${isNew}`} typing={typing} input={input} /> : null;
  const roomy = row.bars.some(hasMarksOver);
  return (
    // rows out of sight are not laid out or painted: a long sheet changes its key at once
    <div data-row={name} className={`border-b border-hairline ${(row.bars[0]?.index ?? 0) < SEEN_FIRST ? '' : OUT_OF_SIGHT}`}>
      <div className={`grid ${row.isPickup && columns === BARS_IN_A_ROW ? 'grid-cols-[3fr_1fr]' : COLUMNS[columns]}`}>
        {row.isPickup && columns === BARS_IN_A_ROW && <span className="row-span-2" />}
        {row.bars.map((bar, place) => (
          <Fragment key={bar.index}>
            {field(bar.index, true)}
            {field(bar.index, false) ?? (
              <PlacedBar
                bar={bar}
                isLast={isLast}
                last={place === row.bars.length - 1}
                roomy={roomy}
                pixels={pixels / columns}
                input={input}
                {...look}
              />
            )}
          </Fragment>
        ))}
        {isLast && field(bars, true)}
      </div>
      {row.words.map((words, verse) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: two verses may say the same
        <p key={verse} className="px-3 pb-0.5 text-fine text-quiet italic">
          {words}
        </p>
      ))}
    </div>
  );
});

/** Bars that are seen when a sheet opens: their rows have their height from the first. */
const SEEN_FIRST = 32;
const OUT_OF_SIGHT = '[contain-intrinsic-size:auto_6.5rem] [content-visibility:auto]';

const BARS_IN_A_ROW = 4;
const COLUMNS = { 1: 'grid-cols-1', 2: 'grid-cols-2', 4: 'grid-cols-4' } as const;

/** Whether a drawn bar stands for the written one at an index: it may count several. */
function stands({ index, counts }: BarCell, at: number): boolean {
  return index <= at && at < index + counts;
}

const NOTHING = () => undefined;

interface PlacedBarProps extends Pick<RowProps, 'turn' | 'layer' | 'drop' | 'isLast' | 'mayWrite' | 'selection' | 'playing' | 'input'> {
  readonly bar: BarCell;
  readonly last: boolean;
  readonly roomy: boolean;
  readonly pixels: number;
}

function PlacedBar({ bar, last, roomy, pixels, drop, isLast, mayWrite, selection, playing, input, turn, layer }: PlacedBarProps) {
  const range = selection === null ? null : rangeOf(selection);
  const dropsAt = (before: number) => drop?.kind === 'bar' && drop.before === before;
  return (
    <div className={`relative ${ROW_AND_OVER}`}>
      {dropsAt(bar.index) && <DropLine side="left" />}
      {isLast && last && dropsAt(bar.index + 1) && <DropLine side="right" />}
      <SheetBarCell
        bar={bar}
        last={last}
        chosen={range !== null && range.from < bar.index + bar.counts && bar.index <= range.to}
        chord={selection !== null && stands(bar, selection.head) ? selection.chord : null}
        playing={playing !== null && stands(bar, playing)}
        roomy={roomy}
        pixels={pixels}
        turn={turn}
        layer={layer}
        onSelect={input.select}
        onWrite={mayWrite ? input.open : NOTHING}
      />
      {mayWrite && range?.from === bar.index && (
        <span className="absolute -top-1 right-0 z-10">
          <Grip id="bars" label={CHART_WORDS.dragTheChosenBars} />
        </span>
      )}
    </div>
  );
}

function DropLine({ side }: { readonly side: 'left' | 'right' }) {
  return <span className={`absolute inset-y-0 z-20 w-1 bg-accent ${side === 'left' ? '-left-0.5' : '-right-0.5'}`} />;
}
