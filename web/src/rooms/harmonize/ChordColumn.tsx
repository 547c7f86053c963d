import { symbolText } from '@aurora/core';
import { Plus } from 'lucide-react';
import { ChordSymbol, LetterSymbol } from '../../parts/notation/ChordSymbol.tsx';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { type ColumnView, FUNCTION_HEIGHT } from './harmonize-view.ts';

interface ChordColumnProps {
  readonly view: ColumnView;
  readonly selected: boolean;
  readonly sounding: boolean;
  readonly rise: number;
  /** Without its stack, where the room is needed for something else. */
  readonly compact: boolean;
  readonly onSelect: () => void;
  readonly onAdd: () => void;
}

/** A chord of the key standing on the ridge: its stack of thirds, its number, its letters. */
export function ChordColumn({ view, selected, sounding, rise, compact, onSelect, onAdd }: ChordColumnProps) {
  const look = selected ? 'border-accent bg-raised shadow-[0_2px_0_0_var(--accent)]' : 'border-hairline bg-sheet hover:border-edge';
  return (
    <div className="flex min-w-0 flex-col justify-end" style={{ paddingBottom: FUNCTION_HEIGHT[view.function] * rise }}>
      <button
        type="button"
        data-chord
        aria-pressed={selected}
        aria-label={`${view.numeral.label}, ${view.letter.label}, ${view.quality}`}
        onClick={onSelect}
        className={`flex flex-col items-center rounded-t-xl border-2 px-1 pt-2 pb-1 ${look} ${sounding ? 'bg-wash' : ''}`}
      >
        {!compact && <Stack view={view} />}
        <ChordSymbol
          view={view.numeral}
          className={`${compact ? 'h-9' : 'mt-1.5 h-12'} items-end font-bold ${compact ? 'text-figure max-lg:text-head' : numeralSize(view.numeral.raised)}`}
        />
        <LetterSymbol
          view={view.letter}
          className={`mt-1 font-bold ${symbolText(view.letter).length > 9 ? 'text-fine max-lg:text-fine' : 'text-lead max-lg:text-base'}`}
        />
        {view.sounding !== null && <span className="music-glyph text-fine text-quiet">= {symbolText(view.sounding)}</span>}
        {!compact && (
          <span className="pb-0.5 text-center text-fine leading-tight whitespace-nowrap text-quiet max-lg:hidden">
            {view.quality.replace('half-diminished', 'half-dim.').replace('seventh', '7th')}
          </span>
        )}
      </button>
      {!compact && (
        <Hint text={`Add ${symbolText(view.letter)} to the progression`} keys="Enter">
          <button
            type="button"
            aria-label={`Add ${view.numeral.label} to the progression`}
            onClick={onAdd}
            className="grid min-h-11 place-items-center rounded-b-xl border-2 border-t-0 border-hairline bg-sheet text-quiet hover:border-accent hover:text-accent"
          >
            <Plus size={20} />
          </button>
        </Hint>
      )}
    </div>
  );
}

/** Long qualities need room beside their numeral. */
function numeralSize(raised: string): string {
  if (raised.length > 8) return 'text-head max-lg:text-base';
  return raised.length > 2 ? 'text-numeral max-lg:text-head' : 'text-numeral max-lg:text-figure';
}

/** Tones from the root up, each tied to the scale number it comes from, thirds named between them. */
function Stack({ view }: { readonly view: ColumnView }) {
  return (
    <ol className="grid w-full max-w-[112px] grid-cols-[1fr_auto_1fr] items-center gap-x-1.5 text-base leading-[20px]" aria-hidden="true">
      {view.tones.map(({ formula, note, degree, below }) => (
        <li key={formula} className="contents">
          <span className="music-glyph text-right text-quiet">{formula}</span>
          <span className="music-glyph w-8 text-center text-base font-bold">
            <Glyphs text={note} />
          </span>
          <span className="music-glyph text-fine text-quiet" title="scale number">
            {degree}
          </span>
          {below !== null && (
            <span
              className={`col-start-2 text-center text-fine leading-[11px] font-semibold ${below === 'A4' ? 'text-dominant' : 'text-quiet'}`}
            >
              {below}
            </span>
          )}
          {below !== null && <span />}
        </li>
      ))}
    </ol>
  );
}
