import type { SetListBody, SetSongEntry } from '@aurora/wire';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { addBand } from '../src/band/band-store.ts';
import { seedDemo } from '../src/demo/seed-demo.ts';
import { addMember, changeMember, listMembers } from '../src/member/member-store.ts';
import { takeOut } from '../src/people/band-people-store.ts';
import { addSet, deleteSet, findSet, listSets, saveSet } from '../src/set/set-store.ts';
import { addSong } from '../src/song/song-store.ts';
import { houseOn, leaderOf, openDatabase, openServer, send, setSong, type TestDatabase, type TestServer } from './harness.ts';

let db: TestDatabase;
let server: TestServer;
let songId: string;
let strangerSong: string;
let otherBand: string;
beforeAll(async () => {
  db = await openDatabase();
  server = await openServer(db.pool);
  songId = (await addSong(db.pool, db.bandId, { source: 'title: Slack Tide\nkey: G\n1 4 5 1\n' }))?.id ?? '';
  otherBand = await addBand(db.pool, 'Neighbours');
  strangerSong = (await addSong(db.pool, otherBand, { source: 'title: Theirs\nkey: G\n1\n' }))?.id ?? '';
});
afterAll(async () => {
  await server.close();
  await db.close();
});

const song = (id: string, of = songId, more: Partial<SetSongEntry> = {}) => setSong(id, of, more);
const body = (more: Partial<SetListBody> = {}): SetListBody => ({
  name: 'Friday',
  place: 'The Slip',
  startsAt: '20:30',
  date: '',
  gapSeconds: 30,
  entries: [song('a', songId, { key: 'A', notes: 'slow' }), { kind: 'break', id: 'b', name: 'Tea', seconds: 600 }, song('c')],
  ...more,
});
const added = async (more: Partial<SetListBody> = {}) => {
  const outcome = await addSet(db.pool, db.bandId, body(more));
  if (outcome.kind !== 'saved') throw new Error(outcome.kind);
  return outcome.set;
};

describe('sets', () => {
  test('are kept with their order and songs, and counted', async () => {
    const set = await added();
    const found = await findSet(db.pool, db.bandId, set.id);
    expect(found).toMatchObject(body());
    expect(found?.songs.map(({ title }) => title)).toEqual(['Slack Tide']);
    expect((await listSets(db.pool, db.bandId)).find(({ id }) => id === set.id)).toMatchObject({ name: 'Friday', songs: 2, revision: 1 });
  });

  test('a save replaces everything, and one from an older revision changes nothing', async () => {
    const set = await added();
    const next = body({ name: 'Saturday', entries: [song('c'), song('a')] });
    expect(await saveSet(db.pool, db.bandId, set.id, { ...next, baseRevision: 1 })).toMatchObject({
      kind: 'saved',
      set: { revision: 2, name: 'Saturday' },
    });
    const stale = await saveSet(db.pool, db.bandId, set.id, { ...body({ name: 'Too late', entries: [] }), baseRevision: 1 });
    expect(stale).toMatchObject({ kind: 'stale', set: { name: 'Saturday', revision: 2 } });
    expect((await findSet(db.pool, db.bandId, set.id))?.entries.map(({ id }) => id)).toEqual(['c', 'a']);
  });

  test('entries stored before they said their version are read, and one that no longer fits is never an error', async () => {
    const set = await added();
    await db.pool.query("update set_entry set entry = entry -> 'value' where set_id = $1 and place = 1", [set.id]);
    await db.pool.query('update set_entry set entry = \'{"kind":"dance"}\' where set_id = $1 and place > 1', [set.id]);
    const found = await findSet(db.pool, db.bandId, set.id);
    expect(found?.entries.map(({ kind }) => kind)).toEqual(['song', 'break', 'song']);
    expect(found?.entries[0]).toEqual(body().entries[0]);
    expect(found?.entries[2]).toMatchObject({ songId, key: null });
  });

  test('a song of another band cannot be played, and nothing of such a save is kept', async () => {
    const set = await added();
    const strange = body({ name: 'Borrowed', entries: [song('a'), song('x', strangerSong)] });
    expect(await saveSet(db.pool, db.bandId, set.id, { ...strange, baseRevision: 1 })).toEqual({ kind: 'strange-song', place: 1 });
    expect(await findSet(db.pool, db.bandId, set.id)).toMatchObject({ name: 'Friday', revision: 1 });
    expect(await addSet(db.pool, db.bandId, strange)).toEqual({ kind: 'strange-song', place: 1 });
  });

  test('are seen by their own band alone', async () => {
    const set = await added();
    expect(await findSet(db.pool, otherBand, set.id)).toBeUndefined();
    expect(await listSets(db.pool, otherBand)).toEqual([]);
    expect(await saveSet(db.pool, otherBand, set.id, { ...body({ entries: [] }), baseRevision: 1 })).toEqual({ kind: 'missing' });
    expect(await deleteSet(db.pool, otherBand, set.id)).toBe(false);
    expect(await deleteSet(db.pool, db.bandId, set.id)).toBe(true);
    expect(await findSet(db.pool, db.bandId, set.id)).toBeUndefined();
  });
});

