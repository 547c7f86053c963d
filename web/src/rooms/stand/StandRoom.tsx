import { type BarCell, type CellSection, type ChordCell, type Key, nameKey, writtenKey } from '@aurora/core';
import { Minus, Plus, X } from 'lucide-react';
import { type ReactNode, useEffect, useRef } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { ChartDraft } from '../../document/song-drafts.ts';
import { useDraftState } from '../../document/use-song-draft.ts';
import { ChordSymbol, LetterSymbol } from '../../parts/notation/ChordSymbol.tsx';
import { sheetFacts } from '../../parts/sheet/sheet-facts.ts';
import { AgainSign, CodaSign, Diamond, PushMark, SegnoSign, StopMark } from '../../parts/sheet/sheet-marks.tsx';
import { useChartSheet } from '../../parts/sheet/use-chart-sheet.ts';
import { OpenSong } from '../../parts/song/OpenSong.tsx';
import { stepKey } from '../../session/key-view.ts';
import { useLens } from '../../session/lens.ts';
import { keyInForce, lensSearchNow, setKey } from '../../session/lens-store.ts';
import { useReads } from '../../session/use-reads.ts';
import { useShortcuts } from '../../session/use-shortcuts.ts';

/** One song's chart on a stand. */
export function StandRoom() {
  const { songId = '' } = useParams();
  return <OpenSong songId={songId}>{(draft) => <SongOnStand draft={draft} songId={songId} />}</OpenSong>;
}

function SongOnStand({ draft, songId }: { readonly draft: ChartDraft; readonly songId: string }) {
  const { value } = useDraftState(draft);
  return <Stand songId={songId} text={value} back={`/songs/${songId}/chart`} />;
}

/** How much of a screen is turned at once: a line stays to read on from. */
const TURN = 0.85;
/** Nearer than this to an end is the end. */
const END_PIXELS = 4;

interface StandProps {
  readonly songId: string;
  readonly text: string;
  /** Where one gets to off the stand. */
  readonly back: string;
  /** What is said about the song tonight. */
  readonly tonight?: readonly string[];
  /** Turning past the last screen or before the first. */
  readonly onPast?: (way: 1 | -1) => void;
  /** What stands at the head beside the title. */
  readonly children?: ReactNode;
}

/** A chart on a stand: huge, dark, nothing else. A foot pedal turns it. */
export function Stand({ songId, text, back, tonight = [], onPast, children }: StandProps) {
  const { sheet, reading } = useChartSheet(songId, text, { onStand: true });
  const { large } = useReads();
  const page = useRef<HTMLElement>(null);
  const navigate = useNavigate();
  const away = { pathname: back, search: lensSearchNow() };
  const turn = (way: 1 | -1) => {
    if (page.current === null) return;
    const { scrollTop, clientHeight, scrollHeight } = page.current;
    const past = way === 1 ? scrollTop + clientHeight >= scrollHeight - END_PIXELS : scrollTop <= END_PIXELS;
    if (past) onPast?.(way);
    const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    page.current.scrollBy({ top: way * TURN * clientHeight, behavior: still ? 'auto' : 'smooth' });
  };
  useNight();
  useShortcuts({
    PageDown: () => turn(1),
    PageUp: () => turn(-1),
    ' ': () => turn(1),
    ArrowDown: () => turn(1),
    ArrowUp: () => turn(-1),
    ArrowRight: () => turn(1),
    ArrowLeft: () => turn(-1),
    Escape: () => void navigate(away),
  });
  return (
    <div className="flex h-full flex-col bg-ground text-ink">
      <StandHead title={reading.head.title} home={reading.head.key} away={away}>
        {children}
      </StandHead>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: the page is turned by its keys */}
      <main ref={page} tabIndex={0} className="min-h-0 flex-1 overflow-auto px-3 pb-[40vh] outline-none sm:px-6">
        <div style={large ? LARGE : undefined}>
          {tonight.length > 0 && <p className="pt-2 text-[max(17px,1.9vw)] font-semibold">{tonight.join('  ·  ')}</p>}
          <p className="py-2 text-[max(15px,1.5vw)] text-quiet">{sheetFacts(reading).join('  ·  ')}</p>
          {sheet.sections.map((section, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: sections may share a name; their place tells them apart
            <StandSection key={index} section={section} />
          ))}
        </div>
      </main>
    </div>
  );
}

interface StandHeadProps {
  readonly title: string;
  readonly home: Key;
  readonly away: { readonly pathname: string; readonly search: string };
  readonly children: ReactNode;
}

/** The song's name, the key with the next ones a press away, and the way off the stand. */
function StandHead({ title, home, away, children }: StandHeadProps) {
  const lens = useLens();
  const key = keyInForce({ key: lens.key, homeKey: lens.homeKey ?? home });
  const reads = writtenKey(lens.reader.reader, key);
  return (
    <header className="flex items-center gap-3 border-b border-hairline px-4 py-1.5">
      {children}
      <h1 className="min-w-0 flex-1 truncate font-numeral text-xl font-bold">{title}</h1>
      <button type="button" aria-label="Key down a half step" className={ROUND} onClick={() => setKey(stepKey(key, -1))}>
        <Minus size={20} />
      </button>
      <span className="music-glyph min-w-14 text-center text-2xl font-bold">
        {nameKey(key, lens.naming)}
        {reads.tonic !== key.tonic && <span className="block text-[13px] font-normal text-quiet">reads {nameKey(reads, lens.naming)}</span>}
      </span>
      <button type="button" aria-label="Key up a half step" className={ROUND} onClick={() => setKey(stepKey(key, 1))}>
        <Plus size={20} />
      </button>
      <Link to={away} aria-label="Off the stand" className={ROUND}>
        <X size={20} />
      </Link>
    </header>
  );
}

