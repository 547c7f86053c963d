import { useEffect, useState } from 'react';
import { isHintWanted, readHint, seeHint, useDevice } from '../../session/device-store.ts';
import type { RoomId } from '../../session/rooms.ts';
import { usePhone } from '../../session/use-media.ts';
import { Hint } from '../../ui/Hint.tsx';
import { CloseIcon, HintIcon } from '../../ui/icons.ts';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { ROOM_HINTS, THUMB_HINTS } from './hint-table.ts';

/** The one hint of a room, for three visits at most and until it is put away on this device. */
export function RoomHint({ room }: { readonly room: RoomId }) {
  // the third visit lasts until one leaves
  return <HintOfVisit key={room} room={room} />;
}

function HintOfVisit({ room }: { readonly room: RoomId }) {
  const [wasWanted] = useState(() => isHintWanted(useDevice.getState(), room));
  const isRead = useDevice(({ hintsRead }) => hintsRead.includes(room)) || !wasWanted;
  useEffect(() => {
    if (wasWanted) seeHint(room);
  }, [room, wasWanted]);
  const isPhone = usePhone();
  const hint = (isPhone ? THUMB_HINTS[room] : undefined) ?? ROOM_HINTS[room];
  if (hint === undefined || isRead) return null;
  return (
    <div
      role="note"
      aria-label={PARTS_WORDS.hint}
      className="no-print flex shrink-0 items-center gap-2 border-y border-hairline bg-wash py-0.5 pl-4 text-fine"
    >
      <HintIcon size={16} aria-hidden="true" className="shrink-0 text-accent" />
      <p className="min-w-0 flex-1 py-1">{hint}</p>
      <Hint text={PARTS_WORDS.iKnowHideThisHint}>
        <button
          type="button"
          aria-label={PARTS_WORDS.iKnowHideThisHint}
          onClick={() => readHint(room)}
          className="grid size-11 shrink-0 place-items-center rounded-lg"
        >
          <CloseIcon size={16} />
        </button>
      </Hint>
    </div>
  );
}
