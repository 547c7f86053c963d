import { createHash, randomBytes } from 'node:crypto';

const BYTES = 32;

/** Something only its holder knows, as it stands in a cookie or a link. */
export function newToken(): string {
  return randomBytes(BYTES).toString('base64url');
}

/** What is kept of a token: who reads the database cannot show it. */
export function tokenHash(token: string): Buffer {
  return createHash('sha256').update(token).digest();
}

/** A token that says in which band it is looked for. */
export function bandToken(bandId: string): string {
  return Buffer.concat([Buffer.from(bandId.replaceAll('-', ''), 'hex'), randomBytes(BYTES)]).toString('base64url');
}

const ID_BYTES = 16;

/** The band a band's token is of; null for what is none. */
export function bandOfToken(token: string): string | null {
  const bytes = Buffer.from(token, 'base64url');
  if (bytes.length !== ID_BYTES + BYTES) return null;
  const hex = bytes.subarray(0, ID_BYTES).toString('hex');
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');
}
