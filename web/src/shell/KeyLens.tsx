import { nameKey } from '@aurora/core';
import { ChevronDown, Minus, Plus, RotateCcw } from 'lucide-react';
import { Popover } from 'radix-ui';
import { lazy, Suspense } from 'react';
import { Glyphs } from '../parts/notation/Glyphs.tsx';
import { stepKey } from '../session/key-view.ts';
import { useLens } from '../session/lens.ts';
import { keyInForce, setKey } from '../session/lens-store.ts';
import { Hint } from '../ui/Hint.tsx';

// what keys there are is only asked where somebody looks for one
const KeyChoice = lazy(async () => ({ default: (await import('./KeyChoice.tsx')).KeyChoice }));

const STEP = 'grid size-11 place-items-center rounded-lg border border-edge bg-raised hover:border-accent';

/** The key everything is read in, one press away from the next one; away from home it says so. */
export function KeyLens({ scaleIsFree }: { readonly scaleIsFree: boolean }) {
  const { key: seen, homeKey, naming } = useLens();
  const key = keyInForce({ key: seen, homeKey });
  const home = homeKey === null ? null : nameKey(homeKey, naming);
  return (
    <div role="group" aria-label="Key" className="flex items-center gap-2">
      <Hint text="Down a half step" keys="[">
        <button type="button" aria-label="Key down a half step" className={STEP} onClick={() => setKey(stepKey(key, -1))}>
          <Minus size={20} />
        </button>
      </Hint>
      <Popover.Root>
        <Popover.Trigger className="flex min-h-11 flex-col items-center rounded-lg px-2 leading-none hover:bg-wash">
          <span className="music-glyph text-fine font-semibold whitespace-nowrap text-quiet" data-testid="key-role">
            {seen !== null && home !== null ? <Glyphs text={`home ${home} · seen in`} /> : home !== null ? 'Home key' : 'Key'}
          </span>
          <span className="mt-1 flex items-center gap-1 whitespace-nowrap">
            <span className="music-glyph text-head font-bold" data-testid="key-in-force">
              <Glyphs text={nameKey(key, naming)} />
            </span>
            <ChevronDown size={16} aria-hidden="true" className="text-quiet" />
          </span>
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content sideOffset={8} aria-label="Choose a key" className="z-50 w-[21rem] rounded-2xl border border-edge bg-raised p-4">
            <Suspense fallback={<div className="min-h-72" />}>
              <KeyChoice current={key} scaleIsFree={scaleIsFree} />
            </Suspense>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      <Hint text="Up a half step" keys="]">
        <button type="button" aria-label="Key up a half step" className={STEP} onClick={() => setKey(stepKey(key, 1))}>
          <Plus size={20} />
        </button>
      </Hint>
      {seen !== null && home !== null && (
        <Hint text={`Back to ${home}`} keys="\">
          <button type="button" aria-label={`Back to the home key ${home}`} className={STEP} onClick={() => setKey(null)}>
            <RotateCcw size={18} />
          </button>
        </Hint>
      )}
    </div>
  );
}
