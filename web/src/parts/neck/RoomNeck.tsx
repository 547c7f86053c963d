import type { Barre, Frets, Instrument } from '@aurora/core';
import type { ReactNode } from 'react';
import { NeckBoard } from './NeckBoard.tsx';
import { mutedIn } from './NeckDock.tsx';
import type { NeckDot } from './neck-view.ts';

interface RoomNeckProps {
  readonly instrument: Instrument;
  readonly dots: readonly NeckDot[];
  /** The frets of the shape that is shown; null when single notes are. */
  readonly frets?: Frets | null;
  readonly barres?: readonly Barre[];
  readonly sounding?: { readonly string: number; readonly fret: number } | null;
  /** What is shown, in words above the neck. */
  readonly children?: ReactNode;
  readonly sideways?: boolean;
  readonly onTap?: (string: number, fret: number) => void;
}

/** The whole neck, as wide as the room. */
export function RoomNeck({
  instrument,
  dots,
  frets = null,
  barres = [],
  sounding = null,
  children,
  sideways = true,
  onTap,
}: RoomNeckProps) {
  return (
    <section aria-label="Neck" className="rounded-xl border border-hairline bg-sheet px-3 pt-2 pb-1">
      <div className="mb-1 flex min-h-8 flex-wrap items-baseline gap-x-4 gap-y-1 px-2">{children}</div>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: where the neck is wider than the window, the keyboard must be able to scroll it */}
      <section aria-label="Frets" tabIndex={0} className="overflow-x-auto">
        <NeckBoard
          instrument={instrument}
          lastFret={instrument.frets}
          dots={dots}
          muted={frets === null ? [] : mutedIn(frets)}
          barres={barres}
          sounding={sounding}
          label={`${instrument.name} neck`}
          sideways={sideways}
          roomy
          {...(onTap === undefined ? {} : { onTap })}
          className="h-auto w-full min-w-[900px]"
        />
      </section>
    </section>
  );
}
