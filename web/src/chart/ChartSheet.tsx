import { ChordSymbol, LetterSymbol } from '../notation/ChordSymbol.tsx';
import { symbolText } from '../notation/symbol-view.ts';
import type { Sheet, SheetBar, SheetChord, SheetRow, SheetSection } from './sheet-view.ts';

/** Which chord of which bar. */
export interface ChordPlace {
  readonly bar: number;
  readonly chord: number;
}

interface SheetProps {
  readonly sheet: Sheet;
  readonly selected: ChordPlace | null;
  readonly onSelect: (place: ChordPlace, chord: SheetChord) => void;
  /** Changes with the key and the reader, so that the letters slide in anew. */
  readonly letterKey: string;
  /** The analysis over the bars, by `bar.chord`; null while it is switched off. */
  readonly layer: ReadonlyMap<string, ChordLayer> | null;
}

type Inner = Omit<SheetProps, 'sheet'>;

/** What the analysis lays over a chord. */
export interface ChordLayer {
  readonly lines: readonly string[];
  readonly bracket: { readonly begins: boolean; readonly ends: boolean; readonly complete: boolean } | null;
}

/** The number chart: bars on a quiet grid, numbers large, the reader's letters under them. */
export function ChartSheet({ sheet, ...inner }: SheetProps) {
  return (
    <article aria-label="Chart" className="px-6 py-5">
      <p className="mb-4 text-[15px] text-quiet">{sheet.facts.join('  ·  ')}</p>
      {sheet.sections.map((section, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: sections may share a name; their place tells them apart
        <SectionOfSheet key={index} section={section} {...inner} />
      ))}
      {sheet.left > 0 && <p className="py-4 font-semibold text-alarm">{sheet.left} more bars are in the text and not drawn here.</p>}
    </article>
  );
}

function SectionOfSheet({ section, ...inner }: Inner & { readonly section: SheetSection }) {
  return (
    <section aria-label={section.name ?? 'Before the first section'} className="mb-6">
      {section.name !== null && (
        <h2 className="mb-1.5 flex items-baseline gap-3">
          <span className="rounded-md bg-wash px-2.5 py-0.5 font-numeral text-lg font-bold text-accent">{section.name}</span>
          {section.times > 1 && <span className="text-lg font-bold">×{section.times}</span>}
          {section.remark !== null && <span className="text-[15px] text-quiet">{section.remark}</span>}
        </h2>
      )}
      {section.rows.map((row, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: rows have no name but their place
        <RowOfSheet key={index} row={row} {...inner} />
      ))}
    </section>
  );
}

function RowOfSheet({ row, ...inner }: Inner & { readonly row: SheetRow }) {
  return (
    <div className="border-b border-hairline py-1">
      <div className="grid grid-cols-4">
        {row.bars.map((bar, index) => (
          <BarOfSheet key={bar.index} bar={bar} last={index === row.bars.length - 1} {...inner} />
        ))}
      </div>
      {row.words.map((words) => (
        <p key={words} className="px-3 pb-1.5 text-[15px] text-quiet italic">
          {words}
        </p>
      ))}
    </div>
  );
}

function BarOfSheet({ bar, last, ...inner }: Inner & { readonly bar: SheetBar; readonly last: boolean }) {
  const shared = bar.chords.length > 1 && bar.sign === 'chords';
  return (
    <div
      className={`relative flex min-h-[84px] flex-col border-l-2 border-edge px-1.5 pt-3.5 pb-1 ${last ? 'border-r-2' : ''} ${bar.wrong ? 'bg-alarm/10' : ''}`}
    >
      <BarHeading bar={bar} />
      {bar.sign !== 'chords' ? (
        <RepeatSign twice={bar.sign === '%%'} />
      ) : (
        <div className={`flex ${shared ? 'border-b-2 border-quiet/50' : ''}`}>
          {bar.chords.map((chord, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: chords have no name but their place
            <ChordOfSheet key={index} chord={chord} place={{ bar: bar.index, chord: index }} crowd={bar.chords.length} {...inner} />
          ))}
        </div>
      )}
      {bar.remarks.map(({ to, text }) => (
        <p key={text} className="mt-1 text-[13px] leading-tight font-medium text-quiet">
          {to !== null && <b className="text-ink">{to}: </b>}
          {text}
        </p>
      ))}
    </div>
  );
}

function BarHeading({ bar }: { readonly bar: SheetBar }) {
  const parts = [bar.newKey === null ? null : `key ${bar.newKey}`, bar.newMeter, bar.pickup ? 'pickup' : null].filter(
    (part) => part !== null,
  );
  return parts.length === 0 ? null : (
    <p className="music-glyph absolute top-0.5 left-2 text-[13px] font-bold text-accent">{parts.join(' · ')}</p>
  );
}

interface ChordProps extends Inner {
  readonly chord: SheetChord;
  readonly place: ChordPlace;
  readonly crowd: number;
}

