import { CONCERT_READER, DEFAULT_NAMING, lensOn, type ProjectionLens, projectChart, type Reader, readChart } from '@aurora/core';
import { useMemo, useSyncExternalStore } from 'react';
import { ChartSheet } from '../rooms/chart/sheet/ChartSheet.tsx';
import type { SectionActions } from '../rooms/chart/sheet/SectionHeading.tsx';
import { EmptyChart } from '../rooms/chart/sheet/SheetNotice.tsx';
import { sheetOn } from '../rooms/chart/sheet/sheet-on-text.ts';
import { useSheetKeys } from '../rooms/chart/sheet/use-sheet-input.ts';

interface WrittenSheetProps {
  /** The chart it begins with. */
  readonly source: string;
  readonly reader?: Reader;
  readonly show?: ProjectionLens['show'];
  readonly ownChords?: boolean;
  /** The bar that sounds. */
  readonly playing?: number | null;
  /** Shows the text under the sheet. */
  readonly withText?: boolean;
}

const NOTHING = () => undefined;
const NO_ACTIONS: SectionActions = { count: 0, onName: NOTHING, onMove: NOTHING, onDuplicate: NOTHING, onDelete: NOTHING, onLoop: NOTHING };

/** The sheet of the chart room over a text that nobody saves. */
export function WrittenSheet({
  source,
  reader = CONCERT_READER,
  show = 'both',
  ownChords = false,
  playing = null,
  withText = false,
}: WrittenSheetProps) {
  const { input, text } = useMemo(() => sheetOn(source, { ownChords }), [source, ownChords]);
  const { typing } = useSyncExternalStore(input.subscribe, input.get);
  const onKeyDown = useSheetKeys(input, NOTHING, true);
  const reading = readChart(text());
  const look = { naming: DEFAULT_NAMING, show, kind: 'chart', words: true, cuesFor: null } as const;
  const sheet = projectChart(reading, lensOn(reader, look, reading, reading.head.key.tonic));
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the keys belong to the bars inside
    <div onKeyDown={onKeyDown}>
      {reading.bars.length === 0 ? (
        <EmptyChart typing={typing} input={input} onPaste={NOTHING} />
      ) : (
        <ChartSheet
          {...{ sheet, reading, typing, input, playing }}
          turn={false}
          layer={null}
          selection={input.selection}
          kind="chart"
          sections={NO_ACTIONS}
        />
      )}
      {withText && (
        <pre data-testid="text" className="px-6 text-fine text-quiet">
          {text()}
        </pre>
      )}
    </div>
  );
}
