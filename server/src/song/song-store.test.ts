import { DEFAULT_READS } from '@aurora/wire';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { houseOn, openDatabase, SILENT, type TestDatabase } from '../../test/harness.ts';
import { addBand } from '../band/band-store.ts';
import { addMember } from '../member/member-store.ts';
import { refreshOutlines } from '../run/rounds.ts';
import { listSongs } from './shelf-store.ts';
import { addSong, changeSong, copiedSource, findSong, listAlike, saveSong } from './song-store.ts';
import { findVersion, listVersions, nameVersion } from './version-store.ts';

const FIRST = 'title: Gull Street\nby: Somebody\nkey: Eb\ntempo: 92\n\n[A]\n1 (2-7 57) 4\n';
const SECOND = 'title: Gull Street, slower\nkey: D\ntempo: 80.5\n\n[A]\n1 4\n';
const NOBODY = '00000000-0000-4000-8000-000000000000';

let db: TestDatabase;
beforeAll(async () => {
  db = await openDatabase();
});
afterAll(() => db.close());

const EVERYTHING = { sort: 'title', archived: 'no', limit: 60 } as const;
const shelf = async (bandId: string) => (await listSongs(db.pool, bandId, EVERYTHING)).songs;
const saves = async (songId: string, bandId = db.bandId) => (await listVersions(db.pool, bandId, songId, { named: false })).versions;

const added = async (source = FIRST) => {
  const song = await addSong(db.pool, db.bandId, { source: source });
  if (song === undefined) throw new Error('the band is gone');
  return song;
};

describe('a song on the shelf', () => {
  test('shows what its chart says', async () => {
    const song = await added();
    expect(song).toMatchObject({
      title: 'Gull Street',
      by: 'Somebody',
      key: 'Eb',
      tempo: 92,
      bars: 3,
      opening: ['1', '2-7 57', '4'],
      revision: 1,
      source: FIRST,
    });
    expect(await findSong(db.pool, db.bandId, song.id)).toEqual(song);
  });

  test('keeps any text, whatever is in it', async () => {
    for (const source of ['', '🎸 not a chart', 'title: 🎸\n', "'; drop table song; --", 'a\r\nb\n\n\n', '\u2028']) {
      const { id } = await added(source);
      expect((await findSong(db.pool, db.bandId, id))?.source).toBe(source);
    }
  });

  test('is listed by title without regard to case', async () => {
    const bandId = await addBand(db.pool, 'Another band');
    for (const title of ['beta', 'Alpha', 'gamma']) await addSong(db.pool, bandId, { source: `title: ${title}\n1\n` });
    expect((await shelf(bandId)).map(({ title }) => title)).toEqual(['Alpha', 'beta', 'gamma']);
  });

  test('carries its ridge beat by beat: 1 and 4 of two bars, 2-7 and 57 of the shared one', async () => {
    // 1 rests at 0; 2-7 moves away, 1; 57 pulls and goes to 4 instead, 2 + 1; 4 moves away, 1
    expect((await added()).ridge).toEqual([0, 0, 0, 0, 1, 1, 3, 3, 1, 1, 1, 1]);
    expect((await added('')).ridge).toEqual([]);
    const long = await added(`key: C\n\n${'1 4 5 1 '.repeat(200)}`);
    expect(long.ridge).toHaveLength(120);
  });

  test('finds songs with the same round, in any key and from any chord', async () => {
    const bandId = await addBand(db.pool, 'Rounds');
    const add = async (source: string) => (await addSong(db.pool, bandId, { source: source }))?.id ?? '';
    const first = await add('title: One\nkey: C\n\n[A]\n1 5 6- 4 1 5 6- 4');
    await add('title: Other\nkey: A\n\n[A]\n1 4 2- 5');
    await add('title: Turned\nkey: Eb\n\n[A]\n6-7 4maj7 1 57');
    const [alike, ...more] = await listAlike(db.pool, bandId, first);
    expect(alike).toMatchObject({ title: 'Turned', key: 'Eb' });
    expect(alike?.rounds).toHaveLength(1);
    expect(more).toEqual([]);
    expect(await listAlike(db.pool, bandId, NOBODY)).toEqual([]);
  });

  test('songs whose outline older rules made get it anew, once', async () => {
    const { id, ridge } = await added();
    await db.pool.query('update song set ridge = null, rounds = null, changes = null, rules = 0 where id = $1', [id]);
    expect((await findSong(db.pool, db.bandId, id))?.ridge).toEqual([]);
    expect(await refreshOutlines({ house: houseOn(db), log: SILENT }, () => false)).toBe(1);
    expect((await findSong(db.pool, db.bandId, id))?.ridge).toEqual(ridge);
    expect(await refreshOutlines({ house: houseOn(db), log: SILENT }, () => false)).toBe(0);
  });

  test('belongs to its band alone', async () => {
    const { id } = await added();
    const other = await addBand(db.pool, 'Strangers');
    expect(await findSong(db.pool, other, id)).toBeUndefined();
    expect(await saves(id, other)).toEqual([]);
    expect(await saveSong(db.pool, other, id, { baseRevision: 1, source: SECOND })).toEqual({ kind: 'missing' });
    expect((await shelf(other)).length).toBe(0);
    expect((await findSong(db.pool, db.bandId, id))?.source).toBe(FIRST);
  });

  test('is not added to a band that is not there', async () => {
    expect(await addSong(db.pool, NOBODY, { source: FIRST })).toBeUndefined();
  });
});

