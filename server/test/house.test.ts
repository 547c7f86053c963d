import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, utimesSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bandBackup } from '@aurora/wire';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { addBand } from '../src/band/band-store.ts';
import { QUOTA } from '../src/band/quota.ts';
import { migrate, migrationsIn } from '../src/db/migrate.ts';
import { asHttpFault, problemOf } from '../src/http-fault.ts';
import { putBackupsDown, refreshOutlines, tidy } from '../src/run/rounds.ts';
import { listSongs } from '../src/song/shelf-store.ts';
import { addSong, saveSong } from '../src/song/song-store.ts';
import { listVersions, nameVersion } from '../src/song/version-store.ts';
import { houseOn, MIGRATIONS, openDatabase, openServer, SILENT, send, type TestDatabase } from './harness.ts';

let db: TestDatabase;
beforeAll(async () => {
  db = await openDatabase();
});
afterAll(() => db.close());

describe('the setup', () => {
  test('may be begun by several at once: each ends well, and the schema is there once', async () => {
    const fresh = await openDatabase();
    await fresh.pool.query('drop schema public cascade');
    await fresh.pool.query('create schema public');
    const one = () => migrate({ ownerUrl: fresh.ownerUrl, appUrl: fresh.url, folder: MIGRATIONS }, SILENT);
    await Promise.all([one(), one(), one(), one()]);
    const { rows } = await fresh.pool.query<{ name: string }>('select name from migration order by name');
    expect(rows.map(({ name }) => name)).toEqual(migrationsIn(MIGRATIONS));
    await fresh.close();
  });

  test('can be taken back step by step, and made again', async () => {
    const fresh = await openDatabase();
    const { runner } = await import('node-pg-migrate');
    const logger = { info: () => {}, warn: () => {}, error: () => {}, debug: () => {} };
    await runner({ databaseUrl: fresh.ownerUrl, dir: MIGRATIONS, direction: 'down', count: 4, migrationsTable: 'migration', logger });
    await migrate({ ownerUrl: fresh.ownerUrl, appUrl: fresh.url, folder: MIGRATIONS }, SILENT);
    const bandId = await addBand(fresh.pool, 'Again');
    expect(await addSong(houseOn(fresh).as({ band: bandId }), bandId, { source: 'key: C\n\n1 4\n' })).toMatchObject({ revision: 1 });
    await fresh.close();
  });
});

describe('saves are thinned', () => {
  test('all of the last week stay, of older days the last, and every named one and the newest', async () => {
    const bandId = await addBand(db.pool, 'Many saves');
    const song = await addSong(db.pool, bandId, { source: 'title: Old\n1' });
    const id = song?.id as string;
    for (let revision = 1; revision < 12; revision += 1)
      await saveSong(db.pool, bandId, id, { baseRevision: revision, source: `title: Old\n1 ${revision}` });
    // three saves on each of two old days, three eight hours ago and three now
    const at = (revision: number, when: string) =>
      db.pool.query(`update chart_version set saved_at = ${when} where band_id = $1 and song_id = $2 and revision = $3`, [
        bandId,
        id,
        revision,
      ]);
    for (const [revision, days, hour] of [
      [1, 30, 9],
      [2, 30, 12],
      [3, 30, 22],
      [4, 20, 9],
      [5, 20, 12],
      [6, 20, 22],
    ] as const)
      await at(revision, `date_trunc('day', now()) - interval '${days} days' + interval '${hour} hours'`);
    for (const revision of [7, 8, 9]) await at(revision, "now() - interval '3 days'");
    await nameVersion(db.pool, bandId, id, 4, 'The one we liked');
    await tidy({ house: houseOn(db), log: SILENT });
    const left = async () => (await listVersions(db.pool, bandId, id, { named: false })).versions.map(({ revision }) => revision);
    expect(await left()).toEqual([12, 11, 10, 9, 8, 7, 6, 4, 3]);
    await tidy({ house: houseOn(db), log: SILENT });
    expect(await left()).toEqual([12, 11, 10, 9, 8, 7, 6, 4, 3]);
  });

  test('what the band keeps is counted anew', async () => {
    const bandId = await addBand(db.pool, 'Weighed');
    await addSong(db.pool, bandId, { source: '1 4 5 1' });
    await db.pool.query('update band set bytes = 99999 where id = $1', [bandId]);
    await tidy({ house: houseOn(db), log: SILENT });
    expect((await db.pool.query('select bytes from band where id = $1', [bandId])).rows).toEqual([{ bytes: '7' }]);
  });
});

// before a band with twenty thousand songs is in the house
test('the backups of a night hold every band, and a fortnight of nights stays', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'aurora-backups-'));
  const bandId = await addBand(db.pool, 'Backed up');
  await addSong(db.pool, bandId, { source: 'title: Kept\nkey: G\n\n1 4 5 1\n' });
  for (let day = 1; day <= 16; day += 1) await putBackupsDown(houseOn(db), folder, `2026-11-${String(day).padStart(2, '0')}`, new Date());
  expect(readdirSync(folder)).toHaveLength(14);
  expect(readdirSync(folder)[0]).toBe('2026-11-03');
  const file = join(folder, '2026-11-16', `${bandId}.json`);
  expect(statSync(file).mode & 0o777).toBe(0o600);
  expect(bandBackup.parse(JSON.parse(readFileSync(file, 'utf8')))).toMatchObject({
    band: { name: 'Backed up' },
    songs: [{ versions: [{ source: expect.stringContaining('Kept') }] }],
  });
  rmSync(folder, { recursive: true });
});

