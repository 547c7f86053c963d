import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { bandOfToken, bandToken } from '../src/context/token.ts';
import { mailboxPost } from '../src/mail/post.ts';
import { deviceName } from '../src/people/device-name.ts';
import { nextNoon } from '../src/people/invitation-store.ts';
import { addLink } from '../src/people/link-store.ts';
import { houseOn, openDatabase, openServer, type TestDatabase, type TestServer } from './harness.ts';
import { type PeopledBand, peopledBand, type Somebody, STRANGER, sendAs, signedIn } from './people-harness.ts';

let db: TestDatabase;
let server: TestServer;
beforeAll(async () => {
  db = await openDatabase();
  server = await openServer(db.pool, { door: null, people: { mailbox: true, post: mailboxPost(houseOn(db)) } });
});
afterAll(async () => {
  await server.close();
  await db.close();
});

const api = (path: string) => `${server.url}/api/v1${path}`;
const meOf = async (who: Somebody) => (await sendAs(who, api('/me'))).body;
let count = 0;
const band = (): Promise<PeopledBand> => {
  count += 1;
  return peopledBand(server.house, server.url, `Band ${count}`);
};
const invite = async ({ bandId, leader }: PeopledBand, wish: object) =>
  (await sendAs(leader, api(`/bands/${bandId}/invitations`), 'POST', wish)).body;

describe('an invitation', () => {
  test('tells what it opens, signs in on this device, and opens once', async () => {
    const { bandId, leader } = await band();
    const { body: rosa } = await sendAs(leader, api(`/bands/${bandId}/members`), 'POST', { name: 'Rosa', plays: 'drums' });
    const { token } = (await sendAs(leader, api(`/bands/${bandId}/invitations`), 'POST', { role: 'member', memberId: rosa.id })).body;
    expect((await sendAs(STRANGER, api('/invitations/look'), 'POST', { token })).body).toMatchObject({
      name: 'Rosa',
      role: 'member',
      madeBy: 'Lea',
      set: null,
    });
    const opened = await sendAs(STRANGER, api('/invitations/open'), 'POST', { token });
    expect(opened).toMatchObject({
      status: 200,
      body: { person: { name: 'Rosa' }, bands: [{ id: bandId, role: 'member', memberId: rosa.id }] },
    });
    const device = { accountId: '', cookie: opened.setCookie ?? '' };
    expect((await meOf(device)).person.name).toBe('Rosa');
    expect((await sendAs(STRANGER, api('/invitations/open'), 'POST', { token })).status).toBe(404);
    expect((await sendAs(STRANGER, api('/invitations/look'), 'POST', { token })).body.detail).toMatch(/used up/);
  });

  test('can be taken back, and a new one for the same player puts the old one out of use', async () => {
    const here = await band();
    const { body: player } = await sendAs(here.leader, api(`/bands/${here.bandId}/members`), 'POST', { name: 'Kit', plays: '' });
    const [first, second] = [
      await invite(here, { role: 'member', memberId: player.id }),
      await invite(here, { role: 'member', memberId: player.id }),
    ];
    expect((await sendAs(STRANGER, api('/invitations/open'), 'POST', { token: first.token })).status).toBe(404);
    const { invitations } = (await sendAs(here.leader, api(`/bands/${here.bandId}/people`))).body;
    expect(invitations).toMatchObject([{ id: second.id, name: 'Kit' }]);
    expect((await sendAs(here.leader, api(`/bands/${here.bandId}/invitations/${second.id}`), 'DELETE')).status).toBe(200);
    expect((await sendAs(STRANGER, api('/invitations/open'), 'POST', { token: second.token })).status).toBe(404);
    expect((await sendAs(here.member, api(`/bands/${here.bandId}/people`))).body.invitations).toEqual([]);
  });

  test('for a player somebody is signed in as hands that player over, and nothing of their other bands', async () => {
    const [here, other] = [await band(), await band()];
    const theirs = await invite(other, { role: 'member', memberId: other.memberId });
    await sendAs(here.member, api('/invitations/open'), 'POST', { token: theirs.token });
    expect((await meOf(here.member)).bands).toHaveLength(2);
    const again = await invite(here, { role: 'member', memberId: here.memberId });
    const opened = await sendAs(STRANGER, api('/invitations/open'), 'POST', { token: again.token });
    expect(opened.body.bands.map(({ id }: { id: string }) => id)).toEqual([here.bandId]);
    expect((await meOf(here.member)).bands.map(({ id }: { id: string }) => id)).toEqual([other.bandId]);
  });

  test('one person plays in several bands, and as one player in each', async () => {
    const [here, there] = [await band(), await band()];
    const { token } = await invite(there, { role: 'member', memberId: there.memberId });
    const opened = await sendAs(here.leader, api('/invitations/open'), 'POST', { token });
    expect(opened).toMatchObject({ status: 200, setCookie: null });
    expect((await meOf(here.leader)).bands).toMatchObject([{ role: 'leader' }, { id: there.bandId, role: 'member', playerName: 'Mel' }]);
    const { body: player } = await sendAs(here.leader, api(`/bands/${here.bandId}/members`), 'POST', { name: 'Twin', plays: '' });
    const twin = await invite(here, { role: 'member', memberId: player.id });
    expect((await sendAs(here.leader, api('/invitations/open'), 'POST', { token: twin.token })).status).toBe(409);
    // refused, it is still there for whom it was made
    expect((await sendAs(STRANGER, api('/invitations/open'), 'POST', { token: twin.token })).status).toBe(200);
  });

  test.each(['', 'short', 'x'.repeat(64), bandToken('00000000-0000-4000-8000-000000000000')])('%j opens nothing', async (token) => {
    expect([404, 422]).toContain((await sendAs(STRANGER, api('/invitations/open'), 'POST', { token })).status);
  });

  test('says its band in its token', () => {
    const id = '01234567-89ab-4cde-8f01-23456789abcd';
    expect(bandOfToken(bandToken(id))).toBe(id);
    expect(bandOfToken('nothing')).toBeNull();
  });
});

