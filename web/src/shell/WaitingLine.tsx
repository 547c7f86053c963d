import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useBand } from '../api/songs.ts';
import { device } from '../device/records.ts';
import { type WaitingCopy, waitingCopies } from '../document/device-copy.ts';
import { passesOutbox, sessionsOutbox } from '../document/practice-outbox.ts';
import { usePlaying } from '../session/playing.ts';
import { Button } from '../ui/Button.tsx';
import { HOUSE_WORDS } from '../wording/house.ts';

const KINDS = ['song', 'set', 'piece'];
/** What somebody is in the middle of is saved by itself. */
const STILL_MS = 5000;
const LOOK_MS = 4000;
const SEND_MS = 20_000;
/** One tab at a time. */
const TURN = 'aurora-deliver';

/** What waits on this device and when it is sent: when the application opens, when the network is back, and from time to time. */
function useWaiting(bandId: string | undefined, memberId: string | undefined) {
  const queries = useQueryClient();
  const [waiting, setWaiting] = useState<readonly WaitingCopy[]>([]);
  const [isSending, setIsSending] = useState(false);
  const look = useCallback(() => {
    const now = waitingCopies(device, KINDS).filter(({ at }) => Date.now() - at > STILL_MS);
    setWaiting((before) => (before.length === 0 && now.length === 0 ? before : now));
    return now;
  }, []);
  const send = useCallback(async () => {
    const copies = look();
    if (bandId === undefined) return;
    if (memberId !== undefined) for (const box of [passesOutbox, sessionsOutbox]) void box.flush({ bandId, memberId });
    if (copies.length === 0) return;
    setIsSending(true);
    try {
      const { deliver } = await import('../document/deliver.ts');
      await inTurn(() => deliver(queries, bandId, copies));
    } catch {
      // without the code that sends it waits on
    } finally {
      setIsSending(false);
      look();
    }
  }, [bandId, memberId, queries, look]);
  useEffect(() => {
    const sent = () => void send();
    const looking = window.setInterval(look, LOOK_MS);
    const sending = window.setInterval(sent, SEND_MS);
    window.addEventListener('online', sent);
    sent();
    return () => {
      window.clearInterval(looking);
      window.clearInterval(sending);
      window.removeEventListener('online', sent);
    };
  }, [send, look]);
  return { waiting, isSending, send };
}

async function inTurn(work: () => Promise<void>): Promise<void> {
  if (navigator.locks === undefined) return work();
  await navigator.locks.request(TURN, { ifAvailable: true }, (lock) => (lock === null ? undefined : work()));
}

/** Says in every room what is only on this device, and sends it. */
export function WaitingLine() {
  const { data: band } = useBand();
  const { waiting, isSending, send } = useWaiting(band?.id, usePlaying().practises?.id);
  if (waiting.length === 0) return null;
  return (
    <section
      aria-label={HOUSE_WORDS.waitingHere}
      className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-edge bg-wash px-4 py-1.5 text-base phone:px-3"
    >
      <p role="status" className="font-semibold phone:mr-auto">
        {HOUSE_WORDS.changesWait(waiting.length)}
      </p>
      <ul className="flex min-w-0 flex-1 flex-wrap gap-x-3 phone:order-last phone:basis-full">
        {waiting.map((copy) => (
          <li key={`${copy.kind} ${copy.id}`}>
            <Link to={placeOf(copy)} className="inline-flex min-h-11 items-center underline">
              {titleOf(copy)}
            </Link>
          </li>
        ))}
      </ul>
      <Button onClick={() => void send()} disabled={isSending}>
        {isSending ? HOUSE_WORDS.sendingNow : HOUSE_WORDS.sendNow}
      </Button>
    </section>
  );
}

function placeOf({ kind, id }: WaitingCopy): string {
  if (kind === 'song') return `/songs/${id}/chart`;
  return kind === 'set' ? '/band/tonight' : `/analyze/score/${id}`;
}

function titleOf({ kind, value }: WaitingCopy): string {
  if (kind === 'song') return /^title:\s*(.+)$/m.exec(String(value))?.[1]?.trim() || HOUSE_WORDS.aSong;
  const { name, title } = (value ?? {}) as { readonly name?: unknown; readonly title?: unknown };
  return String(name ?? title ?? HOUSE_WORDS.aSet);
}
