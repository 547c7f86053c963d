import { useRef } from 'react';
import { Word } from '../../parts/glossary/Word.tsx';
import { usePhone } from '../../session/use-media.ts';
import { useInnerWidth } from '../../ui/use-width.ts';
import { HARMONIZE_WORDS } from '../../wording/harmonize.ts';
import { ChordColumn } from './ChordColumn.tsx';
import { ChordLine } from './ChordLine.tsx';
import { cardType } from './card-type.ts';
import { type ColumnView, ridgePath } from './harmonize-view.ts';

const RISE = 56;
const LOW_RISE = 18;
const FIRST_WIDTH = 840;
const GAP = 8;

interface StageProps {
  readonly columns: readonly ColumnView[];
  readonly index: number;
  readonly compact: boolean;
  /** Which chord sounds, null in silence. */
  readonly playing: number | null;
  readonly onSelect: (index: number) => void;
  readonly onAdd: (index: number) => void;
}

/** The seven chords of the key, standing as high as they pull; on a phone one under the other. */
export function Stage(props: StageProps) {
  const isPhone = usePhone();
  return isPhone ? <Lines {...props} /> : <Cards {...props} />;
}

function Cards({ columns, index, compact, playing, onSelect, onAdd }: StageProps) {
  const rise = compact ? LOW_RISE : RISE;
  const group = useRef<HTMLDivElement>(null);
  const pixels = (useInnerWidth(group, FIRST_WIDTH) - GAP * (columns.length - 1)) / columns.length;
  const type = cardType(columns, pixels, compact);
  return (
    <div>
      <div className="relative">
        <div ref={group} role="group" aria-label={HARMONIZE_WORDS.theChordsOfTheKey} className="grid grid-cols-7 gap-2 pb-1">
          {columns.map((view, at) => (
            <ChordColumn
              key={view.number.degree}
              view={view}
              rise={rise}
              compact={compact}
              type={type}
              selected={at === index}
              sounding={playing === at}
              onSelect={() => onSelect(at)}
              onAdd={() => onAdd(at)}
            />
          ))}
        </div>
        <Ridge columns={columns} rise={rise} />
      </div>
      <div className="grid grid-cols-7 gap-2 pt-1 text-center text-fine font-semibold">
        {columns.map(({ number, function: role }) => (
          <span key={number.degree} className={`truncate ${FUNCTION_TEXT[role]}`}>
            <Word term="function">{role}</Word>
          </span>
        ))}
      </div>
    </div>
  );
}

const FUNCTION_TEXT = { tonic: 'text-tonic', subdominant: 'text-subdominant', dominant: 'text-dominant' } as const;

function Lines({ columns, index, playing, onSelect, onAdd }: StageProps) {
  return (
    <div role="group" aria-label={HARMONIZE_WORDS.theChordsOfTheKey} className="flex flex-col">
      {columns.map((view, at) => (
        <ChordLine
          key={view.number.degree}
          view={view}
          selected={at === index}
          sounding={playing === at}
          onSelect={() => onSelect(at)}
          onAdd={() => onAdd(at)}
        />
      ))}
    </div>
  );
}

/** The ground before the chords: flat at rest, a slope away from home, a peak that pulls back. */
function Ridge({ columns, rise }: { readonly columns: readonly ColumnView[]; readonly rise: number }) {
  const path = ridgePath(columns, rise);
  return (
    <svg
      aria-hidden="true"
      viewBox={`0 0 ${columns.length * 100} ${rise}`}
      preserveAspectRatio="none"
      className="pointer-events-none absolute right-0 bottom-0 left-0 z-10 w-full overflow-visible"
      style={{ height: rise }}
    >
      <path d={`${path} Z`} fill="var(--sky)" />
      <path d={path} fill="none" stroke="var(--accent)" strokeWidth="2.5" vectorEffect="non-scaling-stroke" strokeLinejoin="round" />
    </svg>
  );
}
