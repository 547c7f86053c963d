import { type Key, nameKey } from '@aurora/core';
import { Popover } from 'radix-ui';
import { lazy, Suspense } from 'react';
import { Glyphs } from '../parts/notation/Glyphs.tsx';
import { stepKey } from '../session/key-view.ts';
import { useLens } from '../session/lens.ts';
import { keyInForce, setKey } from '../session/lens-store.ts';
import { Hint } from '../ui/Hint.tsx';
import { HomeKeyIcon, KeyDownIcon, KeyUpIcon } from '../ui/icons.ts';
import { HOUSE_WORDS } from '../wording/house.ts';

// what keys there are is only asked where somebody looks for one
const KeyChoice = lazy(async () => ({ default: (await import('./KeyChoice.tsx')).KeyChoice }));

const STEP =
  'grid size-11 shrink-0 phone:w-10 place-items-center rounded-lg border border-edge bg-raised hover:border-accent disabled:opacity-45';

interface KeyLensProps {
  readonly scaleIsFree: boolean;
  /** Whether no one key goes for what is seen. */
  readonly rests?: boolean;
}

/**
 * The key everything is read in, one press away from the next one; away from home it says so. Every
 * button keeps its place whatever the key is called: two presses are two half steps.
 */
export function KeyLens({ scaleIsFree, rests = false }: KeyLensProps) {
  const { key: seen, homeKey, naming } = useLens();
  const key = keyInForce({ key: seen, homeKey });
  const home = homeKey === null ? null : nameKey(homeKey, naming);
  const away = seen !== null && home !== null;
  return (
    <div role="group" aria-label={HOUSE_WORDS.key} className="flex items-center gap-1.5 phone:gap-0.5">
      <Hint text={HOUSE_WORDS.downAHalfStep} keys="[">
        <button
          type="button"
          aria-label={HOUSE_WORDS.keyDownAHalfStep}
          className={STEP}
          disabled={rests}
          onClick={() => setKey(stepKey(key, -1))}
        >
          <KeyDownIcon size={20} />
        </button>
      </Hint>
      <Popover.Root>
        <Popover.Trigger
          disabled={rests}
          className="flex h-11 w-36 shrink-0 flex-col items-center justify-center rounded-lg border border-edge bg-raised leading-none hover:border-accent disabled:opacity-45 phone:w-20"
        >
          <KeyField seen={away ? key : null} shown={key} home={home} rests={rests} />
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            sideOffset={8}
            collisionPadding={8}
            aria-label={HOUSE_WORDS.chooseAKey}
            className="z-50 max-h-(--radix-popover-content-available-height) w-[min(21rem,96vw)] overflow-auto rounded-2xl border border-edge bg-raised p-4"
          >
            <Suspense fallback={<div className="min-h-72" />}>
              <KeyChoice current={key} scaleIsFree={scaleIsFree} />
            </Suspense>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      <Hint text={HOUSE_WORDS.upAHalfStep} keys="]">
        <button
          type="button"
          aria-label={HOUSE_WORDS.keyUpAHalfStep}
          className={STEP}
          disabled={rests}
          onClick={() => setKey(stepKey(key, 1))}
        >
          <KeyUpIcon size={20} />
        </button>
      </Hint>
      <Hint text={away ? HOUSE_WORDS.backTo(home) : HOUSE_WORDS.backToTheHomeKey} keys="\">
        <button
          type="button"
          aria-label={away ? HOUSE_WORDS.backToTheHomeKey2(home) : HOUSE_WORDS.backToTheHomeKey}
          className={`${STEP} ${away ? 'text-accent' : 'invisible'}`}
          disabled={!away || rests}
          onClick={() => setKey(null)}
        >
          <HomeKeyIcon size={18} />
        </button>
      </Hint>
    </div>
  );
}

interface KeyFieldProps {
  /** The key that is seen, away from home. */
  readonly seen: Key | null;
  readonly shown: Key;
  readonly home: string | null;
  readonly rests: boolean;
}

function KeyField({ seen, shown, home, rests }: KeyFieldProps) {
  const { naming } = useLens();
  return (
    <>
      <span className="music-glyph max-w-full truncate px-1 text-fine leading-tight whitespace-nowrap text-quiet" data-testid="key-role">
        {seen !== null && home !== null ? <Glyphs text={HOUSE_WORDS.home(home)} /> : home !== null ? HOUSE_WORDS.homeKey : HOUSE_WORDS.key}
      </span>
      <span className="music-glyph max-w-full truncate px-1 text-lead leading-tight font-bold" data-testid="key-in-force">
        {rests ? '–' : <Glyphs text={nameKey(shown, naming)} />}
      </span>
    </>
  );
}
