import type { Browser, Page } from '@playwright/test';
import { expect, test } from './pages.ts';

/** A fresh device of one of the demo's players, which notes every name its first chord is ever shown by. */
async function deviceOf(browser: Browser, baseURL: string, name: string): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block', baseURL });
  const { demo } = await (await context.request.get('/api/v1/me')).json();
  const player = (demo as { memberId: string; name: string }[]).find((one) => one.name === name);
  await context.request.post('/api/v1/demo/player', { data: { memberId: player?.memberId } });
  const page = await context.newPage();
  await page.addInitScript(() => {
    const seen = new Set<string>();
    Object.assign(window, { firstChords: seen });
    new MutationObserver(() => {
      const first = document.querySelector('[data-place="0.0"]');
      const said = first?.getAttribute('aria-label') ?? first?.querySelector('.sr-only')?.textContent;
      if (said != null) seen.add(said);
    }).observe(document, { childList: true, subtree: true, characterData: true });
  });
  return page;
}

const firstChords = (page: Page) => page.evaluate(() => [...(window as unknown as { firstChords: Set<string> }).firstChords]);

/** Harbor Wall begins on its 1, in D. */
const READ = [
  ['Pim', 'trumpet', 'Bar 1: 1, E, sounding D'],
  ['Odile', 'alto saxophone', 'Bar 1: 1, B, sounding D'],
  ['Juno', 'second guitar', 'Bar 1: 1, D'],
  ['Bram', 'bass', 'Bar 1: 1, D'],
  ['Rosa', 'drums', 'Bar 1: 4 bars of time'],
  ['Ines', 'voice', 'Bar 1: 1, D'],
] as const;

for (const [name, plays, wanted] of READ)
  test(`${name}, ${plays}, on a fresh device: the first chord ever shown is as ${name} reads it`, async ({ browser, baseURL }) => {
    const page = await deviceOf(browser, baseURL ?? '', name);
    await page.goto('/');
    await page.getByRole('link', { name: 'Harbor Wall' }).click();
    await expect(page.locator('[data-place="0.0"]')).toBeVisible();
    await expect(page.getByRole('button', { name: new RegExp(`^Reader: ${name}`) })).toBeVisible();
    await page.reload();
    await expect(page.locator('[data-place="0.0"]')).toBeVisible();
    expect(await firstChords(page)).toEqual([wanted]);
    await page.context().close();
  });

test('a capo of tonight’s is on the stand from the first bar', async ({ browser, baseURL }) => {
  const page = await deviceOf(browser, baseURL ?? '', 'Juno');
  const { bands } = await (await page.request.get('/api/v1/bands')).json();
  const { sets } = await (await page.request.get(`/api/v1/bands/${bands[0].id}/sets`)).json();
  const setId = (sets as { id: string; name: string }[]).find((set) => set.name === 'Friday at the Tidehouse')?.id;
  // other flows make sets of their own beside it
  await page.addInitScript((id) => localStorage.setItem('aurora-tonight', JSON.stringify({ state: { setId: id }, version: 0 })), setId);
  await page.goto('/band/stand');
  await expect(page.getByRole('heading', { name: 'Harbor Wall' })).toBeVisible();
  await page.getByRole('button', { name: 'The next song' }).click();
  // Kelp Ladder sounds in Em; with the capo at 2 its shapes are those of Dm
  await expect(page.getByTestId('stand-key')).toContainText('Dm');
  await expect(page.getByTestId('stand-key')).toContainText('sounds Em');
  await page.context().close();
});
