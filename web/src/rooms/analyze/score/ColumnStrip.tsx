import { cadenceName } from '@aurora/core';
import { type PointerEvent, useRef } from 'react';
import { ChordSymbol, LetterSymbol } from '../../../parts/notation/ChordSymbol.tsx';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { Named } from '../../../ui/Named.tsx';
import { Soon } from '../../../ui/Soon.tsx';
import { SCORE_WORDS } from '../../../wording/score.ts';
import type { ColumnBar, ColumnCell } from './score-view.ts';

interface ColumnStripProps {
  readonly bars: readonly ColumnBar[];
  readonly chosen: number;
  readonly onChoose: (index: number) => void;
  /** Puts the border a column begins with on another beat of a bar, both counted from 0. */
  readonly onDrag: (index: number, bar: number, beat: number) => void;
}

/** The harmonies bar by bar, each as wide as it lasts. */
export function ColumnStrip({ bars, chosen, onChoose, onDrag }: ColumnStripProps) {
  return (
    <section aria-label={SCORE_WORDS.harmonies} className="grid grid-cols-4 gap-y-1 max-md:grid-cols-2">
      <Soon instead={null}>
        {bars.map((bar, place) => (
          <Bar key={bar.number} bar={bar} place={place} chosen={chosen} onChoose={onChoose} onDrag={onDrag} />
        ))}
      </Soon>
    </section>
  );
}

interface BarProps extends Omit<ColumnStripProps, 'bars'> {
  readonly bar: ColumnBar;
  readonly place: number;
}

function Bar({ bar, place, chosen, onChoose, onDrag }: BarProps) {
  const frame = useRef<HTMLDivElement>(null);
  const first = bar.cells[0];
  const drag = (index: number) => (event: PointerEvent<HTMLElement>) => {
    const box = frame.current?.getBoundingClientRect();
    if (box === undefined) return;
    const beat = Math.round((2 * bar.beats * (event.clientX - box.left)) / box.width) / 2;
    onDrag(index, place, Math.max(0, Math.min(bar.beats, beat)));
  };
  return (
    <div className="flex min-w-0 flex-col border-l-2 border-edge">
      <button
        type="button"
        className="min-h-6 px-1.5 text-left text-fine font-semibold text-quiet hover:text-ink"
        onClick={() => first !== undefined && onChoose(first.index)}
      >
        <span className="sr-only">{SCORE_WORDS.bar} </span>
        {bar.number}
        {bar.newKey !== null && (
          <span className="ml-2 text-accent">
            <Glyphs text={bar.newKey} />
          </span>
        )}
      </button>
      <div ref={frame} className="flex min-w-0 flex-1">
        {bar.cells.map((cell) => (
          <div key={cell.index} className="relative flex min-w-0" style={{ flexGrow: cell.beats, flexBasis: 0 }}>
            {!cell.goesOn && cell.index > 0 && <BorderGrip label={cell.label} onDrop={drag(cell.index)} />}
            <Cell cell={cell} chosen={chosen === cell.index} onChoose={() => onChoose(cell.index)} />
          </div>
        ))}
      </div>
    </div>
  );
}

/** The border a column begins with, to be dragged; the keys for it stand with the column. */
function BorderGrip({ label, onDrop }: { readonly label: string; readonly onDrop: (event: PointerEvent<HTMLElement>) => void }) {
  return (
    <span
      aria-hidden="true"
      title={`${SCORE_WORDS.dragThisBorder}: ${label}`}
      className="absolute top-0 -left-1.5 z-10 h-full w-3 cursor-col-resize touch-none rounded hover:bg-accent/30"
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerUp={onDrop}
    />
  );
}

function Cell({ cell, chosen, onChoose }: { readonly cell: ColumnCell; readonly chosen: boolean; readonly onChoose: () => void }) {
  const { index, goesOn, letter, number, roman, bass, notes, isYours, isDoubtful, tones, cadence, label, beats } = cell;
  const signs = [
    isYours ? SCORE_WORDS.yours : '',
    isDoubtful ? SCORE_WORDS.notSure : '',
    tones > 0 ? SCORE_WORDS.besideTheChord(tones) : '',
    cadence === null ? '' : cadenceName(cadence),
  ].filter((sign) => sign !== '');
  return (
    <button
      type="button"
      data-column={index}
      aria-pressed={chosen}
      onClick={onChoose}
      className={`flex min-w-0 flex-1 scroll-mt-16 scroll-mb-64 flex-col items-start overflow-hidden rounded-md px-1.5 pb-1 text-left hover:bg-wash aria-pressed:bg-wash aria-pressed:shadow-[inset_0_-3px_0_var(--accent)] ${goesOn ? 'opacity-70' : ''}`}
    >
      <Named name={[label, ...signs].join(', ')} className="flex w-full min-w-0 flex-col items-start">
        {goesOn ? (
          <span className="text-lead text-quiet">–</span>
        ) : (
          <>
            <span className={`leading-tight ${isDoubtful ? 'underline decoration-dashed decoration-1 underline-offset-4' : ''}`}>
              {letter === null ? (
                <b className="text-lead">{SCORE_WORDS.questionMark}</b>
              ) : (
                <LetterSymbol view={letter} className="text-lead font-bold" />
              )}
            </span>
            <span className="flex flex-wrap items-baseline gap-x-1.5">
              {number !== null && <ChordSymbol view={number} className="text-base font-semibold" />}
              <span className="music-glyph text-base text-quiet">
                <Glyphs text={roman === '' ? notes : roman} />
              </span>
            </span>
            {beats >= 1 && bass !== '' && <span className="text-fine text-quiet">{bass}</span>}
            {signs.length > 0 && <span className="text-fine font-semibold text-outside">{signs.join(' · ')}</span>}
          </>
        )}
      </Named>
    </button>
  );
}
