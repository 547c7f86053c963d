import { type PitchRange, pitchName } from '@aurora/core';
import { hearOver } from '../../../transport/player.ts';
import { BAND_WORDS } from '../../../wording/band.ts';
import { tapped } from './range-tap.ts';
import type { VoiceScale } from './voice-scale.ts';

interface RangeKeysProps {
  readonly range: PitchRange | null;
  readonly scale: VoiceScale;
  readonly onRange: (range: PitchRange) => void;
}

const BLACK = new Set([1, 3, 6, 8, 10]);
/** White keys with another white key right above them: a line between the two. */
const BEFORE_WHITE = new Set([4, 11]);

/** A keyboard to tap a melody's lowest and highest note on: the end that lies nearer moves. It has the scale of the voices under it. */
export function RangeKeys({ range, scale: { lowest, highest }, onRange }: RangeKeysProps) {
  const keys = Array.from({ length: highest - lowest + 1 }, (_, index) => lowest + index);
  const tap = (midi: number) => {
    hearOver(midi);
    onRange(tapped(range, midi));
  };
  return (
    <div
      role="group"
      aria-label={BAND_WORDS.tapTheMelodysLowestAndHighest}
      className="flex h-20 overflow-hidden rounded-b-lg border border-edge bg-white"
    >
      {keys.map((midi) => (
        <button
          key={midi}
          type="button"
          tabIndex={midi === (range?.low ?? lowest) ? 0 : -1}
          aria-label={pitchName(midi)}
          aria-pressed={midi === range?.low || midi === range?.high}
          onClick={() => tap(midi)}
          onKeyDown={(event) => {
            const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
            if (step === undefined) return;
            event.preventDefault();
            const next = step < 0 ? event.currentTarget.previousElementSibling : event.currentTarget.nextElementSibling;
            (next as HTMLElement | null)?.focus();
          }}
          className="relative min-w-0 flex-1"
        >
          <KeyLook midi={midi} range={range} />
        </button>
      ))}
    </div>
  );
}

/** A white key is one piece to the front; a black one is short, and the line between two white keys runs on under it. */
function KeyLook({ midi, range }: { readonly midi: number; readonly range: PitchRange | null }) {
  const isBlack = BLACK.has(midi % 12);
  const isEnd = midi === range?.low || midi === range?.high;
  const isSung = range !== null && midi > range.low && midi < range.high;
  const white = isEnd ? 'bg-accent' : isSung ? 'bg-[#d5e6d6]' : 'bg-white';
  if (isBlack) {
    return (
      <>
        <span className={`absolute inset-x-0 top-0 h-[62%] rounded-b-sm ${isEnd ? 'bg-accent' : 'bg-[#1b2624]'}`} />
        <span className={`absolute inset-x-0 top-[62%] bottom-0 ${isSung ? 'bg-[#d5e6d6]' : 'bg-white'}`}>
          <span className="absolute inset-y-0 left-1/2 border-l border-[#b5a98f]" />
        </span>
      </>
    );
  }
  return (
    <span className={`absolute inset-0 ${white} ${BEFORE_WHITE.has(midi % 12) ? 'border-r border-[#b5a98f]' : ''}`}>
      {midi % 12 === 0 && (
        <span className={`absolute bottom-0.5 left-1/2 -translate-x-1/2 text-fine ${isEnd ? 'text-on-accent' : 'text-[#1b2624]'}`}>
          {pitchName(midi)}
        </span>
      )}
    </span>
  );
}
