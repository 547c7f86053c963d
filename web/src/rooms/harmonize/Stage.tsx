import type { Chord } from '@aurora/core';
import { Word } from '../../parts/glossary/Word.tsx';
import { ChordColumn } from './ChordColumn.tsx';
import { type ColumnView, ridgePath } from './harmonize-view.ts';

const RISE = 46;
const LOW_RISE = 20;

interface StageProps {
  readonly columns: readonly ColumnView[];
  readonly index: number;
  readonly compact: boolean;
  /** Which chord sounds, null in silence. */
  readonly playing: number | null;
  readonly onSelect: (index: number, chord: Chord) => void;
  readonly onAdd: (index: number) => void;
}

/** The seven chords of the key, standing as high as they pull. */
export function Stage({ columns, index, compact, playing, onSelect, onAdd }: StageProps) {
  const rise = compact ? LOW_RISE : RISE;
  return (
    <div className="relative">
      <Ridge columns={columns} rise={rise} />
      <div role="group" aria-label="The chords of the key" className="relative grid grid-cols-7 gap-2 pb-[3px] max-md:gap-1">
        {columns.map((view, at) => (
          <ChordColumn
            key={view.number.degree}
            view={view}
            rise={rise}
            compact={compact}
            selected={at === index}
            sounding={playing === at}
            onSelect={() => onSelect(at, view.chord)}
            onAdd={() => onAdd(at)}
          />
        ))}
      </div>
      <div className="grid grid-cols-7 gap-2 pt-1 text-center text-fine font-semibold max-md:gap-1">
        {columns.map(({ number, function: role }) => (
          <span key={number.degree} className={FUNCTION_TEXT[role]}>
            <Word term="function">{role}</Word>
          </span>
        ))}
      </div>
    </div>
  );
}

const FUNCTION_TEXT = { tonic: 'text-tonic', subdominant: 'text-subdominant', dominant: 'text-dominant' } as const;

/** The ground the chords stand on: flat at rest, a slope away from home, a peak that pulls back. */
function Ridge({ columns, rise }: { readonly columns: readonly ColumnView[]; readonly rise: number }) {
  const path = ridgePath(
    columns.map((column) => column.function),
    rise,
  );
  return (
    <svg
      aria-hidden="true"
      viewBox={`0 0 ${columns.length * 100} ${rise}`}
      preserveAspectRatio="none"
      className="absolute right-0 bottom-[24px] left-0 w-full overflow-visible"
      style={{ height: rise }}
    >
      <path d={`${path} Z`} fill="var(--wash)" />
      <path d={path} fill="none" stroke="var(--accent)" strokeWidth="2.5" vectorEffect="non-scaling-stroke" strokeLinejoin="round" />
    </svg>
  );
}
