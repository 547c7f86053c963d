import { faultWords, type Problem, readChart, writtenKey } from '@aurora/core';
import { MOST_CHART_BYTES } from '@aurora/wire';
import { PencilLine } from 'lucide-react';
import { lazy, Suspense, useDeferredValue, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { Link, useParams } from 'react-router';
import { type Layer, NO_LAYER } from '../analyze/sheet-content.ts';
import { keyInForce, useLens } from '../lens/lens-store.ts';
import { useShortcuts } from '../shell/use-shortcuts.ts';
import { Button } from '../ui/Button.tsx';
import { Hint } from '../ui/Hint.tsx';
import { Notice } from '../ui/Notice.tsx';
import type { EditorHandle } from './ChartEditor.tsx';
import { ChartRidge } from './ChartRidge.tsx';
import { ChartSheet, type ChordPlace } from './ChartSheet.tsx';
import { Conflict } from './Conflict.tsx';
import type { DraftKeeper } from './draft-keeper.ts';
import { OpenSong } from './OpenSong.tsx';
import { layOutSheet, type Sheet } from './sheet-view.ts';
import { useChartAnalysis } from './use-chart-analysis.ts';

const ChartEditor = lazy(async () => ({ default: (await import('./ChartEditor.tsx')).ChartEditor }));

/** A song's chart: its text and its sheet, side by side. */
export function ChartRoom() {
  const { songId } = useParams();
  if (songId === undefined) {
    return (
      <Notice
        title="No song open"
        action={
          <Link className="font-semibold text-accent underline" to="/">
            Choose one, or start a new one
          </Link>
        }
      >
        <p>A chart belongs to a song. Open one from the shelf, or gather a progression in Harmonize and start a song from it.</p>
      </Notice>
    );
  }
  return <OpenSong songId={songId}>{(keeper) => <ChartDesk keeper={keeper} />}</OpenSong>;
}

function ChartDesk({ keeper }: { readonly keeper: DraftKeeper }) {
  const { text, status } = useSyncExternalStore(keeper.subscribe, keeper.get);
  const [writing, setWriting] = useState(true);
  const editor = useRef<EditorHandle>(null);
  const deferred = useDeferredValue(text);
  const tooLong = isTooLong(deferred);
  const reading = useMemo(() => readChart(tooLong ? '' : deferred), [deferred, tooLong]);
  const sheet = useSheet(reading);

  // the home key follows the text as it is written, not only as it was last saved
  const { key: homeKey } = reading.head;
  useEffect(() => {
    if (!tooLong) useLens.getState().setHomeKey(homeKey);
  }, [homeKey, tooLong]);

  const [layer, setLayer] = useState<Layer>(NO_LAYER);
  const song = useChartAnalysis(tooLong ? '' : deferred, layer);
  const [selected, walk, choose] = useChordWalk(sheet.sheet, song.whyOf);
  useShortcuts({
    ArrowLeft: () => walk(-1),
    ArrowRight: () => walk(1),
    e: () => {
      setWriting(true);
      // the pane may only now be drawn
      window.setTimeout(() => editor.current?.focus(), 0);
    },
  });

  return (
    <div className="flex h-full flex-col">
      {status.kind === 'conflict' && <Conflict keeper={keeper} theirs={status.theirs.source} />}
      <div className="flex min-h-0 flex-1 max-lg:flex-col-reverse">
        {writing && (
          <div className="flex w-[300px] shrink-0 flex-col border-r border-hairline bg-raised max-lg:h-[38%] max-lg:w-auto max-lg:border-t max-lg:border-r-0">
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
                  onChange={keeper.write}
                  onLeave={() => document.querySelector<HTMLElement>('[data-place]')?.focus()}
                  handle={editor}
                />
              </Suspense>
            </div>
            <Problems problems={reading.problems} onGo={(problem) => editor.current?.goTo(problem.at.line, problem.at.column)} />
          </div>
        )}
        <div className="relative min-h-0 min-w-0 flex-1 overflow-auto bg-sheet">
          {!writing && (
            <div className="absolute top-3 right-4">
              <Hint text="Write in the text" keys="e">
                <Button onClick={() => setWriting(true)}>
                  <PencilLine size={17} /> Text
                </Button>
              </Hint>
            </div>
          )}
          {!tooLong && (
            <ChartRidge
              heights={song.heights}
              at={song.indexOf(selected)}
              onGo={(index) => choose(song.placeOf(index))}
              layer={layer}
              onLayer={setLayer}
            />
          )}
          <SheetOrNotice text={deferred} sheet={sheet.sheet} bars={reading.bars.length} tooLong={tooLong}>
            <ChartSheet sheet={sheet.sheet} letterKey={sheet.letterKey} selected={selected} onSelect={choose} layer={song.layer} />
          </SheetOrNotice>
        </div>
      </div>
    </div>
  );
}

/** The sheet through the two lenses. */
function useSheet(reading: ReturnType<typeof readChart>): { readonly sheet: Sheet; readonly letterKey: string } {
  const lens = useLens();
  const { naming } = lens;
  const sounding = keyInForce({ key: lens.key, homeKey: reading.head.key }).tonic;
  const written = writtenKey(lens.reader.reader, { tonic: sounding, scale: reading.head.key.scale }).tonic;
  const sheet = useMemo(() => layOutSheet(reading, { sounding, written, naming }), [reading, sounding, written, naming]);
  return { sheet, letterKey: `${sounding} ${written}` };
}

/** Which chord is selected, kept the same while keys and readers change, and how to walk to the next. */
function useChordWalk(sheet: Sheet, whyOf: (place: ChordPlace) => readonly string[] | null) {
  const [place, setPlace] = useState<ChordPlace | null>(null);
  const chords = useMemo(() => chordsOf(sheet), [sheet]);
  const at = chords.findIndex(({ bar, index }) => bar === place?.bar && index === place.chord);
  const current = chords[at]?.chord;
  useEffect(() => {
    const { chord, heardIn } = current ?? { chord: null, heardIn: null };
    const why = place === null ? null : whyOf(place);
    useLens.getState().select(chord === null || heardIn === null ? null : { chord, heardIn, ...(why === null ? {} : { why }) });
  }, [current, place, whyOf]);
  const walk = (step: 1 | -1) => {
    const next = chords[at < 0 ? 0 : Math.min(chords.length - 1, Math.max(0, at + step))];
    if (next === undefined) return;
    setPlace({ bar: next.bar, chord: next.index });
    document.querySelector<HTMLElement>(`[data-place="${next.bar}.${next.index}"]`)?.focus();
  };
  return [place, walk, setPlace] as const;
}

function chordsOf(sheet: Sheet) {
  return sheet.sections.flatMap(({ rows }) =>
    rows.flatMap(({ bars }) =>
      bars.flatMap((bar) => (bar.sign === 'chords' ? bar.chords.map((chord, index) => ({ bar: bar.index, index, chord })) : [])),
    ),
  );
}

interface SheetOrNoticeProps {
  readonly text: string;
  readonly sheet: Sheet;
  readonly bars: number;
  readonly tooLong: boolean;
  readonly children: React.ReactNode;
}

function SheetOrNotice({ text, bars, tooLong, children }: SheetOrNoticeProps) {
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
  if (bars === 0) {
    return (
      <Notice title="No bars yet">
        <p>
          Write numbers in the text, one a bar: <b>1 4 6- 5</b>. A minus is minor. Letters work too, and become numbers in the key of the
          song.
        </p>
      </Notice>
    );
  }
  return children;
}

function isTooLong(text: string): boolean {
  return text.length > MOST_CHART_BYTES || new Blob([text]).size > MOST_CHART_BYTES;
}

const MOST_LISTED = 30;

/** What is wrong or doubtful in the text, each a press away. */
function Problems({ problems, onGo }: { readonly problems: readonly Problem[]; readonly onGo: (problem: Problem) => void }) {
  if (problems.length === 0) return null;
  return (
    <section aria-label="Problems" className="max-h-[34%] overflow-auto border-t border-hairline">
      <h3 className="px-4 pt-2 text-sm font-semibold text-quiet">
        {problems.length === 1 ? '1 place to look at' : `${problems.length} places to look at`}
      </h3>
      <ul>
        {problems.slice(0, MOST_LISTED).map((problem) => (
          <li key={`${problem.fault.code} ${problem.at.line} ${problem.at.column}`}>
            <button
              type="button"
              onClick={() => onGo(problem)}
              className="flex w-full gap-2 px-4 py-2 text-left text-[14px] leading-snug hover:bg-wash"
            >
              <span className={`shrink-0 font-semibold ${problem.severity === 'error' ? 'text-alarm' : 'text-quiet'}`}>
                line {problem.at.line}
              </span>
              {faultWords(problem.fault)}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
