import { DEFAULT_PREFERENCES } from '@aurora/wire';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { scopedDb } from '../src/context/scope.ts';
import { openDatabase, openServer, type TestDatabase, type TestServer } from './harness.ts';
import { type PeopledBand, peopledBand, type Somebody, STRANGER, sendAs } from './people-harness.ts';
import { type Listener, listen } from './stream-harness.ts';

let db: TestDatabase;
let one: TestServer;
let two: TestServer;
let here: PeopledBand;
let there: PeopledBand;
let listeners: Listener[];
beforeAll(async () => {
  db = await openDatabase();
  // two processes of one house
  [one, two] = [await openServer(db.pool, { door: null }), await openServer(db.pool, { door: null })];
  [here, there] = [await peopledBand(one.house, one.url, 'Ashfield'), await peopledBand(one.house, one.url, 'Birchwick')];
});
afterAll(async () => {
  await one.close();
  await two.close();
  await db.close();
});
beforeEach(() => {
  listeners = [];
});
afterEach(() => {
  for (const { close } of listeners) close();
});

const at = (server: TestServer, band: PeopledBand, rest = 'changes') => `${server.url}/api/v1/bands/${band.bandId}/${rest}`;
async function hear(
  server: TestServer,
  who: Somebody,
  band: PeopledBand,
  headers: Record<string, string> = {},
  search = '',
): Promise<Listener> {
  const listener = await listen(at(server, band) + search, { Cookie: who.cookie, ...headers });
  listeners.push(listener);
  await listener.until(({ name }) => name === 'hello');
  return listener;
}
/** Saves the song of a band once more through a server. */
async function save(server: TestServer, band: PeopledBand, who = band.leader): Promise<number> {
  const url = at(server, band, `songs/${band.songId}`);
  const { body } = await sendAs(who, url);
  const saved = await sendAs(who, url, 'PUT', { source: `${body.source}1 `, baseRevision: body.revision });
  expect(saved.status).toBe(200);
  return saved.body.revision;
}
const isSong =
  (revision: number) =>
  ({ data }: { data: { kind?: string; revision?: number | null } }) =>
    data.kind === 'song' && data.revision === revision;

describe('what changes in a band is heard', () => {
  test('through any process, by name and revision', async () => {
    const heard = await hear(two, here.member, here);
    expect([heard.status, heard.type]).toEqual([200, 'text/event-stream']);
    const revision = await save(one, here);
    const { name, id, data } = await heard.until(isSong(revision));
    expect([name, data]).toEqual(['change', { seq: Number(id), kind: 'song', id: here.songId, revision }]);
  });

  test('sets, players, preferences and pieces too; what another band does is not', async () => {
    const heard = await hear(two, here.member, here);
    await save(one, there);
    await sendAs(here.leader, at(one, here, 'sets'), 'POST', { name: 'Late', place: '', startsAt: '', gapSeconds: 0, entries: [] });
    await sendAs(here.leader, at(one, here, 'members'), 'POST', { name: 'Wren', plays: 'bass' });
    await sendAs(here.leader, at(one, here, 'preferences'), 'PATCH', { naming: { ...DEFAULT_PREFERENCES.naming, majorSeventh: '△7' } });
    await heard.until(({ data }) => data.kind === 'preference');
    const kinds = new Set(heard.heard.flatMap(({ data }) => data.kind ?? []));
    expect([...kinds].sort()).toEqual(['member', 'preference', 'set']);
  });

  test('nothing is told of what is rolled back, or only worked out anew', async () => {
    const heard = await hear(two, here.member, here);
    const mine = scopedDb(db.app, { band: here.bandId });
    await mine
      .transaction(async (client) => {
        await client.query("update song set tags = '{never}'");
        throw new Error('not after all');
      })
      .catch(() => undefined);
    await mine.query("update song set opening = '{1,4}'");
    const revision = await save(one, here);
    await heard.until(isSong(revision));
    expect(heard.heard.filter(({ name }) => name === 'change')).toHaveLength(1);
  });
});