describe('saving', () => {
  test('adds a version and never changes an earlier one', async () => {
    const { id } = await added();
    const outcome = await saveSong(db.pool, db.bandId, id, { baseRevision: 1, source: SECOND });
    expect(outcome).toMatchObject({
      kind: 'saved',
      song: { revision: 2, title: 'Gull Street, slower', key: 'D', tempo: 80.5, source: SECOND },
    });
    expect((await saves(id)).map(({ revision }) => revision)).toEqual([2, 1]);
    expect(await findVersion(db.pool, db.bandId, id, 1)).toMatchObject({ revision: 1, source: FIRST, name: null });
    expect(await findVersion(db.pool, db.bandId, id, 2)).toMatchObject({ source: SECOND });
    expect(await findVersion(db.pool, db.bandId, id, 3)).toBeUndefined();
  });

  test('on an old revision writes nothing and gives back what is stored', async () => {
    const { id } = await added();
    await saveSong(db.pool, db.bandId, id, { baseRevision: 1, source: SECOND });
    const stale = await saveSong(db.pool, db.bandId, id, { baseRevision: 1, source: 'title: Mine\n1\n' });
    expect(stale).toMatchObject({ kind: 'stale', song: { revision: 2, source: SECOND } });
    expect(await saves(id)).toHaveLength(2);
  });

  test('what is stored already adds nothing, even from an old revision: a repeated request is harmless', async () => {
    const { id } = await added();
    await saveSong(db.pool, db.bandId, id, { baseRevision: 1, source: SECOND });
    expect(await saveSong(db.pool, db.bandId, id, { baseRevision: 1, source: SECOND })).toMatchObject({
      kind: 'saved',
      song: { revision: 2 },
    });
    expect(await saves(id)).toHaveLength(2);
  });

  test('at the same moment from two sides lets one through and turns the other away', async () => {
    const { id } = await added();
    const texts = Array.from({ length: 6 }, (_, index) => `title: Side ${index}\n1\n`);
    const outcomes = await Promise.all(texts.map((text) => saveSong(db.pool, db.bandId, id, { baseRevision: 1, source: text })));
    expect(outcomes.filter(({ kind }) => kind === 'saved')).toHaveLength(1);
    expect(outcomes.filter(({ kind }) => kind === 'stale')).toHaveLength(5);
    expect(await saves(id)).toHaveLength(2);
  });

  test('that fails half way leaves nothing behind', async () => {
    const { id } = await added();
    await expect(saveSong(db.pool, db.bandId, id, { baseRevision: 1, source: 'title: \u0000\n1' })).rejects.toThrow();
    expect(await saves(id)).toHaveLength(1);
    expect((await findSong(db.pool, db.bandId, id))?.revision).toBe(1);
  });
});

