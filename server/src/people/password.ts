import { hash, verify } from '@node-rs/argon2';

/** Argon2id with the least that OWASP's password storage recommendations ask for: 19 MiB, two rounds, one lane. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

export function hashPassword(password: string): Promise<string> {
  return hash(password, COST);
}

let nobodys: Promise<string> | null = null;

/** Whether a password is right. Where there is none to compare with it takes as long, so that nobody learns who has an account. */
export async function isPassword(stored: string | null, password: string): Promise<boolean> {
  nobodys ??= hashPassword('nobody has this one');
  const right = await verify(stored ?? (await nobodys), password);
  return right && stored !== null;
}
