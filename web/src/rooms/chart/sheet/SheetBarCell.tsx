import { type BarCell, type ChordCell, faultWords, symbolText } from '@aurora/core';
import { type MouseEvent, memo } from 'react';
import { ChordSymbol, LetterSymbol } from '../../../parts/notation/ChordSymbol.tsx';
import { fittingNumeral, type NumeralSize } from '../../../parts/notation/numeral-size.ts';
import { barColumns } from '../../../parts/sheet/bar-columns.ts';
import { ROW_AND_OVER } from '../../../parts/sheet/bar-place.ts';
import { OverBar } from '../../../parts/sheet/OverBar.tsx';
import { fitsBar } from '../../../parts/sheet/row-columns.ts';
import { AgainSign, BeatMarks, CountSign, Diamond, PushMark, RepeatLine, StopMark } from '../../../parts/sheet/sheet-marks.tsx';
import { Named } from '../../../ui/Named.tsx';
import { CHART_WORDS } from '../../../wording/chart.ts';
import type { ChordLayer } from './chord-layer.ts';

/** What a bar of the sheet is drawn with beside its music. */
interface BarLook {
  /** The analysis over the bars, by `bar.chord`; null while it is switched off. */
  readonly layer: ReadonlyMap<string, ChordLayer> | null;
  /** Turns with the key and the reader, so that the letters slide in anew. */
  readonly turn: boolean;
  readonly onSelect: (bar: number, chord: number, reach: boolean) => void;
  /** A bar pressed twice is written. */
  readonly onWrite: (bar: number, how: 'edit') => void;
}

interface BarProps extends BarLook {
  readonly bar: BarCell;
  readonly last: boolean;
  /** Whether the bar is among the chosen ones, and which chord of it has the focus. */
  readonly chosen: boolean;
  readonly chord: number | null;
  /** Whether the bar is sounding. */
  readonly playing: boolean;
  /** Whether beats or diamonds stand over chords of this row, so that all leave room for them. */
  readonly roomy: boolean;
  /** How wide it is drawn. */
  readonly pixels: number;
}

/** A bar on the sheet: numbers large, letters under them, and every sign of form at its place. */
export const SheetBarCell = memo(function SheetBarCell({ bar, last, chosen, chord, playing, roomy, pixels, ...look }: BarProps) {
  return (
    <div
      data-bar={bar.index}
      className={`relative ${ROW_AND_OVER} min-h-[68px] scroll-my-4 pr-1.5 ${edgesOf(bar, last)} ${groundOf(bar, chosen)} ${playing ? 'outline-3 -outline-offset-3 outline-accent' : ''}`}
    >
      {bar.opensRepeat && <RepeatLine end={false} />}
      {bar.closesRepeat !== null && <RepeatLine end />}
      <OverBar
        bar={bar}
        bracket={`h-3.5 ${bar.ending?.ends ? 'mr-1' : ''}`}
        className={`gap-x-1.5 text-fine leading-[1.25] ${bar.opensRepeat ? 'pl-4' : 'pl-1.5'} ${bar.ending?.ends ? 'pr-2.5' : 'pr-1.5'}`}
      />
      <div className={`flex min-w-0 flex-col ${roomy ? '' : 'pt-1.5'}`}>
        {bar.sign === 'chords' ? (
          <BarChords bar={bar} chord={chord} pixels={pixels} roomy={roomy} {...look} />
        ) : (
          <AgainButton bar={bar} pressed={chord !== null} {...look} />
        )}
        <BarUnder bar={bar} />
      </div>
    </div>
  );
});

/** What could not be read in a bar, and what is remarked on it. */
function BarUnder({ bar }: { readonly bar: BarCell }) {
  return (
    <>
      {bar.unread !== null && (
        <p
          role="status"
          aria-label={CHART_WORDS.barNumbered(bar.index + 1)}
          className="mt-0.5 text-fine leading-tight font-semibold text-alarm"
        >
          {bar.unread.fault === null ? CHART_WORDS.notRead : faultWords(bar.unread.fault)}
        </p>
      )}
      {bar.remarks.map(({ to, text }) => (
        <p key={`${to} ${text}`} className="mt-1 text-fine leading-tight font-medium text-quiet">
          {to !== null && <b className="text-ink">{to}: </b>}
          {text}
        </p>
      ))}
    </>
  );
}

/** Bar lines where no repeat draws its own; a pickup stands in a broken frame. */
function edgesOf({ opensRepeat, closesRepeat, heading }: BarCell, last: boolean): string {
  const left = opensRepeat ? 'pl-5' : 'border-l-2 border-edge pl-1.5';
  const right = last && closesRepeat === null ? 'border-r-2 border-edge' : '';
  return `${left} ${right} ${heading.includes('pickup') ? 'rounded-r-lg border-y border-dashed' : ''}`;
}

function groundOf({ wrong }: BarCell, chosen: boolean): string {
  if (chosen) return 'bg-wash';
  return wrong ? 'bg-alarm/10' : '';
}

/** On a bar so wide numbers grow. */
const WIDE_BAR = 330;
/** The chords of a bar; those that share one stand on a line. */
function BarChords({ bar, chord, pixels, ...look }: BarLook & Pick<BarProps, 'bar' | 'chord' | 'pixels' | 'roomy'>) {
  const size = fittingNumeral((number) => fitsBar(bar, number, pixels), pixels >= WIDE_BAR) ?? 'text-base';
  const shared = bar.chords.length > 1 ? 'border-b-2 border-quiet/50' : '';
  return (
    <div className={`grid gap-x-[0.6rem] ${shared} ${bar.closesRepeat === null ? '' : 'pr-3'}`} style={barColumns(bar)}>
      {bar.chords.map((one, place) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: chords have no name but their place
        <ChordOfSheet key={place} chord={one} bar={bar} place={place} pressed={chord === place} size={size} {...look} />
      ))}
    </div>
  );
}

