import type { Instrument } from '@aurora/core';
import { type KeyboardEvent, useState } from 'react';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { DotMark } from './DotMark.tsx';
import type { NeckDot, NeckGeometry } from './neck-view.ts';
import { DIRECTIONS, mirrored, placeOf } from './neck-walk.ts';

interface TapProps {
  readonly dots: readonly NeckDot[];
  readonly neck: NeckGeometry;
  readonly instrument: Instrument;
  readonly onTap: (string: number, fret: number) => void;
}

/** Every place can be tapped; with the keyboard a frame walks over the neck and Enter taps. */
export function TapPlaces({ dots, neck, instrument, onTap }: TapProps) {
  const [cursor, setCursor] = useState({ string: neck.strings, fret: instrument.capo });
  const step = (event: KeyboardEvent) => {
    const direction = DIRECTIONS[event.key];
    if (event.key === 'Enter' || event.key === ' ') onTap(cursor.string, cursor.fret);
    else if (direction === undefined) return;
    else setCursor((from) => steppedTo(from, instrument.leftHanded ? mirrored(direction) : direction, neck, instrument.capo));
    event.preventDefault();
    event.stopPropagation();
  };
  const held = dots.find(({ string, fret }) => string === cursor.string && fret === cursor.fret);
  const where = PARTS_WORDS.string(
    cursor.string,
    cursor.fret === 0 ? 'open' : PARTS_WORDS.fret(cursor.fret),
    held === undefined ? '' : `, ${held.label}`,
  );
  return (
    <g role="button" tabIndex={0} aria-label={PARTS_WORDS.arrowsMoveEnterTaps(where)} onKeyDown={step} className="group outline-none">
      {dots.map((dot) => (
        <g key={placeOf(dot)}>
          <DotMark dot={dot} x={neck.spaceX(dot.fret)} y={neck.stringY(dot.string)} />
          <text
            x={neck.spaceX(dot.fret)}
            y={neck.stringY(dot.string) + 4.4}
            textAnchor="middle"
            fontSize={13}
            fontWeight={700}
            fill="var(--ink)"
            className="music-glyph"
          >
            {dot.label}
          </text>
        </g>
      ))}
      <rect
        x={neck.spaceX(cursor.fret) - 14}
        y={neck.stringY(cursor.string) - 12}
        width={28}
        height={24}
        rx={6}
        fill="none"
        stroke="var(--accent)"
        strokeWidth={2.5}
        className="opacity-0 group-focus-visible:opacity-100"
      />
      <Places
        neck={neck}
        capo={instrument.capo}
        onPress={(string, fret) => {
          setCursor({ string, fret });
          onTap(string, fret);
        }}
      />
    </g>
  );
}

interface PlacesProps {
  readonly neck: NeckGeometry;
  readonly capo: number;
  readonly onPress: (string: number, fret: number) => void;
}

/** A place to press for every string at every fret from the capo up. */
function Places({ neck, capo, onPress }: PlacesProps) {
  return Array.from({ length: neck.strings }, (_, index) =>
    Array.from({ length: neck.lastFret - Math.max(capo, neck.firstFret - 1) + 1 }, (__, at) => {
      const [string, fret] = [index + 1, Math.max(capo, neck.firstFret - 1) + at];
      const [a, b] = fret === 0 ? [neck.spaceX(0) - 22, neck.spaceX(0) + 22] : [neck.fretX(fret - 1), neck.fretX(fret)];
      const half = (neck.stringY(2) - neck.stringY(1)) / 2;
      return (
        // biome-ignore lint/a11y/noStaticElementInteractions: the group is what has the keyboard
        <rect
          key={`${string}-${fret}`}
          data-place={`${string}-${fret}`}
          x={Math.min(a, b)}
          y={neck.stringY(string) - half}
          width={Math.abs(b - a)}
          height={2 * half}
          fill="transparent"
          className="cursor-pointer"
          onClick={() => onPress(string, fret)}
        />
      );
    }),
  );
}

function steppedTo(
  { string, fret }: { readonly string: number; readonly fret: number },
  direction: 'left' | 'right' | 'up' | 'down',
  neck: NeckGeometry,
  capo: number,
) {
  if (direction === 'up') return { string: Math.max(1, string - 1), fret };
  if (direction === 'down') return { string: Math.min(neck.strings, string + 1), fret };
  return { string, fret: direction === 'left' ? Math.max(capo, fret - 1) : Math.min(neck.lastFret, fret + 1) };
}