describe('a guest', () => {
  test('reads one set and its songs, and nothing else', async () => {
    const here = await band();
    const at = (path: string) => sendAs(here.guest, api(`/bands/${here.bandId}${path}`));
    expect((await at('/songs')).body.songs.map(({ id }: { id: string }) => id)).toEqual([here.songId]);
    expect((await at(`/songs/${here.songId}`)).status).toBe(200);
    expect((await at(`/songs/${here.otherSongId}`)).status).toBe(404);
    expect((await at('/sets')).body.sets).toHaveLength(1);
    expect((await at(`/sets/${here.setId}`)).body.songs).toHaveLength(1);
    expect((await at(`/songs/${here.songId}/versions`)).status).toBe(403);
    expect((await at('/pieces')).status).toBe(403);
    const save = await sendAs(here.guest, api(`/bands/${here.bandId}/songs/${here.songId}`), 'PUT', { source: 'x', baseRevision: 1 });
    expect(save).toMatchObject({ status: 403, body: { detail: expect.stringMatching(/A guest may read/) } });
    const names = (await at('/members')).body.members.map(({ name }: { name: string }) => name);
    expect(names).toEqual(['Lea', 'Mel']);
  });

  test('is out when the evening is over', async () => {
    const here = await band();
    await db.pool.query("update member set guest_until = now() - interval '1 minute' where band_id = $1 and role = 'guest'", [here.bandId]);
    expect((await sendAs(here.guest, api(`/bands/${here.bandId}/sets`))).status).toBe(404);
    expect((await meOf(here.guest)).bands).toEqual([]);
    await db.pool.query('select aurora_sweep()');
    const { rows } = await db.pool.query("select 1 from member where band_id = $1 and role = 'guest'", [here.bandId]);
    expect(rows).toEqual([]);
  });

  test('stays until the noon after the evening', () => {
    const noon = nextNoon(new Date(2026, 10, 27, 21, 30));
    expect([noon.getDate(), noon.getHours(), noon.getMinutes()]).toEqual([28, 12, 0]);
    expect(nextNoon(new Date(2026, 10, 28, 0, 30)).getDate()).toBe(29);
  });

  test('of too long a stay, or of no set, is not invited', async () => {
    const here = await band();
    const wish = { role: 'guest', name: 'Gus', setId: here.setId };
    const at = api(`/bands/${here.bandId}/invitations`);
    expect((await sendAs(here.leader, at, 'POST', { ...wish, until: '2020-01-01T00:00:00Z' })).status).toBe(422);
    expect((await sendAs(here.leader, at, 'POST', { ...wish, until: new Date(Date.now() + 9e9).toISOString() })).status).toBe(422);
    expect((await sendAs(here.leader, at, 'POST', { ...wish, setId: '00000000-0000-4000-8000-000000000000' })).status).toBe(404);
  });
});

