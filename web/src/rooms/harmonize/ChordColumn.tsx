import { symbolText } from '@aurora/core';
import { ChordSymbol, LetterSymbol } from '../../parts/notation/ChordSymbol.tsx';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { AddIcon } from '../../ui/icons.ts';
import { Named } from '../../ui/Named.tsx';
import { HARMONIZE_WORDS } from '../../wording/harmonize.ts';
import type { CardType } from './card-type.ts';
import type { ColumnView } from './harmonize-view.ts';

interface ChordColumnProps {
  readonly view: ColumnView;
  readonly selected: boolean;
  readonly sounding: boolean;
  readonly rise: number;
  /** Without its stack, where the room is needed for something else. */
  readonly compact: boolean;
  readonly type: CardType;
  readonly onSelect: () => void;
  readonly onAdd: () => void;
}

/** A chord of the key standing on the ridge: its number, its letters and, when it is chosen, its stack of thirds. */
export function ChordColumn({ view, selected, sounding, rise, compact, type, onSelect, onAdd }: ChordColumnProps) {
  const look = selected ? 'border-accent bg-raised' : 'border-hairline bg-sheet hover:border-edge';
  return (
    <div className="flex min-w-0 flex-col justify-end" style={{ paddingBottom: view.height * rise }}>
      <div className={`flex flex-col overflow-hidden rounded-xl border-2 ${look} ${sounding ? 'bg-wash' : ''}`}>
        <button
          type="button"
          data-chord
          aria-pressed={selected}
          onClick={onSelect}
          className="flex min-h-11 flex-col items-center px-1 pt-2 pb-1"
        >
          <Named name={`${view.numeral.label}, ${view.letter.label}, ${view.quality}`} className="flex w-full flex-col items-center">
            {selected && !compact && <Stack view={view} />}
            <ChordSymbol view={view.numeral} tail={type.tail} className={`mt-1 font-bold ${type.numeral}`} />
            <LetterSymbol view={view.letter} tail={type.tail} className={`mt-1.5 text-center leading-tight font-bold ${type.letter}`} />
            {view.sounding !== null && (
              <span data-symbol className="music-glyph text-fine text-quiet">
                = {symbolText(view.sounding)}
              </span>
            )}
            {!compact && (
              <span className="text-center text-fine leading-tight text-quiet">
                {view.quality.replace('half-diminished', 'half-dim.').replace('seventh', '7th')}
              </span>
            )}
          </Named>
        </button>
        {!compact && (
          <Hint text={HARMONIZE_WORDS.addToTheProgression(symbolText(view.letter))} keys="Enter">
            <button
              type="button"
              aria-label={HARMONIZE_WORDS.addNumberToTheProgression(view.numeral.label)}
              onClick={onAdd}
              className="grid min-h-11 place-items-center border-t border-hairline text-quiet hover:bg-wash hover:text-accent"
            >
              <AddIcon size={20} />
            </button>
          </Hint>
        )}
      </div>
    </div>
  );
}

/** Tones from the root up, each tied to the scale number it comes from, thirds named between them. */
function Stack({ view }: { readonly view: ColumnView }) {
  return (
    <ol className="grid w-full max-w-[112px] grid-cols-[1fr_auto_1fr] items-center gap-x-1.5 text-fine leading-[18px]" aria-hidden="true">
      {view.tones.map(({ formula, note, degree, below }) => (
        <li key={formula} className="contents">
          <span className="music-glyph text-right text-quiet">{formula}</span>
          <span className="music-glyph w-8 text-center text-base leading-[18px] font-bold">
            <Glyphs text={note} />
          </span>
          <span className="music-glyph text-quiet" title={HARMONIZE_WORDS.scaleNumber}>
            {degree}
          </span>
          {below !== null && (
            <span className={`col-start-2 text-center leading-[13px] font-semibold ${below === 'A4' ? 'text-dominant' : 'text-quiet'}`}>
              {below}
            </span>
          )}
          {below !== null && <span />}
        </li>
      ))}
    </ol>
  );
}
