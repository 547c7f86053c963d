import type { BarCell, ChordCell, StandLine } from '@aurora/core';
import { type CSSProperties, memo } from 'react';
import { ChordSymbol, LetterSymbol } from '../../parts/notation/ChordSymbol.tsx';
import { barColumns } from '../../parts/sheet/bar-columns.ts';
import { hasMarksOver, ROW_AND_OVER } from '../../parts/sheet/bar-place.ts';
import { OverBar } from '../../parts/sheet/OverBar.tsx';
import { barEms, phoneColumns } from '../../parts/sheet/row-columns.ts';
import { AgainSign, BeatMarks, CountSign, Diamond, PushMark, RepeatLine, StopMark } from '../../parts/sheet/sheet-marks.tsx';
import { STAND_WORDS } from '../../wording/stand.ts';

/** On less than this, long bars stand two by two. */
const NARROW = 560;
const BARS_IN_A_LINE = 4;
/** What a bar's lines take of its width. */
const EDGES = '1.7rem';
/** What a repeat sign takes beside them, in pixels. */
const REPEAT_SIGN = 12;
/** Letters under a number, as a part of its size. */
const UNDER = 0.34;
/** A crowded bar is set smaller, but no smaller than this beside the others. */
const SMALLEST = '0.5em';

/** A line of the chart as it lies on the stand; everything in it is as large as the type around it. */
export const StandLineView = memo(function StandLineView({ line, width }: { readonly line: StandLine; readonly width: number }) {
  const columns = width < NARROW ? phoneColumns(line) : BARS_IN_A_LINE;
  const { heading, bars, isPickup, words, time } = line;
  const roomy = bars.some(hasMarksOver);
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
        {isPickup && columns > 1 && <span className="row-span-2" style={{ gridColumn: `span ${columns - 1}` }} />}
        {bars.map((bar, at) => (
          <StandBar key={bar.index} bar={bar} last={at === bars.length - 1} roomy={roomy} />
        ))}
      </div>
      {words.map((text, verse) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: two verses may say the same
        <p key={verse} className="px-2 text-on-stand leading-tight text-quiet italic">
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

interface StandBarProps {
  readonly bar: BarCell;
  readonly last: boolean;
  /** Whether beats or diamonds stand over chords of its line. */
  readonly roomy: boolean;
}

function StandBar({ bar, last, roomy }: StandBarProps) {
  const ems =
    barEms(bar, UNDER) + bar.chords.reduce((sum, { marks }) => sum + (marks.push || marks.stop ? 0.5 : 0) + (marks.optional ? 0.7 : 0), 0);
  const signs = REPEAT_SIGN * (Number(bar.opensRepeat) + Number(bar.closesRepeat !== null));
  return (
    <div
      data-stand-bar
      data-bar={bar.index}
      className={`relative ${ROW_AND_OVER} min-w-0 pb-[0.06em] ${bar.opensRepeat ? 'pl-5' : 'border-l-2 border-edge pl-2'} ${bar.closesRepeat === null ? `pr-2 ${last ? 'border-r-2 border-edge' : ''}` : 'pr-5'}`}
    >
      {bar.opensRepeat && <RepeatLine end={false} within />}
      {bar.closesRepeat !== null && <RepeatLine end within />}
      <OverBar
        bar={bar}
        bracket="h-[0.9em]"
        className={`-mr-1 -ml-1 gap-x-[0.4em] text-on-stand ${bar.ending === null ? '' : 'pl-1.5'} ${bar.ending?.ends ? 'pr-2' : ''}`}
      />
      <div className="flex min-w-0 flex-col pt-[0.08em]">
        {bar.sign === 'count' && <CountSign bars={bar.counts} />}
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
              <StandChord key={place} chord={chord} roomy={roomy} />
            ))}
          </div>
        )}
        {(bar.sign === '%' || bar.sign === '%%') && <AgainSign twice={bar.sign === '%%'} />}
        {bar.remarks.map(({ to, text }) => (
          <p key={`${to} ${text}`} className="text-on-stand leading-tight text-quiet">
            {to !== null && <b className="text-ink">{to}: </b>}
            {text}
          </p>
        ))}
      </div>
    </div>
  );
}

function StandChord({ chord, roomy }: { readonly chord: ChordCell; readonly roomy: boolean }) {
  const { main, under, marks, beats } = chord;
  return (
    <span className="flex min-w-0 flex-col items-start">
      {roomy && (
        <span className="flex h-[17px] items-end gap-1.5">
          {marks.ring && <Diamond />}
          {beats !== null && <BeatMarks beats={beats} />}
        </span>
      )}
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
