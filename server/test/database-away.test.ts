import { afterAll, beforeAll, expect, test } from '@jest/globals';
import pg from 'pg';
import { openDatabase, openServer, send, type TestDatabase, type TestServer } from './harness.ts';

let db: TestDatabase;
let server: TestServer;
beforeAll(async () => {
  db = await openDatabase();
  server = await openServer(db.pool);
});
afterAll(async () => {
  await server.close();
  await db.close();
});

test('a database that stops while saves are under way ends no server: they are answered, and the next ones saved', async () => {
  const songs = `${server.url}/api/v1/bands/${db.bandId}/songs`;
  const { body: song } = await send(songs, 'POST', { source: 'key: G\n1 4\n' });
  const holder = new pg.Client(db.ownerUrl);
  holder.on('error', () => undefined);
  await holder.connect();
  await holder.query('begin');
  await holder.query('select 1 from song where id = $1 for update', [song.id]);
  const saves = [1, 2, 3].map((bar) => send(`${songs}/${song.id}`, 'PUT', { source: `key: G\n1 ${bar}\n`, baseRevision: 1 }));
  await waiting(3);
  // what a stop of the server does to its connections
  await db.pool.query(
    'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()',
  );
  const answers = await Promise.all(saves);
  expect(answers.map(({ status }) => status)).toEqual([503, 503, 503]);
  await holder.end().catch(() => undefined);
  expect(await send(`${songs}/${song.id}`, 'PUT', { source: 'key: G\n1 5\n', baseRevision: 1 })).toMatchObject({ status: 200 });
});

/** Waits until so many saves wait for a lock. */
async function waiting(count: number): Promise<void> {
  for (let round = 0; round < 1000; round += 1) {
    const { rows } = await db.pool.query(
      "select count(*)::int as n from pg_stat_activity where datname = current_database() and wait_event_type = 'Lock'",
    );
    if (rows[0]?.n >= count) return;
  }
  throw new Error('the saves never came to wait');
}
