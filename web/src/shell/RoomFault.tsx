import { Link, useRouteError } from 'react-router';
import { Button } from '../ui/Button.tsx';
import { Notice } from '../ui/Notice.tsx';
import { HOUSE_WORDS } from '../wording/house.ts';

/** What is shown when a room cannot be drawn. The song itself is safe: it is kept apart from the page. */
export function RoomFault() {
  const error = useRouteError();
  return (
    <main className="h-full bg-ground">
      <Notice
        title={HOUSE_WORDS.thisRoomDidNotOpen}
        action={<Button onClick={() => window.location.reload()}>{HOUSE_WORDS.openItAgain}</Button>}
      >
        <p>{HOUSE_WORDS.yourSongsAreSafeOpeningThe}</p>
        <p className="mt-2 text-fine">{error instanceof Error ? error.message : ''}</p>
      </Notice>
    </main>
  );
}

/** An address that leads nowhere. */
export function LostPage() {
  return (
    <Notice
      title={HOUSE_WORDS.nothingAtThisAddress}
      action={
        <Link className="font-semibold text-accent underline" to="/">
          {HOUSE_WORDS.goToTheSongs}
        </Link>
      }
    >
      <p>{HOUSE_WORDS.theSongMayHaveBeenOpened}</p>
    </Notice>
  );
}
