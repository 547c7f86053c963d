import { DEFAULT_PREFERENCES, type Preferences, type PreferencesChange, preferences } from '@aurora/wire';
import type { Db, Queryable } from '../db/pool.ts';
import { stored, upgraded } from '../db/stored-json.ts';

/** The band's preferences; what was never set, or no longer fits, is the default. */
export async function readPreferences(db: Queryable, bandId: string): Promise<Preferences> {
  const { rows } = await db.query<{ name: string; value: unknown }>(
    'select name, value from preference where band_id = $1 and member_id is null',
    [bandId],
  );
  return { ...DEFAULT_PREFERENCES, ...Object.fromEntries(rows.flatMap(({ name, value }) => readable(name, upgraded(value)))) };
}

/** Sets the preferences that are named and answers all of them. Undefined when there is no such band. */
export async function changePreferences(db: Db, bandId: string, change: PreferencesChange): Promise<Preferences | undefined> {
  return db.transaction(async (client) => {
    const { rowCount } = await client.query('select 1 from band where id = $1', [bandId]);
    if (rowCount === 0) return undefined;
    await writePreferences(client, bandId, change);
    return readPreferences(client, bandId);
  });
}

/** Writes what is named; the rest stays. */
export async function writePreferences(client: Queryable, bandId: string, change: PreferencesChange): Promise<void> {
  for (const [name, value] of Object.entries(change)) {
    await client.query(
      `insert into preference (band_id, member_id, name, value) values ($1, null, $2, $3)
       on conflict (band_id, member_id, name) do update set value = excluded.value`,
      [bandId, name, stored(value)],
    );
  }
}

type Readable = { readonly safeParse: (value: unknown) => { readonly success: boolean; readonly data?: unknown } };

function readable(name: string, value: unknown): readonly (readonly [string, unknown])[] {
  const read = (preferences.shape as Readonly<Record<string, Readable | undefined>>)[name]?.safeParse(value);
  return read?.success === true ? [[name, read.data]] : [];
}
