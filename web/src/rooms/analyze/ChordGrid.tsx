import { symbolText } from '@aurora/core';
import type { Bracket, GridChord, GridRow } from '../../parts/analysis/analysis-view.ts';
import { ChordSymbol, LetterSymbol } from '../../parts/notation/ChordSymbol.tsx';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { symbolEms } from '../../parts/notation/symbol-width.ts';
import { FunctionMark } from '../../parts/ridge/FunctionMark.tsx';
import { Named } from '../../ui/Named.tsx';
import { ANALYZE_WORDS } from '../../wording/analyze.ts';

interface ChordGridProps {
  readonly rows: readonly GridRow[];
  readonly selected: number | null;
  /** Chords of a pattern that is pointed out. */
  readonly marked: { readonly from: number; readonly to: number } | null;
  readonly onSelect: (index: number) => void;
}

/** The song's chords in bars: number, letters, Roman numeral, and what each is doing. */
export function ChordGrid({ rows, selected, marked, onSelect }: ChordGridProps) {
  return (
    <section aria-label={ANALYZE_WORDS.chords} className="flex flex-col">
      {rows.map(({ section, bars }) => (
        <div key={bars[0]?.bar ?? 0}>
          {section !== null && <h3 className="pt-1 font-numeral text-base leading-tight font-bold text-accent">{section}</h3>}
          <div className="grid grid-cols-4 max-md:grid-cols-2">
            {bars.map(({ bar, chords }) => (
              <div key={bar} className="flex min-w-0 border-l-2 border-edge pt-0.5 pb-0.5 pl-1">
                {chords.map((chord) => (
                  <Cell
                    key={chord.index}
                    chord={chord}
                    crowded={chords.length > 2}
                    chosen={selected === chord.index}
                    marked={marked !== null && chord.index >= marked.from && chord.index <= marked.to}
                    onSelect={() => onSelect(chord.index)}
                  />
                ))}
              </div>
            ))}
          </div>
        </div>
      ))}
    </section>
  );
}

/** A symbol longer than this is set smaller. */
const LONG_EMS = 2.4;

interface CellProps {
  readonly chord: GridChord;
  readonly crowded: boolean;
  readonly chosen: boolean;
  readonly marked: boolean;
  readonly onSelect: () => void;
}

function Cell({ chord, crowded, chosen, marked, onSelect }: CellProps) {
  const { number, letter, sounding, romans, role, reading, yours, bracket, newKey, optional } = chord;
  return (
    <div className="flex min-w-0 flex-1 flex-col">
      <BracketLine bracket={bracket} />
      <button
        type="button"
        data-chord
        data-index={chord.index}
        aria-pressed={chosen}
        onClick={onSelect}
        className={`flex min-w-0 flex-1 scroll-mt-16 scroll-mb-16 group-data-[drawer=open]/desk:scroll-mb-64 flex-col items-start rounded-md ${crowded ? 'px-0.5' : 'px-1.5'} pt-0.5 pb-1 text-left hover:bg-wash aria-pressed:bg-wash aria-pressed:shadow-[inset_0_-3px_0_var(--accent)] ${marked ? 'bg-wash' : ''}`}
      >
        <Named name={chord.label} className="flex w-full min-w-0 flex-col items-start">
          <span className="flex min-h-[34px] flex-wrap items-end gap-x-1.5">
            <ChordSymbol view={number} className={`font-bold ${crowded || symbolEms(number) > LONG_EMS ? 'text-head' : 'text-figure'}`} />
            {optional && <span className="text-quiet">( )</span>}
            {!crowded && <FunctionMark role={role} className="mr-1.5 mb-1" />}
          </span>
          <span className="flex flex-wrap items-baseline gap-x-2">
            <LetterSymbol view={letter} className="text-base font-semibold" />
            {sounding !== null && <span className="music-glyph text-fine text-quiet">= {symbolText(sounding)}</span>}
            {romans.map((roman, place) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: the two hearings have no name but their place
              <span key={place} className={`music-glyph text-base ${place === 0 ? 'text-quiet' : 'text-accent'}`}>
                <Glyphs text={roman} />
              </span>
            ))}
          </span>
          {(crowded || newKey !== null || reading !== null) && (
            <span className="mt-0.5 text-fine leading-tight font-semibold">
              {crowded && <FunctionMark role={role} className="mr-1.5 mb-1" />}
              {newKey !== null && (
                <span className="mr-1.5 text-accent">
                  {ANALYZE_WORDS.inWord} {newKey}
                </span>
              )}
              {reading !== null && (
                <span className="text-outside underline decoration-dashed decoration-1 underline-offset-[3px]">
                  {yours ? `yours: ${reading}` : reading}
                </span>
              )}
            </span>
          )}
        </Named>
      </button>
    </div>
  );
}

/** A bracket over a ii–V–I; broken when it does not arrive. */
function BracketLine({ bracket }: { readonly bracket: Bracket | null }) {
  if (bracket === null) return <span className="h-[9px]" />;
  const ends = `${bracket.begins ? 'ml-1.5 border-l-2' : '-ml-1.5'} ${bracket.ends ? 'mr-2 border-r-2' : ''}`;
  return <span title={bracket.name} className={`h-[9px] border-t-2 border-quiet ${ends} ${bracket.complete ? '' : 'border-dashed'}`} />;
}
