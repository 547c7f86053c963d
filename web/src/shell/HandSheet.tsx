import { Tabs } from 'radix-ui';
import { lazy, type PointerEvent, type ReactNode, Suspense, useRef, useState } from 'react';
import { RoomHint } from '../parts/hint/RoomHint.tsx';
import { type HandPart, lowerHand, raiseHand, useHand } from '../session/hand-store.ts';
import { useLens } from '../session/lens.ts';
import type { RoomId } from '../session/rooms.ts';
import { useShortcuts } from '../session/use-shortcuts.ts';
import { Hint } from '../ui/Hint.tsx';
import { CloseIcon, RaiseIcon } from '../ui/icons.ts';
import { SlotPlace, useSlotIsFilled } from '../ui/Slot.tsx';
import { TAB_LOOK } from '../ui/tab-look.ts';
import { HELP_WORDS } from '../wording/help.ts';
import { HOUSE_WORDS } from '../wording/house.ts';
import { WhyOfSelection } from './WhyOfSelection.tsx';

const RestingNeck = lazy(async () => ({ default: (await import('../parts/neck/RestingNeck.tsx')).RestingNeck }));
const HandNeck = lazy(async () => ({ default: (await import('../parts/neck/HandNeck.tsx')).HandNeck }));

/** Drawn down so far, it is let go. */
const LET_GO_PIXELS = 70;

/** Half a screen that slides over the room on a phone: the room's tools, why, the neck. It closes by a swipe, Escape, or a press. */
export function HandSheet({ room }: { readonly room: RoomId }) {
  const raised = useHand((state) => state.raised);
  const { selection } = useLens();
  // over a chart there are bars and nothing else until one is pressed
  const isChart = room === 'chart';
  if (raised !== null) return <Raised part={raised} hint={isChart ? <RoomHint room={room} /> : null} />;
  return selection === null || isChart ? null : <Resting />;
}

/** The chosen chord in a line at the foot; pressed, the half sheet rises. */
function Resting() {
  const { selection } = useLens();
  return (
    <button
      type="button"
      onClick={() => raiseHand('why')}
      className="flex min-h-11 w-full min-w-0 shrink-0 items-center gap-3 overflow-hidden border-t border-edge bg-sheet px-4 text-left"
    >
      <RaiseIcon size={18} aria-hidden="true" className="shrink-0 text-quiet" />
      <Suspense>
        <RestingNeck chord={selection?.chord ?? null} />
      </Suspense>
      <span className="sr-only">{HELP_WORDS.whyAndHowItIsHeld}</span>
    </button>
  );
}

function Raised({ part, hint }: { readonly part: HandPart; readonly hint: ReactNode }) {
  const { drawn, handle } = useDrawDown();
  const hasTools = useSlotIsFilled('hand');
  const hasText = useSlotIsFilled('text');
  useShortcuts({ Escape: lowerHand });
  const open = part === 'tools' && !hasTools ? 'why' : part;
  return (
    <section
      aria-label={HELP_WORDS.theChosenChord}
      className="fixed inset-x-0 bottom-0 z-30 flex max-h-[58vh] flex-col rounded-t-2xl border-t border-edge bg-raised shadow-[0_-8px_24px_rgb(0_0_0/0.18)] lying:left-[76px] lying:max-h-[70vh] flat:static flat:max-h-none"
      style={drawn > 0 ? { transform: `translateY(${drawn}px)` } : undefined}
    >
      <Tabs.Root value={open} onValueChange={(next) => raiseHand(next as HandPart)} className="flex min-h-0 flex-col">
        <div className="flex shrink-0 touch-none items-center border-b border-hairline pl-2" {...handle}>
          <span aria-hidden="true" className="absolute top-1.5 left-1/2 h-1 w-10 -translate-x-1/2 rounded-full bg-edge" />
          <Tabs.List aria-label={HELP_WORDS.theChosenChord} className="flex flex-1">
            <Tabs.Trigger value="tools" className={`${TAB_LOOK} ${hasTools ? '' : 'hidden'}`}>
              {HELP_WORDS.write}
            </Tabs.Trigger>
            <Tabs.Trigger value="why" className={TAB_LOOK}>
              {HELP_WORDS.why}
            </Tabs.Trigger>
            <Tabs.Trigger value="neck" className={TAB_LOOK}>
              {HOUSE_WORDS.neck}
            </Tabs.Trigger>
            <Tabs.Trigger value="text" className={`${TAB_LOOK} ${hasText ? '' : 'hidden'}`}>
              {HELP_WORDS.text}
            </Tabs.Trigger>
          </Tabs.List>
          <Hint text={HELP_WORDS.close}>
            <button type="button" aria-label={HELP_WORDS.close} onClick={lowerHand} className="grid size-11 place-items-center rounded-lg">
              <CloseIcon size={20} />
            </button>
          </Hint>
        </div>
        <Tabs.Content forceMount value="tools" className="min-h-0 overflow-auto data-[state=inactive]:hidden">
          <SlotPlace name="hand" />
        </Tabs.Content>
        <Tabs.Content value="why" className="min-h-0 overflow-auto px-4 py-3">
          <Suspense>
            <WhyOfSelection />
          </Suspense>
        </Tabs.Content>
        <Tabs.Content value="neck" className="min-h-0 overflow-auto">
          <Suspense>
            <HandNeck />
          </Suspense>
        </Tabs.Content>
        <Tabs.Content value="text" className="min-h-0 overflow-auto">
          <SlotPlace name="text" className="flex h-[40vh] flex-col" />
        </Tabs.Content>
      </Tabs.Root>
      {hint}
    </section>
  );
}

/** Draws the sheet down by its upper edge, and lets it go when it is far enough. */
function useDrawDown() {
  const [drawn, setDrawn] = useState(0);
  const from = useRef<number | null>(null);
  const end = () => {
    if (from.current !== null && drawn > LET_GO_PIXELS) lowerHand();
    from.current = null;
    setDrawn(0);
  };
  return {
    drawn,
    handle: {
      onPointerDown: ({ clientY }: PointerEvent) => {
        from.current = clientY;
      },
      onPointerMove: ({ clientY }: PointerEvent) => {
        if (from.current !== null) setDrawn(Math.max(0, clientY - from.current));
      },
      onPointerUp: end,
      onPointerCancel: end,
      onPointerLeave: end,
    },
  };
}
