import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import type { Browser, BrowserContext, Page } from '@playwright/test';
import { ensureBuilt } from '../scripts/lib/build.mjs';
import { leaveCluster, removeCluster, startCluster } from '../scripts/lib/cluster.mjs';
import { startDemo } from '../scripts/lib/demo-server.mjs';
import { expect, expectAccessible, test, writeNewSong } from './pages.ts';

// a house of its own, without a band: one flow after the other, as a band comes to it
test.describe.configure({ mode: 'serial' });

let folder: string;
let server: { readonly url: string; readonly stop: () => Promise<void> };
let first: string;
let leader: BrowserContext;
let page: Page;

const device = (browser: Browser, phone = false) =>
  browser.newContext({ viewport: phone ? { width: 390, height: 844 } : { width: 1280, height: 800 }, serviceWorkers: 'block' });

test.beforeAll(async ({ browser }) => {
  folder = mkdtempSync(`${tmpdir()}/aurora-people-`);
  const url = await startCluster(folder, { fast: true });
  const begun = await startDemo(await ensureBuilt(), url, folder, { DEMO: '0' });
  server = begun.server;
  first = begun.first ?? '';
  leader = await device(browser);
  page = await leader.newPage();
});

test.afterAll(async () => {
  await server.stop();
  await leaveCluster(folder);
  removeCluster(folder);
  rmSync(folder, { recursive: true, force: true });
});

/** The link that is shown, at this server. */
async function shownLink(name: string | RegExp): Promise<string> {
  return page.getByRole('textbox', { name }).inputValue();
}

test('the first start: the printed link begins the first band, once', async ({ browser }) => {
  await page.goto(server.url);
  await expect(page.getByRole('heading', { name: 'There is no band here yet' })).toBeVisible();
  await expectAccessible(page);
  await page.goto(`${server.url}${first}`);
  await expectAccessible(page);
  await page.getByLabel('Name of the band').fill('The Slack Water');
  await page.getByLabel('Your name').fill('Edda');
  await page.getByLabel('What you play').fill('guitar');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByText('The Slack Water').first()).toBeVisible();
  const late = await (await device(browser)).newPage();
  await late.goto(`${server.url}${first}`);
  await late.getByLabel('Name of the band').fill('Another');
  await late.getByLabel('Your name').fill('Eve');
  await late.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(late.getByRole('alert')).toContainText('used up');
  await late.context().close();
});

test('who is not signed in is told how to come in', async ({ browser }) => {
  const stranger = await (await device(browser, true)).newPage();
  await stranger.goto(`${server.url}/band`);
  await expect(stranger.getByRole('heading', { name: 'Nobody is signed in here' })).toBeVisible();
  await expectAccessible(stranger);
  await stranger.context().close();
});

