import type { CellSection, ChartReading, PartKind, Projected } from '@aurora/core';
import { DndContext } from '@dnd-kit/core';
import { type RefObject, useEffect, useRef } from 'react';
import { sheetFacts } from '../../../parts/sheet/sheet-facts.ts';
import { Button } from '../../../ui/Button.tsx';
import { AddIcon } from '../../../ui/icons.ts';
import { useInnerWidth } from '../../../ui/use-width.ts';
import { CHART_WORDS } from '../../../wording/chart.ts';
import { BarInput } from './BarInput.tsx';
import type { BarSelection } from './bar-selection.ts';
import type { Typing } from './bar-typing.ts';
import type { ChordLayer } from './chord-layer.ts';
import { Grip } from './Grip.tsx';
import { type SectionActions, SectionHeading } from './SectionHeading.tsx';
import { SheetRow } from './SheetRow.tsx';
import type { SheetInput } from './sheet-input.ts';
import { type Drawn, useRowsInSight } from './use-rows-in-sight.ts';
import { type Drop, useSheetDrag } from './use-sheet-drag.ts';

interface SheetProps {
  readonly sheet: Projected;
  readonly reading: ChartReading;
  /** Whether all of the chart is shown, or only a reader's part. */
  readonly kind: PartKind;
  readonly turn: boolean;
  readonly layer: ReadonlyMap<string, ChordLayer> | null;
  readonly selection: BarSelection | null;
  /** The bar that sounds. */
  readonly playing: number | null;
  readonly typing: Typing | null;
  readonly input: SheetInput;
  /** What can be done with sections; null where the sheet is only read. */
  readonly sections: SectionActions | null;
}

/** The number chart, written where it stands: bars on a quiet grid, numbers large, the reader's letters under them. */
export function ChartSheet({ sheet, reading, kind, sections, turn, ...looked }: SheetProps) {
  const article = useRef<HTMLElement>(null);
  const inner = { ...looked, pixels: useInnerWidth(article, FIRST_WIDTH) };
  useFollow(article, inner.playing);
  const drawn = useRowsInSight(article, sheet, turn);
  const { drop, context } = useSheetDrag(inner.input.commands.moveTo, sections?.onMove ?? (() => undefined));
  const last = sheet.sections.at(-1);
  const bars = reading.bars.length;
  return (
    <DndContext {...context}>
      <article ref={article} aria-label={CHART_WORDS.chart} className="relative px-5 py-1.5 phone:px-2 phone:pb-[60vh] 3xl:px-10">
        <p className="pt-1 text-right text-fine text-quiet lg:absolute lg:right-5 phone:static phone:text-left lying:hidden">
          {[PART_NAMES[kind], ...sheetFacts(reading)].filter((fact) => fact !== '').join('  ·  ')}
        </p>
        {sheet.sections.map((section, place) => (
          <SheetSection
            // biome-ignore lint/suspicious/noArrayIndexKey: sections may share a name; their place tells them apart
            key={place}
            {...{ place, section, drawn, drop, bars, ...inner }}
            actions={sections}
            ends={section === last}
          />
        ))}
        {sections !== null && (
          <Button look="bare" className="mt-1 text-quiet" onClick={() => inner.input.openNew(bars)}>
            <AddIcon size={18} aria-hidden="true" /> {CHART_WORDS.barButton}
          </Button>
        )}
        {sheet.left > 0 && (
          <p className="py-4 font-semibold text-alarm">
            {sheet.left} {CHART_WORDS.moreBarsAreInTheText}
          </p>
        )}
      </article>
    </DndContext>
  );
}

const PART_NAMES: Readonly<Record<PartKind, string>> = { chart: '', form: CHART_WORDS.formPart, bass: CHART_WORDS.bassPart };

/** Taken until the sheet was measured. */
const FIRST_WIDTH = 860;

/** Keeps the bar that sounds in sight. */
function useFollow(article: RefObject<HTMLElement | null>, playing: number | null): void {
  useEffect(() => {
    if (playing === null) return;
    const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    article.current?.querySelector(`[data-bar="${playing}"]`)?.scrollIntoView({ block: 'nearest', behavior: still ? 'auto' : 'smooth' });
  }, [article, playing]);
}

interface SectionProps extends Omit<SheetProps, 'sheet' | 'reading' | 'kind' | 'sections' | 'turn'> {
  readonly pixels: number;
  readonly section: CellSection;
  /** Its place on the sheet. */
  readonly place: number;
  readonly bars: number;
  readonly drawn: Drawn;
  readonly actions: SectionActions | null;
  readonly drop: Drop;
  /** Whether it is the last one, so that a bar behind the last is typed here. */
  readonly ends: boolean;
}

function SheetSection({ section, place, drawn, actions, drop, ends, ...inner }: SectionProps) {
  const { index, rows } = section;
  const { typing, input, bars } = inner;
  const isTarget = drop?.kind === 'section' && index !== null && (drop.before === index || (ends && drop.before === index + 1));
  const target = drop?.before === index ? 'shadow-[0_-4px_0_var(--accent)]' : 'shadow-[0_4px_0_var(--accent)]';
  return (
    <section
      aria-label={section.name ?? CHART_WORDS.beforeTheFirstSection}
      {...(index === null ? {} : { 'data-section': index })}
      className={`mb-1 ${isTarget ? target : ''}`}
    >
      {index !== null && (
        <div className="flex items-center gap-1 py-0.5">
          {actions !== null && <Grip id={`section-${index}`} label={CHART_WORDS.drag(section.name ?? '')} />}
          <SectionHeading section={section} index={index} actions={actions} />
        </div>
      )}
      {rows.map((row, at) => (
        <SheetRow
          // biome-ignore lint/suspicious/noArrayIndexKey: rows have no name but their place
          key={at}
          name={`${place}.${at}`}
          drop={drop}
          isLast={ends && at === rows.length - 1}
          mayWrite={actions !== null}
          {...inner}
          {...drawn(place, at, row)}
        />
      ))}
      {rows.length === 0 && ends && typing?.bar === bars && (
        <div className="grid grid-cols-4">
          <BarInput key={bars} typing={typing} input={input} />
        </div>
      )}
    </section>
  );
}
