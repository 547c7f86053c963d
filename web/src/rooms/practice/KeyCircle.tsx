import { type Naming, nameNote, printNote } from '@aurora/core';
import type { CSSProperties } from 'react';
import { Glyphs } from '../../parts/notation/Glyphs.tsx';
import { Named } from '../../ui/Named.tsx';
import { PRACTICE_WORDS } from '../../wording/practice.ts';

/** Tonics of the major keys by fifths from C, and of the minor keys inside them. */
const MAJORS = [0, 1, 2, 3, 4, 5, 6, -5, -4, -3, -2, -1];
const MINORS = [3, 4, 5, 6, 7, 8, -3, -2, -1, 0, 1, 2];

interface CircleProps {
  readonly naming: Naming;
  /** Only major keys, several of them. */
  readonly isMany: boolean;
  readonly onPick: (key: string) => void;
}

/** The circle of keys to answer on: major keys outside, minor keys inside. */
export function KeyCircle({ naming, isMany, onPick }: CircleProps) {
  return (
    <div role="group" aria-label={PRACTICE_WORDS.theCircle} className="relative mx-auto aspect-square w-[min(24rem,86vw)] lying:w-[21rem]">
      {MAJORS.map((tonic, place) => (
        <Spot
          key={tonic}
          place={place}
          radius={43}
          name={PRACTICE_WORDS.major(nameNote(tonic, naming.notes))}
          onPick={() => onPick(printNote(tonic))}
        >
          {nameNote(tonic, naming.notes)}
        </Spot>
      ))}
      {!isMany &&
        MINORS.map((tonic, place) => (
          <Spot
            key={tonic}
            place={place}
            radius={25}
            name={PRACTICE_WORDS.minor(nameNote(tonic, naming.notes))}
            onPick={() => onPick(`${printNote(tonic)}m`)}
          >
            {`${nameNote(tonic, naming.notes)}m`}
          </Spot>
        ))}
    </div>
  );
}

interface SpotProps {
  readonly place: number;
  /** In hundredths of the circle's width. */
  readonly radius: number;
  readonly name: string;
  readonly onPick: () => void;
  readonly children: string;
}

function Spot({ place, radius, name, onPick, children }: SpotProps) {
  const angle = (place / MAJORS.length) * 2 * Math.PI;
  const at: CSSProperties = { left: `${50 + radius * Math.sin(angle)}%`, top: `${50 - radius * Math.cos(angle)}%` };
  return (
    <button
      type="button"
      style={at}
      onClick={onPick}
      className="music-glyph absolute grid size-12 -translate-x-1/2 -translate-y-1/2 place-items-center rounded-full border border-edge bg-raised font-numeral text-base font-bold hover:border-accent phone:size-11"
    >
      <Named name={name} className="whitespace-nowrap">
        <Glyphs text={children} />
      </Named>
    </button>
  );
}