describe('a band', () => {
  test('is told who saved what, also after they left', async () => {
    const here = await band();
    const song = api(`/bands/${here.bandId}/songs/${here.songId}`);
    await sendAs(here.member, song, 'PUT', { source: 'title: In the set\nkey: A\n1 4 5 1\n', baseRevision: 1 });
    await sendAs(here.member, api(`/bands/${here.bandId}/leave`), 'POST');
    const { versions } = (await sendAs(here.leader, `${song}/versions`)).body;
    expect(versions.map(({ by }: { by: string }) => by)).toEqual(['Mel', 'Lea']);
    await sendAs(here.leader, api(`/bands/${here.bandId}/members/${here.memberId}`), 'DELETE');
    expect((await sendAs(here.leader, `${song}/versions`)).body.versions[0].by).toBe('Mel');
    expect((await sendAs(here.leader, api(`/bands/${here.bandId}/sets`))).body.sets[0].savedBy).toBe('Lea');
  });

  test('always has a leader somebody is signed in as', async () => {
    const here = await band();
    const at = (path: string) => api(`/bands/${here.bandId}${path}`);
    const leaderId = (await meOf(here.leader)).bands[0].memberId;
    expect((await sendAs(here.leader, at('/leave'), 'POST')).status).toBe(409);
    expect((await sendAs(here.leader, at(`/members/${leaderId}/role`), 'PUT', { role: 'member' })).status).toBe(409);
    expect((await sendAs(here.leader, at(`/members/${leaderId}`), 'DELETE')).status).toBe(409);
    expect((await sendAs(here.leader, at(`/members/${here.memberId}/role`), 'PUT', { role: 'leader' })).status).toBe(200);
    // two leaders who both go at once: one of them stays
    const both = await Promise.all([here.leader, here.member].map((who) => sendAs(who, at('/leave'), 'POST')));
    expect(both.map(({ status }) => status).sort()).toEqual([200, 409]);
  });

  test('keeps what somebody made who leaves; their player is nobody’s then', async () => {
    const here = await band();
    expect((await sendAs(here.member, api(`/bands/${here.bandId}/leave`), 'POST')).status).toBe(200);
    expect((await sendAs(here.member, api(`/bands/${here.bandId}/songs`))).status).toBe(404);
    const { people } = (await sendAs(here.leader, api(`/bands/${here.bandId}/people`))).body;
    expect(people.find(({ name }: { name: string }) => name === 'Mel')).toMatchObject({ isIn: false, role: 'member' });
  });

  test('keeps an audit for its leader, the newest first', async () => {
    const here = await band();
    await sendAs(here.leader, api(`/bands/${here.bandId}`), 'PATCH', { name: 'Renamed' });
    const { entries } = (await sendAs(here.leader, api(`/bands/${here.bandId}/audit`))).body;
    expect(entries.map(({ who, what, about }: Record<string, string>) => `${who} ${what} ${about}`)).toEqual([
      'Lea named the band Renamed',
      'Gus came in guest',
      'Lea invited Gus',
      'Mel came in member',
      'Lea invited Mel',
      expect.stringMatching(/^Lea began the band Band \d+$/),
    ]);
  });

  test('is deleted a fortnight after its leader wished so, unless they think better of it', async () => {
    const here = await band();
    const at = api(`/bands/${here.bandId}`);
    await sendAs(here.leader, at, 'DELETE');
    expect(Date.parse((await meOf(here.leader)).bands[0].leavesAt)).toBeGreaterThan(Date.now() + 13 * 86_400_000);
    await db.pool.query('select aurora_sweep()');
    await sendAs(here.leader, `${at}/stay`, 'POST');
    expect((await meOf(here.leader)).bands[0].leavesAt).toBeNull();
    await sendAs(here.leader, at, 'DELETE');
    await db.pool.query("update band set leaves_at = now() - interval '1 minute' where id = $1", [here.bandId]);
    await db.pool.query('select aurora_sweep()');
    expect((await meOf(here.leader)).bands).toEqual([]);
    expect((await db.pool.query('select 1 from song where band_id = $1', [here.bandId])).rows).toEqual([]);
  });

  test('is begun by somebody who plays already, and the first one with the link of the first start, once', async () => {
    const here = await band();
    const more = await sendAs(here.member, api('/bands'), 'POST', { band: 'Mine', name: 'Mel', plays: 'bass' });
    expect(more.body.bands.at(-1)).toMatchObject({ name: 'Mine', role: 'leader' });
    const { token } = await addLink(server.house, { purpose: 'first-band', account: null, minutes: 5 });
    const wish = { token, band: 'First', name: 'Ada', plays: 'guitar' };
    const first = await sendAs(STRANGER, api('/begin'), 'POST', wish);
    expect(first).toMatchObject({ status: 200, body: { person: { name: 'Ada' }, bands: [{ name: 'First', role: 'leader' }] } });
    expect((await sendAs(STRANGER, api('/begin'), 'POST', wish)).status).toBe(404);
    expect((await sendAs(STRANGER, api('/sign-in/links/open'), 'POST', { token })).status).toBe(404);
  });
});