describe('what a band may have', () => {
  test('is bounded in bytes, and a save beyond it changes nothing', async () => {
    const bandId = await addBand(db.pool, 'Full');
    const song = await addSong(db.pool, bandId, { source: '1 4' });
    await db.pool.query('update band set bytes = $2 where id = $1', [bandId, QUOTA.megabytes * 1024 * 1024 - 2]);
    await expect(saveSong(db.pool, bandId, song?.id ?? '', { baseRevision: 1, source: '1 4 5' })).rejects.toMatchObject({
      code: 'over-quota',
    });
    expect((await listVersions(db.pool, bandId, song?.id ?? '', { named: false })).versions).toHaveLength(1);
  });

  test('and in songs', async () => {
    const bandId = await addBand(db.pool, 'Long shelf');
    // in parts: a query that takes long is ended
    const part = 1000;
    for (let first = 1; first <= QUOTA.songs; first += part)
      await db.pool.query(
        `insert into song (band_id, title, by_line, key_name, bars, opening, revision)
         select $1, 'S' || n, '', 'C', 1, '{}', 1 from generate_series($2::int, $3::int) n`,
        [bandId, first, first + part - 1],
      );
    const server = await openServer(db.pool);
    const refused = await send(`${server.url}/api/v1/bands/${bandId}/songs`, 'POST', { source: '1' });
    expect(refused).toMatchObject({ status: 403, body: { detail: expect.stringMatching(/holds 20000 songs/) } });
    await server.close();
  });
});

test('two workers never put the same night down at once, and what one left half done is taken on an hour later', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'aurora-backups-'));
  const put = () => putBackupsDown(houseOn(db), folder, '2026-11-20', new Date());
  const both = await Promise.all([put(), put()]);
  expect(both.filter((bands) => bands === null)).toHaveLength(1);
  expect(readdirSync(folder)).toEqual(['2026-11-20']);
  mkdirSync(join(folder, '2026-11-20.unfinished'));
  expect(await put()).toBeNull();
  utimesSync(join(folder, '2026-11-20.unfinished'), new Date(0), new Date(0));
  expect(await put()).toBeGreaterThan(0);
  expect(readdirSync(folder)).toEqual(['2026-11-20']);
  rmSync(folder, { recursive: true });
});

test('a song whose outline cannot be made anew is left, and keeps nobody waiting', async () => {
  const fresh = await openDatabase();
  // songs without their chart, as none should be
  await fresh.pool.query(
    `insert into song (band_id, title, by_line, key_name, bars, opening, revision)
     select $1, 'S' || n, '', 'C', 1, '{}', 1 from generate_series(1, 60) n`,
    [fresh.bandId],
  );
  expect(await refreshOutlines({ house: houseOn(fresh), log: SILENT }, () => false)).toBe(0);
  await fresh.close();
});

describe('each order of the shelf is read from its index', () => {
  test.each(['title', 'key', 'tempo', 'saved'] as const)('by %s', async (sort) => {
    const bandId = await addBand(db.pool, `Sorted ${sort}`);
    await db.pool.query(
      `insert into song (band_id, title, by_line, key_name, tempo, bars, opening, revision, saved_at)
       select $1, 'S' || n, '', 'C', n % 200, 1, '{}', 1, now() - n * interval '1 second' from generate_series(1, 4000) n`,
      [bandId],
    );
    await db.pool.query('analyze song');
    const lines: string[] = [];
    // as the application asks, every wall standing
    const app = houseOn(db).as({ band: bandId });
    const spy = {
      query: (async (text: string, values: unknown[]) => {
        const { rows } = await app.query<{ 'QUERY PLAN': string }>(`explain ${text}`, values);
        lines.push(...rows.map((row) => row['QUERY PLAN']));
        return app.query(text, values);
      }) as typeof app.query,
    };
    await listSongs(spy, bandId, { sort, archived: 'no', limit: 60 });
    expect(lines.join('\n')).toMatch(/Index Scan using song_by_/);
    expect(lines.join('\n')).not.toMatch(/Sort/);
  });
});

test.each([
  ['53100', 507, 'disk-full'],
  ['ENOSPC', 507, 'disk-full'],
  ['57014', 503, 'database-away'],
  ['55P03', 503, 'database-away'],
  ['25P03', 503, 'database-away'],
  ['57P01', 503, 'database-away'],
  ['53300', 503, 'database-away'],
  ['23505', 500, 'unexpected'],
])('%s of the database is answered %i', (code, status, name) => {
  const fault = asHttpFault(Object.assign(new Error('x'), { code }));
  expect([problemOf(fault).status, fault.code]).toEqual([status, name]);
});
