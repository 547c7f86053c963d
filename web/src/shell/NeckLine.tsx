import type { Chord } from '@aurora/core';
import { lazy, Suspense, useRef, useState } from 'react';
import type { Side } from '../session/device-store.ts';
import { Button } from '../ui/Button.tsx';
import { Hint } from '../ui/Hint.tsx';
import { RaiseIcon } from '../ui/icons.ts';
import { Named } from '../ui/Named.tsx';
import { SlotPlace } from '../ui/Slot.tsx';
import { HELP_WORDS } from '../wording/help.ts';

const NeckDock = lazy(async () => ({ default: (await import('../parts/neck/NeckDock.tsx')).NeckDock }));
const RestingNeck = lazy(async () => ({ default: (await import('../parts/neck/RestingNeck.tsx')).RestingNeck }));

interface NeckLineProps {
  readonly risen: boolean;
  readonly side: Side | null;
  readonly chord: Chord | null;
  readonly onFolds: (change: { readonly neck?: boolean; readonly side?: Side }) => void;
}

/** Pressed so long, the neck stays only as long as it is held. */
const HOLD_MS = 350;

/** The neck at the foot of a room: one quiet line, that rises when it is held or pressed. */
export function NeckLine({ risen, side, chord, onFolds }: NeckLineProps) {
  const [held, setHeld] = useState(false);
  const since = useRef(0);
  const press = () => {
    since.current = performance.now();
    setHeld(true);
  };
  const release = () => {
    if (!held) return;
    setHeld(false);
    if (performance.now() - since.current < HOLD_MS) onFolds({ neck: true });
  };
  if (risen) {
    return (
      <Suspense>
        <NeckDock onFold={() => onFolds({ neck: false })} />
      </Suspense>
    );
  }
  return (
    <>
      {held && (
        <Suspense>
          <NeckDock onFold={null} />
        </Suspense>
      )}
      <section
        aria-label={HELP_WORDS.neckAndTools}
        className="no-print flex min-h-11 shrink-0 items-center border-t border-edge bg-sheet pr-2 pl-2"
      >
        <Hint text={HELP_WORDS.showTheNeck} keys="n">
          <button
            type="button"
            onPointerDown={press}
            onPointerUp={release}
            onPointerLeave={() => setHeld(false)}
            onClick={(event) => event.detail === 0 && onFolds({ neck: true })}
            className="flex min-h-11 min-w-32 flex-1 touch-none items-center gap-3 rounded-lg px-2 text-left hover:bg-wash"
          >
            <Named name={HELP_WORDS.showTheNeck} className="flex min-w-0 items-center gap-3">
              <RaiseIcon size={18} className="shrink-0 text-quiet" />
              <Suspense>
                <RestingNeck chord={chord} />
              </Suspense>
            </Named>
          </button>
        </Hint>
        <SlotPlace name="line" className="flex items-center" />
        {side === null && (
          <Hint text={HELP_WORDS.whyTheChosenChordWorks} keys="w">
            <Button look="bare" aria-label={HELP_WORDS.showTheWhy} onClick={() => onFolds({ side: 'why' })}>
              {HELP_WORDS.why}
            </Button>
          </Hint>
        )}
      </section>
    </>
  );
}
