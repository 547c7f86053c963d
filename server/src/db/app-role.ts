import pg from 'pg';

/** What ends a statement, a wait for a lock, and a transaction nobody goes on with, for the application's role. */
const LIMITS = { statement_timeout: '6s', lock_timeout: '4s', idle_in_transaction_session_timeout: '15s' } as const;
const TRIES = 5;

interface AppRole {
  readonly name: string;
  readonly password: string;
}

function roleOf(appUrl: string): AppRole {
  const { username, password } = new URL(appUrl);
  return { name: decodeURIComponent(username), password: decodeURIComponent(password) };
}

/**
 * Makes the role the application works as, or brings it up to date: it signs in, owns nothing, is no
 * superuser, and passes no wall. The owner has to be allowed to make roles; where the role is there already
 * as it should be, nothing is asked of it.
 */
export async function provideAppRole(ownerUrl: string, appUrl: string): Promise<void> {
  const { name, password } = roleOf(appUrl);
  if (await isAsWished(appUrl)) return;
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  try {
    const [role, secret] = [client.escapeIdentifier(name), client.escapeLiteral(password)];
    const wish = `login nosuperuser nocreatedb nocreaterole nobypassrls password ${secret}`;
    const limits = Object.entries(LIMITS).map(([limit, time]) => `alter role ${role} set ${limit} = '${time}'`);
    await severalTimes(async () => {
      const { rowCount } = await client.query('select 1 from pg_roles where rolname = $1', [name]);
      await client.query([`${rowCount === 0 ? 'create' : 'alter'} role ${role} ${wish}`, ...limits].join(';'));
    });
  } finally {
    await client.end();
  }
}

/** Whether the role signs in with this password and has its limits. */
async function isAsWished(appUrl: string): Promise<boolean> {
  const client = new pg.Client({ connectionString: appUrl });
  client.on('error', () => undefined);
  try {
    await client.connect();
    const { rows } = await client.query<{ ok: boolean }>(
      `select rolconfig @> $1::text[] and not rolsuper and not rolbypassrls as ok from pg_roles where rolname = current_user`,
      [Object.entries(LIMITS).map(([limit, time]) => `${limit}=${time}`)],
    );
    return rows[0]?.ok === true;
  } catch {
    return false;
  } finally {
    await client.end().catch(() => undefined);
  }
}

/** Two who change one role at the same moment get in each other's way. */
async function severalTimes(work: () => Promise<void>): Promise<void> {
  for (let tries = 1; ; tries += 1) {
    try {
      return await work();
    } catch (error) {
      if (tries === TRIES) throw error;
      await new Promise((resolve) => setTimeout(resolve, 50 * tries));
    }
  }
}

/** Gives the role the rows of every table and the functions, and nothing of the schema itself. */
export async function grantAppRole(owner: pg.Client, appUrl: string): Promise<void> {
  const role = owner.escapeIdentifier(roleOf(appUrl).name);
  await owner.query(`
    grant usage on schema public to ${role};
    grant select, insert, update, delete on all tables in schema public to ${role};
    revoke insert, update, delete on table migration from ${role};
    revoke update, delete on table audit from ${role};
    revoke all on table credential from ${role};
    revoke insert, update, delete on table change from ${role};
    revoke select, update, delete on table mail from ${role};
    grant execute on all functions in schema public to ${role}`);
}
