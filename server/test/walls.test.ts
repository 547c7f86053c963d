import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { apiCalls } from '../src/api-calls.ts';
import type { Call } from '../src/call/call.ts';
import { ChangeFeed } from '../src/change/change-feed.ts';
import { Threads } from '../src/compute/threads.ts';
import { scopedDb } from '../src/context/scope.ts';
import { allSongs } from '../src/song/song-store.ts';
import { openDatabase, openServer, SILENT, type TestDatabase, type TestServer } from './harness.ts';
import { type PeopledBand, peopledBand, type Somebody, STRANGER, sendAs } from './people-harness.ts';

let db: TestDatabase;
let server: TestServer;
let here: PeopledBand;
let there: PeopledBand;
beforeAll(async () => {
  db = await openDatabase();
  server = await openServer(db.pool, { door: null, people: { mailbox: true } });
  [here, there] = [await peopledBand(server.house, server.url, 'Ashfield'), await peopledBand(server.house, server.url, 'Birchwick')];
});
afterAll(async () => {
  await server.close();
  await db.close();
});

const calls = (): readonly Call[] =>
  apiCalls({
    people: { house: server.house, post: null, mailbox: true, demo: null, publicUrl: null },
    threads: new Threads(null),
    changes: new ChangeFeed('', SILENT),
  });

/** What each kind of caller may do, as the issue of roles has it, by what a call asks for. */
const MAY: Readonly<Record<string, readonly string[]>> = {
  open: ['stranger', 'guest', 'outsider', 'member', 'leader'],
  stranger: ['stranger', 'guest', 'outsider', 'member', 'leader'],
  account: ['guest', 'outsider', 'member', 'leader'],
  guest: ['guest', 'member', 'leader'],
  member: ['member', 'leader'],
  self: ['member'],
  'self-or-leader': ['member', 'leader'],
  leader: ['leader'],
};

/** What is asked of, and who may: written out, so that a call that is opened wider by mistake is seen. */
const OF_A_GUEST = [
  'hearChanges',
  'leaveBand',
  'listMembers',
  'listSets',
  'listSongs',
  'listSwaps',
  'listTags',
  'readPreferences',
  'readSet',
  'readSong',
];
const OF_A_LEADER = [
  'addMember',
  'changeRole',
  'deleteBand',
  'deleteMember',
  'exportBackup',
  'invite',
  'keepBand',
  'nameBand',
  'readAudit',
  'revokeInvitation',
];
const OF_ONESELF = [
  'addPasses',
  'exportPasses',
  'listPasses',
  'listPracticeSessions',
  'readPractice',
  'readPracticeLog',
  'savePractice',
  'savePracticeSession',
];

const address = (path: string, { bandId, memberId, songId, setId }: PeopledBand) =>
  `${server.url}/api/v1${path
    .replace('{bandId}', bandId)
    .replace('{memberId}', memberId)
    .replace('{songId}', songId)
    .replace('{setId}', setId)
    .replace('{revision}', '1')
    .replaceAll(/\{\w+\}/g, randomUUID())}`;

/** A call with a body nobody can use: who may ask is told what is wrong with it, who may not is told that. */
const ask = (who: Somebody, { path, method, body, takesFile }: Call, band: PeopledBand) =>
  sendAs(who, address(path, band), method.toUpperCase(), body === undefined && !takesFile ? undefined : { nothing: 'of use' });

/** How somebody who may not ask is refused: the unknown are to sign in, and to those of elsewhere the band is not there. */
const REFUSED: Readonly<Record<string, number>> = { stranger: 401, outsider: 404, guest: 403, member: 403, leader: 403 };

function isRight({ access, id }: Call, kind: string, status: number): boolean {
  if (!(MAY[access] as readonly string[]).includes(kind)) return status === REFUSED[kind];
  return id === 'signIn' || ![401, 403, 405, 500].includes(status);
}

