import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { Threads } from '../src/compute/threads.ts';
import { openServer, send } from './harness.ts';

/** A thread that does what the body of its order says. */
const SCRIPT = `
export default async ({ body, given }) => {
  const wish = body ?? given;
  if (wish.spin) for (const end = Date.now() + wish.spin; Date.now() < end; );
  if (wish.grow) { const kept = []; for (;;) kept.push(new Array(1e6).fill(Math.random())); }
  if (wish.fault) return { kind: 'fault', code: 'invalid', message: wish.fault, errors: [], bug: null };
  return { kind: 'bytes', bytes: Buffer.from(JSON.stringify({ told: wish.tell ?? null })), isFile: false };
};`;

let folder: string;
let threads: Threads;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'aurora-threads-'));
  writeFileSync(join(folder, 'thread.mjs'), SCRIPT);
  threads = new Threads(pathToFileURL(join(folder, 'thread.mjs')));
});
afterAll(async () => {
  await threads.close();
  rmSync(folder, { recursive: true });
});

const waits = () => new AbortController();
const order = (body: object) => ({ kind: 'call', id: 'any', body, query: {} }) as const;
const run = (body: object, more: { client?: string; gone?: AbortSignal; deadlineMs?: number; size?: number } = {}) =>
  threads.run(order(body), {
    client: more.client ?? String(Math.random()),
    gone: more.gone ?? waits().signal,
    deadlineMs: more.deadlineMs,
    size: more.size ?? 100,
  });
const textOf = (done: Awaited<ReturnType<typeof run>>) => (done.kind === 'bytes' ? Buffer.from(done.bytes).toString() : '');

test('work comes back as the text that is sent, and what cannot be used as it would here', async () => {
  expect(textOf(await run({ tell: 'it' }))).toBe('{"told":"it"}');
  await expect(run({ fault: 'tonic: no such note' })).rejects.toMatchObject({ code: 'invalid', message: 'tonic: no such note' });
});

test('what takes too long is ended, and the next is answered', async () => {
  await expect(run({ spin: 60_000 }, { deadlineMs: 300 })).rejects.toMatchObject({
    code: 'too-large',
    message: expect.stringMatching(/too long to work out/),
  });
  expect(textOf(await run({ tell: 'next' }))).toBe('{"told":"next"}');
});

test('what takes too much memory is refused in words, and the next is answered', async () => {
  await expect(run({ grow: true }, { deadlineMs: 60_000 })).rejects.toMatchObject({ code: 'too-large' });
  expect(textOf(await run({ tell: 'next' }))).toBe('{"told":"next"}');
}, 60_000);

test('what nobody waits for is ended, also before its turn', async () => {
  const [first, second] = [waits(), waits()];
  const asked = [first, second].map(({ signal }) =>
    run({ spin: 60_000 }, { client: 'leaver', gone: signal, deadlineMs: 60_000 }).catch((fault: Error) => fault.message),
  );
  second.abort();
  first.abort();
  expect(await Promise.all(asked)).toEqual(['Nobody waits for this any more.', 'Nobody waits for this any more.']);
});

test('work of one client is done one after the other: another’s comes between', async () => {
  // both threads are there before it begins
  await Promise.all([run({ spin: 30 }), run({ spin: 30 })]);
  const ends: string[] = [];
  const one = (name: string, client: string) => run({ spin: 60 }, { client }).then(() => ends.push(name));
  const heavy = Array.from({ length: 6 }, (_, index) => one(`heavy ${index}`, 'heavy'));
  await one('light', 'light');
  // behind all of them it would have been the seventh
  expect(ends.length).toBeLessThan(6);
  await Promise.all(heavy);
  expect(ends.filter((name) => name !== 'light')).toEqual([0, 1, 2, 3, 4, 5].map((index) => `heavy ${index}`));
});

test('a client who asks for ever more at once is told to wait', async () => {
  const asked = Array.from({ length: 60 }, () =>
    run({ spin: 5 }, { client: 'greedy' }).then(
      () => 'told',
      (fault: { code: string }) => fault.code,
    ),
  );
  const counted = await Promise.all(asked);
  expect(counted.filter((one) => one === 'too-many').length).toBeGreaterThan(20);
  expect(counted.filter((one) => one === 'told').length).toBeGreaterThanOrEqual(30);
});

test('while a thread works, everybody else is answered', async () => {
  const server = await openServer(null, { threads });
  const source = 'x'.repeat(2000);
  const busy = send(`${server.url}/api/v1/charts/parse`, 'POST', { source, spin: 900 });
  let isDone = false;
  void busy.then(() => {
    isDone = true;
  });
  let answered = 0;
  while (!isDone) {
    expect((await fetch(`${server.url}/healthz`)).status).toBe(200);
    answered += 1;
  }
  // blocked, it would have been answered once, at the end
  expect(answered).toBeGreaterThan(3);
  expect((await busy).body).toEqual({ told: null });
  await server.close();
});
