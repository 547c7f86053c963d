import { symbolText } from '@aurora/core';
import { ChordSymbol, LetterSymbol } from '../../parts/notation/ChordSymbol.tsx';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { AddIcon } from '../../ui/icons.ts';
import { Named } from '../../ui/Named.tsx';
import { HARMONIZE_WORDS } from '../../wording/harmonize.ts';
import type { ColumnView } from './harmonize-view.ts';

interface ChordLineProps {
  readonly view: ColumnView;
  readonly selected: boolean;
  readonly sounding: boolean;
  readonly onSelect: () => void;
  readonly onAdd: () => void;
}

/** How far from the edge the furthest chord stands, in rem: the ridge lies on its side. */
const REACH = 1.75;

/** A chord of the key as a line: further in the more it pulls, its notes beside it. */
export function ChordLine({ view, selected, sounding, onSelect, onAdd }: ChordLineProps) {
  const look = selected ? 'border-accent bg-raised' : 'border-hairline bg-sheet';
  const notes = view.tones.map(({ note }) => note).reverse();
  return (
    <div
      className="flex items-stretch py-0.5 transition-[padding] before:mr-1.5 before:w-1 before:rounded before:bg-accent/40"
      style={{ paddingLeft: `${view.height * REACH}rem` }}
    >
      <div className={`flex min-w-0 flex-1 overflow-hidden rounded-xl border-2 ${look} ${sounding ? 'bg-wash' : ''}`}>
        <button
          type="button"
          data-chord
          aria-pressed={selected}
          onClick={onSelect}
          className="flex min-h-13 min-w-0 flex-1 items-center gap-3 px-3 text-left"
        >
          <Named name={`${view.numeral.label}, ${view.letter.label}, ${view.quality}`} className="flex min-w-0 flex-1 items-center gap-3">
            <ChordSymbol view={view.numeral} className="w-20 shrink-0 items-start! text-head font-bold" />
            <span className="flex min-w-0 flex-col leading-tight">
              <LetterSymbol view={view.letter} className="truncate text-base font-bold" />
              <span className="music-glyph truncate text-fine text-quiet">
                {view.sounding !== null && `= ${symbolText(view.sounding)} · `}
                <Glyphs text={notes.join(' ')} />
              </span>
            </span>
          </Named>
        </button>
        <Hint text={HARMONIZE_WORDS.addNumberToTheProgression(view.numeral.label)}>
          <button
            type="button"
            aria-label={HARMONIZE_WORDS.addNumberToTheProgression(view.numeral.label)}
            onClick={onAdd}
            className="grid w-12 shrink-0 place-items-center border-l border-hairline text-quiet"
          >
            <AddIcon size={20} />
          </button>
        </Hint>
      </div>
    </div>
  );
}