/** Asked in truth they would end what the others need. */
const ENDS = new Set(['leaveBand', 'deleteMember', 'deleteBand', 'signOut', 'deleteMe', 'addBand', 'deleteSet', 'deletePiece', 'saveSet']);

describe('who may ask what', () => {
  test('guests, leaders and players themselves have these calls to themselves', () => {
    const of = (access: string) =>
      calls()
        .filter((one) => one.access === access)
        .map(({ id }) => id)
        .sort();
    expect(of('guest')).toEqual(OF_A_GUEST);
    expect(of('leader')).toEqual(OF_A_LEADER);
    expect(of('self')).toEqual(OF_ONESELF);
    for (const { id, method, access, path } of calls()) {
      // what changes a band is never a guest's, but to leave
      if (access === 'guest' && id !== 'leaveBand') expect([id, method]).toEqual([id, 'get']);
      expect([id, path.startsWith('/bands/{bandId}')]).toEqual([id, !['open', 'stranger', 'account'].includes(access)]);
    }
  });

  test('every call by every kind of caller', async () => {
    const callers: Readonly<Record<string, Somebody>> = {
      stranger: STRANGER,
      guest: here.guest,
      outsider: there.leader,
      member: here.member,
      leader: here.leader,
    };
    const wrong: string[] = [];
    for (const call of calls().filter(({ id }) => !ENDS.has(id)))
      for (const [kind, who] of Object.entries(callers)) {
        const { status } = await ask(who, call, here);
        if (!isRight(call, kind, status)) wrong.push(`${kind} ${call.id}: ${status}`);
      }
    expect(wrong).toEqual([]);
  });

  test('200 tries with ids of another band find nothing', async () => {
    const ids = [there.songId, there.setId, there.memberId, there.otherSongId];
    const paths = calls()
      .filter(({ path, id, method }) => path.split('{').length > 2 && !ENDS.has(id) && method === 'get')
      .map(({ path }) => path);
    let tries = 0;
    for (let round = 0; tries < 200; round += 1)
      for (const path of paths) {
        const foreign = path
          .replace('{bandId}', here.bandId)
          .replace('{revision}', '1')
          .replaceAll(/\{\w+\}/g, () => ids[(tries + round) % ids.length] as string);
        const { status, body } = await sendAs(here.leader, `${server.url}/api/v1${foreign}`);
        tries += 1;
        // lists of a player who is not there are empty; nothing of theirs is in any answer
        expect([foreign, status < 500, JSON.stringify(body).includes('Birchwick')]).toEqual([foreign, true, false]);
        if (!/members/.test(path)) expect([foreign, status]).toEqual([foreign, 404]);
      }
  });
});

