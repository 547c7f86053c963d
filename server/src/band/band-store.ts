import { randomUUID } from 'node:crypto';
import type { Band } from '@aurora/wire';
import type { Queryable } from '../db/pool.ts';

/** The bands, oldest first. */
export async function listBands(db: Queryable): Promise<readonly Band[]> {
  const { rows } = await db.query<Band>('select id, name from band order by created_at, id');
  return rows;
}

/** The name of a band; undefined when there is none. */
export async function bandName(db: Queryable, bandId: string): Promise<string | undefined> {
  return (await db.query<{ name: string }>('select name from band where id = $1', [bandId])).rows[0]?.name;
}

/** Adds a band and answers its id. */
export async function addBand(db: Queryable, name: string, id: string = randomUUID()): Promise<string> {
  await db.query('insert into band (id, name) values ($1, $2)', [id, name]);
  return id;
}
