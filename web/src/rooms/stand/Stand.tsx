import { drummedLines, isFolded, type Key, nameKey, type PartKind, playedLines, songProfile, writtenKey, writtenLines } from '@aurora/core';
import { lazy, type ReactNode, Suspense, useMemo } from 'react';
import { useNavigate } from 'react-router';
import { AT_HOME } from '../../document/heard.ts';
import { useAnalysis } from '../../parts/analysis/use-analysis.ts';
import { RidgeStrip } from '../../parts/ridge/RidgeStrip.tsx';
import { sheetFacts } from '../../parts/sheet/sheet-facts.ts';
import { useChartSheet } from '../../parts/sheet/use-chart-sheet.ts';
import { stepKey } from '../../session/key-view.ts';
import { useLens } from '../../session/lens.ts';
import { keyInForce, lensLink, setKey } from '../../session/lens-store.ts';
import { useShortcuts } from '../../session/use-shortcuts.ts';
import { useThemeOnPage } from '../../session/use-theme.ts';
import { STAND_WORDS } from '../../wording/stand.ts';
import { KeyFlash } from './KeyFlash.tsx';
import { LineByLine } from './LineByLine.tsx';
import { CARD_ROOM, NextCard, type NextSong } from './NextUp.tsx';
import { StandFoot } from './StandFoot.tsx';
import { StandPages } from './StandPages.tsx';
import { useStandLook } from './stand-look.ts';
import { sectionAt } from './stand-walk.ts';
import { useFading } from './use-fading.ts';
import { type StandPress, useStandKeys } from './use-stand-keys.ts';
import { useStandPaper } from './use-stand-paper.tsx';
import { useStandWalk } from './use-stand-walk.ts';

// wanted only on paper
const PartPaper = lazy(() => import('../../parts/paper/PartPaper.tsx'));

/** Meter and tempo; the rest is for whoever writes the chart. */
const FACTS = 2;
/** More lines than this are not laid out. */
const MOST_LINES = 400;

interface StandProps {
  readonly songId: string;
  readonly text: string;
  /** Bars of the song itself, where a bridge to the next one follows. */
  readonly ownBars?: number | undefined;
  /** Where one gets to off the stand; null for who is only here. */
  readonly back: string | null;
  /** What of the chart is read; the reader's own part when left out. */
  readonly part?: PartKind;
  /** What is said about the song tonight. */
  readonly tonight?: readonly string[];
  /** Turning past the last page or before the first. */
  readonly onPast?: (way: 1 | -1) => void;
  /** Whether the song is in tonight's set, so that another key is tonight's. */
  readonly isTonight: boolean;
  /** What comes after it tonight. */
  readonly next?: NextSong | null;
  /** What else stands at the foot. */
  readonly children?: ReactNode;
}

/** A chart on a stand: whole lines on pages, dark, as large as they fit, nothing else. A foot pedal turns it. */
export function Stand({ songId, text, ownBars, back, part, tonight = [], onPast, isTonight, next = null, children }: StandProps) {
  const look = useStandLook();
  useThemeOnPage(look.theme);
  const { sheet, kind, reading, sounding } = useChartSheet(songId, text, { ownBars, part });
  const folded = isFolded(reading);
  const lines = useMemo(() => {
    const all = look.form === 'played' && folded ? playedLines(sheet, reading, MOST_LINES) : writtenLines(sheet);
    return kind === 'form' ? drummedLines(all) : all;
  }, [sheet, reading, look.form, folded, kind]);
  const paper = useStandPaper(lines);
  const walk = useStandWalk({ lines, pages: paper.pages, open: look.turn === 'lines' ? 0 : paper.open, onPast });
  const away = back === null ? null : lensLink(back);
  const keys = useStandKeySteps(reading.head.key);
  const press = useStandKeys(walk, lines);
  useLeave(away, press, keys);
  const pages = paper.pages.length;
  const isAtEnd = look.turn === 'pages' && walk.page + paper.open >= pages && paper.left >= CARD_ROOM;
  const where = [
    sectionAt(lines, walk.line),
    look.turn === 'pages' && pages > 1 ? STAND_WORDS.pageOf(walk.page + 1, pages) : '',
    ...tonight,
    ...sheetFacts(reading).slice(0, FACTS),
  ];
  return (
    <div className="flex h-full flex-col overflow-hidden bg-ground text-ink">
      <main ref={paper.box} className="relative min-h-0 flex-1 touch-manipulation overflow-hidden" {...press.touch}>
        {paper.measuring}
        {lines.length === 0 && <p className="p-8 text-lead text-quiet">{STAND_WORDS.nothingWritten}</p>}
        {look.turn === 'pages' ? (
          <StandPages lines={lines} paper={paper} page={walk.page} />
        ) : (
          <LineByLine lines={lines} size={paper.size} width={paper.width} at={walk.line} />
        )}
        {next !== null && isAtEnd && <NextCard next={next} />}
      </main>
      <StandRidge
        text={text}
        bar={lines[walk.line]?.bars[0]?.index ?? null}
        onGo={(bar) => walk.go(lines.findIndex(({ bars }) => bars.some(({ index, counts }) => index <= bar && bar < index + counts)))}
      />
      <StandFoot
        title={reading.head.title}
        where={where.filter((words) => words !== '').join(' · ')}
        keyName={keys.name}
        sounds={keys.sounds}
        handled={useFading()}
        isFolded={folded}
        away={away}
        onStep={keys.step}
        next={next}
      >
        {children}
      </StandFoot>
      <Suspense>
        <PartPaper reading={reading} sounding={sounding} tonight={tonight.join('  ·  ')} ownBars={ownBars} />
      </Suspense>
      <KeyFlash name={keys.name} under={keys.sounds} said={isTonight ? STAND_WORDS.tonightsKey : ''} />
    </div>
  );
}

/** The key as the reader reads it, and how it is changed. */
function useStandKeySteps(home: Key) {
  const lens = useLens();
  const key = keyInForce({ key: lens.key, homeKey: lens.homeKey ?? home });
  const reads = writtenKey(lens.reader.reader, key);
  const { capo } = lens.reader.reader;
  return {
    name: nameKey(reads, lens.naming),
    sounds: reads.tonic === key.tonic ? '' : STAND_WORDS.sounds(capo > 0 ? STAND_WORDS.capo(capo) : '', nameKey(key, lens.naming)),
    step: (semitones: 1 | -1) => setKey(stepKey(key, semitones)),
  };
}

function useLeave(away: ReturnType<typeof lensLink> | null, press: StandPress, keys: ReturnType<typeof useStandKeySteps>): void {
  const navigate = useNavigate();
  useShortcuts({ ...press.keys, '[': () => keys.step(-1), ']': () => keys.step(1), Escape: () => void (away !== null && navigate(away)) });
}

/** The song's profile at the edge, with the chord of the line one is at. */
function StandRidge({ text, bar, onGo }: { readonly text: string; readonly bar: number | null; readonly onGo: (bar: number) => void }) {
  const { analysis } = useAnalysis(text, AT_HOME);
  const profile = useMemo(() => songProfile(analysis), [analysis]);
  const at = profile.spans.find((span) => span.bar === bar)?.index ?? null;
  return (
    <RidgeStrip
      profile={profile}
      at={at}
      label={STAND_WORDS.theSongsRidgeWithTheLine}
      onGo={(index) => onGo(profile.spans[index]?.bar ?? 0)}
      className="block h-4 w-full shrink-0"
    />
  );
}
