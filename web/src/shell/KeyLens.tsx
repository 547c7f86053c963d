import { type Key, type Naming, nameKey, nameNote } from '@aurora/core';
import { ChevronDown, Minus, Plus, RotateCcw } from 'lucide-react';
import { Popover } from 'radix-ui';
import { lazy, Suspense } from 'react';
import { Glyphs } from '../parts/notation/Glyphs.tsx';
import { circleKeys, stepKey } from '../session/key-view.ts';
import { keyInForce, useLens } from '../session/lens-store.ts';
import { Hint } from '../ui/Hint.tsx';

// what can be wrong with a key, and what scales there are, is only told where somebody looks for one
const FurtherKeys = lazy(async () => ({ default: (await import('../parts/reading/FurtherKeys.tsx')).FurtherKeys }));

const STEP = 'grid size-11 place-items-center rounded-lg border border-edge bg-raised hover:border-accent';

/** The key everything is read in, one press away from the next one. */
export function KeyLens({ scaleIsFree }: { readonly scaleIsFree: boolean }) {
  const state = useLens();
  const key = keyInForce(state);
  return (
    <div role="group" aria-label="Key" className="flex items-center gap-2">
      <Hint text="Down a half step" keys="[">
        <button type="button" aria-label="Key down a half step" className={STEP} onClick={() => state.setKey(stepKey(key, -1))}>
          <Minus size={20} />
        </button>
      </Hint>
      <Popover.Root>
        <Popover.Trigger className="flex min-h-11 flex-col items-center rounded-lg px-2 leading-none hover:bg-wash">
          <span className="text-xs font-semibold text-quiet">{state.homeKey !== null && state.key === null ? 'Home key' : 'Key'}</span>
          <span className="mt-1 flex items-center gap-1 whitespace-nowrap">
            <span className="music-glyph text-2xl font-bold" data-testid="key-in-force">
              <Glyphs text={nameKey(key, state.naming)} />
            </span>
            <ChevronDown size={16} aria-hidden="true" className="text-quiet" />
          </span>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content sideOffset={8} aria-label="Choose a key" className="z-50 w-[21rem] rounded-2xl border border-edge bg-raised p-4">
            <TonicGrid current={key} notes={state.naming.notes} onChoose={state.setKey} />
            <Suspense fallback={<div className="mt-3 min-h-11" />}>
              <FurtherKeys current={key} scaleIsFree={scaleIsFree} onChoose={state.setKey} />
            </Suspense>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      <Hint text="Up a half step" keys="]">
        <button type="button" aria-label="Key up a half step" className={STEP} onClick={() => state.setKey(stepKey(key, 1))}>
          <Plus size={20} />
        </button>
      </Hint>
      {state.key !== null && state.homeKey !== null && (
        <Hint text={`Back to ${nameKey(state.homeKey, state.naming)}`} keys="\">
          <button
            type="button"
            aria-label={`Back to the home key ${nameKey(state.homeKey, state.naming)}`}
            className={STEP}
            onClick={() => state.setKey(null)}
          >
            <RotateCcw size={18} />
          </button>
        </Hint>
      )}
    </div>
  );
}

function TonicGrid({
  current,
  notes,
  onChoose,
}: {
  readonly current: Key;
  readonly notes: Naming['notes'];
  readonly onChoose: (key: Key) => void;
}) {
  return (
    <div role="group" aria-label="Tonic" className="grid grid-cols-4 gap-1.5">
      {circleKeys(current.scale).map((key) => (
        <button
          key={key.tonic}
          type="button"
          aria-pressed={key.tonic === current.tonic}
          onClick={() => onChoose(key)}
          className="music-glyph min-h-12 rounded-lg border border-hairline text-lg font-bold hover:border-accent aria-pressed:border-accent aria-pressed:bg-accent aria-pressed:text-on-accent"
        >
          <Glyphs text={nameNote(key.tonic, notes)} />
        </button>
      ))}
    </div>
  );
}