describe('who was away', () => {
  test('is told what they missed, by what they heard last', async () => {
    const before = await hear(one, here.member, here);
    const seen = await before.until(({ name }) => name === 'hello');
    before.close();
    const revisions = [await save(one, here), await save(two, here)];
    const again = await hear(two, here.member, here, { 'Last-Event-ID': seen.id });
    for (const revision of revisions) await again.until(isSong(revision));
    const asked = await hear(two, here.member, here, {}, `?after=${seen.id}`);
    for (const revision of revisions) await asked.until(isSong(revision));
  });

  test('and missed more than can be told, or too long ago, that anything may have changed', async () => {
    const before = await hear(one, here.member, here);
    const { id } = await before.until(({ name }) => name === 'hello');
    before.close();
    await scopedDb(db.app, { band: here.bandId }).query('update song set tags = array[step::text] from generate_series(1, 1) step');
    for (let round = 0; round < 6; round += 1)
      await db.pool.query("insert into change (band_id, kind, id) select $1, 'member', gen_random_uuid() from generate_series(1, 100)", [
        here.bandId,
      ]);
    const again = await hear(two, here.member, here, { 'Last-Event-ID': id });
    const all = await again.until(({ name }) => name === 'all');
    expect(Number(all.id)).toBeGreaterThan(Number(id) + 600);
    // and goes on from there
    const revision = await save(one, here);
    await again.until(isSong(revision));
    await db.pool.query("update change set at = now() - interval '2 days' where band_id = $1", [here.bandId]);
    await db.pool.query('select aurora_forget_changes()');
    const late = await hear(two, here.member, here, { 'Last-Event-ID': id });
    await late.until(({ name }) => name === 'all');
    const { rows } = await db.pool.query('select count(*)::int as left from change where band_id = $1', [here.bandId]);
    expect(rows[0].left).toBe(1);
  });

  test('with a number the house never gave, of a database that was put back, asks for everything', async () => {
    const heard = await hear(two, here.member, here, { 'Last-Event-ID': '99999999' });
    await heard.until(({ name }) => name === 'all');
  });

  test('when the database was away everybody is told what was missed', async () => {
    const heard = await hear(two, here.member, here);
    // the connection that listens breaks, and something is said before it is back
    await db.pool.query("select pg_terminate_backend(pid) from pg_stat_activity where application_name = 'aurora-ridge changes'");
    const revision = await save(one, here);
    await heard.until(isSong(revision));
    const next = await save(one, here);
    await heard.until(isSong(next));
  });
});

describe('who may hear', () => {
  test('nobody unknown, and nobody of another band', async () => {
    for (const [who, status] of [
      [STRANGER, 401],
      [there.leader, 404],
    ] as const) {
      const listener = await listen(at(one, here), { Cookie: who.cookie });
      listeners.push(listener);
      expect([listener.status, listener.type]).toEqual([status, 'application/problem+json; charset=utf-8']);
    }
  });

  test('a guest hears of the evening’s set and its songs, then and before', async () => {
    const other = await sendAs(here.leader, at(one, here, 'songs'), 'POST', { source: 'title: Not tonight\nkey: C\n\n1 4\n' });
    const guest = await hear(two, here.guest, here, { 'Last-Event-ID': '0' });
    await sendAs(here.leader, at(one, here, `songs/${other.body.id}`), 'PUT', {
      source: 'title: Not tonight\nkey: C\n\n1 5\n',
      baseRevision: 1,
    });
    const revision = await save(one, here);
    await guest.until(isSong(revision));
    expect(
      guest.heard.flatMap(({ data }) => (data.id === undefined ? [] : [data.id])).filter((id) => id !== here.songId && id !== here.setId),
    ).toEqual([]);
  });

  test('whose place in the band changes comes in anew', async () => {
    const heard = await hear(two, here.member, here);
    await sendAs(here.leader, at(one, here, `members/${here.memberId}`), 'PATCH', { name: 'Wrenna' });
    await heard.ended;
  });
});

test('who asks for JSON is told once', async () => {
  const { status, body } = await sendAs(here.member, at(one, here, 'changes'));
  expect([status, body.changes, body.all]).toEqual([200, [], false]);
  const revision = await save(two, here);
  const { body: after } = await sendAs(here.member, at(one, here, `changes?after=${body.last}`));
  expect(after.changes.at(-1)).toMatchObject({ kind: 'song', id: here.songId, revision });
  expect((await sendAs(here.member, at(one, here, 'changes?after=soon'))).status).toBe(422);
});

test('two hundred browsers hear it, and when they have gone nobody is listened for', async () => {
  const many = await Promise.all(Array.from({ length: 200 }, () => hear(two, here.member, here)));
  expect(two.changes.size).toBeGreaterThanOrEqual(200);
  const revision = await save(one, here);
  await Promise.all(many.map((each) => each.until(isSong(revision))));
  for (const each of many) each.close();
  await Promise.all(many.map(({ ended }) => ended));
  const left = async (): Promise<number> => {
    for (let tries = 0; two.changes.size > 0 && tries < 500; tries += 1) await new Promise((resolve) => setImmediate(resolve));
    return two.changes.size;
  };
  expect(await left()).toBe(0);
}, 180_000);

test('a house that closes ends its streams', async () => {
  const short = await openServer(db.pool, { door: null });
  const heard = await hear(short, here.member, here);
  await short.close();
  await heard.ended;
});
