import { type PitchRange, pitchName } from '@aurora/core';
import { useEffect, useRef } from 'react';
import { hearOver } from '../../transport/player.ts';
import { tapped } from './range-tap.ts';

interface RangeKeysProps {
  readonly range: PitchRange | null;
  readonly onRange: (range: PitchRange) => void;
}

const LOWEST = 40;
const HIGHEST = 84;
const BLACK = new Set([1, 3, 6, 8, 10]);

/** A keyboard to tap a melody's lowest and highest note on: the end that lies nearer moves. */
export function RangeKeys({ range, onRange }: RangeKeysProps) {
  const board = useRef<HTMLDivElement>(null);
  const middle = range === null ? null : Math.round((range.low + range.high) / 2);
  const first = useRef(middle);
  useEffect(() => {
    // on a narrow screen the melody’s part of the keyboard is the one to see
    const key = first.current === null ? null : board.current?.children[first.current - LOWEST];
    if (key instanceof HTMLElement && board.current !== null) {
      board.current.scrollLeft = key.offsetLeft - board.current.offsetLeft - (board.current.clientWidth - key.clientWidth) / 2;
    }
  }, []);
  const tap = (midi: number) => {
    hearOver(midi);
    onRange(tapped(range, midi));
  };
  const keys = Array.from({ length: HIGHEST - LOWEST + 1 }, (_, index) => LOWEST + index);
  return (
    <div
      ref={board}
      role="group"
      aria-label="Tap the melody’s lowest and highest note"
      className="flex h-14 overflow-x-auto rounded-lg border border-edge"
    >
      {keys.map((midi) => {
        const end = midi === range?.low || midi === range?.high;
        return (
          <button
            key={midi}
            type="button"
            tabIndex={midi === (range?.low ?? LOWEST) ? 0 : -1}
            aria-label={pitchName(midi)}
            aria-pressed={end}
            onClick={() => tap(midi)}
            onKeyDown={(event) => {
              const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
              if (step === undefined) return;
              event.preventDefault();
              const next = step < 0 ? event.currentTarget.previousElementSibling : event.currentTarget.nextElementSibling;
              (next as HTMLElement | null)?.focus();
            }}
            className={`min-w-6 flex-1 border-r border-hairline text-fine last:border-r-0 ${end ? 'bg-accent text-on-accent' : groundOf(midi, range)}`}
          >
            {midi % 12 === 0 ? <span className="block pt-8">{pitchName(midi)}</span> : ''}
          </button>
        );
      })}
    </div>
  );
}

function groundOf(midi: number, range: PitchRange | null): string {
  if (range !== null && midi > range.low && midi < range.high) return 'bg-wash';
  return BLACK.has(midi % 12) ? 'bg-edge/40' : 'bg-raised';
}
