import { songsQuery } from '@aurora/wire';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { openDatabase, type TestDatabase } from '../../test/harness.ts';
import { addBand } from '../band/band-store.ts';
import { listSongs, listTags } from './shelf-store.ts';
import { addSong, changeSong } from './song-store.ts';

let db: TestDatabase;
beforeAll(async () => {
  db = await openDatabase();
  for (const [title, by, key, tempo, chords, tags] of [
    ['Weir', 'Ines', 'G', 90, '1 5 6- 4', ['slow', 'encore']],
    ['Eel Song', 'Tam', 'Am', 120, '1- b6 b3 b7', ['slow']],
    ['Ash 100%', 'Ines', 'D', 60, '1 4 5 1', []],
    ['ash_pit', 'Bram', 'D', '', '2-7 57 1maj7 1maj7', ['jazz']],
    ['Put away', 'Ines', 'C', 80, '1 5 6- 4', ['slow']],
  ] as const) {
    const song = await addSong(db.pool, db.bandId, {
      source: `title: ${title}\nby: ${by}\nkey: ${key}\ntempo: ${tempo}\n\n${chords}`,
      tags,
    });
    if (title === 'Put away' && song !== undefined) await changeSong(db.pool, db.bandId, song.id, { archived: true });
  }
});
afterAll(() => db.close());

const titles = async (query: object) => (await listSongs(db.pool, db.bandId, songsQuery.parse(query))).songs.map(({ title }) => title);

describe('the shelf', () => {
  test.each([
    [{}, ['Ash 100%', 'ash_pit', 'Eel Song', 'Weir']],
    [{ sort: 'tempo' }, ['Ash 100%', 'Weir', 'Eel Song', 'ash_pit']],
    [{ sort: 'saved' }, ['ash_pit', 'Ash 100%', 'Eel Song', 'Weir']],
    [{ find: 'ash' }, ['Ash 100%', 'ash_pit']],
    [{ find: 'INES g' }, ['Weir']],
    // a per cent sign and an underscore are letters like others
    [{ find: '0%' }, ['Ash 100%']],
    [{ find: 'h_p' }, ['ash_pit']],
    [{ find: 'nothing like it' }, []],
    [{ tag: 'slow' }, ['Eel Song', 'Weir']],
    [{ tag: 'slow', find: 'tam' }, ['Eel Song']],
    [{ archived: 'yes' }, ['Put away']],
    // the same round, in minor and from another chord
    [{ pattern: '1 5 6- 4' }, ['Eel Song', 'Weir']],
    [{ pattern: '6- 4 1 5' }, ['Eel Song', 'Weir']],
    [{ pattern: 'Dm7 G7 C' }, ['ash_pit']],
    [{ pattern: '1 4 5 1' }, ['Ash 100%']],
    [{ pattern: 'wat' }, ['Ash 100%', 'ash_pit', 'Eel Song', 'Weir']],
  ])('%j finds %j', async (query, expected) => expect(await titles(query)).toEqual(expected));

  test('tags are counted over the songs on the shelf', async () => {
    expect(await listTags(db.pool, db.bandId)).toEqual([
      { tag: 'encore', songs: 1 },
      { tag: 'jazz', songs: 1 },
      { tag: 'slow', songs: 2 },
    ]);
    expect(await listTags(db.pool, await addBand(db.pool, 'Nobody'))).toEqual([]);
  });

  test.each(['title', 'key', 'tempo', 'saved'])('pages sorted by %s hold every song once, whatever is saved between them', async (sort) => {
    const bandId = await addBand(db.pool, `Long ${sort}`);
    for (let song = 0; song < 25; song += 1)
      await addSong(db.pool, bandId, {
        source: `title: S${song % 7}\nkey: ${'CDG'[song % 3]}\n${song % 4 === 0 ? '' : `tempo: ${60 + (song % 5)}\n`}\n1`,
      });
    const seen: string[] = [];
    let after: string | null = null;
    do {
      const page = await listSongs(db.pool, bandId, songsQuery.parse({ sort, limit: 4, ...(after === null ? {} : { after }) }));
      seen.push(...page.songs.map(({ id }) => id));
      after = page.next;
    } while (after !== null);
    expect(seen).toHaveLength(25);
    expect(new Set(seen).size).toBe(25);
  });

  test.each([
    'nonsense',
    Buffer.from('["x"]').toString('base64url'),
    Buffer.from('["soon","00000000-0000-4000-8000-000000000000"]').toString('base64url'),
    Buffer.from('[1,2]').toString('base64url'),
  ])('a page that begins at %s is refused', async (after) => {
    for (const sort of ['tempo', 'saved']) await expect(titles({ sort, after })).rejects.toMatchObject({ code: 'invalid' });
  });
});

describe('a song that was begun and never written', () => {
  test('is on nobody’s shelf until something is in it, and goes after a day', async () => {
    const begin = async (source: string) => (await addSong(db.pool, db.bandId, { source, tags: [] }))?.id as string;
    const [empty, named] = [await begin('key: C\ntime: 4/4\n'), await begin('title: Zinc Roof\nkey: C\n')];
    expect(await titles({ find: '' })).not.toContain('');
    expect(await titles({ find: 'zinc' })).toEqual(['Zinc Roof']);
    const left = async () =>
      (await db.pool.query('select id from song where id = any ($1)', [[empty, named]])).rows.map(({ id }) => id).sort();
    await db.pool.query('select aurora_forget_begun_songs()');
    expect(await left()).toEqual([empty, named].sort());
    await db.pool.query("update song set saved_at = now() - interval '2 days' where id = any ($1)", [[empty, named]]);
    await db.pool.query('select aurora_forget_begun_songs()');
    expect(await left()).toEqual([named]);
  });
});