/** A section as it lies on the stand. */
function StandSection({ section }: { readonly section: CellSection }) {
  return (
    <section aria-label={section.name ?? 'Before the first section'} className="mb-4">
      {section.name !== null && (
        <h2 className="font-numeral text-[max(20px,2.6vw)] font-bold text-accent">
          {section.name}
          {section.times > 1 && ` ×${section.times}`}
          {section.remark !== null && <span className="ml-3 text-[0.75em] font-normal text-quiet">{section.remark}</span>}
        </h2>
      )}
      {section.rows.map((row, place) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rows have no name but their place
        <div key={place} className="border-b border-hairline py-1">
          <div className={`grid ${row.isPickup ? 'grid-cols-[3fr_1fr]' : 'grid-cols-4'}`}>
            {row.isPickup && <span />}
            {row.bars.map((bar, at) => (
              <StandBar key={bar.index} bar={bar} last={at === row.bars.length - 1} />
            ))}
          </div>
          {row.words.map((words, verse) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: two verses may say the same
            <p key={verse} className="text-[max(16px,1.9vw)] text-quiet italic">
              {words}
            </p>
          ))}
        </div>
      ))}
    </section>
  );
}

/** For who likes large type: everything on the page by so much. */
const LARGE = { zoom: 1.25 } as const;

export const ROUND = 'grid size-11 shrink-0 place-items-center rounded-lg border border-edge hover:border-accent';

/** The stand is dark whatever the room is. */
function useNight(): void {
  useEffect(() => {
    const before = document.documentElement.dataset.theme;
    document.documentElement.dataset.theme = 'night';
    return () => {
      if (before !== undefined) document.documentElement.dataset.theme = before;
    };
  }, []);
}

function StandBar({ bar, last }: { readonly bar: BarCell; readonly last: boolean }) {
  const over = [
    bar.ending?.begins ? bar.ending.label : '',
    bar.heading,
    ...bar.after,
    bar.closesRepeat !== null && bar.closesRepeat !== 2 ? `×${bar.closesRepeat}` : '',
  ].filter((word) => word !== '');
  return (
    <div
      className={`relative min-w-0 px-1 pt-[max(18px,1.7vw)] pb-1 sm:px-2 ${bar.opensRepeat ? 'border-l-[5px] border-double border-ink' : 'border-l-2 border-edge'} ${bar.closesRepeat === null ? (last ? 'border-r-2 border-edge' : '') : 'border-r-[5px] border-double border-ink'} ${bar.ending === null ? '' : 'border-t-2 border-t-ink'}`}
    >
      <p className="music-glyph absolute inset-x-1 top-0 flex items-center gap-1 truncate text-[max(12px,1.25vw)] font-bold text-accent">
        {bar.signs.map((sign) => (sign === 'segno' ? <SegnoSign key={sign} /> : <CodaSign key={sign} />))}
        {over.join(' · ')}
      </p>
      {bar.sign === 'chords' ? (
        <div className="flex flex-wrap items-baseline gap-x-[0.6vw]">
          {bar.chords.map((chord, place) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: chords have no name but their place
            <StandChord key={place} chord={chord} crowd={bar.chords.length} />
          ))}
        </div>
      ) : (
        <AgainSign twice={bar.sign === '%%'} />
      )}
      {bar.remarks.map(({ to, text }) => (
        <p key={`${to} ${text}`} className="text-[max(13px,1.3vw)] leading-tight text-quiet">
          {to !== null && <b className="text-ink">{to}: </b>}
          {text}
        </p>
      ))}
    </div>
  );
}

const SIZES = ['text-[max(30px,6.2vw)]', 'text-[max(22px,4.4vw)]', 'text-[max(17px,3.2vw)]'];

function StandChord({ chord, crowd }: { readonly chord: ChordCell; readonly crowd: number }) {
  const { main, under, marks } = chord;
  if (main === null) return <b className="font-numeral text-[max(18px,3vw)]">N.C.</b>;
  return (
    <span className="flex flex-col">
      <span className="flex items-center">
        {marks.push && <PushMark />}
        {marks.optional && <span className="text-[max(24px,4vw)] text-quiet">(</span>}
        <span className={`relative ${marks.ring ? 'mx-4 mb-2' : ''}`}>
          {marks.ring && <Diamond />}
          <ChordSymbol view={main} className={`relative font-bold ${SIZES[Math.min(crowd, SIZES.length) - 1]}`} />
        </span>
        {marks.optional && <span className="text-[max(24px,4vw)] text-quiet">)</span>}
        {marks.stop && <StopMark />}
      </span>
      {under !== null && <LetterSymbol view={under} className="text-[max(14px,1.9vw)] font-semibold text-quiet" />}
    </span>
  );
}
