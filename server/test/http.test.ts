import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { demoHouse } from '../src/demo/demo-door.ts';
import { seedDemo } from '../src/demo/seed-demo.ts';
import { houseOn, openDatabase, openServer, send, type TestDatabase, type TestServer } from './harness.ts';

let db: TestDatabase;
let server: TestServer;
let webRoot: string;
beforeAll(async () => {
  db = await openDatabase();
  webRoot = mkdtempSync(join(tmpdir(), 'aurora-web-'));
  mkdirSync(join(webRoot, 'assets'));
  writeFileSync(join(webRoot, 'index.html'), '<title>page</title>');
  writeFileSync(join(webRoot, 'assets', 'app-1.js'), '// built');
  server = await openServer(db.pool, { webRoot });
});
afterAll(async () => {
  await server.close();
  await db.close();
  rmSync(webRoot, { recursive: true });
});
const api = (path: string, method?: string, body?: unknown) => send(`${server.url}/api/v1${path}`, method, body);
const songs = () => `/bands/${db.bandId}/songs`;

describe('songs over HTTP', () => {
  test('are added, read, saved and listed with their history', async () => {
    const added = await api(songs(), 'POST', { source: 'title: Sleet\nkey: G\n1 4\n' });
    expect(added).toMatchObject({ status: 201, body: { title: 'Sleet', key: 'G', revision: 1 } });
    const path = `${songs()}/${added.body.id}`;
    const saved = await api(path, 'PUT', { source: 'title: Sleet\nkey: A\n1 4\n', baseRevision: 1 });
    expect(saved).toMatchObject({ status: 200, body: { key: 'A', revision: 2 } });
    expect((await api(path)).body).toEqual(saved.body);
    expect((await api(`${path}/versions`)).body.versions).toHaveLength(2);
    expect((await api(songs())).body.songs).toContainEqual(expect.objectContaining({ id: added.body.id, key: 'A' }));
  });

  test('a stale save is told what is stored, and loses nothing', async () => {
    const { body: song } = await api(songs(), 'POST', { source: 'title: Thaw\n1\n' });
    const path = `${songs()}/${song.id}`;
    await api(path, 'PUT', { source: 'title: Theirs\n1\n', baseRevision: 1 });
    const stale = await api(path, 'PUT', { source: 'title: Mine\n1\n', baseRevision: 1 });
    expect(stale).toMatchObject({
      status: 409,
      body: { status: 409, current: { revision: 2, title: 'Theirs', source: 'title: Theirs\n1\n' } },
    });
    expect(stale.type).toContain('application/problem+json');
  });

  test('an emoji is a title like any other', async () => {
    expect((await api(songs(), 'POST', { source: 'title: 🎸🌊\n1\n' })).body.title).toBe('🎸🌊');
  });

  test.each<[what: string, path: string, method: string, body: unknown, status: number]>([
    ['a song that is not there', '/00000000-0000-4000-8000-000000000000', 'GET', undefined, 404],
    ['an id that cannot be one', '/12', 'GET', undefined, 404],
    ['history of no song', '/00000000-0000-4000-8000-000000000000/versions', 'GET', undefined, 404],
    ['a version of no song', '/00000000-0000-4000-8000-000000000000/versions/1', 'GET', undefined, 404],
    ['a version that is no number', '/00000000-0000-4000-8000-000000000000/versions/first', 'GET', undefined, 404],
    ['a copy of no song', '/00000000-0000-4000-8000-000000000000/copies', 'POST', undefined, 404],
    ['tags of no song', '/00000000-0000-4000-8000-000000000000', 'PATCH', { tags: ['slow'] }, 404],
    ['a tag without letters', '/00000000-0000-4000-8000-000000000000', 'PATCH', { tags: ['  '] }, 422],
    ['a sort nobody knows', '?sort=mood', 'GET', undefined, 422],
    ['no page at all', '?limit=0', 'GET', undefined, 422],
    ['a NUL in what is sought', '?find=%00', 'GET', undefined, 422],
    ['a name that is too long', '/00000000-0000-4000-8000-000000000000/versions/1', 'PATCH', { name: 'x'.repeat(81) }, 422],
    ['a save to no song', '/00000000-0000-4000-8000-000000000000', 'PUT', { source: '1', baseRevision: 1 }, 404],
    ['a save without its revision', '/00000000-0000-4000-8000-000000000000', 'PUT', { source: '1' }, 422],
    ['a revision from nowhere', '/00000000-0000-4000-8000-000000000000', 'PUT', { source: '1', baseRevision: 0 }, 422],
    ['a source that is no text', '', 'POST', { source: 1 }, 422],
    ['a character no database keeps', '', 'POST', { source: 'a\u0000b' }, 422],
    ['broken JSON', '', 'POST', '{"source": ', 400],
    ['a chart past the limit', '', 'POST', { source: '1 '.repeat(200_000) }, 413],
  ])('%s', async (_, path, method, body, status) => {
    const answer = await api(songs() + path, method, body);
    expect(answer.status).toBe(status);
    expect(answer.type).toContain('application/problem+json');
    expect(answer.body).toMatchObject({ status, detail: expect.any(String), title: expect.any(String) });
  });

  test('a body that is not JSON is asked for', async () => {
    const response = await fetch(`${server.url}/api/v1${songs()}`, {
      method: 'POST',
      body: 'title: x',
      headers: { 'Content-Type': 'text/plain' },
    });
    expect(response.status).toBe(415);
  });
});

