import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { ensureBuilt } from '../scripts/lib/build.mjs';
import { leaveCluster, removeCluster, startCluster } from '../scripts/lib/cluster.mjs';
import { startDemo } from '../scripts/lib/demo-server.mjs';
import { expect, expectSaved, newSong, paste, test, writeChart, writeNewSong } from './pages.ts';

test('what two people save at once is kept on both sides until one is chosen', async ({ page, context }) => {
  await newSong(page);
  await writeChart(page, 'title: Shared\n1 4\n');
  await expectSaved(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByLabel('Chart text')).toContainText('title: Shared');
  await other.route('**/songs/*', (route) => (route.request().method() === 'GET' ? route.abort() : route.continue()));

  await writeChart(page, 'title: From the first\n1 4 5\n');
  await expectSaved(page);
  await writeChart(other, 'title: From the second\n1 6-\n');
  const conflict = other.getByRole('region', { name: 'Saved elsewhere' });
  await expect(conflict).toContainText('From the first');
  await expect(other.getByLabel('Chart text')).toContainText('From the second');
  // a page that is loaded again still asks
  await other.unroute('**/songs/*');
  await other.reload();
  await expect(conflict).toContainText('From the first');
  for (const mine of await conflict.getByText('mine', { exact: true }).all()) await mine.click();
  await conflict.getByRole('button', { name: 'Save my choice' }).click();
  await expectSaved(other);

  await page.reload();
  await expect(page.getByLabel('Chart text')).toContainText('From the second');
  await expect(page.getByLabel('Chart text')).toContainText('1 6-');
});

test('a tab that wrote nothing takes over what others save, and is in no conflict at its first key', async ({ page, context }) => {
  await newSong(page);
  await writeChart(page, 'title: Followed\nkey: G\n\n[Verse]\n1 4\n');
  await expectSaved(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByLabel('Chart text')).toContainText('Followed');
  await writeChart(page, 'title: Followed\nkey: G\n\n[Verse]\n1 4 5\n');
  await expectSaved(page);
  await expect(other.getByLabel('Chart text')).toContainText('1 4 5');
  await other.locator('[data-place="2.0"]').click();
  await other.keyboard.type('6-');
  await other.keyboard.press('Enter');
  await expectSaved(other);
  await expect(page.getByLabel('Chart text')).toContainText('1 4 6-');
  await expect(page.getByRole('region', { name: 'Saved elsewhere' })).toBeHidden();
});

test('a megabyte pasted into the text does no harm', async ({ page }) => {
  await newSong(page);
  await paste(page, `title: Too much\n${'1 4 5 1\n'.repeat(130_000)}`);
  await expect(page.getByRole('heading', { name: 'Too long for a chart' })).toBeVisible();
  await expect(page.getByTestId('save-state')).toContainText('240 KB');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('heading', { name: 'Too long for a chart' })).toBeHidden();
  await writeChart(page, 'title: Just right 🎸\n1\n');
  await expect(page.getByRole('heading', { name: 'Just right 🎸' })).toBeVisible();
  await expectSaved(page);
});

test('an address that leads nowhere says so', async ({ page }) => {
  await page.goto('/songs/00000000-0000-4000-8000-000000000000/chart');
  await expect(page.getByRole('heading', { name: 'This song did not open' })).toBeVisible();
  await expect(page.getByText('There is no such song here.')).toBeVisible();
  await page.goto('/no/such/room');
  await expect(page.getByRole('heading', { name: 'Nothing at this address' })).toBeVisible();
  await page.goto('/chart');
  await expect(page.getByRole('heading', { name: 'No song open' })).toBeVisible();
});

test('the database stops and returns: the page says so, keeps the text and saves it', async ({ page }) => {
  test.setTimeout(120_000);
  const folder = mkdtempSync(`${tmpdir()}/aurora-away-`);
  const build = await ensureBuilt();
  const start = async () => startCluster(folder, { fast: true });
  const url = await start();
  const { server } = await startDemo(build, url, folder, { LOG_LEVEL: 'silent' });
  try {
    await page.goto(`${server.url}/`);
    await writeNewSong(page);
    await expect(page.getByLabel('Chart text')).toBeVisible();
    await writeChart(page, 'title: Before the storm\n1 4\n');
    await expectSaved(page);

    await leaveCluster(folder);
    await writeChart(page, 'title: In the storm\n1 4 5\n');
    await expect(page.getByTestId('save-state')).toHaveAttribute('data-status', 'away');
    await expect(page.getByTestId('save-state')).toContainText('kept here');
    await expect(page.getByRole('heading', { name: 'In the storm' })).toBeVisible();
    await expect(page.getByLabel('Chart text')).toContainText('In the storm');

    await start();
    await expect(page.getByTestId('save-state')).toHaveAttribute('data-status', 'saved', { timeout: 30_000 });
    await page.reload();
    await expect(page.getByLabel('Chart text')).toContainText('In the storm');
    await expect(page.getByRole('heading', { name: 'In the storm' })).toBeVisible();
  } finally {
    await server.stop();
    await leaveCluster(folder);
    removeCluster(folder);
    rmSync(folder, { recursive: true, force: true });
  }
});
