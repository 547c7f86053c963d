import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { openDatabase, openServer, type TestDatabase, type TestServer } from './harness.ts';
import { type PeopledBand, peopledBand, STRANGER, sendAs } from './people-harness.ts';

let db: TestDatabase;
let server: TestServer;
beforeAll(async () => {
  db = await openDatabase();
  server = await openServer(db.pool, { door: null });
});
afterAll(async () => {
  await server.close();
  await db.close();
});

let count = 0;
const band = (): Promise<PeopledBand> => {
  count += 1;
  return peopledBand(server.house, server.url, `Band ${count}`);
};
const at = (path: string) => `${server.url}/api/v1${path}`;
const send = ({ bandId, member }: PeopledBand, wish: object) => sendAs(member, at(`/bands/${bandId}/sent`), 'POST', wish);
const look = (token: string) => sendAs(STRANGER, at('/sent/look'), 'POST', { token });
const songOf = ({ songId }: PeopledBand, more = {}) => ({ what: 'song', songId, until: 'evening', ...more });

describe('a chart that is sent', () => {
  test('is read by whoever has the link, without an account, in the key it was sent in', async () => {
    const here = await band();
    const { status, body } = await send(here, songOf(here, { key: 'Eb' }));
    expect([status, new Date(body.expiresAt) > new Date()]).toEqual([201, true]);
    const read = await look(body.token);
    expect(read).toMatchObject({
      status: 200,
      setCookie: null,
      body: { bandId: here.bandId, key: 'Eb', set: null, song: { id: here.songId } },
    });
    expect(read.body.song.source.length).toBeGreaterThan(5);
  });

  test('shows what the chart is now, not what it was', async () => {
    const here = await band();
    const { body } = await send(here, songOf(here));
    const song = `/bands/${here.bandId}/songs/${here.songId}`;
    const { revision } = (await sendAs(here.member, at(song))).body;
    await sendAs(here.member, at(song), 'PUT', { source: 'title: Newer\nkey: C\n\n1 4 5 1\n', baseRevision: revision });
    expect((await look(body.token)).body.song.title).toBe('Newer');
  });

  test('opens nothing else of the band', async () => {
    const here = await band();
    const { body } = await send(here, songOf(here));
    for (const path of [`/bands/${here.bandId}/songs`, `/bands/${here.bandId}/songs/${here.songId}`, `/bands/${here.bandId}/sent`])
      expect((await sendAs(STRANGER, at(path), 'GET', undefined, { Authorization: `Bearer ${body.token}` })).status).toBe(401);
  });

  test('taken back it opens no more; so does one whose evening is over', async () => {
    const here = await band();
    const { body } = await send(here, songOf(here, { until: 'taken back' }));
    expect(body.expiresAt).toBeNull();
    const link = at(`/bands/${here.bandId}/sent/${body.id}`);
    expect((await sendAs(here.member, link, 'DELETE')).status).toBe(200);
    expect((await look(body.token)).body.detail).toMatch(/taken back/);
    expect((await sendAs(here.member, link, 'DELETE')).status).toBe(404);
    const late = (await send(here, songOf(here))).body;
    await db.pool.query("update sent_chart set expires_at = now() - interval '1 minute' where id = $1", [late.id]);
    expect((await look(late.token)).status).toBe(404);
  });
});

describe('a set that is sent', () => {
  test('comes with its songs; who counts in and whose capo is where stay with the band', async () => {
    const here = await band();
    const { body } = await send(here, { what: 'set', setId: here.setId, until: 'evening' });
    const { set, song } = (await look(body.token)).body;
    expect([song, set.id, set.savedBy]).toEqual([null, here.setId, null]);
    expect(set.songs.map(({ id }: { id: string }) => id)).toEqual([here.songId]);
    for (const entry of set.entries) expect(entry).toMatchObject({ capos: {}, starts: '' });
  });
});

describe('the links of a band', () => {
  test('are listed for its members, the newest first, without what opens them', async () => {
    const here = await band();
    await send(here, songOf(here, { key: 'F' }));
    await send(here, { what: 'set', setId: here.setId, until: 'taken back' });
    const { body } = await sendAs(here.leader, at(`/bands/${here.bandId}/sent`));
    expect(body.sent).toMatchObject([
      { what: 'set', expiresAt: null },
      { what: 'song', key: 'F' },
    ]);
    expect(JSON.stringify(body)).not.toContain('token');
    const audit = (await sendAs(here.leader, at(`/bands/${here.bandId}/audit`))).body.entries;
    expect(audit.filter(({ what }: { what: string }) => what === 'sent a link to')).toHaveLength(2);
  });

  test('are neither made nor seen by a guest, a stranger or another band', async () => {
    const [here, there] = [await band(), await band()];
    const path = at(`/bands/${here.bandId}/sent`);
    for (const [who, status] of [
      [here.guest, 403],
      [STRANGER, 401],
      [there.leader, 404],
    ] as const) {
      expect((await sendAs(who, path)).status).toBe(status);
      expect((await sendAs(who, path, 'POST', songOf(here))).status).toBe(status);
    }
    expect((await send(here, { ...songOf(here), songId: there.songId })).status).toBe(404);
  });

  test.each([
    [{ what: 'song', songId: 'no', until: 'evening' }, 422],
    [{ what: 'song', songId: '00000000-0000-4000-8000-000000000000', until: 'evening' }, 404],
    [{ what: 'song', songId: '00000000-0000-4000-8000-000000000000', until: 'for ever' }, 422],
    [{ what: 'song', songId: '00000000-0000-4000-8000-000000000000', until: 'evening', key: 'H minor maybe' }, 422],
    [{ what: 'piece' }, 422],
  ])('%j is refused with %i', async (wish, status) => {
    expect((await send(await band(), wish)).status).toBe(status);
  });

  test.each(['', 'x'.repeat(30), 'a b c', 'A'.repeat(64)])('a link that is none, %j, opens nothing', async (token) => {
    expect([404, 422]).toContain((await look(token)).status);
  });
});
