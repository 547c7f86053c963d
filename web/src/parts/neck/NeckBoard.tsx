import { type Barre, type Instrument, positionDots } from '@aurora/core';
import { type KeyboardEvent, useCallback, useRef, useState } from 'react';
import { hearOver, play } from '../../transport/player.ts';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { DotMark } from './DotMark.tsx';
import { BESIDE, type NeckDot, type NeckGeometry, neckGeometry, nextDot, WIDEST, widened } from './neck-view.ts';
import { DIRECTIONS, mirrored, placeOf } from './neck-walk.ts';
import { TapPlaces } from './TapPlaces.tsx';

interface NeckBoardProps {
  readonly instrument: Instrument;
  /** The first fret that has to be seen, the nut where it is left out, and the last one; a wide board has more beside them. */
  readonly firstFret?: number;
  readonly lastFret: number;
  readonly dots: readonly NeckDot[];
  /** Strings that must not sound, 1 the thinnest. */
  readonly muted?: readonly number[];
  readonly barres?: readonly Barre[];
  /** The note sounding just now in something that plays. */
  readonly sounding?: { readonly string: number; readonly fret: number } | null;
  readonly label: string;
  /** Whether left and right go from dot to dot; otherwise they are left to whoever is around the neck. */
  readonly sideways?: boolean;
  /** Whether the strings lie further apart, where there is room. */
  readonly roomy?: boolean;
  /** Makes every place on the neck one to tap. */
  readonly onTap?: (string: number, fret: number) => void;
  readonly className?: string;
}

const HEAR_BEATS = 2;
const HEAR_TEMPO = 90;

/** The neck as an instrument has it, with dots to see, hear, walk through and tap. */
export function NeckBoard({
  instrument,
  firstFret: firstAsked = 1,
  lastFret: lastAsked,
  dots,
  muted = [],
  barres = [],
  sounding = null,
  label,
  sideways = true,
  roomy = false,
  onTap,
  className = '',
}: NeckBoardProps) {
  const { hold, wide } = useRoom(instrument);
  const { firstFret, lastFret } = widened({ firstFret: firstAsked, lastFret: lastAsked }, wide, instrument.frets);
  const frets = lastFret - firstFret + 1;
  const width = Math.max(frets * NARROWEST + BESIDE, Math.min(wide, frets * WIDEST + BESIDE));
  const neck = neckGeometry(instrument, lastFret, { firstFret, width, roomy });
  const seen = dots.filter(({ fret }) => fret === 0 || (fret >= firstFret && fret <= lastFret));
  return (
    <svg
      ref={hold}
      viewBox={`0 0 ${neck.width} ${neck.height}`}
      style={{ height: neck.height }}
      preserveAspectRatio="xMinYMid meet"
      className={`block w-full ${className}`}
      role="group"
      aria-label={label}
    >
      <Wood neck={neck} instrument={instrument} />
      {barres.map((barre) => (
        <BarreLine key={`${barre.finger}-${barre.fret}`} barre={barre} neck={neck} />
      ))}
      {muted.map((string) => (
        <text
          key={string}
          x={neck.spaceX(0)}
          y={neck.stringY(string) + 6}
          textAnchor="middle"
          fontSize={19}
          fontWeight={700}
          fill="var(--quiet)"
        >
          <title>{PARTS_WORDS.stringMuted(string)}</title>×
        </text>
      ))}
      {onTap === undefined ? (
        <Dots dots={seen} neck={neck} instrument={instrument} sounding={sounding} sideways={sideways} />
      ) : (
        <TapPlaces dots={seen} neck={neck} instrument={instrument} onTap={onTap} />
      )}
    </svg>
  );
}

/** No fret is drawn narrower than its dot. */
const NARROWEST = 27;

/** The pixels there are for the neck, so that its letters and dots keep their size on every screen. */
function useRoom({ leftHanded }: Pick<Instrument, 'leftHanded'>) {
  const [wide, setWide] = useState(0);
  const hold = useCallback(
    (svg: SVGSVGElement | null) => {
      const around = svg?.parentElement;
      if (around === null || around === undefined || typeof ResizeObserver === 'undefined') return;
      const measure = () => {
        setWide(around.clientWidth);
        // on a narrow screen the nut is the end to see first
        if (leftHanded) around.scrollLeft = around.scrollWidth;
      };
      const observer = new ResizeObserver(measure);
      observer.observe(around);
      return () => observer.disconnect();
    },
    [leftHanded],
  );
  return { hold, wide };
}

