import { STANDARD_GUITAR } from '@aurora/core';
import { DEFAULT_READS } from '@aurora/wire';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { openDatabase, openServer, send, type TestDatabase, type TestServer } from '../../test/harness.ts';
import { addBand } from '../band/band-store.ts';
import { addMember, listMembers, saveInstrument } from './member-store.ts';

let db: TestDatabase;
let server: TestServer;
beforeAll(async () => {
  db = await openDatabase();
  server = await openServer(db.pool);
  await addMember(db.pool, db.bandId, { name: 'Wren', plays: 'guitar' });
  await addMember(db.pool, db.bandId, { name: 'Lark', plays: 'drums' });
});
afterAll(async () => {
  await server.close();
  await db.close();
});

const DROPPED = { ...STANDARD_GUITAR, tuning: [38, 45, 50, 55, 59, 64], leftHanded: true, name: 'The red one' };
const wren = async () => (await listMembers(db.pool, db.bandId)).find(({ name }) => name === 'Wren') as { id: string };

test('members are listed with no instrument until one is set up, and keep it, each their own', async () => {
  expect((await listMembers(db.pool, db.bandId)).map(({ instrument }) => instrument)).toEqual([null, null]);
  expect(await saveInstrument(db.pool, db.bandId, (await wren()).id, STANDARD_GUITAR)).toMatchObject({
    name: 'Wren',
    instrument: STANDARD_GUITAR,
  });
  await saveInstrument(db.pool, db.bandId, (await wren()).id, DROPPED);
  expect((await listMembers(db.pool, db.bandId)).map(({ name, instrument }) => [name, instrument])).toEqual([
    ['Wren', DROPPED],
    ['Lark', null],
  ]);
});

test('another band neither sees nor sets it', async () => {
  const other = await addBand(db.pool, 'Neighbours');
  expect(await listMembers(db.pool, other)).toEqual([]);
  expect(await saveInstrument(db.pool, other, (await wren()).id, STANDARD_GUITAR)).toBeUndefined();
});

test('over HTTP: kept, refused in a musician’s words, and not found', async () => {
  const base = `${server.url}/api/v1/bands/${db.bandId}/members`;
  const { id } = await wren();
  expect((await send(`${base}/${id}/instrument`, 'PUT', DROPPED)).body).toMatchObject({ name: 'Wren', instrument: { leftHanded: true } });
  const refused = await send(`${base}/${id}/instrument`, 'PUT', { ...DROPPED, frets: 40 });
  expect([refused.status, refused.body.detail]).toEqual([422, 'A neck here has 12 to 24 frets, not 40.']);
  expect((await send(`${base}/${id}/instrument`, 'PUT', { tuning: 'E' })).status).toBe(422);
  expect((await send(`${base}/nobody/instrument`, 'PUT', DROPPED)).status).toBe(404);
  expect((await send(base)).body.members).toHaveLength(2);
});

test('what was stored before it said its version is read, and what is no reader at all counts as never said', async () => {
  await saveInstrument(db.pool, db.bandId, (await wren()).id, DROPPED);
  await db.pool.query("update preference set value = value -> 'value' where name = 'instrument'");
  await db.pool.query(`update member set reader = '{"capo": 3, "show": "smoke"}' where name = 'Wren'`);
  await db.pool.query(`update member set reader = '[1]' where name = 'Lark'`);
  const [first, second] = await listMembers(db.pool, db.bandId);
  expect(first).toMatchObject({ instrument: DROPPED, reads: { capo: 3, show: 'both' } });
  expect(second?.reads).toEqual(DEFAULT_READS);
});
