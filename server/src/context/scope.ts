import { type Db, dbOf, type Pool } from '../db/pool.ts';

/** Whose rows may be seen; what is left out shows nothing. */
export interface Scope {
  readonly band?: string | undefined;
  readonly account?: string | undefined;
  /** The one set a guest may read. */
  readonly guestSet?: string | undefined;
  /** The hash of a link: who knows the link may see what it opens. */
  readonly key?: Buffer | undefined;
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** The database as one band and account may see it: every statement runs in a transaction that says so, and the walls hold it to that. */
export function scopedDb(pool: Pool, { band, account, guestSet, key }: Scope): Db {
  const settings = [
    ['band', idOrNone(band)],
    ['account', idOrNone(account)],
    ['guest_set', idOrNone(guestSet)],
    ['key', key?.toString('hex') ?? ''],
  ] as const;
  const said = settings.map(([name, value]) => `set_config('aurora.${name}', '${value}', true)`);
  return dbOf(pool, `begin; select ${said.join(', ')}`);
}

/** Written into a statement, so it has to be what it should be. */
function idOrNone(id: string | undefined): string {
  if (id === undefined || UUID.test(id)) return id ?? '';
  throw new Error(`not an id: ${id}`);
}