describe('the walls in the database', () => {
  test('a statement without its band sees nothing of another', async () => {
    const inside = scopedDb(db.app, { band: here.bandId });
    for (const table of [
      'song',
      'chart_version',
      'member',
      'set_list',
      'set_entry',
      'preference',
      'invitation',
      'audit',
      'job',
      'piece',
      'chord_swap',
    ]) {
      const { rows } = await inside.query<{ band_id: string }>(`select band_id from ${table}`);
      expect([table, rows.every(({ band_id }) => band_id === here.bandId)]).toEqual([table, true]);
    }
    expect((await inside.query('select id from band')).rows).toEqual([{ id: here.bandId }]);
    expect((await inside.query('select 1 from song where id = $1', [here.songId])).rows).toHaveLength(1);
    expect((await inside.query('select 1 from song where id = $1', [there.songId])).rows).toHaveLength(0);
  });

  test('nor does it change or add anything there', async () => {
    const inside = scopedDb(db.app, { band: here.bandId });
    expect((await inside.query("update song set title = 'Stolen' where id = $1", [there.songId])).rowCount).toBe(0);
    expect((await inside.query('delete from set_list where id = $1', [there.setId])).rowCount).toBe(0);
    await expect(
      inside.query("insert into set_list (band_id, name, place, starts_at, gap_seconds) values ($1, 'x', '', '', 0)", [there.bandId]),
    ).rejects.toThrow(/row-level security/);
    await expect(inside.query('update song set band_id = $1 where id = $2', [there.bandId, here.songId])).rejects.toThrow(
      /row-level security/,
    );
  });

  test('without a band there is nothing at all, and no account sees another', async () => {
    const nobody = scopedDb(db.app, {});
    for (const table of ['band', 'song', 'member', 'account', 'device', 'one_time_link', 'invitation'])
      expect([table, (await nobody.query(`select 1 from ${table}`)).rows]).toEqual([table, []]);
    const one = scopedDb(db.app, { account: here.leader.accountId });
    expect((await one.query('select id from account')).rows).toEqual([{ id: here.leader.accountId }]);
    expect((await one.query('select account_id from device')).rows).toEqual([{ account_id: here.leader.accountId }]);
    expect((await one.query('select id from band')).rows).toEqual([{ id: here.bandId }]);
  });

  test('a guest sees one set and its songs, whatever is asked', async () => {
    const guest = scopedDb(db.app, { band: here.bandId, guestSet: here.setId });
    expect((await guest.query('select id from song')).rows).toEqual([{ id: here.songId }]);
    expect((await guest.query('select id from set_list')).rows).toEqual([{ id: here.setId }]);
    expect((await guest.query('select song_id from chart_version')).rows).toEqual([{ song_id: here.songId }]);
    expect((await allSongs(guest, here.bandId)).map(({ id }) => id)).toEqual([here.songId]);
  });

  test('a setting of one transaction is not there in the next one of the same connection', async () => {
    for (let round = 0; round < 20; round += 1) {
      await scopedDb(db.app, { band: here.bandId }).query('select 1');
      const { rows } = await db.app.query("select current_setting('aurora.band', true) as band");
      expect(rows[0].band ?? '').toBe('');
    }
  });

  test('the application’s role owns nothing, passes no wall, and has its limits', async () => {
    const { rows } = await db.app.query(
      `select rolsuper, rolbypassrls, rolcreatedb, rolcreaterole,
              (select count(*)::int from pg_class join pg_roles owner on owner.oid = relowner where owner.rolname = current_user) as owned
         from pg_roles where rolname = current_user`,
    );
    expect(rows).toEqual([{ rolsuper: false, rolbypassrls: false, rolcreatedb: false, rolcreaterole: false, owned: 0 }]);
    for (const limit of ['statement_timeout', 'lock_timeout', 'idle_in_transaction_session_timeout'])
      expect((await db.app.query(`show ${limit}`)).rows[0][limit]).not.toBe('0');
    await expect(db.app.query('alter table song add column mine text')).rejects.toThrow(/must be owner/);
    await expect(db.app.query('delete from audit')).rejects.toThrow(/permission denied/);
    await expect(db.app.query('delete from migration')).rejects.toThrow(/permission denied/);
  });
});

