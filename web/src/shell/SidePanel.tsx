import { Tabs } from 'radix-ui';
import { Suspense } from 'react';
import { useMayWrite } from '../api/songs.ts';
import { RoomHint } from '../parts/hint/RoomHint.tsx';
import { type Side, setFolds } from '../session/device-store.ts';
import type { RoomId } from '../session/rooms.ts';
import { Hint } from '../ui/Hint.tsx';
import { CloseIcon } from '../ui/icons.ts';
import { SlotPlace } from '../ui/Slot.tsx';
import { TAB_LOOK } from '../ui/tab-look.ts';
import { HELP_WORDS } from '../wording/help.ts';
import { WhyOfSelection } from './WhyOfSelection.tsx';

/** What stands beside a room: the why of the chosen chord or, with a chart, its text. */
export function SidePanel({ room, side }: { readonly room: RoomId; readonly side: Side }) {
  const hasText = useMayWrite() && room === 'chart';
  const shown = hasText ? side : 'why';
  return (
    <aside
      aria-label={shown === 'why' ? HELP_WORDS.why : HELP_WORDS.text}
      className="no-print relative flex w-[300px] shrink-0 flex-col border-l border-hairline bg-sheet max-lg:h-[30%] max-lg:w-auto max-lg:border-t max-lg:border-l-0 3xl:w-[380px]"
    >
      <Tabs.Root value={shown} onValueChange={(next) => setFolds(room, { side: next as Side })} className="flex min-h-0 flex-1 flex-col">
        <div className="flex shrink-0 items-center border-b border-hairline pr-1 pl-2">
          <Tabs.List aria-label={HELP_WORDS.besideTheRoom} className="flex flex-1">
            <Tabs.Trigger value="why" className={TAB_LOOK}>
              {HELP_WORDS.why}
            </Tabs.Trigger>
            {hasText && (
              <Tabs.Trigger value="text" className={TAB_LOOK}>
                {HELP_WORDS.text}
              </Tabs.Trigger>
            )}
          </Tabs.List>
          <Hint text={HELP_WORDS.foldItAway} {...(shown === 'why' ? { keys: 'w' } : {})}>
            <button
              type="button"
              aria-label={shown === 'why' ? HELP_WORDS.foldTheWhyAway : HELP_WORDS.foldTheTextAway}
              onClick={() => setFolds(room, { side: null })}
              className="grid size-11 place-items-center rounded-lg text-quiet hover:bg-wash"
            >
              <CloseIcon size={18} />
            </button>
          </Hint>
        </div>
        <Tabs.Content value="why" className="min-h-0 flex-1 overflow-auto px-4 py-3">
          <Suspense>
            <WhyOfSelection />
          </Suspense>
        </Tabs.Content>
        <Tabs.Content value="text" className="flex min-h-0 flex-1 flex-col">
          <SlotPlace name="text" className="flex min-h-0 flex-1 flex-col" />
        </Tabs.Content>
      </Tabs.Root>
      <RoomHint room={room} />
    </aside>
  );
}
