import { type PracticePass, type PracticeSession, passesTaken, practicePass, practiceSession } from '@aurora/wire';
import { call } from '../api/client.ts';
import { device } from '../device/records.ts';
import { Outbox, type Owner } from './outbox.ts';

const RETRY_MS = 15_000;

const pathOf = ({ bandId, memberId }: Owner) => `/bands/${bandId}/members/${memberId}`;

/** Passes that were played at this browser and are not on the server yet. */
export const passesOutbox = new Outbox<PracticePass>('pass', practicePass, device, (owner, passes) =>
  call('POST', `${pathOf(owner)}/passes`, passesTaken, { body: { passes } }),
);

/** Sessions of the log, the same. */
export const sessionsOutbox = new Outbox<PracticeSession>('session', practiceSession, device, async (owner, sessions) => {
  for (const session of sessions) await call('PUT', `${pathOf(owner)}/practice/sessions/${session.id}`, practiceSession, { body: session });
});

/** Tries again from time to time, and whenever there may be a network; gives back what ends it. */
export function keepSending(box: Pick<Outbox<{ readonly id: string }>, 'flush' | 'adopt'>, owner: Owner): () => void {
  box.adopt(owner);
  const send = () => void box.flush(owner);
  const timer = window.setInterval(send, RETRY_MS);
  window.addEventListener('online', send);
  send();
  return () => {
    window.clearInterval(timer);
    window.removeEventListener('online', send);
  };
}