describe('sets over HTTP', () => {
  const base = () => `${server.url}/api/v1/bands/${db.bandId}/sets`;

  test('made, read, saved, stale, taken away', async () => {
    const made = await send(base(), 'POST', body());
    expect([made.status, made.body.name, made.body.songs.length]).toEqual([201, 'Friday', 1]);
    const at = `${base()}/${made.body.id}`;
    expect((await send(at)).body.entries).toHaveLength(3);
    expect((await send(at, 'PUT', { ...body({ name: 'Late show', date: '2026-12-04' }), baseRevision: 1 })).body).toMatchObject({
      revision: 2,
      date: '2026-12-04',
    });
    expect((await send(base())).body.sets).toContainEqual(expect.objectContaining({ name: 'Late show', date: '2026-12-04' }));
    const stale = await send(at, 'PUT', { ...body(), baseRevision: 1 });
    expect([stale.status, stale.body.currentSet.name]).toEqual([409, 'Late show']);
    expect((await send(at, 'DELETE')).body).toEqual({ gone: true });
    expect((await send(at)).status).toBe(404);
  });

  test.each([
    ['no name', { name: ' ' }, 'name: give the set a name'],
    ['no day', { date: 'Friday' }, 'date: a day, such as 2026-12-31, or nothing'],
    ['a day there is none of', { date: '2026-02-30' }, 'date: a day, such as 2026-12-31, or nothing'],
    ['no time of day', { startsAt: 'late' }, 'startsAt: a time of day, such as 20:30, or nothing'],
    ['a key nobody can read', { entries: [song('a', undefined, { key: 'H' })] }, /H/],
    ['a capo past the neck', { entries: [song('a', undefined, { capos: { '00000000-0000-4000-8000-000000000000': 14 } })] }, /capos/],
    ['a song that is none', { entries: [song('a', 'nobody')] }, 'entries.0.songId: that is no song'],
  ])('%s is refused', async (_, more, words) => {
    const filled = JSON.parse(JSON.stringify(body(more as Partial<SetListBody>)).replaceAll('"songId":undefined', `"songId":"${songId}"`));
    for (const entry of filled.entries) if (entry.kind === 'song' && entry.songId === undefined) entry.songId = songId;
    const answer = await send(base(), 'POST', filled);
    expect(answer.status).toBe(422);
    expect(answer.body.detail).toEqual(typeof words === 'string' ? words : expect.stringMatching(words));
  });

  test('a song of another band is refused where it stands', async () => {
    const answer = await send(base(), 'POST', body({ entries: [song('a', strangerSong)] }));
    expect(answer).toMatchObject({ status: 422, body: { errors: [{ path: 'entries.0.songId' }] } });
  });
});

describe('members', () => {
  test('are added, changed in part, and taken out; instruments go with them', async () => {
    const ann = await addMember(db.pool, db.bandId, { name: 'Ann', plays: 'clarinet', reads: { transpose: 2 } });
    expect(ann).toMatchObject({ name: 'Ann', reads: { transpose: 2, show: 'both', voice: null }, instrument: null });
    const changed = await changeMember(db.pool, db.bandId, ann?.id ?? '', { reads: { show: 'letters' } });
    expect(changed).toMatchObject({ name: 'Ann', plays: 'clarinet', reads: { transpose: 2, show: 'letters' } });
    expect(await changeMember(db.pool, otherBand, ann?.id ?? '', { name: 'Eve' })).toBeUndefined();
    expect(await takeOut(db.pool, leaderOf(otherBand), ann?.id ?? '')).toBe(false);
    expect(await takeOut(db.pool, leaderOf(db.bandId), ann?.id ?? '')).toBe(true);
    expect((await listMembers(db.pool, db.bandId)).map(({ name }) => name)).not.toContain('Ann');
  });

  test('what is stored and no longer fits counts as never said', async () => {
    const bo = await addMember(db.pool, db.bandId, { name: 'Bo', plays: 'guitar' });
    await db.pool.query(`update member set reader = '{"transpose": 99, "capo": 3, "show": "letters"}' where id = $1`, [bo?.id]);
    expect((await listMembers(db.pool, db.bandId)).find(({ name }) => name === 'Bo')?.reads).toMatchObject({
      transpose: 0,
      capo: 3,
      show: 'letters',
    });
  });

  test('over HTTP: a voice upside down, or whose ease goes past what is possible, is refused in words', async () => {
    const base = `${server.url}/api/v1/bands/${db.bandId}/members`;
    const voice = (low: number, high: number) => ({
      name: 'Cy',
      plays: 'voice',
      reads: { voice: { comfortable: { low, high }, possible: { low: 53, high: 77 } } },
    });
    expect((await send(base, 'POST', voice(70, 60))).body.detail).toMatch(/^The lowest note comes first/);
    expect((await send(base, 'POST', voice(48, 70))).body.detail).toMatch(/^C3 feels comfortable, so it is possible too/);
    expect((await send(base, 'POST', { name: '', plays: '' })).body.detail).toBe('name: give the player a name');
    expect((await send(base, 'POST', { name: 'Cy', plays: '', reads: { maxCapo: 13 } })).body.detail).toBe(
      'reads.maxCapo: a capo sits at fret 0 to 11',
    );
    const made = await send(base, 'POST', voice(57, 72));
    expect(made).toMatchObject({ status: 201, body: { reads: { voice: { comfortable: { low: 57, high: 72 } } } } });
    const at = `${base}/${made.body.id}`;
    expect((await send(at, 'PATCH', { name: 'Cyan' })).body.name).toBe('Cyan');
    expect((await send(at, 'DELETE')).body).toEqual({ gone: true });
    expect((await send(at, 'DELETE')).status).toBe(404);
  });
});

test('the demo band has an evening to prepare', async () => {
  const empty = await openDatabase();
  await empty.pool.query('delete from band');
  await seedDemo(houseOn(empty));
  const { rows } = await empty.pool.query<{ id: string }>('select id from band');
  const [head] = await listSets(empty.pool, rows[0]?.id ?? '');
  expect(head).toMatchObject({ name: 'Friday at the Tidehouse', songs: 8 });
  await empty.close();
});
