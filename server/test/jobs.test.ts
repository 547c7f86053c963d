import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { type Logger, pino } from 'pino';
import { addBand } from '../src/band/band-store.ts';
import { finishJob, loadJob, startJob } from '../src/job/job-store.ts';
import { type Handler, JobRefused, Worker } from '../src/job/worker.ts';
import { houseOn, leaderOf, openDatabase, openServer, SILENT, send, type TestDatabase, type TestServer } from './harness.ts';

let db: TestDatabase;
let server: TestServer;
beforeAll(async () => {
  db = await openDatabase();
  server = await openServer(db.pool, { works: false });
});
afterAll(async () => {
  await server.close();
  await db.close();
});

const base = () => `${server.url}/api/v1/bands/${db.bandId}/jobs`;
const stateOf = async (id: string) => (await send(`${base()}/${id}`)).body;
const asked = async (bandId = db.bandId) =>
  (await startJob(houseOn(db).as({ band: bandId }), leaderOf(bandId), { kind: 'export', wish: {} })).id;

/** A worker that does all work in one way. */
function workerFor(handler: Handler, more: { silentMs?: number; log?: Logger } = {}): Worker {
  const handlers = { pack: handler, export: handler, 'read-file': handler, 'accept-file': handler };
  const worker = new Worker({ house: houseOn(db), handlers, log: SILENT, pollMs: 5, ...more });
  worker.start();
  return worker;
}

async function until(id: string, state: string) {
  for (let round = 0; round < 2000; round += 1) {
    const now = await stateOf(id);
    if (now.state === state) return now;
    await new Promise((resolve) => setTimeout(resolve, 5));
  }
  throw new Error(`never ${state}: ${JSON.stringify(await stateOf(id))}`);
}

test('waits until a worker takes it up, tells how far it is, and what came of it', async () => {
  const id = await asked();
  expect(await stateOf(id)).toMatchObject({ state: 'working', done: 0 });
  let goOn: () => void = () => undefined;
  const worker = workerFor(async ({ tick }) => {
    await tick(3, 7);
    await new Promise<void>((resolve) => {
      goOn = resolve;
    });
    return { says: 'All of it.', file: { name: 'it.txt', type: 'text/plain', bytes: Buffer.from('it') } };
  });
  while ((await stateOf(id)).total === 0) await new Promise((resolve) => setTimeout(resolve, 5));
  expect(await stateOf(id)).toMatchObject({ state: 'working', done: 3, total: 7 });
  goOn();
  expect(await until(id, 'done')).toMatchObject({ says: 'All of it.', done: 7, total: 7 });
  const file = await fetch(`${base()}/${id}/file`);
  expect([await file.text(), file.headers.get('content-type')]).toEqual(['it', 'text/plain; charset=utf-8']);
  await worker.stop();
});

test('stops where it is told to, and one that is done stays done', async () => {
  let steps = 0;
  const worker = workerFor(async ({ tick }) => {
    for (; steps < 1_000_000; steps += 1) await tick(steps, 1_000_000);
    return { says: 'never', file: null };
  });
  const id = await asked();
  while (steps === 0) await new Promise((resolve) => setTimeout(resolve, 5));
  expect((await send(`${base()}/${id}`, 'DELETE')).body).toMatchObject({ state: 'stopped', says: 'Stopped.' });
  await worker.stop();
  expect(steps).toBeLessThan(1_000_000);
  expect(await stateOf(id)).toMatchObject({ state: 'stopped' });
  const quick = workerFor(async () => ({ says: 'Done.', file: null }));
  const second = await asked();
  await until(second, 'done');
  expect((await send(`${base()}/${second}`, 'DELETE')).body).toMatchObject({ state: 'done', says: 'Done.' });
  await quick.stop();
});

test('what it writes and its end are one: stopped in between, nothing of it is there', async () => {
  const worker = workerFor(async ({ db: rows, job, finish }) => {
    await rows.transaction(async (client) => {
      await client.query('update band set name = $2 where id = $1', [job.bandId, 'Half written']);
      await send(`${base()}/${job.id}`, 'DELETE');
      await finish(client, { says: 'Written.', file: null });
    });
    return undefined;
  });
  const id = await asked();
  expect(await until(id, 'stopped')).toMatchObject({ says: 'Stopped.' });
  await worker.stop();
  const { rows } = await db.pool.query('select name from band where id = $1', [db.bandId]);
  expect(rows[0].name).toBe('The Test Pressings');
});

