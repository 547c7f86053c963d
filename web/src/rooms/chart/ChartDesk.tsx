import { countingTonic, deleteSection, duplicateSection, moveSection, nameSection, openChart, type Problem } from '@aurora/core';
import { lazy, Suspense, useCallback, useRef, useState, useSyncExternalStore } from 'react';
import type { DraftKeeper } from '../../document/draft-keeper.ts';
import { type Rewriting, useRewriting } from '../../document/use-rewriting.ts';
import { type Layer, NO_LAYER } from '../../parts/analysis/sheet-content.ts';
import { type ChartOnDesk, useChartSheet } from '../../parts/sheet/use-chart-sheet.ts';
import { Conflict } from '../../parts/song/Conflict.tsx';
import { useChartView } from '../../session/chart-view-store.ts';
import { useLens } from '../../session/lens-store.ts';
import { useShortcuts } from '../../session/use-shortcuts.ts';
import { BarInput } from './BarInput.tsx';
import { BarPad } from './BarPad.tsx';
import { BarToolbar } from './BarToolbar.tsx';
import { type BarSelection, choose, kept, rangeOf, reachTo } from './bar-selection.ts';
import { ChartSheet } from './ChartSheet.tsx';
import { ChecksList } from './ChecksList.tsx';
import { DeskBar } from './DeskBar.tsx';
import { withPasted } from './desk-text.ts';
import { NumberingChoice } from './NumberingChoice.tsx';
import { PlayBar } from './PlayBar.tsx';
import type { SectionActions } from './SectionHeading.tsx';
import { NoBarsNotice, TooLongNotice } from './SheetNotice.tsx';
import { TextPane } from './TextPane.tsx';
import { useBarEditing } from './use-bar-editing.ts';
import { useBarTyping } from './use-bar-typing.ts';
import { useChartAnalysis } from './use-chart-analysis.ts';
import { useFocusOnChosen, useShownChord } from './use-chosen-bar.ts';
import { useDeskKeys } from './use-desk-keys.ts';
import { type SongPlay, useSongPlay } from './use-song-play.ts';
import { useTextEditor } from './use-text-editor.ts';

const PasteSheet = lazy(async () => ({ default: (await import('./PasteSheet.tsx')).PasteSheet }));
const CapoSheet = lazy(async () => ({ default: (await import('./CapoSheet.tsx')).CapoSheet }));
const ExportSheet = lazy(async () => ({ default: (await import('./ExportSheet.tsx')).ExportSheet }));
const PrintSheet = lazy(async () => ({ default: (await import('./PrintSheet.tsx')).PrintSheet }));
const VersionsSheet = lazy(async () => ({ default: (await import('./VersionsSheet.tsx')).VersionsSheet }));

/** What is laid over the desk. */
type OpenSheet = 'paste' | 'capo' | 'print' | 'export' | 'versions' | null;

