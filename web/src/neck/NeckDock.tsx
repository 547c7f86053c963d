import { type Chord, type Naming, STANDARD_TUNING } from '@aurora/core';
import { ChevronDown } from 'lucide-react';
import { play } from '../audio/player.ts';
import { LetterSymbol } from '../notation/ChordSymbol.tsx';
import { letterView } from '../notation/symbol-view.ts';
import { Choice } from '../ui/Choice.tsx';
import { Hint } from '../ui/Hint.tsx';
import { fretX, LAST_FRET, NECK, type NeckDot, neckDots, POSITION_DOTS, spaceX, stringY } from './neck-view.ts';

interface NeckDockProps {
  readonly chord: Chord | null;
  readonly capo: number;
  readonly naming: Naming;
  readonly labels: 'notes' | 'formula';
  readonly onLabels: (labels: 'notes' | 'formula') => void;
  readonly onFold: () => void;
}

/** The neck along the bottom of every room: all tones of whatever is selected. */
export function NeckDock({ chord, capo, naming, labels, onLabels, onFold }: NeckDockProps) {
  return (
    <section aria-label="Neck" className="flex items-stretch gap-2 border-t border-edge bg-sheet py-2 pr-3 pl-5 max-lg:flex-col">
      <div className="flex w-[150px] shrink-0 flex-col justify-between gap-1 max-lg:w-auto max-lg:flex-row-reverse max-lg:items-center">
        <div className="flex items-start justify-between max-lg:flex-1 max-lg:items-center max-lg:gap-3">
          <h2 className="text-[13px] leading-snug font-medium text-quiet">
            {chord === null ? (
              'Select a chord to see it on the neck'
            ) : (
              <>
                <LetterSymbol view={letterView(chord, naming)} className="mr-2 text-2xl leading-tight font-bold text-ink lg:block" />
                as it sounds{capo > 0 ? `, capo ${capo}` : ''}
              </>
            )}
          </h2>
          <Hint text="Fold the neck away" keys="n">
            <button
              type="button"
              aria-label="Fold the neck away"
              onClick={onFold}
              className="-mt-1 grid size-11 shrink-0 place-items-center rounded-lg hover:bg-wash"
            >
              <ChevronDown size={20} />
            </button>
          </Hint>
        </div>
        <Choice label="What the dots show" value={labels} options={LABEL_CHOICES} onChange={onLabels} />
      </div>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: where the neck is wider than the window, the keyboard must be able to scroll it */}
      <section aria-label="Frets" tabIndex={0} className="min-w-0 flex-1 overflow-x-auto">
        <svg
          viewBox={`0 0 ${NECK.width} ${NECK.height}`}
          className="h-auto max-h-[176px] w-full min-w-[920px] lg:min-w-[540px]"
          role="group"
          aria-label="Guitar neck, standard tuning"
        >
          <Wood capo={capo} />
          {chord !== null &&
            neckDots(chord, capo, labels, naming).map((dot) => <Dot key={`${dot.tone.string}-${dot.tone.fret}`} dot={dot} />)}
        </svg>
      </section>
    </section>
  );
}

const LABEL_CHOICES = [
  ['notes', 'Notes'],
  ['formula', 'Formula'],
] as const;

function Wood({ capo }: { readonly capo: number }) {
  const bottom = stringY(6);
  return (
    <g aria-hidden="true">
      <rect x={NECK.nut} y={NECK.top - 11} width={fretX(LAST_FRET) - NECK.nut} height={bottom - NECK.top + 22} rx={3} fill="var(--wood)" />
      {POSITION_DOTS.map(({ fret, double }) =>
        (double ? [stringY(2) + NECK.gap / 2, stringY(4) + NECK.gap / 2] : [stringY(3) + NECK.gap / 2]).map((y) => (
          <circle key={`${fret}-${y}`} cx={spaceX(fret)} cy={y} r={5} fill="var(--fretwire)" />
        )),
      )}
      {Array.from({ length: LAST_FRET + 1 }, (_, fret) => (
        <line
          key={fretX(fret)}
          x1={fretX(fret)}
          x2={fretX(fret)}
          y1={NECK.top - 11}
          y2={bottom + 11}
          stroke={fret === 0 ? 'var(--ink)' : 'var(--fretwire)'}
          strokeWidth={fret === 0 ? 6 : 2}
        />
      ))}
      {STANDARD_TUNING.map((open, index) => (
        <line
          key={open}
          x1={NECK.nut}
          x2={fretX(LAST_FRET)}
          y1={stringY(6 - index)}
          y2={stringY(6 - index)}
          stroke="var(--string)"
          strokeWidth={3 - index * 0.4}
        />
      ))}
      {Array.from({ length: LAST_FRET }, (_, index) => (
        <text
          key={spaceX(index + 1)}
          x={spaceX(index + 1)}
          y={bottom + 26}
          textAnchor="middle"
          fontSize="12"
          fontWeight={600}
          fill="var(--quiet)"
        >
          {index + 1}
        </text>
      ))}
      {capo > 0 && (
        <rect x={spaceX(capo) - 7} y={NECK.top - 14} width={14} height={bottom - NECK.top + 28} rx={7} fill="var(--ink)" opacity={0.82} />
      )}
    </g>
  );
}

/** Roots are filled squares, other tones open circles: told apart without colour. */
function Dot({ dot }: { readonly dot: NeckDot }) {
  const { tone, x, y, label, name } = dot;
  const hear = () => void play(`neck-${tone.string}-${tone.fret}`, [{ midi: [tone.midi], beats: 2 }], 90);
  return (
    <g
      role="button"
      tabIndex={-1}
      aria-label={name}
      onClick={hear}
      onKeyDown={(event) => event.key === 'Enter' && hear()}
      className="cursor-pointer"
    >
      {tone.root ? (
        <rect x={x - 11.5} y={y - 10.5} width={23} height={21} rx={5} fill="var(--accent)" stroke="var(--sheet)" strokeWidth={1.5} />
      ) : (
        <circle cx={x} cy={y} r={10.5} fill="var(--raised)" stroke="var(--ink)" strokeWidth={1.6} />
      )}
      <text
        x={x}
        y={y + 4.4}
        textAnchor="middle"
        fontSize="12.5"
        fontWeight={700}
        fill={tone.root ? 'var(--on-accent)' : 'var(--ink)'}
        className="music-glyph"
      >
        {label}
      </text>
    </g>
  );
}