describe('a device', () => {
  test('is listed, and signed out by another one of the same person alone', async () => {
    const here = await band();
    const { token } = (await sendAs(here.member, api('/me/devices'), 'POST')).body;
    const opened = await sendAs(STRANGER, api('/sign-in/links/open'), 'POST', { token });
    const second = { accountId: here.member.accountId, cookie: opened.setCookie ?? '' };
    expect((await meOf(second)).person.id).toBe(here.member.accountId);
    expect((await sendAs(STRANGER, api('/sign-in/links/open'), 'POST', { token })).status).toBe(404);
    const { devices } = (await sendAs(here.member, api('/me/devices'))).body;
    expect(devices).toHaveLength(2);
    const lost = devices.find(({ isThis }: { isThis: boolean }) => !isThis).id;
    expect((await sendAs(here.leader, api(`/me/devices/${lost}`), 'DELETE')).status).toBe(404);
    expect((await sendAs(here.member, api(`/me/devices/${lost}`), 'DELETE')).status).toBe(200);
    expect((await meOf(second)).person).toBeNull();
    expect((await sendAs(second, api(`/bands/${here.bandId}/songs`))).status).toBe(401);
  });

  test('shows another token each day; the one before counts until the new one was shown', async () => {
    const here = await band();
    await db.pool.query("update device set rotated_at = now() - interval '2 days' where account_id = $1", [here.member.accountId]);
    const answers = await Promise.all([1, 2, 3].map(() => sendAs(here.member, api('/me'))));
    const fresh = answers.flatMap(({ setCookie }) => (setCookie === null ? [] : [setCookie]));
    expect(answers.map(({ body }) => body.person.id)).toEqual([1, 2, 3].map(() => here.member.accountId));
    expect(fresh).toHaveLength(1);
    // the answer may have been lost: the old one still counts, and so it does a day later, when another one is given and lost
    expect((await meOf(here.member)).person).not.toBeNull();
    await db.pool.query("update device set rotated_at = now() - interval '2 days' where account_id = $1", [here.member.accountId]);
    const second = await sendAs(here.member, api('/me'));
    expect(second.setCookie).not.toBeNull();
    expect((await meOf(here.member)).person).not.toBeNull();
    const next = { ...here.member, cookie: second.setCookie ?? '' };
    expect((await meOf(next)).person).not.toBeNull();
    expect((await meOf(here.member)).person).toBeNull();
    expect((await meOf(next)).person).not.toBeNull();
  });

  test('is kept by hashes alone', async () => {
    const who = await signedIn(server.house, 'Hashed');
    const { rows } = await db.pool.query('select * from device where account_id = $1', [who.accountId]);
    expect(JSON.stringify(rows)).not.toContain(who.cookie.split('=')[1]);
    expect(rows[0].token_hash).toHaveLength(32);
  });

  test('signs out, and forgets', async () => {
    const who = await signedIn(server.house, 'Leaver');
    expect((await sendAs(who, api('/me/sign-out'), 'POST')).setCookie).toBe('aurora=');
    expect((await meOf(who)).person).toBeNull();
  });

  test.each([
    [
      'Mozilla/5.0 (iPhone; CPU iPhone OS 19_0 like Mac OS X) AppleWebKit/605.1.15 Version/19.0 Mobile/15E148 Safari/604.1',
      'Safari on iPhone',
    ],
    ['Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 Chrome/156.0.0.0 Safari/537.36', 'Chrome on Linux'],
    ['Mozilla/5.0 (Windows NT 10.0; rv:150.0) Gecko/20100101 Firefox/150.0', 'Firefox on Windows'],
    ['curl/8.5', 'A program'],
  ])('%s is called %s', (agent, name) => expect(deviceName(agent)).toBe(name));
});