/** Where a chart is written, read, checked and heard. */
export function ChartDesk({ keeper, songId }: { readonly keeper: DraftKeeper; readonly songId: string }) {
  const { text, status } = useSyncExternalStore(keeper.subscribe, keeper.get);
  const rewriting = useRewriting(songId, text, keeper.write);
  const textNow = useCallback(() => keeper.get().text, [keeper]);
  const editing = useBarEditing(textNow, rewriting);
  const desk = useChartSheet(songId, text, { atOnce: editing.typing !== null });
  const bars = desk.reading.bars.length;
  const selection = kept(editing.selection, bars);
  const [layer, setLayer] = useState<Layer>(NO_LAYER);
  const song = useChartAnalysis(desk.text, layer);
  const writing = useChartView((state) => state.writing);
  const [sheet, setSheet] = useState<OpenSheet>(null);
  const [checking, setChecking] = useState(false);
  const play = useSongPlay(songId, desk, selection?.head ?? null);
  const { hold, inText } = useTextEditor();
  const room = useRef<HTMLDivElement>(null);
  useShownChord(desk, selection, song.whyOf);
  const focusSoon = useFocusOnChosen(room, selection, `${desk.letterKey} ${desk.text} ${editing.typing === null}`);
  const typing = useBarTyping({ editing, textNow, focusSoon });
  const { begin } = typing;
  const { setSelection, setTyping } = editing;

  const [reaching, setReaching] = useState(false);
  const select = useCallback(
    (bar: number, chord: number, reach: boolean) => {
      setTyping(null);
      setReaching(false);
      setSelection((before) => (reach || reaching ? reachTo(before, bar) : choose(bar, chord)));
    },
    [setSelection, setTyping, reaching],
  );
  const write = useCallback((bar: number) => begin(bar, null), [begin]);
  const go = (to: BarSelection | null) => {
    setSelection(to);
    focusSoon();
  };
  const keys = useDeskKeys({ editing, selection, typing, reading: desk.reading, go, focusSoon, onPaste: () => setSheet('paste') });
  const goToText = ({ line, column }: Problem['at']) => inText((editor) => editor.goTo(line, column));
  useShortcuts({
    ...keys.anywhere,
    e: () => inText((editor) => editor.focus()),
    v: play.toggle,
    'Ctrl+z': () => rewriting.undo?.(),
    'Ctrl+y': () => rewriting.redo?.(),
    'Ctrl+Z': () => rewriting.redo?.(),
  });
  const checks = (findings: typeof song.findings) => (
    <ChecksList
      text={text}
      problems={desk.reading.problems}
      findings={findings}
      onProblem={({ at }) => goToText(at)}
      onFinding={({ bar }) => go(choose(bar))}
      onWrite={(next) => rewriting.write(next)}
    />
  );
  const isEmpty = bars === 0 && editing.typing === null;

  return (
    <div ref={room} className="flex h-full flex-col">
      {status.kind === 'conflict' && <Conflict keeper={keeper} mine={text} theirs={status.theirs.source} />}
      <div className="flex min-h-0 flex-1 max-lg:flex-col-reverse">
        {writing && (
          <TextPane
            text={text}
            problems={desk.reading.problems}
            rewriting={rewriting}
            onLeave={() => room.current?.querySelector<HTMLElement>('[data-place]')?.focus()}
            handle={hold}
          >
            {desk.reading.problems.length > 0 && !checking && (
              <div className="max-h-[34%] overflow-auto border-t border-hairline">{checks([])}</div>
            )}
          </TextPane>
        )}
        <div className="flex min-h-0 min-w-0 flex-1 flex-col bg-sheet">
          {!desk.tooLong && (
            <DeskBar
              songId={songId}
              heights={song.heights}
              at={song.indexOf(selection)}
              onGo={(index) => go(song.placeOf(index))}
              layer={layer}
              onLayer={setLayer}
              toLookAt={desk.reading.problems.length + song.findings.length}
              checking={checking}
              onCheck={() => setChecking(!checking)}
              onOpen={setSheet}
            >
              <PlayBar play={play} reading={desk.reading} />
            </DeskBar>
          )}
          {checking && (
            <div className="max-h-[40%] shrink-0 overflow-auto border-b border-hairline">
              {checks(song.findings)}
              <NumberingChoice text={text} onWrite={(next) => rewriting.write(next)} />
            </div>
          )}
          {/* biome-ignore lint/a11y/noStaticElementInteractions: the keys belong to the bars inside */}
          <div className="min-h-0 flex-1 overflow-auto" onKeyDown={keys.onKeyDown}>
            {desk.tooLong && <TooLongNotice text={text} />}
            {isEmpty && !desk.tooLong && <NoBarsNotice onFirst={() => begin(0, '', true)} onPaste={() => setSheet('paste')} />}
            {!isEmpty && (
              <ChartSheet
                sheet={desk.sheet}
                bars={bars}
                turn={desk.turn}
                selection={selection}
                playing={play.bar}
                layer={song.layer}
                typing={editing.typing}
                input={
                  editing.typing === null ? null : (
                    <BarInput
                      key={`${editing.typing.bar} ${editing.typing.isNew}`}
                      typing={editing.typing}
                      onCommit={typing.commit}
                      onCancel={typing.cancel}
                      handle={typing.input}
                    />
                  )
                }
                onSelect={select}
                onWrite={write}
                onAddBar={() => begin(bars, '', true)}
                onDropBars={editing.commands.moveTo}
                sections={sectionActions(text, rewriting, desk, play)}
              />
            )}
          </div>
          {editing.typing !== null && (
            <BarPad
              onPut={(writes) => typing.input.current?.put(writes)}
              onLeave={(after) => typing.input.current?.commit(after)}
              onCancel={typing.cancel}
            />
          )}
          {editing.typing === null && !isEmpty && (
            <BarToolbar
              {...keys.commands}
              rewriting={rewriting}
              reaching={reaching}
              onReaching={setReaching}
              count={selection === null ? 0 : rangeOf(selection).to - rangeOf(selection).from + 1}
            />
          )}
        </div>
      </div>
      <DeskSheets
        open={sheet}
        onClose={() => setSheet(null)}
        desk={desk}
        songId={songId}
        text={text}
        selection={selection}
        rewriting={rewriting}
      />
    </div>
  );
}

function sectionActions(text: string, { write }: Rewriting, { reading }: ChartOnDesk, play: SongPlay): SectionActions {
  return {
    count: reading.sections.length,
    onName: (section, heading) => write(nameSection(openChart(text), section, heading)),
    onMove: (section, before) => write(moveSection(openChart(text), section, before)),
    onDuplicate: (section) => write(duplicateSection(openChart(text), section)),
    onDelete: (section) => write(deleteSection(openChart(text), section)),
    onLoop: (section) => {
      const part = reading.performance.parts.findIndex((one) => one.section === section);
      play.setLoop(part < 0 ? null : part);
    },
  };
}

interface DeskSheetsProps {
  readonly open: OpenSheet;
  readonly onClose: () => void;
  readonly desk: ChartOnDesk;
  readonly songId: string;
  readonly text: string;
  readonly selection: BarSelection | null;
  readonly rewriting: Rewriting;
}

/** What is laid over the desk: pasting, the capo, printing, versions. */
function DeskSheets({ open, onClose, desk, songId, text, selection, rewriting }: DeskSheetsProps) {
  const { naming } = useLens();
  const { head, stretches } = desk.reading;
  return (
    <Suspense>
      {open === 'paste' && (
        <PasteSheet
          tonic={countingTonic(stretches.at(-1)?.key ?? head.key, head.numbering)}
          where={selection === null ? 'at the end' : `behind bar ${rangeOf(selection).to + 1}`}
          onPut={(put) => {
            rewriting.write(withPasted(text, selection, put));
            onClose();
          }}
          onClose={onClose}
        />
      )}
      {open === 'capo' && <CapoSheet text={text} sounding={desk.sounding} naming={naming} onClose={onClose} />}
      {open === 'print' && <PrintSheet reading={desk.reading} sounding={desk.sounding} onClose={onClose} />}
      {open === 'export' && (
        <ExportSheet
          text={text}
          sounding={desk.sounding === head.key.tonic ? null : { ...head.key, tonic: desk.sounding }}
          onClose={onClose}
        />
      )}
      {open === 'versions' && <VersionsSheet songId={songId} text={text} onWrite={(next) => rewriting.write(next)} onClose={onClose} />}
    </Suspense>
  );
}
