import { ArrowDown, ArrowUp, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { Hint } from '../../ui/Hint.tsx';
import { useStandLook } from './stand-look.ts';

export const ROUND = 'grid size-11 shrink-0 place-items-center rounded-lg border border-edge hover:border-accent disabled:opacity-45';

interface StandFootProps {
  readonly title: string;
  /** `Verse · page 2 of 3`. */
  readonly where: string;
  /** The key as the reader reads it, and what sounds where that is another. */
  readonly keyName: string;
  readonly sounds: string;
  /** Whether hands are there; else only what is read is in sight. */
  readonly handled: boolean;
  /** Whether the chart has repeats or jumps to play out. */
  readonly isFolded: boolean;
  readonly away: { readonly pathname: string; readonly search: string };
  readonly onStep: (semitones: 1 | -1) => void;
  /** What else stands at the foot. */
  readonly children: ReactNode;
}

const TURNS = [
  ['pages', 'Pages'],
  ['lines', 'Line by line'],
] as const;

const FORMS = [
  ['written', 'As written'],
  ['played', 'Played out'],
] as const;

/** At the foot of the stand: where one is and in which key; with a hand near, everything that can be changed. */
export function StandFoot({ title, where, keyName, sounds, handled, isFolded, away, onStep, children }: StandFootProps) {
  const look = useStandLook();
  const fade = `transition-opacity ${handled ? '' : 'pointer-events-none opacity-0 focus-within:pointer-events-auto focus-within:opacity-100'}`;
  return (
    <footer className="flex shrink-0 flex-wrap items-center gap-x-3 gap-y-1 border-t border-hairline px-3 py-1">
      <span className="flex min-w-0 flex-1 items-baseline gap-3 whitespace-nowrap">
        <h1 className="truncate font-numeral text-lead font-bold">{title}</h1>
        <span className="truncate text-base text-quiet" data-testid="stand-where">
          {where}
        </span>
      </span>
      <div className={`flex flex-wrap items-center gap-2 ${fade}`}>
        {children}
        <Choice label="How it turns" value={look.turn} options={TURNS} onChange={(turn) => useStandLook.setState({ turn })} />
        {isFolded && (
          <Choice label="Repeats and jumps" value={look.form} options={FORMS} onChange={(form) => useStandLook.setState({ form })} />
        )}
        <Hint text="Down a half step" keys="[">
          <button type="button" aria-label="Key down a half step" className={ROUND} onClick={() => onStep(-1)}>
            <ArrowDown size={20} />
          </button>
        </Hint>
      </div>
      <span className="music-glyph min-w-14 text-center text-head leading-none font-bold" data-testid="stand-key">
        <Glyphs text={keyName} />
        {sounds !== '' && <span className="block text-fine font-normal text-quiet">{sounds}</span>}
      </span>
      <div className={`flex items-center gap-2 ${fade}`}>
        <Hint text="Up a half step" keys="]">
          <button type="button" aria-label="Key up a half step" className={ROUND} onClick={() => onStep(1)}>
            <ArrowUp size={20} />
          </button>
        </Hint>
        <Hint text="Off the stand" keys="Esc">
          <Link to={away} aria-label="Off the stand" className={ROUND}>
            <X size={20} />
          </Link>
        </Hint>
      </div>
    </footer>
  );
}