describe('versions', () => {
  test('tell whose they are and what each changed of the one before', async () => {
    const id = (await addSong(db.pool, db.bandId, { source: 'title: Fogbell\nkey: C\n\n[Verse]\n1 4 5 1\n' }))?.id as string;
    const player = await addMember(db.pool, db.bandId, { name: 'Ivo', plays: 'bass', reads: DEFAULT_READS });
    const by = { memberId: player?.id as string, name: 'Ivo' };
    await saveSong(db.pool, db.bandId, id, { baseRevision: 1, source: 'title: Fogbell\nkey: C\n\n[Verse]\n1 4- 5 1 1\n', by });
    await saveSong(db.pool, db.bandId, id, {
      baseRevision: 2,
      source: 'title: Fogbell\nkey: Eb\n\n[Verse]\n1 4- 5 1 1\n',
      by: { memberId: NOBODY, name: 'Somebody who left' },
    });
    expect((await saves(id)).map(({ by, changes }) => [by, changes])).toEqual([
      ['Somebody who left', ['key E♭ instead of C']],
      [player?.name, ['Verse: 4 became 4–, 1 bar added']],
      [null, []],
    ]);
    await nameVersion(db.pool, db.bandId, id, 1, 'As it was');
    await nameVersion(db.pool, db.bandId, id, 3, 'As we play it');
    const { versions } = await listVersions(db.pool, db.bandId, id, { named: true });
    expect(versions.map(({ changes }) => changes)).toEqual([['key E♭ instead of C', 'Verse: 4 became 4–, 1 bar added'], []]);
  });

  test('are named, found by their names, and the name is taken away', async () => {
    const { id } = await added();
    await saveSong(db.pool, db.bandId, id, { baseRevision: 1, source: SECOND });
    expect(await nameVersion(db.pool, db.bandId, id, 1, 'The chorus we liked')).toMatchObject({ revision: 1, name: 'The chorus we liked' });
    const named = () => listVersions(db.pool, db.bandId, id, { named: true });
    expect((await named()).versions.map(({ revision }) => revision)).toEqual([1]);
    await nameVersion(db.pool, db.bandId, id, 1, '');
    expect((await named()).versions).toEqual([]);
    expect(await nameVersion(db.pool, db.bandId, id, 9, 'x')).toBeUndefined();
    expect(await nameVersion(db.pool, await addBand(db.pool, 'Thieves'), id, 1, 'x')).toBeUndefined();
  });

  test('come a page at a time, every one once', async () => {
    const { id } = await added();
    for (let revision = 1; revision < 130; revision += 1)
      await saveSong(db.pool, db.bandId, id, { baseRevision: revision, source: `title: Take ${revision}\n1` });
    const seen: number[] = [];
    let before: number | undefined;
    do {
      const page = await listVersions(db.pool, db.bandId, id, { before, named: false });
      seen.push(...page.versions.map(({ revision }) => revision));
      before = page.next ?? undefined;
    } while (before !== undefined);
    expect(seen).toEqual(Array.from({ length: 130 }, (_, index) => 130 - index));
  });
});

describe('beside the chart', () => {
  test('tags are kept as they are, once each; what is left out stays', async () => {
    const { id } = await added();
    expect(await changeSong(db.pool, db.bandId, id, { tags: ['Slow', 'encore', 'Slow'] })).toMatchObject({ tags: ['Slow', 'encore'] });
    expect(await changeSong(db.pool, db.bandId, id, { archived: true })).toMatchObject({ tags: ['Slow', 'encore'], archived: true });
    expect(await changeSong(db.pool, db.bandId, id, { archived: false })).toMatchObject({ archived: false, revision: 1 });
    expect(await changeSong(db.pool, db.bandId, NOBODY, { archived: true })).toBeUndefined();
  });

  test('a copy has the chart, and a title of its own', async () => {
    expect(copiedSource(await added())).toBe(FIRST.replace('Gull Street', 'Gull Street (copy)'));
    const untitled = copiedSource(await added('1 4 5'));
    expect(untitled).toBe('title: Song (copy)\n1 4 5');
  });
});
