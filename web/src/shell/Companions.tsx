import { lazy, type ReactNode, Suspense, useEffect, useRef } from 'react';
import { useLocation } from 'react-router';
import { RoomHint } from '../parts/hint/RoomHint.tsx';
import { foldsOf, setFolds, useDevice } from '../session/device-store.ts';
import { lowerHand } from '../session/hand-store.ts';
import { useLens, useReaderIsKnown } from '../session/lens.ts';
import { useOpened } from '../session/opened.ts';
import { isHinted, roomAt } from '../session/rooms.ts';
import { usePhone } from '../session/use-media.ts';
import { usePlayer } from '../transport/player.ts';
import { HOUSE_WORDS } from '../wording/house.ts';

// the shelf, which opens first, has no companions
const SidePanel = lazy(async () => ({ default: (await import('./SidePanel.tsx')).SidePanel }));
const NeckLine = lazy(async () => ({ default: (await import('./NeckLine.tsx')).NeckLine }));
const HandSheet = lazy(async () => ({ default: (await import('./HandSheet.tsx')).HandSheet }));

/** Where a keyboard gets to past the way to the other rooms. */
export const ROOM_ID = 'room';

interface CompanionsProps {
  readonly shown: boolean;
  /** What goes with the page over the room: on a phone the title and the tools. */
  readonly head: ReactNode;
  readonly children: ReactNode;
}

/** The room with its companions: the why or the text beside it, the neck under it; on a phone all of them in a half sheet over it. */
export function Companions({ shown, head, children }: CompanionsProps) {
  const { pathname } = useLocation();
  const room = roomAt(pathname);
  const isPhone = usePhone();
  const folds = useDevice((state) => foldsOf(state, room));
  const { selection } = useLens();
  const main = useRef<HTMLElement>(null);
  const before = useRef(pathname);
  useEffect(() => {
    // the first room is at its top, and asking it to go there would lay the page out twice
    if (before.current === pathname) return;
    before.current = pathname;
    // what was raised over one room does not lie over the next
    lowerHand();
    // and every room begins at its top
    window.scrollTo(0, 0);
    main.current?.scrollTo(0, 0);
  }, [pathname]);
  const { isEmpty } = useOpened();
  // where there is no chord to look at yet, nothing stands beside the room that could only say so
  const hasChord = room === 'chart' ? !isEmpty || folds.side === 'text' : selection !== null;
  const isKnown = useReaderIsKnown() || !shown;
  const beside = shown && isKnown && !isPhone && hasChord;
  return (
    <>
      <div className="flex min-h-0 flex-1 max-lg:flex-col flat:block">
        <main id={ROOM_ID} ref={main} tabIndex={-1} className="relative min-h-0 min-w-0 flex-1 overflow-auto flat:overflow-visible">
          {head}
          {(!beside || folds.side === null) && !(isPhone && room === 'chart') && isHinted(pathname) && <RoomHint room={room} />}
          {isKnown ? (
            children
          ) : (
            <p role="status" className="p-8 text-quiet">
              {HOUSE_WORDS.opening}
            </p>
          )}
        </main>
        {beside && folds.side !== null && (
          <Suspense fallback={<div className="w-[300px] shrink-0 border-l border-hairline bg-sheet max-lg:hidden" />}>
            <SidePanel room={room} side={folds.side} />
          </Suspense>
        )}
      </div>
      <SoundFault />
      <Suspense fallback={beside ? <div className="h-11 shrink-0 border-t border-edge bg-sheet" /> : null}>
        {beside && (
          <NeckLine risen={folds.neck} side={folds.side} chord={selection?.chord ?? null} onFolds={(next) => setFolds(room, next)} />
        )}
        {shown && isKnown && isPhone && <HandSheet room={room} />}
      </Suspense>
    </>
  );
}

/** Why nothing sounds. */
function SoundFault() {
  const fault = usePlayer((state) => state.fault);
  return fault === null ? null : (
    <p role="status" className="border-t border-hairline bg-wash px-5 py-2 text-base">
      {fault}
    </p>
  );
}
