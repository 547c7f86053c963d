import { Link, useRouteError } from 'react-router';
import { Button } from '../ui/Button.tsx';
import { Notice } from '../ui/Notice.tsx';

/** What is shown when a room cannot be drawn. The song itself is safe: it is kept apart from the page. */
export function RoomFault() {
  const error = useRouteError();
  return (
    <main className="h-full bg-ground">
      <Notice title="This room did not open" action={<Button onClick={() => window.location.reload()}>Open it again</Button>}>
        <p>Your songs are safe. Opening the page again usually helps.</p>
        <p className="mt-2 text-fine">{error instanceof Error ? error.message : ''}</p>
      </Notice>
    </main>
  );
}

/** An address that leads nowhere. */
export function LostPage() {
  return (
    <Notice
      title="Nothing at this address"
      action={
        <Link className="font-semibold text-accent underline" to="/">
          Go to the songs
        </Link>
      }
    >
      <p>The song may have been opened from an old link, or the address has a slip in it.</p>
    </Notice>
  );
}
