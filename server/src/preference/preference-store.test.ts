import { DEFAULT_PREFERENCES } from '@aurora/wire';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { openDatabase, type TestDatabase } from '../../test/harness.ts';
import { addBand } from '../band/band-store.ts';
import { changePreferences, readPreferences } from './preference-store.ts';

let db: TestDatabase;
beforeAll(async () => {
  db = await openDatabase();
});
afterAll(() => db.close());

const german = { ...DEFAULT_PREFERENCES.naming, notes: 'german' } as const;

test('a band starts with the defaults', async () => {
  expect(await readPreferences(db.pool, db.bandId)).toEqual(DEFAULT_PREFERENCES);
});

test('what is set stays, the rest is as it was, and no other band sees it', async () => {
  const other = await addBand(db.pool, 'Neighbours');
  await changePreferences(db.pool, db.bandId, { naming: german });
  await changePreferences(db.pool, db.bandId, {});
  expect(await readPreferences(db.pool, db.bandId)).toEqual({ naming: german });
  expect(await readPreferences(db.pool, other)).toEqual(DEFAULT_PREFERENCES);
});

test('a stored value that no longer fits counts as unset', async () => {
  const band = await addBand(db.pool, 'Old settings');
  await db.pool.query("insert into preference (band_id, name, value) values ($1, 'naming', '\"plaid\"'), ($1, 'theme', '\"night\"')", [
    band,
  ]);
  expect(await readPreferences(db.pool, band)).toEqual(DEFAULT_PREFERENCES);
});

test('there are no preferences of a band that is not there', async () => {
  expect(await changePreferences(db.pool, '00000000-0000-4000-8000-000000000000', { naming: german })).toBeUndefined();
});
