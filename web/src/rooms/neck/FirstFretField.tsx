import type { Instrument } from '@aurora/core';
import { NECK_WORDS } from '../../wording/neck.ts';

interface FirstFretFieldProps {
  readonly fret: number;
  readonly instrument: Instrument;
  readonly onFret: (fret: number) => void;
}

/** Where a position begins: from the nut or the capo to the highest comfortable fret. */
export function FirstFretField({ fret, instrument: { capo, comfortFret }, onFret }: FirstFretFieldProps) {
  return (
    <label className="flex min-h-11 items-center gap-2">
      {NECK_WORDS.firstFret}
      <input
        type="number"
        min={capo}
        max={comfortFret}
        value={fret}
        onChange={(event) => onFret(Math.min(comfortFret, Math.max(capo, Number(event.target.value))))}
        className="min-h-11 w-20 rounded-lg border border-edge bg-raised px-2 font-semibold"
      />
    </label>
  );
}