/** A bar written as a sign for the bars before it, or bars of time that are only counted. */
function AgainButton({ bar, pressed, onSelect, onWrite }: BarLook & { readonly bar: BarCell; readonly pressed: boolean }) {
  const twice = bar.sign === '%%';
  const label =
    bar.sign === 'count'
      ? CHART_WORDS.timeLabel(bar.index + 1, bar.counts)
      : CHART_WORDS.barAgainLabel(bar.index + 1, twice ? CHART_WORDS.theTwoBarsBeforeAgain : CHART_WORDS.theBarBeforeAgain);
  return (
    <button
      type="button"
      data-place={`${bar.index}.0`}
      aria-pressed={pressed}
      aria-label={label}
      onClick={(event) => onSelect(bar.index, 0, event.shiftKey)}
      onDoubleClick={() => onWrite(bar.index, 'edit')}
      className="flex flex-1 rounded-md hover:bg-wash aria-pressed:shadow-[inset_0_-3px_0_var(--accent)]"
    >
      {bar.sign === 'count' ? (
        <span className="px-1 text-figure">
          <CountSign bars={bar.counts} />
        </span>
      ) : (
        <AgainSign twice={twice} />
      )}
    </button>
  );
}

interface ChordProps extends BarLook, Pick<BarProps, 'roomy'> {
  readonly chord: ChordCell;
  readonly bar: BarCell;
  readonly place: number;
  readonly pressed: boolean;
  readonly size: NumeralSize | 'text-base';
}

function ChordOfSheet({ chord, bar, place, pressed, size, roomy, turn, layer, onSelect, onWrite }: ChordProps) {
  const over = layer?.get(`${bar.index}.${place}`);
  return (
    <button
      type="button"
      data-chord
      data-place={`${bar.index}.${place}`}
      aria-pressed={pressed}
      onClick={(event: MouseEvent) => onSelect(bar.index, place, event.shiftKey)}
      onDoubleClick={() => onWrite(bar.index, 'edit')}
      className="flex min-w-0 flex-col items-start rounded-md px-1 pb-0.5 text-left hover:bg-wash aria-pressed:bg-wash aria-pressed:shadow-[inset_0_-3px_0_var(--accent)]"
    >
      <Named
        name={bar.unread === null ? chordLabel(chord, bar.index) : CHART_WORDS.unreadLabel(bar.index + 1, bar.unread.text)}
        className={`${bar.unread === null ? '' : 'text-alarm'} flex w-full min-w-0 flex-col items-start`}
      >
        {over?.bracket != null && <LayerBracket {...over.bracket} />}
        {roomy && (
          <span className="flex h-[17px] items-end gap-1.5">
            {chord.marks.ring && <Diamond />}
            {chord.beats !== null && <BeatMarks beats={chord.beats} />}
          </span>
        )}
        <MarkedChord chord={chord} size={size} />
        {(chord.under !== null || chord.sounding !== null) && (
          <span className={`${turn ? 'letters-slide' : 'letters-slide-again'} flex flex-wrap items-baseline gap-x-1.5`}>
            {chord.under !== null && <LetterSymbol view={chord.under} className="text-base leading-tight font-semibold" />}
            {chord.sounding !== null && <span className="music-glyph text-fine text-quiet">= {symbolText(chord.sounding)}</span>}
          </span>
        )}
        {over?.lines.map((line) => (
          <span key={line} className="music-glyph mt-0.5 text-fine leading-tight font-medium text-quiet">
            {line}
          </span>
        ))}
      </Named>
    </button>
  );
}

/** A chord with the marks around it: pushed, let ring, stopped, optional. */
function MarkedChord({ chord: { main, marks }, size }: { readonly chord: ChordCell; readonly size: string }) {
  return (
    <span className="flex items-center">
      {marks.push && <PushMark />}
      {marks.optional && <span className="mr-0.5 text-head text-quiet">(</span>}
      <span className={size}>
        {main === null ? <span className="font-numeral text-head font-bold">N.C.</span> : <ChordSymbol view={main} className="font-bold" />}
      </span>
      {marks.optional && <span className="ml-0.5 text-head text-quiet">)</span>}
      {marks.stop && <StopMark />}
    </span>
  );
}

/** A bracket over a ii–V; broken when it does not arrive. */
function LayerBracket({ begins, ends, complete }: NonNullable<ChordLayer['bracket']>) {
  return (
    <span
      className={`-mx-1 mb-0.5 h-[6px] self-stretch border-t-2 border-quiet ${begins ? 'ml-0 border-l-2' : ''} ${ends ? 'mr-1 border-r-2' : ''} ${complete ? '' : 'border-dashed'}`}
    />
  );
}

function chordLabel({ number, letter, sounding, marks }: ChordCell, bar: number): string {
  const read = number === null || letter === null ? CHART_WORDS.noChord : `${number.label}, ${letter.label}`;
  const sounds = sounding === null ? '' : CHART_WORDS.sounding(sounding.label);
  const said = [
    marks.push ? ', pushed' : '',
    marks.ring ? CHART_WORDS.letRingSaid : '',
    marks.stop ? ', stop' : '',
    marks.optional ? ', optional' : '',
  ].join('');
  return CHART_WORDS.barLabel(bar + 1, read, sounds, said);
}
