import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { addBand } from '../src/band/band-store.ts';
import { addMember } from '../src/member/member-store.ts';
import { takeOut } from '../src/people/band-people-store.ts';
import { addSong } from '../src/song/song-store.ts';
import { listSwaps, saveSwap } from '../src/swap/swap-store.ts';
import { leaderOf, openDatabase, openServer, send, type TestDatabase, type TestServer } from './harness.ts';

let db: TestDatabase;
let server: TestServer;
let songId: string;
let memberId: string;
beforeAll(async () => {
  db = await openDatabase();
  server = await openServer(db.pool);
  songId = (await addSong(db.pool, db.bandId, { source: 'key: C\n1 4 5 1\n' }))?.id ?? '';
  memberId = (await addMember(db.pool, db.bandId, { name: 'Wren', plays: 'guitar' }))?.id ?? '';
});
afterAll(async () => {
  await server.close();
  await db.close();
});

const swap = (more: object = {}) => ({ memberId, chord: '4', stretch: 0, instead: '4maj7', refusedBy: '', ...more });
const at = (id = songId) => `${server.url}/api/v1/bands/${db.bandId}/songs/${id}/swaps`;

test('an easier chord is kept for one player, refused by another, and taken back', async () => {
  expect((await send(at())).body).toEqual({ swaps: [] });
  expect((await send(at(), 'PUT', swap())).body).toEqual({ swaps: [swap()] });
  expect((await send(at(), 'PUT', swap({ refusedBy: 'Ines' }))).body.swaps).toEqual([swap({ refusedBy: 'Ines' })]);
  await send(at(), 'PUT', swap({ stretch: 1, instead: '4add9' }));
  expect((await send(at())).body.swaps).toHaveLength(2);
  expect((await send(at(), 'PUT', swap({ instead: null }))).body.swaps.map(({ stretch }: { stretch: number }) => stretch)).toEqual([1]);
});

test('what is no chord is refused; players and songs of other bands are not there', async () => {
  expect((await send(at(), 'PUT', swap({ instead: '8' }))).status).toBe(422);
  expect((await send(at(), 'PUT', swap({ chord: '' }))).status).toBe(422);
  const other = await addBand(db.pool, 'Neighbours');
  const theirs = (await addSong(db.pool, other, { source: 'key: C\n1\n' }))?.id ?? '';
  expect((await send(at(theirs), 'PUT', swap())).status).toBe(404);
  expect((await send(at(theirs))).status).toBe(404);
  expect(await saveSwap(db.pool, other, theirs, swap())).toBe(false);
});

test('a player who leaves takes them along', async () => {
  const gone = (await addMember(db.pool, db.bandId, { name: 'Lark', plays: 'guitar' }))?.id ?? '';
  await saveSwap(db.pool, db.bandId, songId, swap({ memberId: gone }));
  await takeOut(db.pool, leaderOf(db.bandId), gone);
  expect((await listSwaps(db.pool, db.bandId, [songId])).get(songId)?.some((one) => one.memberId === gone)).toBe(false);
});
