import type { Me } from '@aurora/wire';
import type { Request, Response } from 'express';
import type { Person } from '../context/context.ts';
import type { House } from '../context/enter.ts';
import { giveToken } from '../context/session-cookie.ts';
import { isEmpty } from '../db/whole-house.ts';
import { HttpFault } from '../http-fault.ts';
import type { Post } from '../mail/post.ts';
import { addDevice, listSeats, readPerson } from './account-store.ts';
import { deviceName } from './device-name.ts';

/** What the people's calls need of the house around them. */
export interface PeopleDeps {
  readonly house: House;
  /** How mail is sent; null where none is. */
  readonly post: Post | null;
  /** Whether mail is shown on a page instead of being sent. */
  readonly mailbox: boolean;
  /** In the demo: who one can be; null elsewhere. */
  readonly demo: DemoDoor | null;
  readonly publicUrl: string | null;
}

/** The demo's door: who one can be, and the account of each. */
export interface DemoDoor {
  readonly players: () => Promise<NonNullable<Me['demo']>>;
  readonly accountOf: (memberId: string) => Promise<string | undefined>;
}

/** Signs somebody in here. */
export async function signIn(house: House, request: Request, response: Response, account: string): Promise<void> {
  giveToken(request, response, await addDevice(house, account, deviceName(request.get('User-Agent') ?? '')));
}

/** Who one is once somebody has signed in, or out, or changed. */
export async function meOf({ house, mailbox, demo }: PeopleDeps, accountId: string | null, deviceId: string | null): Promise<Me> {
  const db = house.as({ account: accountId ?? undefined });
  const person = accountId === null ? null : await readPerson(db, accountId);
  return {
    person,
    deviceId,
    bands: accountId === null ? [] : [...(await listSeats(db, accountId))],
    demo: demo === null ? null : [...(await demo.players())],
    mailbox,
    isEmpty: person === null && (await isEmpty(db)),
  };
}

/** What is one's own needs a device that is signed in: in an open house nobody is. */
export function own(person: Person): Person {
  if (person.deviceId === null) throw new HttpFault('sign-in', 'Sign in first: in the demo, choose who you are.');
  return person;
}
