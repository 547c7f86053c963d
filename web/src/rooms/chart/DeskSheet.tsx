import { countedSections, type PartKind, type Projected } from '@aurora/core';
import { useMemo } from 'react';
import { CHART_WORDS } from '../../wording/chart.ts';
import { ChartSheet } from './sheet/ChartSheet.tsx';
import type { SectionActions } from './sheet/SectionHeading.tsx';
import { ChartedNotice, EmptyChart, TooLongNotice } from './sheet/SheetNotice.tsx';
import type { Desk } from './use-desk.ts';

/** The sheet itself, or what stands in its place: a first bar to be written, or a text too long to be a chart. */
export function DeskSheet({ desk }: { readonly desk: Desk }) {
  const { text, input, state, selection, play, song, openPaste, onKeyDown } = desk;
  const { kind, reading, turn, tooLong } = desk.desk;
  const sheet = useCounted(desk.desk.sheet, kind);
  const sections = useSectionActions(desk);
  const isEmpty = reading.bars.length === 0 && !tooLong;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the keys belong to the bars inside
    <div className="min-h-0 flex-1 overflow-auto phone:overflow-visible" onKeyDown={onKeyDown}>
      {tooLong && <TooLongNotice text={text} />}
      {isEmpty && !desk.mayWrite && <p className="p-6 text-quiet">{CHART_WORDS.nothingWrittenYet}</p>}
      {isEmpty && desk.mayWrite && <EmptyChart typing={state.typing} input={input} onPaste={() => openPaste('')} />}
      {!isEmpty && !tooLong && (
        <ChartSheet
          sheet={sheet}
          reading={reading}
          kind={kind}
          turn={turn}
          selection={selection}
          playing={play.bar}
          layer={song.layer}
          typing={state.typing}
          input={input}
          sections={desk.mayWrite ? sections : null}
        />
      )}
      <ChartedNotice charted={state.charted} input={input} />
    </div>
  );
}

/** A drummer's bars of time are counted, as on paper and on the stand. */
function useCounted(sheet: Projected, kind: PartKind): Projected {
  return useMemo(() => (kind === 'form' ? { ...sheet, sections: countedSections(sheet.sections) } : sheet), [sheet, kind]);
}

/** What can be done with sections; the same value as long as the chart is, so that nothing is drawn anew for it. */
function useSectionActions({ desk, edit, play }: Desk): SectionActions {
  const { sections, performance } = desk.reading;
  // biome-ignore lint/correctness/useExhaustiveDependencies: an edit is always of the chart as it stands, and so is a loop
  return useMemo(
    (): SectionActions => ({
      count: sections.length,
      onName: (section, heading) => edit({ kind: 'name-section', section, heading }),
      onMove: (section, before) => edit({ kind: 'move-section', section, before }),
      onDuplicate: (section) => edit({ kind: 'duplicate-section', section }),
      onDelete: (section) => edit({ kind: 'delete-section', section }),
      onLoop: (section) => {
        const part = performance.parts.findIndex((one) => one.section === section);
        play.setLoop(part < 0 ? null : part);
      },
    }),
    [sections, performance],
  );
}
