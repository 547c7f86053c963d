import type { House } from '../context/enter.ts';
import { newToken, tokenHash } from '../context/token.ts';

/** What a link that opens once is for. */
export type LinkPurpose = 'first-band' | 'sign-in' | 'email';

interface NewLink {
  readonly purpose: LinkPurpose;
  readonly account: string | null;
  readonly email?: string;
  readonly minutes: number;
}

/** Makes a link that opens once; answers what stands in it. */
export async function addLink(
  house: Pick<House, 'as'>,
  { purpose, account, email, minutes }: NewLink,
): Promise<{ readonly token: string; readonly expiresAt: Date }> {
  const token = newToken();
  const expiresAt = new Date(Date.now() + minutes * 60_000);
  await house
    .as({ account: account ?? undefined })
    .query('insert into one_time_link (token_hash, purpose, account_id, email, expires_at) values ($1, $2, $3, $4, $5)', [
      tokenHash(token),
      purpose,
      account,
      email ?? null,
      expiresAt,
    ]);
  return { token, expiresAt };
}

export interface OpenedLink {
  readonly purpose: LinkPurpose;
  readonly account_id: string | null;
  readonly email: string | null;
}

/** Opens a link, which it does once; undefined for one that is used up, too old, or never was. */
export async function openLink(house: Pick<House, 'as'>, token: string, purposes: readonly LinkPurpose[]): Promise<OpenedLink | undefined> {
  const hash = tokenHash(token);
  const { rows } = await house.as({ key: hash }).query<OpenedLink>(
    `update one_time_link set used_at = now() where token_hash = $1 and used_at is null and expires_at > now() and purpose = any ($2)
        returning purpose, account_id, email`,
    [hash, purposes],
  );
  return rows[0];
}
