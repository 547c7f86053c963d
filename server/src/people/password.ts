import { hash } from '@node-rs/argon2';

/** Argon2id with the least that OWASP's password storage recommendations ask for: 19 MiB, two rounds, one lane. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

export function hashPassword(password: string): Promise<string> {
  return hash(password, COST);
}

/** A hash without its last part: `$argon2id$v=19$m=19456,t=2,p=1$salt`. */
const START = /^\$argon2id\$v=19\$m=(\d+),t=(\d+),p=(\d+)\$([A-Za-z0-9+/]+)$/;

/**
 * The hash a password has beside another one's beginning, cost and salt. Where there is none to go by it takes as long, so
 * that nobody learns who has an account.
 */
export function hashLike(start: string | null, password: string): Promise<string> {
  const [, memory, rounds, lanes, salt] = START.exec(start ?? '') ?? [];
  if (salt === undefined) return hashPassword(password);
  const cost = { memoryCost: Number(memory), timeCost: Number(rounds), parallelism: Number(lanes) };
  return hash(password, { ...cost, salt: Buffer.from(salt, 'base64') });
}
