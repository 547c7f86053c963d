import { expect, test } from '@jest/globals';
import { createReducer } from '../src/reduce/reducer.ts';

const LARGE_PIECE = { format: 'abc', bytes: new Uint8Array(100_000), rhythm: 'auto' } as const;
const threadOf = (script: string) => new URL(`data:text/javascript,${encodeURIComponent(script)}`);
const NEVER_ANSWERS = threadOf('setInterval(() => undefined, 1000);');
const MOST_THREADS = 2;

test('a piece nobody waits for any more is left, also one whose turn has not come', async () => {
  const reduce = createReducer(NEVER_ANSWERS);
  const asked = Array.from({ length: MOST_THREADS + 1 }, () => {
    const leaves = new AbortController();
    return { leaves, answer: reduce(LARGE_PIECE, leaves.signal).catch((fault: Error) => fault.message) };
  });
  for (const { leaves } of asked.toReversed()) leaves.abort();
  for (const { answer } of asked) expect(await answer).toBe('Nobody waits for this piece any more.');
});

test('a turn is handed on, and a later piece is answered', async () => {
  const reduce = createReducer(
    threadOf("import('node:worker_threads').then(({ parentPort }) => parentPort.postMessage({ ok: true, value: 'read' }));"),
  );
  const waits = new AbortController().signal;
  const answers = await Promise.all(Array.from({ length: 2 * MOST_THREADS + 1 }, () => reduce(LARGE_PIECE, waits)));
  expect(answers).toEqual(answers.map(() => ({ ok: true, value: 'read' })));
});

test('a piece that needs more memory than there is for one is refused in words', async () => {
  const reduce = createReducer(threadOf("throw Object.assign(new Error('heap'), { code: 'ERR_WORKER_OUT_OF_MEMORY' });"));
  await expect(reduce(LARGE_PIECE, new AbortController().signal)).rejects.toMatchObject({
    code: 'too-large',
    message: 'This piece takes too long to reduce: bring it in by movements.',
  });
});
