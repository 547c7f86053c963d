/** What was sent to each place last and is not answered yet. */
const underWay = new Map<string, Promise<unknown>>();

/**
 * Sends what changes a place once what was sent there before is answered: two on their way at once may arrive in the other
 * order, and the older one would stand. A page that is left waits for nothing.
 */
export async function inTurn<Answer>(place: string, send: () => Promise<Answer>): Promise<Answer> {
  const before = underWay.get(place);
  const answer = before === undefined ? send() : answeredOrLeft(before).then(send);
  const mine = answer.catch(() => undefined);
  underWay.set(place, mine);
  try {
    return await answer;
  } finally {
    if (underWay.get(place) === mine) underWay.delete(place);
  }
}

async function answeredOrLeft(before: Promise<unknown>): Promise<void> {
  const waiting = new AbortController();
  const left = new Promise((leave) => globalThis.window?.addEventListener('pagehide', leave, { once: true, signal: waiting.signal }));
  await Promise.race([before, left]);
  waiting.abort();
}
