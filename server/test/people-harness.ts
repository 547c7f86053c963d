import { randomUUID } from 'node:crypto';
import type { House } from '../src/context/enter.ts';
import { addAccount, addDevice } from '../src/people/account-store.ts';
import { foundBand } from '../src/people/found-band.ts';
import type { Answer } from './harness.ts';

/** Somebody signed in on a device of their own. */
export interface Somebody {
  readonly accountId: string;
  readonly cookie: string;
}

export const STRANGER: Somebody = { accountId: '', cookie: '' };

/** Signs somebody new in. */
export async function signedIn(house: Pick<House, 'as'>, name: string): Promise<Somebody> {
  const accountId = await addAccount(house, name);
  return { accountId, cookie: `aurora=${await addDevice(house, accountId, 'A test')}` };
}

/** Sends JSON as somebody, and reads JSON; a cookie that comes back is theirs from then on. */
export async function sendAs(
  who: Somebody,
  url: string,
  method = 'GET',
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<Answer & { readonly setCookie: string | null }> {
  const response = await fetch(url, {
    method,
    headers: {
      ...(who.cookie === '' ? {} : { Cookie: who.cookie }),
      ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
      ...headers,
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  const text = await response.text();
  const set = response.headers.get('set-cookie');
  return {
    status: response.status,
    type: response.headers.get('content-type') ?? '',
    body: text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : text,
    setCookie: set === null ? null : (set.split(';')[0] ?? null),
  };
}

/** A band with somebody of each kind in it, and a song and a set of theirs. */
export interface PeopledBand {
  readonly bandId: string;
  readonly leader: Somebody;
  readonly member: Somebody;
  readonly memberId: string;
  readonly guest: Somebody;
  readonly songId: string;
  readonly otherSongId: string;
  readonly setId: string;
}

/** Makes one, over the calls people make it with. */
export async function peopledBand(house: Pick<House, 'as'>, url: string, name: string): Promise<PeopledBand> {
  const leader = await signedIn(house, `${name} leader`);
  const bandId = await foundBand(house, leader.accountId, { band: name, name: 'Lea', plays: 'guitar' });
  const at = `${url}/api/v1/bands/${bandId}`;
  const memberId = (await sendAs(leader, `${at}/members`, 'POST', { name: 'Mel', plays: 'bass' })).body.id as string;
  const songId = (await sendAs(leader, `${at}/songs`, 'POST', { source: 'title: In the set\nkey: G\n1 4 5 1\n' })).body.id as string;
  const otherSongId = (await sendAs(leader, `${at}/songs`, 'POST', { source: 'title: Not in it\nkey: G\n1 4 5 1\n' })).body.id as string;
  const entry = {
    kind: 'song',
    id: randomUUID(),
    songId,
    key: null,
    tempo: null,
    capos: {},
    starts: '',
    notes: '',
    seconds: null,
    join: { kind: 'gap' },
  };
  const set = await sendAs(leader, `${at}/sets`, 'POST', { name: 'Friday', place: '', startsAt: '', gapSeconds: 30, entries: [entry] });
  const setId = set.body.id as string;
  const open = async (wish: object): Promise<Somebody> => {
    const { token } = (await sendAs(leader, `${at}/invitations`, 'POST', wish)).body;
    const opened = await sendAs(STRANGER, `${url}/api/v1/invitations/open`, 'POST', { token });
    return { accountId: opened.body.person.id, cookie: opened.setCookie ?? '' };
  };
  const member = await open({ role: 'member', memberId });
  const guest = await open({ role: 'guest', name: 'Gus', setId });
  return { bandId, leader, member, memberId, guest, songId, otherSongId, setId };
}
