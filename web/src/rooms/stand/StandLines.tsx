import type { BarCell, ChordCell, StandLine } from '@aurora/core';
import { type CSSProperties, memo } from 'react';
import { ChordSymbol, LetterSymbol } from '../../parts/notation/ChordSymbol.tsx';
import { barColumns } from '../../parts/sheet/bar-columns.ts';
import { barEms, phoneColumns } from '../../parts/sheet/row-columns.ts';
import { AgainSign, BeatMarks, CodaSign, Diamond, PushMark, RepeatLine, SegnoSign, StopMark } from '../../parts/sheet/sheet-marks.tsx';
import { STAND_WORDS } from '../../wording/stand.ts';

/** On less than this, long bars stand two by two. */
const NARROW = 560;
const BARS_IN_A_LINE = 4;
/** What a bar's lines take of its width. */
const EDGES = '1.7rem';
/** What a repeat sign takes beside them, in pixels. */
const REPEAT_SIGN = 12;
/** A crowded bar is set smaller, but no smaller than this beside the others. */
const SMALLEST = '0.5em';

/** A line of the chart as it lies on the stand; everything in it is as large as the type around it. */
export const StandLineView = memo(function StandLineView({ line, width }: { readonly line: StandLine; readonly width: number }) {
  const columns = width < NARROW ? phoneColumns(line) : BARS_IN_A_LINE;
  const { heading, bars, isPickup, words, time } = line;
  return (
    <div data-line className="border-b border-hairline" style={{ '--bar': `${width / columns}px` } as CSSProperties}>
      {heading !== null && (
        <h2 className="pt-[0.12em] font-numeral text-[0.4em] leading-tight font-bold text-accent">
          {heading.name}
          {time !== null && time > 1 && STAND_WORDS.time(ordinal(time))}
          {heading.beside !== '' && <span className="ml-[0.6em] text-[0.85em] font-normal text-quiet">{heading.beside}</span>}
        </h2>
      )}
      <div className="grid" style={{ gridTemplateColumns: `repeat(${columns}, minmax(0, 1fr))` }}>
        {isPickup && <span style={{ gridColumn: `span ${columns - 1}` }} />}
        {bars.map((bar, at) => (
          <StandBar key={bar.index} bar={bar} last={at === bars.length - 1} />
        ))}
      </div>
      {words.map((text, verse) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: two verses may say the same
        <p key={verse} className="px-2 text-[0.28em] leading-tight text-quiet italic">
          {text}
        </p>
      ))}
    </div>
  );
});

function ordinal(count: number): string {
  const suffix = count % 100 > 10 && count % 100 < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][count % 10] ?? 'th');
  return `${count}${suffix}`;
}

function StandBar({ bar, last }: { readonly bar: BarCell; readonly last: boolean }) {
  const over = [
    bar.ending?.begins ? bar.ending.label : '',
    bar.heading,
    ...bar.after,
    bar.closesRepeat !== null && bar.closesRepeat !== 2 ? `×${bar.closesRepeat}` : '',
  ].filter((word) => word !== '');
  const ems =
    barEms(bar) + bar.chords.reduce((sum, { marks }) => sum + (marks.push || marks.stop ? 0.5 : 0) + (marks.optional ? 0.7 : 0), 0);
  const signs = REPEAT_SIGN * (Number(bar.opensRepeat) + Number(bar.closesRepeat !== null));
  return (
    <div
      data-stand-bar
      data-bar={bar.index}
      className={`relative min-w-0 pt-[0.3em] pb-[0.06em] ${bar.opensRepeat ? 'pl-5' : 'border-l-2 border-edge pl-2'} ${bar.closesRepeat === null ? `pr-2 ${last ? 'border-r-2 border-edge' : ''}` : 'pr-5'} ${bar.ending === null ? '' : 'border-t-2 border-t-ink'}`}
    >
      {bar.opensRepeat && <RepeatLine end={false} within />}
      {bar.closesRepeat !== null && <RepeatLine end within />}
      <p className="music-glyph absolute inset-x-1 top-0 flex h-[1.3em] items-center gap-1 truncate text-[0.24em] leading-none font-bold text-accent">
        {bar.signs.map((sign) => (sign === 'segno' ? <SegnoSign key={sign} /> : <CodaSign key={sign} />))}
        {over.join(' · ')}
      </p>
      {bar.sign === 'count' && <Count bars={bar.counts} />}
      {bar.sign === 'chords' && (
        <div
          className="grid gap-x-[0.4em]"
          style={{
            ...barColumns(bar),
            fontSize: `clamp(${SMALLEST}, calc((var(--bar) - ${EDGES} - ${signs}px) / ${Math.max(0.5, ems)}), 1em)`,
          }}
        >
          {bar.chords.map((chord, place) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: chords have no name but their place
            <StandChord key={place} chord={chord} />
          ))}
        </div>
      )}
      {(bar.sign === '%' || bar.sign === '%%') && <AgainSign twice={bar.sign === '%%'} />}
      {bar.remarks.map(({ to, text }) => (
        <p key={`${to} ${text}`} className="text-[0.22em] leading-tight text-quiet">
          {to !== null && <b className="text-ink">{to}: </b>}
          {text}
        </p>
      ))}
    </div>
  );
}

const PHRASE = 4;

/** Bars of time that a drummer only counts: how many, and a stroke for each, in fours. */
function Count({ bars }: { readonly bars: number }) {
  return (
    <p className="flex items-end gap-[0.3em]">
      <span className="sr-only">{STAND_WORDS.barsOfTime(bars)}</span>
      <b aria-hidden="true" className="font-numeral leading-tight">
        {bars}
      </b>
      <span aria-hidden="true" className="mb-[0.3em] flex items-end gap-[0.12em]">
        {Array.from({ length: bars }, (_, bar) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a stroke has no name but its place
          <span key={bar} className={`h-[0.42em] w-[0.06em] bg-quiet ${bar > 0 && bar % PHRASE === 0 ? 'ml-[0.14em]' : ''}`} />
        ))}
      </span>
    </p>
  );
}

function StandChord({ chord }: { readonly chord: ChordCell }) {
  const { main, under, marks, beats } = chord;
  return (
    <span className="flex min-w-0 flex-col items-start">
      <span className="-mt-2 flex h-3 items-end gap-1.5">
        {marks.ring && <Diamond />}
        {beats !== null && <BeatMarks beats={beats} />}
      </span>
      <span className="flex items-center">
        {marks.push && <PushMark />}
        {marks.optional && <span className="text-[0.7em] text-quiet">(</span>}
        {main === null ? <b className="font-numeral text-[0.5em] leading-[2]">N.C.</b> : <ChordSymbol view={main} className="font-bold" />}
        {marks.optional && <span className="text-[0.7em] text-quiet">)</span>}
        {marks.stop && <StopMark />}
      </span>
      {under !== null && <LetterSymbol view={under} className="text-[0.34em] leading-tight font-semibold text-quiet" />}
    </span>
  );
}
