import {
  countingTonic,
  deleteSection,
  duplicateSection,
  type Finding,
  faultWords,
  moveSection,
  nameSection,
  openChart,
  renumber,
} from '@aurora/core';
import { MOST_CHART_BYTES } from '@aurora/wire';
import { History, ListChecks, type LucideIcon, Maximize2, PencilLine, Printer } from 'lucide-react';
import { lazy, type ReactNode, Suspense, useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { type Layer, NO_LAYER } from '../analyze/sheet-content.ts';
import { useSongPlayer } from '../audio/song-player.ts';
import { useRewriting } from '../history/use-rewriting.ts';
import { lensSearch, useLens } from '../lens/lens-store.ts';
import { useShortcuts } from '../shell/use-shortcuts.ts';
import { Button } from '../ui/Button.tsx';
import { Hint } from '../ui/Hint.tsx';
import { Notice } from '../ui/Notice.tsx';
import { sayFault } from '../ui/say.ts';
import { type After, BarInput } from './BarInput.tsx';
import { BarToolbar } from './BarToolbar.tsx';
import { type BarSelection, choose, chordBeside, kept, rangeOf, reachTo } from './bar-selection.ts';
import type { EditorHandle } from './ChartEditor.tsx';
import { ChartRidge } from './ChartRidge.tsx';
import { ChartSheet } from './ChartSheet.tsx';
import { ChecksList } from './ChecksList.tsx';
import { Conflict } from './Conflict.tsx';
import { useChartView } from './chart-view-store.ts';
import type { DraftKeeper } from './draft-keeper.ts';
import { PlayBar } from './PlayBar.tsx';
import type { SectionActions } from './SectionHeading.tsx';
import { SHOWS, ShowChoice } from './ShowChoice.tsx';
import { useBarEditing } from './use-bar-editing.ts';
import { useChartAnalysis } from './use-chart-analysis.ts';
import { type ChartOnDesk, useChartSheet } from './use-chart-sheet.ts';
import { sheetKey } from './use-sheet-keys.ts';

const ChartEditor = lazy(async () => ({ default: (await import('./ChartEditor.tsx')).ChartEditor }));
const PasteSheet = lazy(async () => ({ default: (await import('./PasteSheet.tsx')).PasteSheet }));
const PrintSheet = lazy(async () => ({ default: (await import('./PrintSheet.tsx')).PrintSheet }));
const VersionsSheet = lazy(async () => ({ default: (await import('./VersionsSheet.tsx')).VersionsSheet }));

/** Where a chart is written, read, checked and heard. */
export function ChartDesk({ keeper, songId }: { readonly keeper: DraftKeeper; readonly songId: string }) {
  const { text, status } = useSyncExternalStore(keeper.subscribe, keeper.get);
  const rewriting = useRewriting(songId, text, keeper.write);
  const desk = useChartSheet(text);
  const { reading } = desk;
  const editing = useBarEditing(text, rewriting);
  const { typing, setTyping, commands } = editing;
  const bars = reading.bars.length;
  const selection = kept(editing.selection, bars);
  const [layer, setLayer] = useState<Layer>(NO_LAYER);
  const song = useChartAnalysis(desk.text, layer);
  const { writing, setWriting, show, setShow } = useChartView();
  const [open, setOpen] = useState<'paste' | 'print' | 'versions' | null>(null);
  const [pasted, setPasted] = useState('');
  const [checking, setChecking] = useState(false);
  const [loop, setLoop] = useState<number | null>(null);
  const editor = useRef<EditorHandle>(null);
  const room = useRef<HTMLDivElement>(null);
  const playingBar = useSongPlayer((state) => (state.playing === songId && state.at >= 0 ? (desk.timeline[state.at]?.bar ?? null) : null));
  useShownChord(desk, selection, song.whyOf);
  const focusSoon = useFocus(room, selection, `${desk.text.length} ${typing === null}`);

  const select = useCallback(
    (bar: number, chord: number, reach: boolean) => {
      setTyping(null);
      editing.setSelection((before) => (reach ? reachTo(before, bar) : choose(bar, chord)));
    },
    [editing.setSelection, setTyping],
  );
  const begin = useCallback(
    (bar: number, begins: string | null, isNew = false) => {
      setTyping({ bar, isNew, begin: begins ?? (isNew ? '' : barText(text, bar)) });
      editing.setSelection(choose(bar));
    },
    [text, setTyping, editing.setSelection],
  );
  const write = useCallback((bar: number) => begin(bar, null), [begin]);
  const commit = (typed: string, after: After): string | null => {
    if (typing === null) return null;
    const fault = editing.commit(typing.bar, typing.isNew, typed);
    if (fault !== null) return faultWords(fault.fault);
    const count = bars + (typing.isNew || typing.bar >= bars ? 1 : 0);
    const next = typing.bar + (after === 'next' ? 1 : -1);
    if (after === 'stay' || next < 0) {
      setTyping(null);
      editing.setSelection(choose(typing.bar));
      focusSoon();
    } else {
      editing.setSelection(choose(Math.min(next, count - 1)));
      setTyping({ bar: next, isNew: next >= count, begin: next >= count ? '' : barText(openTextAfter(typed), next) });
    }
    return null;
  };
  /** The text as it will be once the bar just written has landed: what the next bar holds is read from it. */
  const openTextAfter = (_typed: string) => keeper.get().text;

  const toolbar = {
    onWrite: () => selection !== null && begin(selection.head, null),
    onInsert: () => selection !== null && begin(rangeOf(selection).to + 1, '', true),
    onSplit: commands.split,
    onJoin: commands.join,
    onRepeat: commands.repeat,
    onEnding: commands.ending,
    onMark: commands.mark,
    onDeepen: commands.deepen,
    onDuplicate: commands.duplicate,
    onMove: commands.move,
    onSection: () => commands.section(freeSection(reading.sections.length)),
    onDelete: commands.delete,
    onPaste: () => setOpen('paste'),
  };
  const walkTo = (next: BarSelection | null) => {
    editing.setSelection(next);
    focusSoon();
  };
  const onKey = (event: React.KeyboardEvent) => {
    if (typing !== null || !(event.target as HTMLElement).closest('[data-place]')) return;
    const used = sheetKey(event, {
      ...toolbar,
      count: selection === null ? 0 : 1,
      onWalk: (step) => walkTo(chordBeside(selection, step, (bar) => reading.bars[bar]?.chords.length ?? 0, bars)),
      onReach: (by) => walkTo(reachTo(selection, within((selection?.head ?? 0) + by, bars))),
      onGo: (by) => walkTo(choose(within((selection?.head ?? 0) + by, bars))),
      onBegin: (typed) => selection !== null && begin(selection.head, typed === '<' || typed === '>' ? typed : typed),
      onCopy: () => commands.copy(),
      onCut: () => {
        commands.copy();
        commands.delete();
      },
      onPutCopied: () => {
        if (!commands.putCopied()) setOpen('paste');
      },
      onClear: () => editing.setSelection(null),
      onAll: () => editing.setSelection({ anchor: 0, head: bars - 1, chord: 0 }),
    });
    if (!used) return;
    event.preventDefault();
    focusSoon();
  };

  useShortcuts({
    ArrowLeft: () => walkTo(chordBeside(selection, -1, (bar) => reading.bars[bar]?.chords.length ?? 0, bars)),
    ArrowRight: () => walkTo(chordBeside(selection, 1, (bar) => reading.bars[bar]?.chords.length ?? 0, bars)),
    e: () => {
      setWriting(true);
      // the pane may only now be drawn
      window.setTimeout(() => editor.current?.focus(), 0);
    },
    v: () => room.current?.querySelector<HTMLElement>('[data-play]')?.click(),
    'Ctrl+z': () => rewriting.undo?.(),
    'Ctrl+y': () => rewriting.redo?.(),
    'Ctrl+Z': () => rewriting.redo?.(),
  });

  const partOf = (section: number) => reading.performance.parts.findIndex((part) => part.section === section);
  const sections: SectionActions = {
    count: reading.sections.length,
    onName: (section, heading) => rewriting.write(nameSection(openChart(text), section, heading)),
    onMove: (section, before) => rewriting.write(moveSection(openChart(text), section, before)),
    onDuplicate: (section) => rewriting.write(duplicateSection(openChart(text), section)),
    onDelete: (section) => rewriting.write(deleteSection(openChart(text), section)),
    onLoop: (section) => setLoop(partOf(section) < 0 ? null : partOf(section)),
  };
  const findings = song.findings;
  const toLookAt = reading.problems.length + findings.length;
  const checks = (
    <ChecksList
      text={text}
      problems={reading.problems}
      findings={findings}
      onProblem={(problem) => {
        setWriting(true);
        window.setTimeout(() => editor.current?.goTo(problem.at.line, problem.at.column), 0);
      }}
      onFinding={(finding: Finding) => walkTo(choose(finding.bar))}
      onWrite={(next) => rewriting.write(next)}
    />
  );

  return (
    <div ref={room} className="flex h-full flex-col">
      {status.kind === 'conflict' && <Conflict keeper={keeper} mine={text} theirs={status.theirs.source} />}
      <div className="flex min-h-0 flex-1 max-lg:flex-col-reverse">
        {writing && (
          <div className="flex w-[300px] shrink-0 flex-col border-r border-hairline bg-raised max-lg:h-[34%] max-lg:w-auto max-lg:border-t max-lg:border-r-0">
            <div className="flex items-center justify-between border-b border-hairline py-1 pr-1 pl-4">
              <h2 className="text-sm font-semibold text-quiet">Text</h2>
              <Button look="bare" onClick={() => setWriting(false)}>
                Fold
              </Button>
            </div>
            <div className="min-h-0 flex-1">
              <Suspense fallback={<p className="p-4 text-quiet">Opening the text…</p>}>
                <ChartEditor
                  text={text}
                  problems={reading.problems}
                  onChange={(next) => rewriting.write(next, true)}
                  onUndo={() => rewriting.undo?.()}
                  onRedo={() => rewriting.redo?.()}
                  onLeave={() => room.current?.querySelector<HTMLElement>('[data-place]')?.focus()}
                  handle={editor}
                />
              </Suspense>
            </div>
            {reading.problems.length > 0 && !checking && <div className="max-h-[34%] overflow-auto border-t border-hairline">{checks}</div>}
          </div>
        )}
        <div className="flex min-h-0 min-w-0 flex-1 flex-col bg-sheet">
          {!desk.tooLong && (
            <>
              <ChartRidge
                heights={song.heights}
                at={song.indexOf(selection)}
                onGo={(index) => walkTo(song.placeOf(index))}
                layer={layer}
                onLayer={setLayer}
              />
              <div className="flex flex-wrap items-center gap-x-2 gap-y-1 border-b border-hairline px-4 py-1.5">
                <PlayBar
                  id={songId}
                  reading={reading}
                  timeline={desk.timeline}
                  chordAt={desk.chordAt}
                  from={selection?.head ?? null}
                  loop={loop}
                  onLoop={setLoop}
                />
                <span className="mr-auto" />
                <ShowChoice show={show} shows={SHOWS} onShow={setShow} />
                <Action
                  icon={ListChecks}
                  label={toLookAt === 0 ? 'Checked' : `Check (${toLookAt})`}
                  pressed={checking}
                  onPress={() => setChecking(!checking)}
                />
                <Action icon={History} label="Versions" onPress={() => setOpen('versions')} />
                <Action icon={Printer} label="Print" onPress={() => setOpen('print')} />
                <StandLink songId={songId} />
                {!writing && <Action icon={PencilLine} label="Text" hint="e" onPress={() => setWriting(true)} />}
              </div>
              {checking && (
                <div className="max-h-[40%] overflow-auto border-b border-hairline">
                  {checks}
                  <Numbering text={text} onWrite={(next) => rewriting.write(next)} />
                </div>
              )}
            </>
          )}
          {/* biome-ignore lint/a11y/noStaticElementInteractions: the keys belong to the bars inside */}
          <div className="min-h-0 flex-1 overflow-auto" onKeyDown={onKey}>
            <SheetOrNotice
              text={text}
              bars={bars}
              tooLong={desk.tooLong}
              isTyping={typing !== null}
              onFirst={() => begin(0, '', true)}
              onPaste={() => setOpen('paste')}
            >
              <ChartSheet
                sheet={desk.sheet}
                bars={bars}
                letterKey={desk.letterKey}
                selection={selection}
                playing={playingBar}
                layer={song.layer}
                typing={typing}
                input={
                  typing === null ? null : (
                    <BarInput
                      key={`${typing.bar} ${typing.isNew}`}
                      typing={typing}
                      onCommit={commit}
                      onCancel={() => {
                        setTyping(null);
                        focusSoon();
                      }}
                    />
                  )
                }
                onSelect={select}
                onWrite={write}
                onAddBar={() => begin(bars, '', true)}
                onDropBars={commands.moveTo}
                sections={sections}
              />
            </SheetOrNotice>
          </div>
          {bars > 0 && !desk.tooLong && (
            <BarToolbar
              {...toolbar}
              rewriting={rewriting}
              count={selection === null ? 0 : rangeOf(selection).to - rangeOf(selection).from + 1}
            />
          )}
        </div>
      </div>
      <Suspense>
        {open === 'paste' && (
          <PasteSheet
            begin={pasted}
            tonic={countingTonic(reading.stretches.at(-1)?.key ?? reading.head.key, reading.head.numbering)}
            where={selection === null ? 'at the end' : `behind bar ${rangeOf(selection).to + 1}`}
            onPut={(put) => {
              rewriting.write(withPasted(text, selection, put));
              setPasted('');
              setOpen(null);
            }}
            onClose={() => setOpen(null)}
          />
        )}
        {open === 'print' && <PrintDialog desk={desk} onClose={() => setOpen(null)} />}
        {open === 'versions' && (
          <VersionsSheet songId={songId} text={text} onWrite={(next) => rewriting.write(next)} onClose={() => setOpen(null)} />
        )}
      </Suspense>
    </div>
  );
}

function within(bar: number, bars: number): number {
  return Math.max(0, Math.min(bars - 1, bar));
}

/** A bar as it would be typed. */
function barText(text: string, bar: number): string {
  const { source, reading } = openChart(text);
  const found = reading.bars[bar];
  if (found === undefined) return '';
  const line = source.split(/\r\n|\r|\n/)[found.at.line - 1] ?? '';
  return line.slice(found.at.column - 1, found.at.column - 1 + found.at.length).replace(/^\((.*)\)$/, '$1');
}

const SECTION_NAMES = ['Intro', 'Verse', 'Chorus', 'Bridge', 'Outro'];

function freeSection(count: number): string {
  return SECTION_NAMES[count] ?? `Section ${count + 1}`;
}

/** The text with pasted lines behind the line of the chosen bars, or at the end. */
function withPasted(text: string, selection: BarSelection | null, put: string): string {
  const rows = text.split('\n');
  const bar = selection === null ? undefined : openChart(text).reading.bars[rangeOf(selection).to];
  if (bar === undefined) return `${text.trimEnd()}\n${put}\n`;
  rows.splice(bar.at.line, 0, put);
  return rows.join('\n');
}

/** The chosen chord is what the neck and the why show. */
function useShownChord(
  desk: ChartOnDesk,
  selection: BarSelection | null,
  whyOf: (place: { readonly bar: number; readonly chord: number }) => readonly string[] | null,
): void {
  const bar = selection?.head ?? null;
  const place = selection?.chord ?? 0;
  const chord = bar === null ? null : desk.chordAt(bar, place);
  const shown = desk.sheet.sections.flatMap(({ rows }) => rows.flatMap((row) => row.bars)).find(({ index }) => index === bar)?.chords[
    place
  ];
  const heardIn = shown?.heardIn ?? null;
  const why = bar === null ? null : whyOf({ bar, chord: place });
  const name = chord === null ? '' : `${chord.root} ${chord.formula} ${chord.bass} ${heardIn?.tonic} ${heardIn?.scale} ${why?.join()}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the name says all that can change
  useEffect(() => {
    useLens.getState().select(chord === null || heardIn === null ? null : { chord, heardIn, ...(why === null ? {} : { why }) });
  }, [name]);
  useEffect(() => () => useLens.getState().select(null), []);
}

/** Gives the focus to the chosen chord once it is drawn. */
function useFocus(room: React.RefObject<HTMLElement | null>, selection: BarSelection | null, drawn: string): () => void {
  const wanted = useRef(false);
  const place = selection === null ? null : `${selection.head}.${selection.chord}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the sheet is drawn anew when the text changes
  useEffect(() => {
    if (!wanted.current || place === null) return;
    wanted.current = false;
    room.current?.querySelector<HTMLElement>(`[data-place="${place}"]`)?.focus();
  }, [place, drawn, room]);
  return useCallback(() => {
    wanted.current = true;
    if (place !== null) room.current?.querySelector<HTMLElement>(`[data-place="${place}"]`)?.focus();
  }, [place, room]);
}

interface ActionProps {
  readonly icon: LucideIcon;
  readonly label: string;
  readonly hint?: string;
  readonly pressed?: boolean;
  readonly onPress: () => void;
}

function Action({ icon: Icon, label, hint, pressed, onPress }: ActionProps) {
  const button = (
    <Button
      look="bare"
      className="px-2.5 aria-pressed:bg-wash"
      onClick={onPress}
      {...(pressed === undefined ? {} : { 'aria-pressed': pressed })}
    >
      <Icon size={17} aria-hidden="true" /> {label}
    </Button>
  );
  return hint === undefined ? (
    button
  ) : (
    <Hint text={label} keys={hint}>
      {button}
    </Hint>
  );
}

function StandLink({ songId }: { readonly songId: string }) {
  const lens = useLens();
  return (
    <Link
      to={{ pathname: `/songs/${songId}/stand`, search: lensSearch(lens) }}
      className="inline-flex min-h-11 items-center gap-2 rounded-lg px-2.5 text-[15px] font-semibold hover:bg-wash"
    >
      <Maximize2 size={17} aria-hidden="true" /> Stand
    </Link>
  );
}

function PrintDialog({ desk, onClose }: { readonly desk: ChartOnDesk; readonly onClose: () => void }) {
  const { naming, reader } = useLens();
  const show = useChartView((state) => state.show);
  return (
    <PrintSheet
      reading={desk.reading}
      naming={naming}
      sounding={desk.sounding}
      written={desk.written}
      reader={reader.label}
      show={show}
      onClose={onClose}
    />
  );
}

/** Minor keys can be numbered from their tonic or from the relative major; nothing is lost either way. */
function Numbering({ text, onWrite }: { readonly text: string; readonly onWrite: (text: string) => void }) {
  const chart = useMemo(() => openChart(text), [text]);
  const { key, numbering } = chart.reading.head;
  const minor = key.scale !== 'major';
  if (!minor) return null;
  const change = () => {
    const next = numbering === 'tonic' ? 'relative' : 'tonic';
    onWrite(renumber(chart, next));
    void sayFault(next === 'tonic' ? 'Numbered from the minor tonic now.' : 'Numbered from the relative major now.');
  };
  return (
    <p className="flex flex-wrap items-center gap-2 border-t border-hairline px-4 py-1 text-[15px]">
      {numbering === 'tonic' ? 'Numbered from the minor tonic.' : 'Numbered from the relative major.'}
      <Button look="bare" onClick={change}>
        {numbering === 'tonic' ? 'Number it from the relative major' : 'Number it from the minor tonic'}
      </Button>
    </p>
  );
}

interface SheetOrNoticeProps {
  readonly text: string;
  readonly bars: number;
  readonly tooLong: boolean;
  readonly isTyping: boolean;
  readonly onFirst: () => void;
  readonly onPaste: () => void;
  readonly children: ReactNode;
}

function SheetOrNotice({ text, bars, tooLong, isTyping, onFirst, onPaste, children }: SheetOrNoticeProps) {
  if (tooLong) {
    return (
      <Notice title="Too long for a chart">
        <p>
          This text is {Math.round(text.length / 1024)} KB; a chart can be {MOST_CHART_BYTES / 1024} KB. It stays in the text pane and on
          this device. Take something out and it is saved again.
        </p>
      </Notice>
    );
  }
  if (bars === 0 && !isTyping) {
    return (
      <Notice
        title="No bars yet"
        action={
          <span className="flex gap-2">
            <Button look="strong" onClick={onFirst}>
              Write the first bar
            </Button>
            <Button onClick={onPaste}>Paste chords</Button>
          </span>
        }
      >
        <p>
          Write numbers, one a bar: <b>1 4 6- 5</b>. A minus is minor. Letters work too, and become numbers in the key of the song.
        </p>
      </Notice>
    );
  }
  return children;
}