test('an invitation: the link signs in, the player is theirs, and their name stands in the versions', async ({ browser }) => {
  await page.goto(`${server.url}/band/players`);
  await page.getByLabel('Name of the new player').fill('Nils');
  await page.getByLabel('What the new player plays').fill('bass');
  await page.getByRole('button', { name: 'Add a player' }).click();
  await expect(page.getByRole('button', { name: /Nils/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Invite Nils' }).click();
  await expect(page.getByRole('region', { name: 'The link for Nils' })).toBeVisible();
  await expectAccessible(page);
  const link = await shownLink('The link for Nils');

  const nils = await device(browser, true);
  const phone = await nils.newPage();
  await phone.goto(link);
  await expect(phone.getByRole('heading', { name: 'You are invited to play in The Slack Water' })).toBeVisible();
  await expectAccessible(phone);
  await phone.getByRole('button', { name: 'Come in as Nils' }).click();
  await expect(phone.getByRole('navigation', { name: 'Rooms' })).toBeVisible();
  await phone.goto(`${server.url}/band/players`);
  await expect(phone.getByRole('list', { name: 'Members' })).toContainText(/Nils\s*you/);
  // a member is not offered what a leader does
  await expect(phone.getByRole('button', { name: /Invite|Remove/ })).toHaveCount(0);
  await nils.close();

  await page.reload();
  await expect(page.getByRole('list', { name: 'Members' }).getByRole('listitem').filter({ hasText: 'Nils' })).not.toContainText(
    'not signed in',
  );
  await expect(page.getByRole('list', { name: 'Activity' })).toContainText('Nils came in');
});

test('a second device: a link from the first one, and signed out again from it', async ({ browser }) => {
  await page.goto(`${server.url}/you`);
  await page.getByRole('button', { name: 'Add a device' }).click();
  const link = await shownLink('Add a device');
  await expectAccessible(page);
  const tablet = await (await device(browser)).newPage();
  await tablet.goto(link);
  await tablet.getByRole('button', { name: 'Open it' }).click();
  await expect(tablet.getByText('The Slack Water').first()).toBeVisible();
  await page.reload();
  const devices = page.getByRole('list', { name: 'Devices' }).getByRole('listitem');
  await expect(devices).toHaveCount(2);
  await devices
    .filter({ hasNotText: 'this device' })
    .getByRole('button', { name: /^Sign out/ })
    .click();
  await expect(devices).toHaveCount(1);
  await tablet.goto(server.url);
  await expect(tablet.getByRole('heading', { name: 'Nobody is signed in here' })).toBeVisible();
  await tablet.context().close();
});

test('a lost phone: the address is confirmed, and the way back in comes by mail', async ({ browser }) => {
  await page.goto(`${server.url}/you`);
  await page.getByRole('textbox', { name: 'E-mail address' }).fill('edda@band.example');
  await page.getByRole('button', { name: 'Keep this address' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'on its way' })).toBeVisible();
  await page.goto(`${server.url}/mailbox`);
  await expectAccessible(page);
  await page
    .getByRole('link', { name: /\/open#/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByText('The Slack Water').first()).toBeVisible();
  await page.goto(`${server.url}/you`);
  await expect(page.getByRole('region', { name: 'E-mail address' })).toContainText('edda@band.example');

  const found = await (await device(browser, true)).newPage();
  await found.goto(server.url);
  await found.getByRole('form', { name: 'Lost your phone?' }).getByLabel('E-mail address').fill('edda@band.example');
  await found.getByRole('button', { name: 'Send me a link' }).click();
  await expect(found.getByRole('status').filter({ hasText: 'on its way' })).toBeVisible();
  await found.getByRole('link', { name: 'See the mailbox of this demo' }).click();
  await found.getByRole('article').or(found.getByRole('listitem')).filter({ hasText: 'Your way back in' }).getByRole('link').click();
  await found.getByRole('button', { name: 'Open it' }).click();
  await expect(found.getByRole('navigation', { name: 'Rooms' })).toBeVisible();
  await found.context().close();
});

test('a guest reads one set for an evening, and changes nothing', async ({ browser }) => {
  await page.goto(`${server.url}/`);
  await writeNewSong(page);
  await expect(page).toHaveURL(/\/songs\/.+\/chart/);
  const { bands } = await (await page.request.get(`${server.url}/api/v1/me`)).json();
  const evening = { name: 'Friday', place: '', startsAt: '', gapSeconds: 30, entries: [] };
  expect((await page.request.post(`${server.url}/api/v1/bands/${bands[0].id}/sets`, { data: evening })).status()).toBe(201);
  await page.goto(`${server.url}/band/players`);
  await page.getByLabel('Name of the guest').fill('Dep');
  await page.getByRole('button', { name: 'Invite the guest' }).click();
  const link = await shownLink('The link for Dep');
  const dep = await (await device(browser, true)).newPage();
  await dep.goto(link);
  await expect(dep.getByText(/As a guest, until/)).toBeVisible();
  await dep.getByRole('button', { name: 'Come in as Dep' }).click();
  await expect(dep.getByRole('navigation', { name: 'Rooms' })).toBeVisible();
  // the song is in no set: it is not there for a guest
  await expect(dep.getByRole('link', { name: /Song without a title/ })).toHaveCount(0);
  await expect(dep.getByRole('button', { name: 'New song' })).toHaveCount(0);
  const me = await (await dep.request.get(`${server.url}/api/v1/me`)).json();
  expect(me.bands[0]).toMatchObject({ role: 'guest', playerName: 'Dep' });
  const write = await dep.request.post(`${server.url}/api/v1/bands/${me.bands[0].id}/songs`, { data: { source: '1' } });
  expect(write.status()).toBe(403);
  await dep.context().close();
});

test('a chart is sent: an alto without an account reads it, until it is taken back', async ({ browser }) => {
  const { bands } = await (await page.request.get(`${server.url}/api/v1/me`)).json();
  const source = 'title: Slack Tide\nkey: C\n\n[Verse]\n1 4 6- 5\n';
  const song = await (await page.request.post(`${server.url}/api/v1/bands/${bands[0].id}/songs`, { data: { source } })).json();
  await page.goto(`${server.url}/songs/${song.id}/chart`);
  await page.getByRole('button', { name: 'Share' }).click();
  await page.getByRole('menuitem', { name: 'Send this chart' }).click();
  const link = await shownLink('Link to Slack Tide');
  await expectAccessible(page);
  const alto = await (await device(browser, true)).newPage();
  await alto.goto(link);
  await expect(alto.getByRole('heading', { name: 'How do you read?' })).toBeVisible();
  await expectAccessible(alto);
  await alto.getByRole('button', { name: /^E♭/ }).click();
  await expect(alto.getByTestId('stand-key')).toContainText('A');
  await expectAccessible(alto);
  await page.goto(`${server.url}/band/players`);
  await page.getByRole('button', { name: 'Take back: the link for Slack Tide' }).click();
  await expect(page.getByText('No link to a chart opens just now.')).toBeVisible();
  await alto.reload();
  await expect(alto.getByRole('alert')).toContainText('taken back');
  await alto.context().close();
});

test('who leaves is out, and what they made stays; the last leader hands the band over first', async () => {
  await page.goto(`${server.url}/band/players`);
  await page.getByRole('button', { name: 'Leave the band' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Leave the band' }).click();
  await expect(page.getByText('A band has a leader')).toBeVisible();
  await page.getByRole('button', { name: /^Nils/ }).click();
  await page.getByRole('button', { name: 'Make leader: Nils' }).click();
  await expect(page.getByRole('button', { name: 'No longer leader: Nils' })).toBeVisible();
  await page.getByRole('button', { name: 'Leave the band' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Leave the band' }).click();
  await expect(page.getByRole('heading', { name: 'You play in no band' })).toBeVisible();
  await expectAccessible(page);
  // and begins another
  await page.getByLabel('Name of the band').fill('Edda alone');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByText('Edda alone').first()).toBeVisible();
});
