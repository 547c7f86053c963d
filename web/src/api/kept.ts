import { ANSWERS } from './kept-names.ts';

const addressOf = (path: string) => `/api/v1${path}`;

/** Songs and sets say which revision they are; clocks are for people. */
function revisionOf(answer: unknown): number {
  const { revision } = (answer ?? {}) as { readonly revision?: unknown };
  return typeof revision === 'number' ? revision : 0;
}

/** Whether an answer that was asked for before a save comes after it. */
export function isOlder(answer: unknown, kept: unknown): boolean {
  return revisionOf(answer) < revisionOf(kept);
}

/** Keeps on the device what the server has just answered about something, so that it is there without a network. */
export async function keepAnswer(path: string, answer: unknown): Promise<void> {
  if (!('caches' in globalThis)) return;
  const headers = { 'Content-Type': 'application/json', Date: new Date().toUTCString() };
  try {
    const answers = await caches.open(ANSWERS);
    if (isOlder(answer, (await keptAnswer(path))?.answer)) return;
    await answers.put(addressOf(path), new Response(JSON.stringify(answer), { headers }));
  } catch {
    // a device without room has what it had
  }
}

/** What is kept of an answer, and when the server gave it, in milliseconds; null for nothing. */
export async function keptAnswer(path: string): Promise<{ readonly answer: unknown; readonly at: number } | null> {
  if (!('caches' in globalThis)) return null;
  const kept = await caches.match(addressOf(path), { cacheName: ANSWERS });
  if (kept === undefined) return null;
  const answer: unknown = await kept.json().catch(() => null);
  return { answer, at: Date.parse(kept.headers.get('date') ?? '') || 0 };
}