test('that fails says so: in words where there are some, else it is told to whoever watches', async () => {
  const lines: string[] = [];
  const log = pino({ level: 'error' }, { write: (line: string) => void lines.push(line) });
  let fault: Error = new JobRefused('The file is torn.');
  const worker = workerFor(async () => Promise.reject(fault), { log });
  expect(await until(await asked(), 'failed')).toMatchObject({ says: 'The file is torn.' });
  fault = new Error('torn');
  expect(await until(await asked(), 'failed')).toMatchObject({ says: 'This is a fault of ours. Nothing was changed.' });
  expect(lines).toHaveLength(1);
  await worker.stop();
});

test('of a worker that was killed is taken up by another one; what the first still writes counts no more', async () => {
  const id = await asked();
  const house = houseOn(db);
  // a worker that takes it up and is heard of no more
  await house.as({}).query("select * from aurora_claim_job('15 s')");
  const first = await loadJob(house.as({ band: db.bandId }), db.bandId, id);
  await db.pool.query("update job set beat_at = now() - interval '1 minute' where id = $1", [id]);
  const worker = workerFor(async () => ({ says: 'By the second.', file: null }), { silentMs: 20_000 });
  expect(await until(id, 'done')).toMatchObject({ says: 'By the second.' });
  await worker.stop();
  if (first === undefined) throw new Error('it was not there');
  expect(await finishJob(house.as({ band: db.bandId }), first, { says: 'By the first.', file: null })).toBe(false);
  expect(await stateOf(id)).toMatchObject({ says: 'By the second.' });
});

test('that ends its worker again and again is left', async () => {
  const id = await asked();
  await db.pool.query("update job set tries = 3, state = 'working', beat_at = now() - interval '1 minute' where id = $1", [id]);
  const worker = workerFor(async () => ({ says: 'never', file: null }), { silentMs: 20_000 });
  expect((await until(id, 'failed')).says).toMatch(/ended the server’s worker several times/);
  await worker.stop();
});

test('is of one band alone, and two workers never do the same', async () => {
  const other = await addBand(db.pool, 'Strangers');
  const theirs = await asked(other);
  expect((await send(`${base()}/${theirs}`)).status).toBe(404);
  expect((await send(`${base()}/${theirs}`, 'DELETE')).status).toBe(404);
  expect((await send(`${base()}/${theirs}/file`)).status).toBe(404);
  const seen: string[] = [];
  const handler: Handler = async ({ job }) => {
    seen.push(job.id);
    return { says: 'Done.', file: null };
  };
  const ids = [theirs];
  for (let job = 0; job < 6; job += 1) ids.push(await asked());
  const workers = [1, 2, 3].map(() => workerFor(handler));
  for (const id of ids.slice(1)) await until(id, 'done');
  await Promise.all(workers.map((worker) => worker.stop()));
  expect([...seen].sort()).toEqual([...ids].sort());
});

test('begun through one server is read through another', async () => {
  const [one, two] = [await openServer(db.pool, { works: false }), await openServer(db.pool)];
  const band = await addBand(db.pool, 'Two doors');
  await send(`${one.url}/api/v1/bands/${band}/songs`, 'POST', { source: 'title: Door\nkey: C\n\n1 4 5 1\n' });
  const { id } = (await send(`${one.url}/api/v1/bands/${band}/exports`, 'POST', { format: 'abc' })).body;
  let state = 'working';
  while (state === 'working') state = (await send(`${two.url}/api/v1/bands/${band}/jobs/${id}`)).body.state;
  const [here, there] = await Promise.all(
    [one, two].map(async ({ url }) => (await fetch(`${url}/api/v1/bands/${band}/jobs/${id}/file`)).arrayBuffer()),
  );
  expect(here?.byteLength).toBeGreaterThan(100);
  expect(Buffer.from(here as ArrayBuffer).equals(Buffer.from(there as ArrayBuffer))).toBe(true);
  await one.close();
  await two.close();
});

test('is refused where a band has a lot of it already', async () => {
  const band = await addBand(db.pool, 'The Busy');
  for (let job = 0; job < 8; job += 1) await asked(band);
  await expect(asked(band)).rejects.toMatchObject({ code: 'too-many' });
});

test('that is unknown has no file', async () => {
  expect((await send(`${base()}/00000000-0000-4000-8000-000000000000/file`)).status).toBe(404);
  expect((await send(`${base()}/00000000-0000-4000-8000-000000000000`, 'DELETE')).status).toBe(404);
});
