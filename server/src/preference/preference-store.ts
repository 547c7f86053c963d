import { DEFAULT_PREFERENCES, type Preferences, type PreferencesChange, preferences } from '@aurora/wire';
import { inTransaction, type Pool, type Queryable } from '../db/pool.ts';

/** The band's preferences; what was never set, or no longer fits, is the default. */
export async function readPreferences(db: Queryable, bandId: string): Promise<Preferences> {
  const { rows } = await db.query<{ name: string; value: unknown }>(
    'select name, value from preference where band_id = $1 and member_id is null',
    [bandId],
  );
  const stored = rows.filter(({ name, value }) => isReadable(name, value)).map(({ name, value }) => [name, value] as const);
  return { ...DEFAULT_PREFERENCES, ...Object.fromEntries(stored) };
}

/** Sets the preferences that are named and answers all of them. Undefined when there is no such band. */
export async function changePreferences(pool: Pool, bandId: string, change: PreferencesChange): Promise<Preferences | undefined> {
  return inTransaction(pool, async (client) => {
    const { rowCount } = await client.query('select 1 from band where id = $1', [bandId]);
    if (rowCount === 0) return undefined;
    for (const [name, value] of Object.entries(change)) {
      await client.query(
        `insert into preference (band_id, member_id, name, value) values ($1, null, $2, $3)
         on conflict (band_id, member_id, name) do update set value = excluded.value`,
        [bandId, name, JSON.stringify(value)],
      );
    }
    return readPreferences(client, bandId);
  });
}

function isReadable(name: string, value: unknown): boolean {
  const schema = (preferences.shape as Record<string, { safeParse: (value: unknown) => { success: boolean } } | undefined>)[name];
  return schema?.safeParse(value).success ?? false;
}