function Wood({ neck, instrument: { tuning, capo, dots } }: { readonly neck: NeckGeometry; readonly instrument: Instrument }) {
  const { strings, firstFret, lastFret } = neck;
  const bottom = neck.stringY(strings);
  const top = neck.stringY(1);
  const [left, right] = [neck.fretX(firstFret - 1), neck.fretX(lastFret)].sort((a, b) => a - b) as [number, number];
  const middle = (top + bottom) / 2;
  return (
    <g aria-hidden="true">
      <rect x={left} y={top - 11} width={right - left} height={bottom - top + 22} rx={3} fill="var(--wood)" />
      {positionDots(dots, lastFret)
        .filter(({ fret }) => fret >= firstFret)
        .map(({ fret, double }) =>
          (double ? [middle - 0.27 * (bottom - top), middle + 0.27 * (bottom - top)] : [middle]).map((y) => (
            <circle key={`${fret}-${y}`} cx={neck.spaceX(fret)} cy={y} r={5} fill="var(--fretwire)" />
          )),
        )}
      {Array.from({ length: lastFret - firstFret + 2 }, (_, place) => firstFret - 1 + place).map((fret) => (
        <line
          key={neck.fretX(fret)}
          x1={neck.fretX(fret)}
          x2={neck.fretX(fret)}
          y1={top - 11}
          y2={bottom + 11}
          stroke={fret === 0 ? 'var(--ink)' : 'var(--fretwire)'}
          strokeWidth={fret === 0 ? 6 : 2}
        />
      ))}
      {tuning.map((open, index) => (
        <line
          // biome-ignore lint/suspicious/noArrayIndexKey: two strings may be tuned alike; their place tells them apart
          key={index}
          x1={neck.fretX(firstFret - 1)}
          x2={neck.fretX(lastFret)}
          y1={neck.stringY(strings - index)}
          y2={neck.stringY(strings - index)}
          stroke="var(--string)"
          strokeWidth={Math.max(0.9, 3.4 - (open - 28) * 0.07)}
        />
      ))}
      {Array.from({ length: lastFret - firstFret + 1 }, (_, index) => (
        <FretNumber key={neck.spaceX(firstFret + index)} neck={neck} fret={firstFret + index} capo={capo} />
      ))}
      {capo >= firstFret && (
        <rect x={neck.spaceX(capo) - 7} y={top - 14} width={14} height={bottom - top + 28} rx={7} fill="var(--ink)" opacity={0.82} />
      )}
    </g>
  );
}

/** Counted from the nut, and with a capo from the capo underneath. */
function FretNumber({ neck, fret, capo }: { readonly neck: NeckGeometry; readonly fret: number; readonly capo: number }) {
  const y = neck.stringY(neck.strings) + 26;
  return (
    <>
      <text x={neck.spaceX(fret)} y={y} textAnchor="middle" fontSize={13} fontWeight={600} fill="var(--quiet)">
        {fret}
      </text>
      {capo > 0 && fret > capo && (
        <text x={neck.spaceX(fret)} y={y + 15} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--accent)">
          {fret - capo}
        </text>
      )}
      {capo > 0 && fret === capo && (
        <text x={neck.spaceX(fret)} y={y + 15} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--accent)">
          {PARTS_WORDS.capo}
        </text>
      )}
    </>
  );
}

function BarreLine({ barre: { fret, from, to }, neck }: { readonly barre: Barre; readonly neck: NeckGeometry }) {
  const x = neck.spaceX(fret);
  return (
    <line
      aria-hidden="true"
      x1={x}
      x2={x}
      y1={neck.stringY(neck.strings - from)}
      y2={neck.stringY(neck.strings - to)}
      stroke="var(--ink)"
      strokeWidth={9}
      strokeLinecap="round"
      opacity={0.35}
    />
  );
}

interface DotsProps {
  readonly dots: readonly NeckDot[];
  readonly neck: NeckGeometry;
  readonly instrument: Instrument;
  readonly sounding: { readonly string: number; readonly fret: number } | null;
  readonly sideways: boolean;
}

/** One stop for the Tab key; arrows go from dot to dot, and each is heard. */
function Dots({ dots, neck, instrument, sounding, sideways }: DotsProps) {
  const [at, setAt] = useState<string | null>(null);
  const group = useRef<SVGGElement>(null);
  const current = dots.find((dot) => placeOf(dot) === at) ?? dots[0];
  const walk = (event: KeyboardEvent) => {
    const direction = DIRECTIONS[event.key];
    if (direction === undefined || current === undefined || (!sideways && (direction === 'left' || direction === 'right'))) return;
    event.preventDefault();
    const next = nextDot(dots, current, instrument.leftHanded ? mirrored(direction) : direction);
    setAt(placeOf(next));
    group.current?.querySelector<SVGGElement>(`[data-dot="${placeOf(next)}"]`)?.focus();
  };
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the arrows are heard from the dots inside
    <g ref={group} onKeyDown={walk}>
      {dots.map((dot) => (
        <Dot
          key={placeOf(dot)}
          dot={dot}
          x={neck.spaceX(dot.fret)}
          y={neck.stringY(dot.string)}
          stop={dot === current}
          loud={sounding?.string === dot.string && sounding.fret === dot.fret}
        />
      ))}
    </g>
  );
}

interface DotProps {
  readonly dot: NeckDot;
  readonly x: number;
  readonly y: number;
  readonly stop: boolean;
  readonly loud: boolean;
}

/** Roots are filled squares, other tones open circles: told apart without colour. */
function Dot({ dot, x, y, stop, loud }: DotProps) {
  const hear = () => void play(`neck-${placeOf(dot)}`, [{ midi: [dot.midi], beats: HEAR_BEATS }], HEAR_TEMPO);
  return (
    <g
      role="button"
      tabIndex={stop ? 0 : -1}
      data-dot={placeOf(dot)}
      aria-label={dot.name}
      onClick={hear}
      onFocus={() => hearOver(dot.midi)}
      onPointerEnter={(event) => event.pointerType === 'mouse' && hearOver(dot.midi)}
      onKeyDown={(event) => {
        if (event.key === 'Enter') hear();
      }}
      className="cursor-pointer"
    >
      {loud && <circle cx={x} cy={y} r={15} fill="var(--accent)" opacity={0.35} />}
      <DotMark dot={dot} x={x} y={y} />
      <text
        x={x}
        y={y + 4.4}
        textAnchor="middle"
        fontSize={13}
        letterSpacing={dot.label.length > 2 ? '-0.08em' : undefined}
        fontWeight={700}
        fill={dot.root ? 'var(--on-accent)' : 'var(--ink)'}
        className="music-glyph pointer-events-none"
      >
        {dot.label}
      </text>
    </g>
  );
}
