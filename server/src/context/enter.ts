import type { Request, Response } from 'express';
import { isMigrated } from '../db/migrate.ts';
import type { Db, Pool } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import { idOf, notFound } from '../validate.ts';
import type { Access, Context, Person, Role, Seat } from './context.ts';
import { type Scope, scopedDb } from './scope.ts';
import { DEVICE_DAYS, giveToken, shownToken, takeToken } from './session-cookie.ts';
import { newToken, tokenHash } from './token.ts';

/** Who comes in without being signed in; null where the house is closed. */
export type OpenHouse = ((bandId: string | null) => Promise<{ readonly person: Person; readonly seat: Seat | null } | null>) | null;

/** The one holder of the pool: it opens the database for whoever asks, and for no more than they may see. */
export class House {
  readonly #pool: Pool;
  readonly #openHouse: OpenHouse;
  readonly #schema: readonly string[];
  #wasReady = false;

  /** `schema` names the migrations that have to have run. */
  constructor(pool: Pool, openHouse: OpenHouse, schema: readonly string[]) {
    this.#pool = pool;
    this.#openHouse = openHouse;
    this.#schema = schema;
  }

  /** Whether the database answers and is at this program's schema. */
  readonly isReady = async (): Promise<boolean> => {
    const ready = await isMigrated(this.as({}), this.#schema).catch(() => false);
    if (ready) this.#wasReady = true;
    return ready;
  };

  /** The database as one band, account or link may see it. */
  readonly as = (scope: Scope): Db => scopedDb(this.#pool, scope);

  /** How many connections there are, how many idle, and how many wait for one. */
  get connections(): { readonly all: number; readonly idle: number; readonly waiting: number } {
    const { totalCount: all, idleCount: idle, waitingCount: waiting } = this.#pool;
    return { all, idle, waiting };
  }

  /**
   * Who asks, and what they may touch.
   * @throws HttpFault where they may not.
   */
  readonly enter = async (request: Request, response: Response, access: Access): Promise<Context> => {
    if (access === 'open') return { person: null, seat: null, db: NO_DB };
    if (!this.#wasReady && !(await this.isReady()))
      throw new HttpFault('database-away', 'The database does not answer, or is being brought up to date. Try again in a moment.');
    const bandId = request.params.bandId === undefined ? null : idOf(request, 'bandId', 'band');
    const known = await this.#known(request, response, bandId);
    const { person, seat } = known ?? { person: null, seat: null };
    const db = this.as({ account: person?.accountId, band: seat?.bandId, guestSet: seat?.guestSet ?? undefined });
    if (access === 'stranger') return { person, seat, db };
    if (person === null) throw new HttpFault('sign-in', 'Nobody is signed in on this device. Open the link your band sent you.');
    if (access === 'account') return { person, seat, db };
    if (seat === null) throw notFound('band');
    await this.#checkRole(request, access, seat, db);
    return { person, seat, db };
  };

  async #known(request: Request, response: Response, bandId: string | null) {
    const token = shownToken(request);
    const found = token === null ? null : await this.#signedIn(request, response, token, bandId);
    return found ?? (this.#openHouse === null ? null : this.#openHouse(bandId));
  }

  async #signedIn(request: Request, response: Response, token: string, bandId: string | null) {
    const { rows } = await this.as({}).query<Entered>('select * from aurora_enter($1, $2)', [tokenHash(token), bandId]);
    const row = rows[0];
    if (row === undefined) {
      takeToken(request, response);
      return null;
    }
    const person = { accountId: row.account_id, name: row.account_name, deviceId: row.device_id };
    if (row.is_due) await this.#rotate(request, response, row, token);
    // the new one has arrived: the one before it is over
    else if (row.is_new)
      await this.as({ account: person.accountId }).query('update device set token_before = null where id = $1', [row.device_id]);
    const seat =
      bandId === null || row.member_id === null
        ? null
        : { bandId, role: row.role as Role, memberId: row.member_id, name: row.member_name as string, guestSet: row.guest_set };
    return { person, seat };
  }

  /** A new token once a day. The one before it counts until this one has been shown, since an answer can be lost. */
  async #rotate(request: Request, response: Response, { account_id, device_id }: Entered, shown: string): Promise<void> {
    const token = newToken();
    const { rowCount } = await this.as({ account: account_id }).query(
      `update device set token_before = $3, token_hash = $2, rotated_at = now(), seen_at = now(),
              expires_at = now() + interval '${DEVICE_DAYS} days'
        where id = $1 and rotated_at < now() - interval '1 day'`,
      // the one that was shown, which need not be the newest: that one may never have arrived
      [device_id, tokenHash(token), tokenHash(shown)],
    );
    if (rowCount === 1) giveToken(request, response, token);
  }

  async #checkRole(request: Request, access: Exclude<Access, 'open' | 'stranger' | 'account'>, seat: Seat, db: Db): Promise<void> {
    if (access === 'self' || access === 'self-or-leader') {
      const memberId = idOf(request, 'memberId', 'player');
      if (seat.memberId === memberId || (seat.role === 'leader' && access === 'self-or-leader')) return;
      if (seat.role === 'leader' && (await isNobodys(db, seat.bandId, memberId))) return;
      throw new HttpFault(
        'forbidden',
        access === 'self' ? 'Only the player themselves may see this.' : 'Only the player themselves and the leader may do this.',
      );
    }
    const enough = { guest: ['guest', 'member', 'leader'], member: ['member', 'leader'], leader: ['leader'] }[access];
    if (enough.includes(seat.role)) return;
    throw new HttpFault(
      'forbidden',
      access === 'leader' ? 'Only the leader of the band may do this.' : 'A guest may read the set of the evening, and no more.',
    );
  }
}

interface Entered {
  readonly account_id: string;
  readonly account_name: string;
  readonly device_id: string;
  readonly is_due: boolean;
  readonly is_new: boolean;
  readonly member_id: string | null;
  readonly member_name: string | null;
  readonly role: string | null;
  readonly guest_set: string | null;
}

async function isNobodys(db: Db, bandId: string, memberId: string): Promise<boolean> {
  const { rows } = await db.query<{ free: boolean }>('select account_id is null as free from member where band_id = $1 and id = $2', [
    bandId,
    memberId,
  ]);
  // of one who is not there it is said so later
  return rows[0]?.free ?? true;
}

const nobody = (): never => {
  throw new Error('what is answered from what was sent alone asks no database');
};
const NO_DB: Db = { query: nobody as unknown as Db['query'], transaction: nobody };