describe('preferences over HTTP', () => {
  test('are read and changed in part', async () => {
    const path = `/bands/${db.bandId}/preferences`;
    const { naming } = (await api(path)).body as { naming: object };
    const german = { ...naming, notes: 'german' };
    expect((await api(path, 'PATCH', { naming: german })).body).toEqual({ naming: german });
    expect((await api(path)).body).toEqual({ naming: german });
    expect((await api(path, 'PATCH', { naming: { ...naming, notes: 'klingon' } })).status).toBe(422);
    expect((await api('/bands/00000000-0000-4000-8000-000000000000/preferences', 'PATCH', { naming })).status).toBe(404);
  });
});

describe('the server around its routes', () => {
  test('says what it offers', async () => {
    const { body } = await api('/openapi.json');
    expect(body.openapi).toBe('3.1.0');
    expect(Object.keys(body.paths)).toEqual(expect.arrayContaining(['/harmonize', '/chords/parse', '/charts/parse', '/charts/render']));
    const references = JSON.stringify(body).match(/#\/components\/schemas\/\w+/g) ?? [];
    expect(references.length).toBeGreaterThan(10);
    for (const reference of references) expect(body.components.schemas[reference.split('/').at(-1) as string]).toBeDefined();
  });

  test.each(['/api/v1/nothing', '/api/nothing', '/api/v1/bands/%E0%A4%A/songs'])('%s is not there', async (path) => {
    const answer = await send(server.url + path);
    expect(answer).toMatchObject({ status: 404, body: { status: 404 } });
  });

  test('serves the page for every room, built files for good, and nothing else', async () => {
    for (const path of ['/', '/harmonize', '/songs/x/chart', '/band', '/songs/x/band/tonight']) {
      const page = await fetch(server.url + path, { headers: { Accept: 'text/html' } });
      expect(await page.text()).toContain('page');
      expect(page.headers.get('cache-control')).toBe('no-cache');
    }
    expect((await fetch(`${server.url}/assets/app-1.js`)).headers.get('cache-control')).toContain('immutable');
    for (const path of ['/assets/gone.js', '/gone.css', '/health', '/status', '/songs/x/nowhere', '/favicon.png', '/.vite/manifest.json']) {
      const answer = await fetch(server.url + path);
      expect([path, answer.status]).toEqual([path, 404]);
      expect(answer.headers.get('content-type')).toContain('application/problem+json');
    }
    const lost = await fetch(`${server.url}/no-such-room`, { headers: { Accept: 'text/html,*/*;q=0.8' } });
    expect([lost.status, await lost.text()]).toEqual([404, '<title>page</title>']);
    expect((await fetch(`${server.url}/..%2f..%2fetc%2fpasswd`, { headers: { Accept: 'text/plain' } })).status).toBe(404);
  });

  test('asks for the first data with the page, where the browser says which band it has open', async () => {
    const band = '11111111-2222-4333-8444-555555555555';
    const page = await fetch(`${server.url}/harmonize`, { headers: { Accept: 'text/html', Cookie: `aurora-band=${band}` } });
    expect(page.headers.get('link')).toContain(`</api/v1/bands/${band}/members>; rel=preload; as=fetch; crossorigin`);
    expect((await fetch(`${server.url}/harmonize`, { headers: { Accept: 'text/html' } })).headers.get('link')).toBeNull();
  });

  test('lets the page run nothing but its own scripts', async () => {
    const { headers } = await fetch(`${server.url}/`, { headers: { Accept: 'text/html' } });
    const policy = headers.get('content-security-policy') ?? '';
    // the engraver is compiled code; no script is made from text
    expect(policy).toContain("script-src 'self' 'wasm-unsafe-eval';");
    expect(policy).toContain("object-src 'none'");
    expect(headers.get('x-powered-by')).toBeNull();
    expect(headers.get('x-content-type-options')).toBe('nosniff');
  });

  test('answers only so many compute calls a minute, and songs all the same', async () => {
    const limited = await openServer(db.pool, { rateLimit: 3 });
    const ask = () => send(`${limited.url}/api/v1/chords/parse`, 'POST', { symbol: 'C' });
    const statuses = [];
    for (let call = 0; call < 4; call += 1) statuses.push((await ask()).status);
    expect(statuses).toEqual([200, 200, 200, 429]);
    expect((await send(`${limited.url}/api/v1/bands`)).status).toBe(200);
    await limited.close();
  });

  test('says so when the database is away, and goes on computing', async () => {
    const alone = await openServer(null);
    expect(await send(`${alone.url}/api/v1/bands`)).toMatchObject({ status: 503, body: { title: 'The song shelf cannot be reached' } });
    expect((await send(`${alone.url}/api/v1/chords/parse`, 'POST', { symbol: 'C' })).status).toBe(200);
    await alone.close();
  });
});

describe('the demo band', () => {
  test('of before there were accounts opens as its guitarist all the same', async () => {
    const older = await openDatabase();
    const house = houseOn(older);
    for (const name of ['Ines', 'Tam', 'Juno'])
      await older.pool.query("insert into member (band_id, name, instrument, created_at) values ($1, $2, '', clock_timestamp())", [
        older.bandId,
        name,
      ]);
    await seedDemo(house);
    await seedDemo(house);
    const demo = await openServer(older.pool, { door: demoHouse(house.as) });
    expect((await send(`${demo.url}/api/v1/me`)).body).toMatchObject({
      person: { name: 'Tam' },
      bands: [{ role: 'leader', playerName: 'Tam' }],
    });
    expect((await older.pool.query('select 1 from account')).rows).toHaveLength(3);
    await demo.close();
    await older.close();
  });

  test('is put into an empty database once, every song readable without an error', async () => {
    const fresh = await openDatabase();
    await fresh.pool.query('delete from band');
    await seedDemo(houseOn(fresh));
    await seedDemo(houseOn(fresh));
    const demo = await openServer(fresh.pool, { door: demoHouse(houseOn(fresh).as) });
    const { bands } = (await send(`${demo.url}/api/v1/bands`)).body;
    expect(bands).toHaveLength(1);
    const { songs: shelf } = (await send(`${demo.url}/api/v1/bands/${bands[0].id}/songs`)).body;
    expect(shelf.length).toBeGreaterThanOrEqual(14);
    for (const { id } of shelf) {
      const { source } = (await send(`${demo.url}/api/v1/bands/${bands[0].id}/songs/${id}`)).body;
      expect((await send(`${demo.url}/api/v1/charts/parse`, 'POST', { source })).body.problems).toEqual([]);
    }
    await demo.close();
    await fresh.close();
  });
});
