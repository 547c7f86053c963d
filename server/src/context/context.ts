import type { Db } from '../db/pool.ts';

/** What somebody is in a band. */
export type Role = 'leader' | 'member' | 'guest';

/** The band a request is about, as whoever asks belongs to it. */
export interface Seat {
  readonly bandId: string;
  readonly role: Role;
  /** The player they are there; null for a house that is open to everyone. */
  readonly memberId: string | null;
  readonly name: string;
  /** The set a guest may read. */
  readonly guestSet: string | null;
}

/** Who asks: a person on a device; null for one nobody knows. */
export interface Person {
  readonly accountId: string;
  readonly name: string;
  /** Null where nobody signed in but the house is open. */
  readonly deviceId: string | null;
}

/** Everything a request may know and touch. Nothing below it holds a pool. */
export interface Context {
  readonly person: Person | null;
  /** Null where the request is about no band. */
  readonly seat: Seat | null;
  readonly db: Db;
}

/** Who may ask something: anybody; one who is signed in; or those who are something in the band of the address. */
export type Access =
  /** Answered from what is sent alone. */
  | 'open'
  | 'stranger'
  | 'account'
  | 'guest'
  | 'member'
  /** The player of the address themselves, or the leader for a player nobody has signed in as. */
  | 'self'
  /** The player of the address themselves, or the leader. */
  | 'self-or-leader'
  | 'leader';

/** Who is known to be there once a call of this access has been let in. */
export interface ContextOf<Who extends Access> extends Context {
  readonly person: Who extends 'open' | 'stranger' ? Person | null : Person;
  readonly seat: Who extends 'open' | 'stranger' | 'account' ? Seat | null : Seat;
}

/** Whoever changes something, as it is told later: the player, and their name as it is now. */
export function authorOf({ memberId, name }: Seat): { readonly memberId: string | null; readonly name: string } {
  return { memberId, name };
}
