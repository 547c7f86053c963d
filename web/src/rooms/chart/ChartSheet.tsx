import { DndContext, useDraggable } from '@dnd-kit/core';
import { GripVertical, Plus } from 'lucide-react';
import { Fragment, memo, type ReactNode, type RefObject, useEffect, useRef } from 'react';
import type { Sheet, SheetBar, SheetRow, SheetSection } from '../../parts/sheet/sheet-view.ts';
import { Button } from '../../ui/Button.tsx';
import type { BarSelection } from './bar-selection.ts';
import { rangeOf } from './bar-selection.ts';
import { type SectionActions, SectionHeading } from './SectionHeading.tsx';
import { type BarLook, hasOver, SheetBarCell } from './SheetBarCell.tsx';
import type { Typing } from './use-bar-editing.ts';
import { type Drawn, useRowsInSight } from './use-rows-in-sight.ts';
import { type Drop, useSheetDrag } from './use-sheet-drag.ts';

interface SheetProps extends BarLook {
  readonly sheet: Sheet;
  /** How many bars the chart has. */
  readonly bars: number;
  readonly selection: BarSelection | null;
  /** The bar that sounds. */
  readonly playing: number | null;
  readonly typing: Typing | null;
  /** Where a bar is typed. */
  readonly input: ReactNode;
  readonly onAddBar: () => void;
  /** The chosen bars were dragged before another bar. */
  readonly onDropBars: (before: number) => void;
  readonly sections: SectionActions;
}

/** The number chart, written where it stands: bars on a quiet grid, numbers large, the reader's letters under them. */
export function ChartSheet({ sheet, bars, onAddBar, onDropBars, sections, ...inner }: SheetProps) {
  const article = useRef<HTMLElement>(null);
  useFollow(article, inner.playing);
  const drawn = useRowsInSight(article, sheet, inner.turn);
  const { drop, context } = useSheetDrag(onDropBars, sections.onMove);
  const last = sheet.sections.at(-1);
  return (
    <DndContext {...context}>
      <article ref={article} aria-label="Chart" className="px-6 py-4">
        <p className="mb-3 text-[15px] text-quiet">{sheet.facts.join('  ·  ')}</p>
        {sheet.sections.map((section, index) => (
          <SectionOfSheet
            // biome-ignore lint/suspicious/noArrayIndexKey: sections may share a name; their place tells them apart
            key={index}
            place={index}
            section={section}
            drawn={drawn}
            actions={sections}
            drop={drop}
            {...inner}
            ends={section === last}
            bars={bars}
          />
        ))}
        {sheet.sections.length === 0 && inner.typing !== null && <div className="grid grid-cols-4">{inner.input}</div>}
        <Button look="bare" className="mt-1 text-quiet" onClick={onAddBar}>
          <Plus size={18} aria-hidden="true" /> Bar
        </Button>
        {sheet.left > 0 && <p className="py-4 font-semibold text-alarm">{sheet.left} more bars are in the text and not drawn here.</p>}
      </article>
    </DndContext>
  );
}

/** Keeps the bar that sounds in sight. */
function useFollow(article: RefObject<HTMLElement | null>, playing: number | null): void {
  useEffect(() => {
    if (playing === null) return;
    const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    article.current?.querySelector(`[data-bar="${playing}"]`)?.scrollIntoView({ block: 'nearest', behavior: still ? 'auto' : 'smooth' });
  }, [article, playing]);
}

type Inner = Omit<SheetProps, 'sheet' | 'onAddBar' | 'onDropBars' | 'sections'>;

interface SectionProps extends Inner {
  readonly section: SheetSection;
  /** Its place on the sheet. */
  readonly place: number;
  readonly drawn: Drawn;
  readonly actions: SectionActions;
  readonly drop: Drop;
  /** Whether it is the last one, so that a bar behind the last is typed here. */
  readonly ends: boolean;
}

