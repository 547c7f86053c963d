import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { restoreBand } from '../src/backup/backup-store.ts';
import { addBand } from '../src/band/band-store.ts';
import { addPiece, allPieces, listPieces, type PieceSave, savePiece } from '../src/piece/piece-store.ts';
import { addSong } from '../src/song/song-store.ts';
import { backupOf, openDatabase, openServer, send, type TestDatabase, type TestServer } from './harness.ts';

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

const HYMN = 'X:1\nT:Quay Hymn\nM:4/4\nL:1/8\nK:C\nV:1\ne8|f8|d8|c8|]\nV:2\n[C,G,CE]8|[F,A,C]8|[G,,F,B,D]8|[C,G,CE]8|]\n';
const at = (more = '') => `${server.url}/api/v1/bands/${db.bandId}/pieces${more}`;
const made = async (more: object = {}) => (await send(at(), 'POST', { format: 'abc', data: HYMN, ...more })).body;
const work = (more: object = {}) => ({ title: 'Quay Hymn', rhythm: 'auto', said: [], songId: null, baseRevision: 1, ...more });
const SAID = { said: { kind: 'chord', at: { bar: 2, beat: 1 }, chord: 'Dm7/F' }, print: 'abc' };

describe('pieces of a band', () => {
  test('a file is kept under its own title, listed, read again, and taken away', async () => {
    const piece = await made();
    expect(piece).toMatchObject({ title: 'Quay Hymn', format: 'abc', data: HYMN, rhythm: 'auto', said: [], songId: null, revision: 1 });
    expect((await send(at())).body.pieces.map(({ id }: { id: string }) => id)).toContain(piece.id);
    expect((await send(at(`/${piece.id}`))).body).toEqual(piece);
    expect((await send(at(`/${piece.id}`), 'DELETE')).body).toEqual({ gone: true });
    expect((await send(at(`/${piece.id}`))).status).toBe(404);
  });

  test('what is no piece is refused in words, with its place', async () => {
    expect(await send(at(), 'POST', { format: 'musicxml', data: '<score-partwise>' })).toMatchObject({
      status: 422,
      body: { errors: [{ path: 'data' }] },
    });
    expect(await send(at(), 'POST', { format: 'midi', data: 'not base64!' })).toMatchObject({
      status: 422,
      body: { errors: [{ path: 'data' }] },
    });
    expect((await send(at(), 'POST', { format: 'pdf', data: '' })).status).toBe(422);
  });

  test('what is said is saved on top of a revision; on an older one nothing is written', async () => {
    const { id } = await made();
    const saved = await send(at(`/${id}`), 'PUT', work({ said: [SAID], rhythm: 'bar' }));
    expect(saved).toMatchObject({ status: 200, body: { said: [SAID], rhythm: 'bar', revision: 2 } });
    expect((await send(at(`/${id}`), 'PUT', work({ title: 'Late' }))).status).toBe(409);
    expect((await send(at(`/${id}`))).body).toMatchObject({ title: 'Quay Hymn', revision: 2 });
  });

  test('new notes come in the place of the old ones, and what was said stays', async () => {
    const { id } = await made();
    const data = HYMN.replace('e8', 'g8');
    expect((await send(at(`/${id}`), 'PUT', work({ said: [SAID], data }))).body).toMatchObject({ data, said: [SAID] });
    expect((await send(at(`/${id}`), 'PUT', work({ baseRevision: 2, data: 'no tune' }))).status).toBe(422);
  });

  test('a chart that was made of it is linked, and forgotten when it goes', async () => {
    const { id } = await made();
    const songId = (await addSong(db.pool, db.bandId, { source: 'key: C\n1 4 57 1\n' }))?.id ?? '';
    expect((await send(at(`/${id}`), 'PUT', work({ songId }))).body.songId).toBe(songId);
    await db.pool.query('delete from song where id = $1', [songId]);
    expect((await send(at(`/${id}`))).body.songId).toBeNull();
    const strange = await send(at(`/${id}`), 'PUT', work({ baseRevision: 2, songId: '00000000-0000-4000-8000-000000000000' }));
    expect(strange).toMatchObject({ status: 422, body: { errors: [{ path: 'songId' }] } });
  });

  test('other bands have their own', async () => {
    const other = await addBand(db.pool, 'Neighbours');
    const theirs = await addPiece(db.pool, other, { title: 'Theirs', by: '', format: 'abc', source: Buffer.from(HYMN), rhythm: 'auto' });
    expect((await send(at(`/${theirs?.id}`))).status).toBe(404);
    expect((await listPieces(db.pool, db.bandId)).some(({ id }) => id === theirs?.id)).toBe(false);
    const save = { title: 'Mine', rhythm: 'auto' as const, said: [], songId: null, baseRevision: 1, source: null } satisfies PieceSave;
    expect(await savePiece(db.pool, db.bandId, theirs?.id ?? '', save)).toEqual({ kind: 'missing' });
  });
});

