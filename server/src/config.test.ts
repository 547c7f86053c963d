import { expect, test } from '@jest/globals';
import { readConfig } from './config.ts';

const NEEDED = { DATABASE_URL: 'postgres://nowhere', MIGRATIONS: '/migrations' };

test('defaults are for one machine alone', () => {
  expect(readConfig(NEEDED)).toMatchObject({ HOST: '127.0.0.1', PORT: 4170, LOG_LEVEL: 'info', DEMO: '0' });
});

test.each([
  [{}, 'DATABASE_URL'],
  [{ ...NEEDED, PORT: 'eighty' }, 'PORT'],
  [{ ...NEEDED, PORT: '70000' }, 'PORT'],
  [{ ...NEEDED, LOG_LEVEL: 'loud' }, 'LOG_LEVEL'],
  [{ ...NEEDED, DEMO: 'yes' }, 'DEMO'],
])('%j cannot be started with', (environment, name) => {
  expect(() => readConfig(environment)).toThrow(name);
});
