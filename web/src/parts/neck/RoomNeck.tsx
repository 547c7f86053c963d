import type { Barre, Frets, Instrument } from '@aurora/core';
import { type ReactNode, useState } from 'react';
import { usePhone } from '../../session/use-media.ts';
import { Button } from '../../ui/Button.tsx';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { NeckBoard } from './NeckBoard.tsx';
import { mutedIn } from './NeckDock.tsx';
import { fretsAround, type NeckDot } from './neck-view.ts';

interface RoomNeckProps {
  readonly instrument: Instrument;
  readonly dots: readonly NeckDot[];
  /** The frets of the shape that is shown; null when single notes are. */
  readonly frets?: Frets | null;
  readonly barres?: readonly Barre[];
  readonly sounding?: { readonly string: number; readonly fret: number } | null;
  /** What is shown, in words above the neck. */
  readonly children?: ReactNode;
  /** What is done with it, under the neck. */
  readonly foot?: ReactNode;
  readonly sideways?: boolean;
  readonly onTap?: (string: number, fret: number) => void;
}

/** The neck, as wide as the room: the whole of it, or the frets around a shape. */
export function RoomNeck({
  instrument,
  dots,
  frets = null,
  barres = [],
  sounding = null,
  children,
  foot,
  sideways = true,
  onTap,
}: RoomNeckProps) {
  const isPhone = usePhone();
  const [whole, setWhole] = useState(false);
  const zoomed = !whole && onTap === undefined;
  return (
    <section aria-label={PARTS_WORDS.neck} className="rounded-xl border border-hairline bg-sheet px-3 pt-2 pb-1">
      <div className="mb-1 flex min-h-8 flex-wrap items-baseline gap-x-4 gap-y-1 px-2">
        {children}
        {frets !== null && !isPhone && (
          <Button look="bare" className="px-2!" aria-pressed={whole} onClick={() => setWhole(!whole)}>
            {whole ? PARTS_WORDS.nearTheShape : PARTS_WORDS.theWholeNeck}
          </Button>
        )}
      </div>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: where the neck is wider than the window, the keyboard must be able to scroll it */}
      <section aria-label={PARTS_WORDS.frets} tabIndex={0} className="overflow-x-auto">
        <NeckBoard
          instrument={instrument}
          {...(zoomed && frets !== null ? fretsAround(frets, instrument) : { lastFret: instrument.frets })}
          dots={dots}
          muted={frets === null ? [] : mutedIn(frets)}
          barres={barres}
          sounding={sounding}
          label={PARTS_WORDS.neckOf(instrument.name)}
          sideways={sideways}
          roomy
          {...(onTap === undefined ? {} : { onTap })}
        />
      </section>
      {foot}
    </section>
  );
}
