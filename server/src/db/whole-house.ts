import type { Db } from './pool.ts';

/** Whether there is no band yet. */
export async function isEmpty(db: Db): Promise<boolean> {
  const { rows } = await db.query<{ empty: boolean }>('select aurora_is_empty() as empty');
  return rows[0]?.empty === true;
}

/** The bands of the house, the oldest first. */
export async function bandIds(db: Db): Promise<readonly string[]> {
  const { rows } = await db.query<{ id: string }>('select id from aurora_bands() as id');
  return rows.map(({ id }) => id);
}
