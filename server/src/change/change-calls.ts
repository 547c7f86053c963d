import { bandNewsAnswer } from '@aurora/wire';
import { createSession } from 'better-sse';
import type { Request, Response } from 'express';
import { z } from 'zod';
import { type Call, fileCall, STREAM } from '../call/call.ts';
import type { Seat } from '../context/context.ts';
import type { Db } from '../db/pool.ts';
import type { ChangeFeed } from './change-feed.ts';
import { changesAfter, findChange, OVERLAP } from './change-store.ts';

export interface ChangeDeps {
  readonly changes: ChangeFeed;
}

/** Browsers ask again after so long; nothing is said for no longer than this, or what stands between may hang up. */
const AGAIN_MS = 1000;
const QUIET_MS = 25_000;

const query = z.object({
  after: z.coerce.number().int().min(0).optional().describe('what was heard last; `Last-Event-ID` says so too'),
});

/** `/bands/{id}/changes`: what changed, once as JSON or as it happens as a stream of events. */
export function changeCalls({ changes }: ChangeDeps): readonly Call[] {
  return [
    fileCall(
      {
        id: 'hearChanges',
        access: 'guest',
        method: 'get',
        path: '/bands/{bandId}/changes',
        tag: 'bands',
        summary: 'What changed in the band, by name and revision; as server-sent events for who accepts them',
        query,
        answer: bandNewsAnswer,
        cache: 'no-store',
        streams: true,
      },
      async ({ request, response, db, seat, query: { after } }) => {
        const heard = heardLast(request) ?? after ?? null;
        if (request.accepts(['application/json', STREAM]) === STREAM) await stream({ changes, request, response, db, seat, heard });
        else response.json(await changesAfter(db, seat.bandId, heard));
      },
    ),
  ];
}

function heardLast(request: Request): number | null {
  const given = request.get('Last-Event-ID');
  return given !== undefined && /^\d{1,15}$/.test(given) ? Number(given) : null;
}

interface Stream extends ChangeDeps {
  readonly request: Request;
  readonly response: Response;
  readonly db: Db;
  readonly seat: Seat;
  readonly heard: number | null;
}

/** First what was missed, then everything as it happens. */
async function stream({ changes, request, response, db, seat, heard }: Stream): Promise<void> {
  // asked before the head is sent: a database that is away is answered as such
  const first = heard ?? (await changesAfter(db, seat.bandId, null)).last;
  let last = first;
  const session = await createSession(request, response, { retry: AGAIN_MS, keepAlive: QUIET_MS, headers: { 'X-Accel-Buffering': 'no' } });
  const tell = (data: object, seq: number, name: string) => {
    last = Math.max(last, seq);
    if (session.isConnected) session.push(data, name, String(last));
  };
  const catchUp = async () => {
    // to whoever has heard nothing yet, nothing of before is told
    const missed = await changesAfter(db, seat.bandId, last, heard === null ? Math.min(OVERLAP, last - first) : OVERLAP);
    if (missed.all) last = missed.last;
    if (missed.all) tell({}, last, 'all');
    else for (const change of missed.changes) tell(change, change.seq, 'change');
  };
  // whatever cannot be told ends the stream: the browser comes again and is told what it missed
  const orEnd = (work: Promise<void>) => void work.catch(() => response.end());
  const end = changes.hear(seat.bandId, {
    onChange: (change) => {
      if (seat.guestSet === null) tell(change, change.seq, 'change');
      // whether a guest may hear of it is for the walls to say
      else orEnd(findChange(db, seat.bandId, change.seq).then((found) => found && tell(found, found.seq, 'change')));
      // who they are here may have changed: they come in anew
      if (change.kind === 'member' && change.id === seat.memberId) response.end();
    },
    onGap: () => orEnd(catchUp()),
    onEnd: () => response.end(),
  });
  session.once('disconnected', end);
  if (!session.isConnected) return end();
  // once it is heard, so that nothing falls between
  tell({}, last, 'hello');
  orEnd(catchUp());
}