describe('a lost phone', () => {
  const mailFor = async (to: string) =>
    (await sendAs(STRANGER, api('/mailbox'))).body.mail.filter((one: { to: string }) => one.to === to) as {
      body: string;
      subject: string;
    }[];
  const tokenIn = (body: string) => /\/open#([\w-]+)/.exec(body)?.[1] ?? '';

  test('an address is kept once its link was opened, and then sends one in on a new device', async () => {
    const here = await band();
    const email = `mel${count}@band.example`;
    expect((await sendAs(here.member, api('/me'), 'PATCH', { email })).body.person.email).toBeNull();
    expect((await sendAs(STRANGER, api('/sign-in/links'), 'POST', { email })).status).toBe(202);
    expect(await mailFor(email)).toHaveLength(1);
    const [confirm] = await mailFor(email);
    // confirmed where its mail is read, by somebody who is signed in as nobody: they are so afterwards
    const confirmed = await sendAs(STRANGER, api('/sign-in/links/open'), 'POST', { token: tokenIn(confirm?.body ?? '') });
    expect([confirmed.status, confirmed.setCookie, confirmed.body.person]).toEqual([200, null, null]);
    expect((await meOf(here.member)).person.email).toBe(email);
    // written otherwise it is the same address
    await sendAs(STRANGER, api('/sign-in/links'), 'POST', { email: email.toUpperCase() });
    const [way] = await mailFor(email.toUpperCase());
    expect(way?.body).toContain(server.url);
    const back = await sendAs(STRANGER, api('/sign-in/links/open'), 'POST', { token: tokenIn(way?.body ?? '') });
    expect(back.body.person.id).toBe(here.member.accountId);
    expect(back.setCookie).not.toBeNull();
  });

  test('nobody learns whether an address is known, and no address is two people’s', async () => {
    const [one, two] = [await signedIn(server.house, 'One'), await signedIn(server.house, 'Two')];
    const email = 'shared@band.example';
    for (const who of [one, two]) await sendAs(who, api('/me'), 'PATCH', { email });
    const [second, first] = await mailFor(email);
    expect((await sendAs(one, api('/sign-in/links/open'), 'POST', { token: tokenIn(first?.body ?? '') })).status).toBe(200);
    expect((await sendAs(two, api('/sign-in/links/open'), 'POST', { token: tokenIn(second?.body ?? '') })).status).toBe(409);
    const unknown = await sendAs(STRANGER, api('/sign-in/links'), 'POST', { email: 'nobody@band.example' });
    const known = await sendAs(STRANGER, api('/sign-in/links'), 'POST', { email });
    expect([unknown.status, unknown.body]).toEqual([known.status, known.body]);
  });

  test('a password is possible, right or wrong', async () => {
    const who = await signedIn(server.house, 'Passer');
    const email = 'passer@band.example';
    expect((await sendAs(who, api('/me'), 'PATCH', { password: 'short' })).status).toBe(422);
    await sendAs(who, api('/me'), 'PATCH', { email, password: 'three plain words' });
    await sendAs(who, api('/sign-in/links/open'), 'POST', { token: tokenIn((await mailFor(email))[0]?.body ?? '') });
    const { rows } = await db.pool.query('select password_hash from credential where account_id = $1', [who.accountId]);
    expect(rows[0].password_hash).toMatch(/^\$argon2id\$/);
    expect((await sendAs(STRANGER, api('/sign-in'), 'POST', { email, password: 'three plain word' })).status).toBe(401);
    expect((await sendAs(STRANGER, api('/sign-in'), 'POST', { email: 'nobody@band.example', password: 'three plain words' })).status).toBe(
      401,
    );
    const right = await sendAs(STRANGER, api('/sign-in'), 'POST', { email, password: 'three plain words' });
    expect([right.status, right.body.person.id]).toEqual([200, who.accountId]);
    await sendAs(who, api('/me'), 'PATCH', { password: null });
    expect((await sendAs(STRANGER, api('/sign-in'), 'POST', { email, password: 'three plain words' })).status).toBe(401);
  });

  test('where no mail is sent, that is said', async () => {
    const mute = await openServer(db.pool, { door: null });
    const answer = await sendAs(STRANGER, `${mute.url}/api/v1/sign-in/links`, 'POST', { email: 'a@band.example' });
    expect(answer).toMatchObject({ status: 422, body: { detail: expect.stringMatching(/sends no mail/) } });
    expect((await sendAs(STRANGER, `${mute.url}/api/v1/mailbox`)).status).toBe(404);
    await mute.close();
  });
});