function SectionOfSheet({ section, place, drawn, actions, drop, ends, ...inner }: SectionProps) {
  const { index } = section;
  const isTarget = drop?.kind === 'section' && index !== null && (drop.before === index || (ends && drop.before === index + 1));
  return (
    <section
      aria-label={section.name ?? 'Before the first section'}
      {...(index === null ? {} : { 'data-section': index })}
      className={`mb-4 ${isTarget ? (drop.before === index ? 'shadow-[0_-4px_0_var(--accent)]' : 'shadow-[0_4px_0_var(--accent)]') : ''}`}
    >
      {index !== null && (
        <div className="mb-1 flex items-center gap-1">
          <Grip id={`section-${index}`} label={`Drag ${section.name}`} />
          <SectionHeading section={section} index={index} actions={actions} />
        </div>
      )}
      {section.rows.map((row, index) => (
        <RowOfSheet
          // biome-ignore lint/suspicious/noArrayIndexKey: rows have no name but their place
          key={index}
          name={`${place}.${index}`}
          drop={drop}
          isLast={ends && index === section.rows.length - 1}
          {...inner}
          {...drawn(place, index, row)}
        />
      ))}
      {section.rows.length === 0 && ends && inner.typing?.bar === inner.bars && <div className="grid grid-cols-4">{inner.input}</div>}
    </section>
  );
}

/** What something is dragged by; the arrow keys with Alt do the same. */
const Grip = memo(function Grip({ id, label }: { readonly id: string; readonly label: string }) {
  const { attributes, listeners, setNodeRef } = useDraggable({ id });
  const { role: _role, tabIndex: _tabIndex, ...described } = attributes;
  return (
    <span
      ref={setNodeRef}
      {...described}
      {...listeners}
      title={label}
      className="grid size-8 shrink-0 cursor-grab touch-none place-items-center text-quiet"
    >
      <GripVertical size={18} aria-hidden="true" />
    </span>
  );
});

const RowOfSheet = memo(function RowOfSheet({
  name,
  row,
  drop,
  isLast,
  bars,
  selection,
  playing,
  typing,
  input,
  ...look
}: Inner & { readonly name: string; readonly row: SheetRow; readonly drop: Drop; readonly isLast: boolean }) {
  const range = selection === null ? null : rangeOf(selection);
  const inputAt = (bar: number, isNew: boolean) => (typing !== null && typing.bar === bar && typing.isNew === isNew ? input : null);
  const isPickup = row.bars[0]?.pickup === true;
  const roomy = row.bars.some(hasOver);
  return (
    // rows out of sight are not laid out or painted: a long sheet changes its key at once
    <div data-row={name} className="border-b border-hairline py-0.5 [contain-intrinsic-size:auto_6.5rem] [content-visibility:auto]">
      <div className={`grid ${isPickup ? 'grid-cols-[3fr_1fr]' : 'grid-cols-4'}`}>
        {isPickup && <span />}
        {row.bars.map((bar: SheetBar, place) => (
          <Fragment key={bar.index}>
            {inputAt(bar.index, true)}
            {inputAt(bar.index, false) ?? (
              <div className="relative flex flex-col *:flex-1">
                {drop?.kind === 'bar' && drop.before === bar.index && <DropLine side="left" />}
                {drop?.kind === 'bar' && isLast && drop.before === bar.index + 1 && place === row.bars.length - 1 && (
                  <DropLine side="right" />
                )}
                <SheetBarCell
                  bar={bar}
                  last={place === row.bars.length - 1}
                  chosen={range !== null && bar.index >= range.from && bar.index <= range.to}
                  chord={selection?.head === bar.index ? selection.chord : null}
                  playing={playing === bar.index}
                  roomy={roomy}
                  {...look}
                />
                {range?.from === bar.index && (
                  <span className="absolute -top-1 right-0 z-10 flex-none!">
                    <Grip id="bars" label="Drag the chosen bars" />
                  </span>
                )}
              </div>
            )}
          </Fragment>
        ))}
        {isLast && inputAt(bars, false)}
        {isLast && inputAt(bars, true)}
      </div>
      {row.words.map((words, verse) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: two verses may say the same
        <p key={verse} className="px-3 pb-1 text-[15px] text-quiet italic">
          {words}
        </p>
      ))}
    </div>
  );
});

function DropLine({ side }: { readonly side: 'left' | 'right' }) {
  return <span className={`absolute inset-y-0 z-20 w-1 flex-none! bg-accent ${side === 'left' ? '-left-0.5' : '-right-0.5'}`} />;
}
