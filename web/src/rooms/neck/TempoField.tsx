import { useState } from 'react';
import { NECK_WORDS } from '../../wording/neck.ts';

const SLOWEST = 30;
const FASTEST = 240;

/** Beats a minute; what is half typed or out of range waits until it fits. */
export function TempoField({ tempo, onTempo }: { readonly tempo: number; readonly onTempo: (tempo: number) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <label className="flex min-h-11 items-center gap-2">
      {NECK_WORDS.tempo}
      <input
        type="number"
        min={SLOWEST}
        max={FASTEST}
        value={typed ?? tempo}
        onChange={(event) => {
          const wanted = Number(event.target.value);
          const fits = wanted >= SLOWEST && wanted <= FASTEST;
          setTyped(fits ? null : event.target.value);
          if (fits) onTempo(wanted);
        }}
        onBlur={() => setTyped(null)}
        className="min-h-11 w-20 rounded-lg border border-edge bg-raised px-2 font-semibold"
      />
    </label>
  );
}
