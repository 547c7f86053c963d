import {
  type Analysis,
  type Chord,
  type ChordScale,
  chordMidi,
  faultWords,
  type Naming,
  type Note,
  nameKey,
  readingWords,
  runnerUpWords,
  songProfile,
} from '@aurora/core';
import { type ComponentType, lazy, type ReactNode, Suspense, useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { Rewriting } from '../../document/use-song-draft.ts';
import { gridRows, MOST_BARS, ridgeNames } from '../../parts/analysis/analysis-view.ts';
import { type HeardSong, useHeardSong } from '../../parts/analysis/use-heard-song.ts';
import { useNeck } from '../../parts/neck/neck-store.ts';
import { SongsToOpen } from '../../parts/song/SongsToOpen.tsx';
import { useLens, useNaming } from '../../session/lens.ts';
import { select } from '../../session/lens-store.ts';
import { usePhone } from '../../session/use-media.ts';
import { partKeys, useShortcuts } from '../../session/use-shortcuts.ts';
import { play, stop, usePlayer } from '../../transport/player.ts';
import { Button } from '../../ui/Button.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { PlayIcon, PrintIcon, RedoIcon, StopIcon, UndoIcon } from '../../ui/icons.ts';
import { PartTabs } from '../../ui/PartTabs.tsx';
import { SignButton } from '../../ui/SignButton.tsx';
import { InSlot } from '../../ui/Slot.tsx';
import { Soon } from '../../ui/Soon.tsx';
import { ANALYZE_WORDS } from '../../wording/analyze.ts';
import { ANALYZE_PARTS, type AnalyzePartName, type AnalyzePartProps } from './analyze-part.ts';
import { ChordGrid } from './ChordGrid.tsx';
import { KeyStrip } from './KeyStrip.tsx';
import { PatternsPart } from './PatternsPart.tsx';
import { ReadingPart } from './ReadingPart.tsx';
import { Ridge } from './Ridge.tsx';
import { ScalesPart } from './ScalesPart.tsx';
import { WhatIfPart } from './WhatIfPart.tsx';

// wanted only on paper
const AnalysisPaper = lazy(() => import('./AnalysisPaper.tsx'));
const AnalysisSheet = lazy(async () => ({ default: (await import('./AnalysisSheet.tsx')).AnalysisSheet }));

const BODIES: Readonly<Record<AnalyzePartName, ComponentType<AnalyzePartProps>>> = {
  reading: ReadingPart,
  scales: ScalesPart,
  'what-if': WhatIfPart,
  patterns: PatternsPart,
};

const TEMPO = 90;
const CHORD_BEATS = 2;

interface AnalysisDeskProps {
  readonly source: string;
  readonly rewriting: Rewriting;
  readonly songId: string | undefined;
  /** Where the chords are typed, when they are no song's. */
  readonly input?: ReactNode;
}

/** The whole analysis: the key, the ridge, every chord, and what is to be said of the chosen one. */
export function AnalysisDesk({ source, rewriting, songId, input }: AnalysisDeskProps) {
  const { naming, reader } = useLens();
  const [melody, setMelody] = useState<ReadonlyMap<number, Note>>(new Map());
  const song = useHeardSong(source, melody);
  const { analysis, beside, busy, failed } = song;
  const chosen = useChosenChord(analysis);
  const { index, select, played, at } = chosen;
  const [marked, setMarked] = useState<{ readonly from: number; readonly to: number } | null>(null);
  const [sheet, setSheet] = useState(false);
  const rows = useMemo(() => gridRows(analysis, { naming, reader: reader.reader, beside }), [analysis, naming, reader, beside]);
  const part = useAnalyzeKeys({ song, chosen, rewriting });
  const isPhone = usePhone();
  return (
    <div
      data-drawer={part.open === null ? 'folded' : 'open'}
      className="group/desk mx-auto flex min-h-full max-w-[1240px] flex-col gap-2 px-5 pt-2 phone:px-3 3xl:max-w-[1500px]"
    >
      {input}
      <Unread analysis={analysis} />
      <Reading busy={busy} failed={failed} />
      {analysis.chords.length === 0 ? (
        <Empty songId={songId} />
      ) : (
        <>
          <Home song={song} naming={naming} />
          <InSlot name="tools">
            <SongTools rewriting={rewriting} onHear={chosen.hearAll} onPrint={() => setSheet(true)} />
          </InSlot>
          <SongRidge analysis={analysis} naming={naming} at={at} isLow={part.open !== null || isPhone} onGo={select} />
          <Soon instead={<div className="min-h-96" />}>
            <ChordGrid rows={rows} selected={at} marked={marked} onSelect={select} />
          </Soon>
          <NotDrawn bars={analysis.progression.chart.bars.length} />
          <PartDrawer
            part={part}
            props={{
              analysis,
              index,
              source,
              naming,
              onWrite: rewriting.write,
              onSelect: select,
              onMark: setMarked,
              scale: played,
              onScale: chosen.setScaleShown,
              melody: melody.get(index) ?? null,
              onMelody: (note) => setMelody(withNote(melody, index, note)),
              onHear: hear,
              songId,
            }}
          />
          <OnPaper analysis={analysis} naming={naming} onClose={sheet ? () => setSheet(false) : null} />
        </>
      )}
    </div>
  );
}

interface OnPaperProps {
  readonly analysis: Analysis;
  readonly naming: Naming;
  /** Closes the sheet that offers it; null while it is closed. */
  readonly onClose: (() => void) | null;
}

/** The analysis as it is printed, from the sheet or by the browser. */
function OnPaper({ analysis, naming, onClose }: OnPaperProps) {
  return (
    <>
      <Suspense>
        <AnalysisPaper analysis={analysis} naming={naming} />
      </Suspense>
      <Suspense>{onClose !== null && <AnalysisSheet analysis={analysis} naming={naming} onClose={onClose} />}</Suspense>
    </>
  );
}

function Reading({ busy, failed }: { readonly busy: boolean; readonly failed: boolean }) {
  return (
    <>
      {busy && <p role="status">{ANALYZE_WORDS.readingTheChords}</p>}
      {failed && <p role="alert">{ANALYZE_WORDS.theChordsCouldNotBeAnalyzed}</p>}
    </>
  );
}

function NotDrawn({ bars }: { readonly bars: number }) {
  if (bars <= MOST_BARS) return null;
  return (
    <p className="font-semibold">
      {ANALYZE_WORDS.allChordsAreAnalyzedTheFirst} {MOST_BARS} {ANALYZE_WORDS.barsAreDrawnHere}
    </p>
  );
}

function hear(id: string, chords: readonly Chord[]): void {
  void play(
    id,
    chords.map((chord) => ({ midi: chordMidi(chord), beats: CHORD_BEATS })),
    TEMPO,
  );
}

/** Which chord is chosen, which scale is played over it, and what sounds from there. */
function useChosenChord(analysis: Analysis) {
  const count = analysis.chords.length;
  const [chosen, setChosen] = useState(0);
  const [scale, setScale] = useState<ChordScale | null>(null);
  const index = Math.min(chosen, Math.max(0, count - 1));
  const played = scale ?? analysis.chords[index]?.scales[0] ?? null;
  useSelected(analysis, index, played);
  const playing = usePlayer((state) => state.playing === 'analysis');
  const sounding = usePlayer((state) => state.step);
  const select = (next: number) => {
    setChosen(next);
    setScale(null);
  };
  return {
    index,
    select,
    played,
    /** The scale is the one played, and the neck shows it. */
    setScaleShown: (next: ChordScale | null) => {
      setScale(next);
      useNeck.setState({ show: 'scale' });
    },
    playing,
    /** The chord that sounds, else the chosen one. */
    at: playing ? index + sounding : index,
    walk: (step: 1 | -1) => {
      const next = Math.min(count - 1, Math.max(0, index + step));
      select(next);
      document.querySelector<HTMLElement>(`[data-index="${next}"]`)?.focus();
    },
    hearAll: () =>
      hear(
        'analysis',
        analysis.chords.slice(index).map(({ chord }) => chord),
      ),
  };
}

/** The part that is open in the drawer, and how it is opened. */
interface OpenPart {
  readonly open: AnalyzePartName | null;
  readonly setOpen: (part: AnalyzePartName | null) => void;
}

interface KeysRoom {
  readonly song: HeardSong;
  readonly chosen: ReturnType<typeof useChosenChord>;
  readonly rewriting: Rewriting;
}

/** The keys of the room. */
function useAnalyzeKeys({ song: { hearing, setHearing }, chosen, rewriting }: KeysRoom): OpenPart {
  const [open, setOpen] = useState<AnalyzePartName | null>(null);
  const { index } = chosen;
  // the chosen chord stays in sight over the drawer
  useEffect(() => {
    if (open !== null) document.querySelector(`[data-index="${index}"]`)?.scrollIntoView({ block: 'nearest' });
  }, [open, index]);
  useShortcuts({
    ArrowLeft: () => chosen.walk(-1),
    ArrowRight: () => chosen.walk(1),
    h: () => setHearing(hearing === 'local' ? 'home' : hearing === 'home' ? 'both' : 'local'),
    a: () => (chosen.playing ? stop() : chosen.hearAll()),
    'Ctrl+z': () => rewriting.undo?.(),
    'Ctrl+Z': () => rewriting.redo?.(),
    'Ctrl+y': () => rewriting.redo?.(),
    ...partKeys(ANALYZE_PARTS, (name) => setOpen(open === name ? null : name)),
  });
  return { open, setOpen };
}

function Home({ song, naming }: { readonly song: HeardSong; readonly naming: Naming }) {
  const { analysis, hearing, setHearing, pinned, pin } = song;
  return <KeyStrip analysis={analysis} naming={naming} hearing={hearing} pinned={pinned} onHearing={setHearing} onPin={pin} />;
}

/** What is to be said of the chosen chord, a part at a time. */
function PartDrawer({ part: { open, setOpen }, props }: { readonly part: OpenPart; readonly props: AnalyzePartProps }) {
  const Body = open === null ? null : BODIES[open];
  return (
    <div className="sticky bottom-0 z-10 -mx-5 mt-auto flex max-h-[min(38vh,198px)] flex-col border-t border-edge bg-ground px-5 phone:static phone:-mx-3 phone:max-h-none phone:px-3">
      <PartTabs label={ANALYZE_WORDS.theChosenChord} parts={ANALYZE_PARTS} open={open} onOpen={setOpen} onFold={() => setOpen(null)}>
        {Body !== null && <Body {...props} />}
      </PartTabs>
    </div>
  );
}

interface SongRidgeProps {
  readonly analysis: Analysis;
  readonly naming: Naming;
  readonly at: number;
  readonly onGo: (index: number) => void;
  readonly onHear: () => void;
  readonly rewriting: Rewriting;
  readonly onPrint: () => void;
  /** Whether a drawer needs the room. */
  readonly isLow: boolean;
}

/** The ridge of the whole song. */
function SongRidge({ analysis, naming, at, isLow, onGo }: Omit<SongRidgeProps, 'onHear' | 'rewriting' | 'onPrint'>) {
  const profile = useMemo(() => songProfile(analysis), [analysis]);
  const names = useMemo(() => ridgeNames(analysis, naming), [analysis, naming]);
  const regions = analysis.regions.length < 2 ? [] : analysis.regions.map(({ from, key }) => ({ from, name: nameKey(key, naming) }));
  return <Ridge profile={profile} names={names} selected={at} regions={regions} isLow={isLow} onGo={onGo} />;
}

/** What may be done with the whole song, beside its title. */
function SongTools({ rewriting, onHear, onPrint }: Pick<SongRidgeProps, 'rewriting' | 'onHear' | 'onPrint'>) {
  const playing = usePlayer((state) => state.playing === 'analysis');
  return (
    <>
      <Hint text={playing ? ANALYZE_WORDS.stop : ANALYZE_WORDS.hearItFromHere} keys="a">
        <Button look={playing ? 'strong' : 'plain'} className="px-3!" onClick={() => (playing ? stop() : onHear())}>
          {playing ? <StopIcon size={17} aria-hidden="true" /> : <PlayIcon size={17} aria-hidden="true" />}{' '}
          {playing ? ANALYZE_WORDS.stop : ANALYZE_WORDS.play}
        </Button>
      </Hint>
      <SignButton name={ANALYZE_WORDS.undo} keys="Ctrl Z" disabled={rewriting.undo === null} onClick={() => rewriting.undo?.()}>
        <UndoIcon size={18} />
      </SignButton>
      <SignButton name={ANALYZE_WORDS.redo} keys="Ctrl Y" disabled={rewriting.redo === null} onClick={() => rewriting.redo?.()}>
        <RedoIcon size={18} />
      </SignButton>
      <Button look="bare" className="px-2.5!" onClick={onPrint}>
        <PrintIcon size={17} aria-hidden="true" /> {ANALYZE_WORDS.print}
      </Button>
    </>
  );
}

function withNote(melody: ReadonlyMap<number, Note>, index: number, note: Note | null): ReadonlyMap<number, Note> {
  const next = new Map(melody);
  if (note === null) next.delete(index);
  else next.set(index, note);
  return next;
}

/** The chosen chord is what the neck and the why show. */
function useSelected(analysis: Analysis, index: number, scale: ChordScale | null): void {
  const naming = useNaming();
  useEffect(() => {
    const chord = analysis.chords[index];
    const region = analysis.regions[chord?.region ?? -1];
    select(
      chord === undefined || region === undefined
        ? null
        : {
            chord: chord.chord,
            heardIn: region.key,
            why: [...readingWords(analysis, index, naming), ...(chord.others.length > 0 ? [runnerUpWords(chord)] : [])],
            ...(scale === null ? {} : { scale: { tonic: scale.tonic, scale: scale.scale } }),
          },
    );
  }, [analysis, index, naming, scale]);
  useEffect(() => () => select(null), []);
}

/** What could not be read, each in its place; everything else is analyzed. */
function Unread({ analysis }: { readonly analysis: Analysis }) {
  const { unread } = analysis.progression;
  if (unread.length === 0) return null;
  return (
    <section aria-label={ANALYZE_WORDS.notRead} className="rounded-lg border border-alarm px-3 py-2 text-base">
      <ul>
        {unread.slice(0, MOST_UNREAD).map(({ text, problem }) => (
          <li key={`${problem.at.line} ${problem.at.column}`}>
            <b className="music-glyph text-alarm">{text}</b> {ANALYZE_WORDS.inLine} {problem.at.line}: {faultWords(problem.fault)}
          </li>
        ))}
      </ul>
      {unread.length > MOST_UNREAD && (
        <p>
          {ANALYZE_WORDS.and} {unread.length - MOST_UNREAD} {ANALYZE_WORDS.moreTheOtherChordsAreAnalyzed}
        </p>
      )}
    </section>
  );
}

const MOST_UNREAD = 4;

function Empty({ songId }: { readonly songId: string | undefined }) {
  if (songId === undefined)
    return (
      <>
        <p className="max-w-xl py-4 text-lead leading-relaxed text-quiet">{ANALYZE_WORDS.writeTheChordsOfASong}</p>
        <SongsToOpen room="analyze" />
      </>
    );
  return (
    <p className="max-w-xl py-6 text-lead leading-relaxed text-quiet">
      {ANALYZE_WORDS.thisSongHasNoChordsYet}{' '}
      <Link className="font-semibold text-accent underline" to={`/songs/${songId}/chart`}>
        {ANALYZE_WORDS.writeThemInItsChart}
      </Link>
      {ANALYZE_WORDS.andTheyAreAnalyzedHere}
    </p>
  );
}