describe('an account', () => {
  test('takes everything that is kept about it out', async () => {
    const here = await band();
    const pass = {
      id: crypto.randomUUID(),
      at: new Date().toISOString(),
      item: 'recall/degree-to-chord/G',
      stage: 'x',
      tempo: null,
      answeredMs: 900,
      outcome: 'right',
      said: '',
      hidden: false,
      seconds: 2,
      night: null,
    };
    await sendAs(here.member, api(`/bands/${here.bandId}/members/${here.memberId}/passes`), 'POST', { passes: [pass] });
    const { body } = await sendAs(here.member, api('/me/export.json'));
    expect(body).toMatchObject({
      account: { id: here.member.accountId },
      devices: [{}],
      bands: [{ role: 'member', player: { name: 'Mel' } }],
    });
    expect(body.bands[0].practice.passes).toHaveLength(1);
  });

  test('is deleted after a fortnight, and its player stays as nobody’s', async () => {
    const here = await band();
    await sendAs(here.member, api('/me'), 'DELETE');
    expect((await meOf(here.member)).person.leavesAt).not.toBeNull();
    await sendAs(here.member, api('/me/stay'), 'POST');
    expect((await meOf(here.member)).person.leavesAt).toBeNull();
    await sendAs(here.member, api('/me'), 'DELETE');
    await db.pool.query("update account set leaves_at = now() - interval '1 minute' where id = $1", [here.member.accountId]);
    await db.pool.query('select aurora_sweep()');
    expect((await meOf(here.member)).person).toBeNull();
    const { people } = (await sendAs(here.leader, api(`/bands/${here.bandId}/people`))).body;
    expect(people.find(({ name }: { name: string }) => name === 'Mel')).toMatchObject({ isIn: false });
  });

  test('that led a band alone leaves it to whoever has been in it longest', async () => {
    const here = await band();
    const { token } = await invite(here, {
      role: 'member',
      memberId: (await sendAs(here.leader, api(`/bands/${here.bandId}/members`), 'POST', { name: 'Late', plays: '' })).body.id,
    });
    await sendAs(STRANGER, api('/invitations/open'), 'POST', { token });
    await db.pool.query("update account set leaves_at = now() - interval '1 minute' where id = $1", [here.leader.accountId]);
    await db.pool.query('select aurora_sweep()');
    const { people } = (await sendAs(here.member, api(`/bands/${here.bandId}/people`))).body;
    expect(people.map(({ name, role, isIn }: Record<string, unknown>) => [name, role, isIn])).toEqual([
      ['Lea', 'leader', false],
      ['Mel', 'leader', true],
      ['Gus', 'guest', true],
      ['Late', 'member', true],
    ]);
  });

  test('nothing leads back to is swept, and no other', async () => {
    const [lone, here] = [await signedIn(server.house, 'Lone'), await band()];
    await db.pool.query("update account set created_at = now() - interval '2 days'");
    await db.pool.query('delete from device where account_id = any ($1)', [[lone.accountId, here.member.accountId]]);
    await db.pool.query('select aurora_sweep()');
    const { rows } = await db.pool.query<{ id: string }>('select id from account where id = any ($1)', [
      [lone.accountId, here.member.accountId, here.leader.accountId],
    ]);
    expect(rows.map(({ id }) => id).sort()).toEqual([here.member.accountId, here.leader.accountId].sort());
  });

  test('practice is its own: not even a leader reads it', async () => {
    const here = await band();
    const path = api(`/bands/${here.bandId}/members/${here.memberId}/practice/log`);
    expect((await sendAs(here.member, path)).status).toBe(200);
    expect((await sendAs(here.leader, path)).status).toBe(403);
    // of a player nobody has signed in as the leader keeps it
    const { body: player } = await sendAs(here.leader, api(`/bands/${here.bandId}/members`), 'POST', { name: 'Nobody yet', plays: '' });
    expect((await sendAs(here.leader, api(`/bands/${here.bandId}/members/${player.id}/practice/log`))).status).toBe(200);
  });
});

