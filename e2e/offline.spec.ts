import { appendFileSync, cpSync, mkdtempSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { startServer } from '../scripts/lib/supervision.mjs';
import { expect, expectSaved, numbers, test } from './pages.ts';

// the server is one of this file's own, and is really stopped
test.use({ serviceWorkers: 'allow', baseURL: undefined });
test.describe.configure({ mode: 'serial' });

interface Own {
  readonly command: readonly string[];
  readonly settings: Record<string, string>;
  readonly logFolder: string;
}
type Server = Awaited<ReturnType<typeof startServer>>;

const OWN = JSON.parse(process.env.OWN_SERVER ?? 'null') as Own;
let server: Server;
let url = '';
/** A copy of what was built, so that a newer version can be put in its place. */
let webRoot = '';

async function start(): Promise<void> {
  const port = url === '' ? '0' : new URL(url).port;
  server = await startServer(OWN.command, { ...OWN.settings, WEB_ROOT: webRoot, PORT: port }, OWN.logFolder);
  url = server.url;
}

test.beforeAll(async () => {
  webRoot = mkdtempSync(`${OWN.logFolder}/web-`);
  cpSync(OWN.settings.WEB_ROOT ?? '', webRoot, { recursive: true });
  await start();
});
test.afterAll(() => server.stop());

/** Opens the band and waits until tonight is on the device. */
async function madeReady(page: Page): Promise<void> {
  await page.goto(`${url}/band/tonight`);
  await page.getByLabel('Which set').selectOption('Friday at the Tidehouse');
  await expect(page.getByTestId('road')).toHaveAttribute('data-road', 'ready', { timeout: 60_000 });
  await expect(page.getByTestId('road')).toContainText(/Ready without a network · \d\d:\d\d/);
}

const songPath = async (page: Page, title: string): Promise<string> => {
  await page.goto(`${url}/`);
  return (await page.getByRole('link', { name: title }).first().getAttribute('href')) ?? '';
};

test('the server gone: reload, cold start, stand, edit, come back; nothing is lost', async ({ page, context }) => {
  await madeReady(page);
  const chart = await songPath(page, 'Harbor Wall');
  await server.stop();

  // a reload, and every room from the device
  await page.reload();
  await expect(page.getByRole('link', { name: 'Harbor Wall' })).toBeVisible();
  await expect(page.getByTestId('away')).toContainText(/No network · as of/);
  for (const room of ['/harmonize', '/analyze', '/neck', '/settings', '/band/players']) {
    await page.goto(`${url}${room}`);
    await expect(page.locator('h1')).toBeVisible();
  }

  // a cold start: another page of the same browser, straight onto the stand
  const stage = await context.newPage();
  await stage.goto(`${url}/band/stand`);
  await expect(stage.getByTestId('stand-where')).toContainText(/song 1 of \d+/);
  const first = await stage.locator('h1').first().textContent();
  await stage.getByRole('button', { name: 'The next song' }).click();
  await expect(stage.locator('h1').first()).not.toHaveText(first ?? '');
  await stage.close();

  // written without a server, and there again after a reload without one
  await page.goto(`${url}${chart}`);
  await page.getByLabel('Chart text').click();
  await page.keyboard.press('Control+End');
  await page.keyboard.insertText('\n[Coda]\n1 5/7 6- 4\n');
  await expect(page.getByTestId('save-state')).toHaveAttribute('data-status', 'away');
  await page.reload();
  await expect(page.getByLabel('Chart text')).toContainText('5/7 6- 4');
  await expect.poll(() => numbers(page)).toContain('5 over 7');

  await start();
  await expectSaved(page);
  await expect(page.getByTestId('away')).toHaveCount(0);
  const answer = await page.request.get(`${url}/api/v1${await apiPath(page, chart)}`);
  expect(((await answer.json()) as { source: string }).source).toContain('[Coda]\n1 5/7 6- 4');
});

test('what was saved last is what a cold start without the server shows', async ({ page, context }) => {
  await madeReady(page);
  const chart = await songPath(page, 'Two Lanterns');
  await page.goto(`${url}${chart}`);
  await page.getByLabel('Chart text').click();
  await page.keyboard.press('Control+End');
  await page.keyboard.insertText('\n[Tag]\n2-7 5 1\n');
  await expect(page.getByTestId('save-state')).not.toHaveAttribute('data-status', 'saved');
  await expectSaved(page);
  await server.stop();
  await page.close();
  const later = await context.newPage();
  await later.goto(`${url}${chart}`);
  await expect(later.getByLabel('Chart text')).toContainText('2-7 5 1');
  await expect(later.getByTestId('save-state')).toHaveAttribute('data-status', 'saved');
  await start();
});

test('written without the server in two songs, closed, and opened again on the shelf: it is told, and sent by itself', async ({
  page,
  context,
}) => {
  await madeReady(page);
  const charts = [await songPath(page, 'Ferry at Four'), await songPath(page, 'Rafters of Brine')];
  // both are on the device before the network goes
  for (const chart of charts) {
    await page.goto(`${url}${chart}`);
    await expectSaved(page);
  }
  await server.stop();
  for (const chart of charts) {
    await page.goto(`${url}${chart}`);
    await page.getByLabel('Chart text').click();
    await page.keyboard.press('Control+End');
    await page.keyboard.insertText('\n[Ferry tag]\n2-7 57 1\n');
    await expect(page.getByTestId('save-state')).toHaveAttribute('data-status', 'away');
  }
  await page.close();
  const shelf = await context.newPage();
  await shelf.goto(`${url}/`);
  await expect(shelf.getByText('2 changes wait on this device:')).toBeVisible();
  await start();
  await expect(shelf.getByText(/wait on this device/)).toBeHidden({ timeout: 40_000 });
  for (const chart of charts) {
    const answer = await shelf.request.get(`${url}/api/v1${await apiPath(shelf, chart)}`);
    expect(((await answer.json()) as { source: string }).source).toContain('[Ferry tag]\n2-7 57 1');
  }
});

test('a set is changed without the server, and saved when it is back', async ({ page }) => {
  await madeReady(page);
  await server.stop();
  await page.goto(`${url}/band/tonight`);
  await page.getByRole('button', { name: 'Break', exact: true }).click();
  await expect(page.getByTestId('set-state')).toHaveAttribute('data-status', 'away');
  const length = await page.getByTestId('set-length').textContent();
  await page.reload();
  await expect(page.getByTestId('set-length')).toHaveText(length ?? '');
  await start();
  await expect(page.getByTestId('set-state')).toHaveAttribute('data-status', 'saved');
  await page.reload();
  await expect(page.getByTestId('set-length')).toHaveText(length ?? '');
});

test('a newer version is told of, and taken only when somebody says so', async ({ page }) => {
  await madeReady(page);
  // an application built anew has another list of files
  appendFileSync(`${webRoot}/keeper.js`, '\n// newer');
  await page.evaluate(async () => {
    await (await navigator.serviceWorker.getRegistration())?.update();
  });
  const newer = page.getByRole('button', { name: 'Newer version' });
  await expect(newer).toBeVisible();
  await page.evaluate(() => Object.assign(window, { sameLoading: true }));
  await page.getByRole('link', { name: 'Chart', exact: true }).first().click();
  expect(await page.evaluate(() => 'sameLoading' in window)).toBe(true);
  await newer.click();
  await expect.poll(() => page.evaluate(() => 'sameLoading' in window).catch(() => true)).toBe(false);
  await expect(newer).toHaveCount(0);
});

/** Where the API has the song of a chart's address. */
async function apiPath(page: Page, chart: string): Promise<string> {
  const { bands } = (await (await page.request.get(`${url}/api/v1/bands`)).json()) as { bands: { id: string }[] };
  return `/bands/${bands[0]?.id}/songs/${chart.split('/')[2]}`;
}