function ChordOfSheet({ chord, place, crowd, selected, onSelect, letterKey, layer }: ChordProps) {
  const over = layer?.get(`${place.bar}.${place.chord}`);
  const chosen = selected?.bar === place.bar && selected.chord === place.chord;
  const size = crowd <= 1 ? 'text-[42px]' : crowd === 2 ? 'text-[32px]' : 'text-[24px]';
  return (
    <button
      type="button"
      data-chord
      data-place={`${place.bar}.${place.chord}`}
      aria-pressed={chosen}
      aria-label={chordLabel(chord, place)}
      onClick={() => onSelect(place, chord)}
      className="flex flex-col items-start rounded-md px-1 pb-1 text-left hover:bg-wash aria-pressed:bg-wash aria-pressed:shadow-[inset_0_-3px_0_var(--accent)]"
      style={{ flex: `${chord.share} 1 auto` }}
    >
      {over?.bracket != null && <LayerBracket {...over.bracket} />}
      <span aria-hidden="true" className="flex h-2.5 items-center gap-[3px]">
        {chord.beats !== null && <BeatDots beats={chord.beats} />}
      </span>
      <span aria-hidden="true" className="flex items-center">
        {chord.marks.push && <PushMark />}
        <span className={`relative ${chord.marks.ring ? 'mx-4 mb-2' : ''}`}>
          {chord.marks.ring && <Diamond />}
          {chord.number === null ? (
            <span className="font-numeral text-2xl font-bold">N.C.</span>
          ) : (
            <ChordSymbol view={chord.number} className={`relative font-bold ${size}`} />
          )}
        </span>
        {chord.marks.stop && <StopMark />}
        {chord.marks.optional && <span className="ml-1 text-lg text-quiet">( )</span>}
      </span>
      {chord.letter !== null && (
        <span key={letterKey} aria-hidden="true" className="letters-slide mt-0.5 flex flex-wrap items-baseline gap-x-1.5">
          <LetterSymbol view={chord.letter} className={crowd > 2 ? 'text-[15px] font-semibold' : 'text-[17px] font-semibold'} />
          {chord.sounding !== null && <span className="music-glyph text-[13px] text-quiet">= {symbolText(chord.sounding)}</span>}
        </span>
      )}
      {over?.lines.map((line) => (
        <span key={line} className="music-glyph mt-0.5 text-[13px] leading-tight font-medium text-quiet">
          {line}
        </span>
      ))}
    </button>
  );
}

/** A bracket over a ii–V; broken when it does not arrive. */
function LayerBracket({ begins, ends, complete }: NonNullable<ChordLayer['bracket']>) {
  return (
    <span
      aria-hidden="true"
      className={`-mx-1 mb-0.5 h-[6px] self-stretch border-t-2 border-quiet ${begins ? 'ml-0 border-l-2' : ''} ${ends ? 'mr-1 border-r-2' : ''} ${complete ? '' : 'border-dashed'}`}
    />
  );
}

function chordLabel({ number, letter, sounding, marks }: SheetChord, { bar }: ChordPlace): string {
  const read = number === null || letter === null ? 'no chord' : `${number.label}, ${letter.label}`;
  const sounds = sounding === null ? '' : `, sounding ${sounding.label}`;
  const said = [
    marks.push ? ', pushed' : '',
    marks.ring ? ', let ring' : '',
    marks.stop ? ', stop' : '',
    marks.optional ? ', optional' : '',
  ].join('');
  return `Bar ${bar + 1}: ${read}${sounds}${said}`;
}

function BeatDots({ beats }: { readonly beats: number }) {
  const whole = Array.from({ length: Math.floor(beats) }, (_, beat) => beat);
  return (
    <>
      {whole.map((beat) => (
        <span key={beat} className="size-[5px] rounded-full bg-quiet" />
      ))}
      {beats % 1 !== 0 && <span className="h-[5px] w-[3px] rounded-l-full bg-quiet" />}
    </>
  );
}

/** Let ring: a diamond around the number. */
function Diamond() {
  return (
    <svg
      viewBox="0 0 100 100"
      preserveAspectRatio="none"
      className="absolute -inset-x-4 -top-0.5 h-[calc(100%+0.75rem)] w-[calc(100%+2rem)] text-ink"
      aria-hidden="true"
    >
      <path d="M50 2 98 50 50 98 2 50Z" fill="none" stroke="currentColor" strokeWidth="2" vectorEffect="non-scaling-stroke" />
    </svg>
  );
}

/** Pushed: a tie reaching back over the bar line. */
function PushMark() {
  return (
    <svg viewBox="0 0 22 22" className="-ml-3 w-5 shrink-0 text-dominant" aria-hidden="true">
      <path d="M2 9q9 10 18 0" fill="none" stroke="currentColor" strokeWidth="2.4" strokeLinecap="round" />
    </svg>
  );
}

/** Stop: a wedge, short and choked. */
function StopMark() {
  return (
    <svg viewBox="0 0 12 18" className="ml-1.5 w-2.5 shrink-0 self-start text-dominant" aria-hidden="true">
      <path d="M1 1h10L6 17Z" fill="currentColor" />
    </svg>
  );
}

/** The same bar, or the same two bars, again. */
function RepeatSign({ twice }: { readonly twice: boolean }) {
  return (
    <svg
      viewBox="0 0 48 36"
      role="img"
      aria-label={twice ? 'the two bars before, again' : 'the bar before, again'}
      className="m-auto w-14 text-quiet"
    >
      <path d={twice ? 'M10 32 28 4M20 32 38 4' : 'M14 32 34 4'} stroke="currentColor" strokeWidth="4.5" strokeLinecap="round" />
      <circle cx="11" cy="10" r="4" fill="currentColor" />
      <circle cx="37" cy="26" r="4" fill="currentColor" />
    </svg>
  );
}