describe('what no connection of the application may read', () => {
  const speakers = () =>
    [
      ['nobody', {}],
      ['a band', { band: here.bandId }],
      ['its leader', { band: here.bandId, account: here.leader.accountId }],
      ['an account', { account: here.leader.accountId }],
    ] as const;

  test('hashes of passwords, whoever speaks; one may ask whether there is one of one’s own', async () => {
    const mine = scopedDb(db.app, { account: here.leader.accountId });
    await mine.query("select aurora_set_password('$argon2id$v=19$m=19456,t=2,p=1$c2FsdHNhbHQ$aGFzaA')");
    for (const [, scope] of speakers())
      await expect(scopedDb(db.app, scope).query('select * from credential')).rejects.toThrow(/permission denied/);
    const has = async (scope: object) => (await scopedDb(db.app, scope).query('select aurora_has_password() as has')).rows[0]?.has;
    expect([await has({ account: here.leader.accountId }), await has({ account: there.leader.accountId }), await has({})]).toEqual([
      true,
      false,
      false,
    ]);
  });

  test('asked by address, the house says with what a password is hashed, and whose a hash is; never the hash', async () => {
    await scopedDb(db.app, { account: here.leader.accountId }).query("update account set email = 'lead@ashfield.example' where id = $1", [
      here.leader.accountId,
    ]);
    const house = scopedDb(db.app, {});
    const { rows } = await house.query("select aurora_password_salt('Lead@Ashfield.example') as salt");
    expect(rows[0]?.salt).toBe('$argon2id$v=19$m=19456,t=2,p=1$c2FsdHNhbHQ');
    const whose = async (hash: string) =>
      (await house.query("select aurora_account_by_password('lead@ashfield.example', $1) as id", [hash])).rows[0]?.id;
    expect(await whose('$argon2id$v=19$m=19456,t=2,p=1$c2FsdHNhbHQ$aGFzaA')).toBe(here.leader.accountId);
    expect(await whose('$argon2id$v=19$m=19456,t=2,p=1$c2FsdHNhbHQ$b3RoZXI')).toBeNull();
  });

  test('letters: whoever speaks writes them, nobody reads or removes them but the mailbox, which speaks for nobody', async () => {
    await scopedDb(db.app, { band: here.bandId }).query(
      "insert into mail (recipient, subject, body) values ('a@b.example', 'Hello', 'link')",
    );
    for (const [, scope] of speakers())
      for (const words of ['select * from mail', 'delete from mail', "update mail set body = ''"])
        await expect(scopedDb(db.app, scope).query(words)).rejects.toThrow(/permission denied/);
    const counts = await Promise.all(
      speakers().map(async ([who, scope]) => [who, (await scopedDb(db.app, scope).query('select * from aurora_mailbox(50)')).rowCount]),
    );
    expect(counts).toEqual([
      ['nobody', 1],
      ['a band', 0],
      ['its leader', 0],
      ['an account', 0],
    ]);
  });
});

/** These are of people and of the house, not of a band; on a distributed database they are reference tables. */
const OF_THE_HOUSE = new Set(['account', 'credential', 'device', 'one_time_link', 'mail', 'migration']);

describe('the catalogue', () => {
  test('every primary, unique and foreign key of a band’s tables holds the band', async () => {
    const { rows } = await db.pool.query<{ name: string; on: string; to: string | null; columns: string[] }>(
      `select conname as name, conrelid::regclass::text as on, nullif(confrelid, 0)::regclass::text as to,
              array(select attname::text from unnest(conkey) key join pg_attribute on attrelid = conrelid and attnum = key) as columns
         from pg_constraint where contype in ('p', 'u', 'f') and connamespace = 'public'::regnamespace`,
    );
    expect(rows.length).toBeGreaterThan(30);
    const without = rows.filter(
      ({ on, to, columns }) =>
        !OF_THE_HOUSE.has(on) && !(on === 'band' && columns.includes('id')) && !OF_THE_HOUSE.has(to ?? '') && !columns.includes('band_id'),
    );
    expect(without).toEqual([]);
  });

  test('and so does every unique index', async () => {
    const { rows } = await db.pool.query<{ on: string; definition: string }>(
      `select tablename as on, indexdef as definition from pg_indexes where schemaname = 'public' and indexdef like 'CREATE UNIQUE%'`,
    );
    const without = rows.filter(({ on, definition }) => !OF_THE_HOUSE.has(on) && on !== 'band' && !definition.includes('band_id'));
    expect(without).toEqual([]);
  });

  test('every table has its wall, forced', async () => {
    const { rows } = await db.pool.query<{ name: string }>(
      `select relname as name from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r' and not (relrowsecurity and relforcerowsecurity)`,
    );
    expect(rows).toEqual([{ name: 'migration' }]);
  });
});