test('a backup holds them, with what is said and the chart that was made', async () => {
  const band = await addBand(db.pool, 'Keepers');
  const songId = (await addSong(db.pool, band, { source: 'key: C\n1 4 57 1\n' }))?.id ?? '';
  const kept = { id: '11111111-1111-4111-8111-111111111111', said: [SAID], songId } as Parameters<typeof addPiece>[2]['kept'] & object;
  await addPiece(db.pool, band, { title: 'Kept', by: 'Ines', format: 'abc', source: Buffer.from(HYMN), rhythm: 'half', kept });
  const backup = await backupOf(db.pool, band, new Date(0));
  if (backup === undefined) throw new Error('no backup');
  const before = await allPieces(db.pool, band);
  await db.pool.query('delete from piece where band_id = $1', [band]);
  await db.pool.transaction((client) => restoreBand(client, band, backup, async () => undefined));
  const withoutTime = (pieces: typeof before) => pieces.map(({ savedAt: _, ...piece }) => piece);
  expect(withoutTime(await allPieces(db.pool, band))).toEqual(withoutTime(before));
});

describe('POST /reduce', () => {
  const reduce = (body: object) => send(`${server.url}/api/v1/reduce`, 'POST', body);

  test('answers with columns, keys, tones and cadences as the contract says', async () => {
    const { status, body } = await reduce({ format: 'abc', data: HYMN });
    expect(status).toBe(200);
    expect(body).toMatchObject({ title: 'Quay Hymn', parts: [{ id: 'V1' }, { id: 'V2' }], left: [] });
    expect(body.keys).toEqual([{ tonic: 'C', scale: 'major', from: { bar: 1, beat: 1 }, to: { bar: 5, beat: 1 } }]);
    expect(
      body.columns.map((one: { bar: number; chord: string; roman: string; number: string }) => [one.bar, one.chord, one.roman, one.number]),
    ).toEqual([
      [1, 'C', 'I', '1'],
      [2, 'F', 'IV', '4'],
      [3, 'G7', 'V7', '57'],
      [4, 'C', 'I', '1'],
    ]);
    expect(body.columns[0]).toMatchObject({ beat: 1, beats: 4, root: 'C', bass: 'C', inversion: 0, key: { tonic: 'C', scale: 'major' } });
    expect(body.cadences).toEqual([{ kind: 'authentic', bar: 4, beat: 1 }]);
  });

  test('a MusicXML piece: its strange notes, by part, place and octave, with where they go', async () => {
    const data = readFileSync(new URL('../../core/test/golden/pieces/guitar.musicxml', import.meta.url), 'utf8');
    const { body } = await reduce({ format: 'musicxml', data });
    expect(body.tones).toContainEqual({ part: 'P1', bar: 2, beat: 1, note: 'Bb4', kind: 'appoggiatura', resolvesTo: 'Ab4' });
    expect(body.columns.find(({ bar }: { bar: number }) => bar === 3)).toMatchObject({ chord: 'G7/C', inversion: null, pedal: true });
    expect(body.keys[0].scale).toBe('harmonic minor');
  });

  test('by bars, nothing begins within one', async () => {
    const data = readFileSync(new URL('../../core/test/golden/pieces/chorale.musicxml', import.meta.url), 'utf8');
    const { body } = await reduce({ format: 'musicxml', data, options: { rhythm: 'bar' } });
    expect(body.columns.every(({ beat }: { beat: number }) => beat === 1)).toBe(true);
  });

  test.each([
    [{ format: 'abc', data: '' }, 422],
    [{ format: 'mxl', data: 'AAAA' }, 422],
    [{ format: 'midi', data: 'no base64 at all!' }, 422],
    [{ format: 'musicxml' }, 422],
    [{ format: 'musicxml', data: HYMN, options: { rhythm: 'often' } }, 422],
    [{ format: 'abc', data: 'x'.repeat(4 * 1024 * 1024 + 1) }, 413],
  ])('what cannot be read is told, never a fault of ours (%#)', async (body, status) => {
    expect((await reduce(body)).status).toBe(status);
  });
});
