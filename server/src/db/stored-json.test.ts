import { expect, test } from '@jest/globals';
import { type StoredKind, stored, upgraded } from './stored-json.ts';

const SIZES: StoredKind = {
  upgrades: [(bare) => ({ size: bare }), (old) => ({ ...(old as object), unit: 'cm' })],
};

test('a value comes back as it was stored', () => {
  for (const value of [1, 'night', null, { a: [1] }, { version: 3 }]) expect(upgraded(JSON.parse(stored(value)))).toEqual(value);
});

test.each([
  ['the bare value of the beginning', 7, { size: 7, unit: 'cm' }],
  ['a value of version 1', { version: 1, value: { size: 7 } }, { size: 7, unit: 'cm' }],
  ['a value of now', { version: 2, value: { size: 7, unit: 'in' } }, { size: 7, unit: 'in' }],
  ['a value of a later version', { version: 9, value: 'later' }, 'later'],
  ['a bare object with a version of its own', { version: 'x', value: 1 }, { size: { version: 'x', value: 1 }, unit: 'cm' }],
])('%s is brought up to now', (_, found, now) => expect(upgraded(found, SIZES)).toEqual(now));