describe('where a request comes from', () => {
  const post = (headers: Record<string, string>) => sendAs(STRANGER, api('/chords/parse'), 'POST', { symbol: 'C' }, headers);

  test('writes of another site are refused, those of its own pages and of programs are not', async () => {
    const host = new URL(server.url).host;
    expect((await post({})).status).toBe(200);
    expect((await post({ Origin: `http://${host}` })).status).toBe(200);
    for (const foreign of [
      { Origin: 'http://evil.example' },
      { Origin: 'null' },
      { Origin: 'http://127.0.0.1:1' },
      { 'Sec-Fetch-Site': 'cross-site' },
      { 'Sec-Fetch-Site': 'same-site' },
    ])
      expect([foreign, (await post(foreign)).status]).toEqual([foreign, 403]);
    expect((await sendAs(STRANGER, api('/me/sign-out'), 'POST', undefined, { Origin: 'http://evil.example' })).status).toBe(403);
  });

  test('tries to get in are few', async () => {
    const strict = await openServer(db.pool, { door: null, triesLimit: 3 });
    const statuses: number[] = [];
    for (let call = 0; call < 5; call += 1)
      statuses.push((await sendAs(STRANGER, `${strict.url}/api/v1/sign-in`, 'POST', { email: 'a@b.example', password: 'x' })).status);
    expect(statuses).toEqual([401, 401, 401, 429, 429]);
    await strict.close();
  });
});
