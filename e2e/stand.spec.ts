import type { Page } from '@playwright/test';
import { expect, expectAccessible, newSong, openSong, settled, test, visit } from './pages.ts';

const SIZES = [
  [1280, 800],
  [1920, 1080],
  [820, 1180],
  [390, 844],
  [844, 390],
] as const;

/** The lines on the pages that lie open, by the bars in them, and whether each is whole. */
async function linesInSight(page: Page): Promise<readonly { readonly bars: string; readonly whole: boolean }[]> {
  return page.locator('[data-page] [data-line]').evaluateAll((lines) => {
    const main = document.querySelector('main')?.getBoundingClientRect();
    return lines.map((line) => {
      const box = line.getBoundingClientRect();
      const bars = [...line.querySelectorAll<HTMLElement>('[data-bar]')].map(({ dataset }) => dataset.bar).join(' ');
      const cut = [...line.querySelectorAll('[data-stand-bar]')].some((bar) => bar.scrollWidth > bar.clientWidth + 1);
      return { bars, whole: main !== undefined && box.top >= main.top - 1 && box.bottom <= main.bottom + 1 && !cut };
    });
  });
}

/** Waits for the picture after the next. */
async function drawnAnew(page: Page): Promise<void> {
  await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))));
}

/** Every song of the demo; what other tests have written beside them is theirs. */
const DEMO = [
  'Copper Line Shuffle',
  'Emberwick Street',
  'Ferry at Four',
  'Glasswater Orchard',
  'Half a Moon over Corriewick',
  'Harbor Wall',
  'Kelp Ladder',
  'Low Tide Waltz',
  'Nine Mile Fogbell',
  'Northbound Gravel',
  'Rafters of Brine',
  'The Tin Roof Turnaround',
  'Tidepaper Compass',
  'Two Lanterns',
];

/** Where the songs of the demo stand on the stand. */
async function songs(page: Page): Promise<readonly (readonly [title: string, path: string])[]> {
  const { bands } = await (await page.request.get('/api/v1/bands')).json();
  const { songs } = await (await page.request.get(`/api/v1/bands/${bands[0].id}/songs?limit=100`)).json();
  return DEMO.map((title) => {
    const song = (songs as { id: string; title: string }[]).find((one) => one.title === title);
    expect(song, title).toBeDefined();
    return [title, `/songs/${song?.id}/stand`] as const;
  });
}

for (const [width, height] of SIZES) {
  test(`at ${width} by ${height} every line of every song is whole on exactly one page, and the pedal turns both ways`, async ({
    page,
  }) => {
    test.setTimeout(300_000);
    await page.setViewportSize({ width, height });
    for (const [title, path] of await songs(page)) {
      await visit(page, path);
      await expect(page.getByRole('heading', { name: title, exact: true })).toBeVisible();
      await expect(page.locator('[data-page] [data-line]').first()).toBeVisible();
      await settled(page);
      const all = await page.locator('main > [aria-hidden] [data-line]').count();
      const where = page.getByTestId('stand-where');
      const seen: string[] = [];
      const turns: string[] = [];
      for (let turn = 0; turn < 40; turn += 1) {
        const lines = await linesInSight(page);
        for (const { bars, whole } of lines) expect(whole, `${path}: line with bars ${bars}`).toBe(true);
        seen.push(...lines.map(({ bars }) => bars));
        turns.push((await where.textContent()) ?? '');
        const before = lines[0]?.bars;
        await page.keyboard.press('PageDown');
        await drawnAnew(page);
        if ((await linesInSight(page))[0]?.bars === before) break;
      }
      expect(seen.length, path).toBe(all);
      expect(new Set(seen).size, path).toBe(all);
      // back again, page by page
      for (const text of [...turns].reverse()) {
        await expect(where).toHaveText(text);
        await page.keyboard.press('PageUp');
      }
    }
  });
}

test('a song without bars says so on the stand', async ({ page }) => {
  await newSong(page);
  await page.goto(page.url().replace(/\/chart.*/, '/stand'));
  await expect(page.getByText('Nothing is written in this song yet.')).toBeVisible();
  await page.keyboard.press('PageDown');
  await page.keyboard.press('Escape');
  await expect(page.getByLabel('Chart text')).toBeVisible();
});

test('a heading never stands alone, and the place is said', { tag: '@quick' }, async ({ page }) => {
  await openSong(page, 'Harbor Wall');
  await page.goto(page.url().replace(/\/chart.*/, '/stand'));
  await expect(page.getByTestId('stand-where')).toContainText(/Intro · page 1 of \d/);
  for (const line of await page.locator('[data-page] [data-line]').all()) await expect(line.locator('[data-bar]').first()).toBeVisible();
  await expectAccessible(page);
});

for (const [light, theme] of [
  ['Light', 'paper'],
  ['Dark', 'night'],
] as const)
  test(`${light.toLowerCase()}, the stand can be read by everybody`, async ({ page }) => {
    await openSong(page, 'Harbor Wall');
    await page.goto(page.url().replace(/\/chart.*/, '/stand'));
    await page.getByRole('button', { name: 'How it turns' }).click();
    await page.getByRole('radio', { name: light }).click();
    await expect(page.locator('html')).toHaveAttribute('data-theme', theme);
    await page.mouse.move(200, 200);
    await settled(page);
    await expectAccessible(page);
  });

test('line by line: the pedal goes on by one, a long press to the next section', async ({ page }) => {
  await openSong(page, 'Harbor Wall');
  await page.goto(page.url().replace(/\/chart.*/, '/stand'));
  await page.getByRole('button', { name: 'How it turns' }).click();
  await page.getByRole('radio', { name: 'Line by line' }).click();
  const here = page.locator('[aria-current="step"]');
  await expect(here).toContainText('Intro');
  await page.keyboard.press('PageDown');
  await expect(here).toContainText('Verse');
  // the keys of a pedal that is held repeat
  await page.keyboard.down('PageDown');
  await page.keyboard.down('PageDown');
  await page.keyboard.up('PageDown');
  await expect(here).toContainText('Chorus');
  await page.keyboard.press('PageUp');
  await expect(here).not.toContainText('Chorus');
});

test('played out, a repeated section comes as often as it is played', async ({ page }) => {
  await openSong(page, 'Harbor Wall');
  await page.goto(page.url().replace(/\/chart.*/, '/stand'));
  const lines = page.locator('main > [aria-hidden] [data-line]');
  const written = await lines.count();
  await page.getByRole('button', { name: 'How it turns' }).click();
  await page.getByRole('radio', { name: 'Repeats written out' }).click();
  await expect(lines).not.toHaveCount(written);
  expect(await lines.count()).toBeGreaterThan(written);
  await expect(page.locator('main > [aria-hidden] h2', { hasText: 'Verse' })).toHaveCount(2);
});

test('the key shows large when it changes, the controls leave after three seconds, and tonight’s key is the set’s', async ({ page }) => {
  await openSong(page, 'Harbor Wall');
  const chart = page.url();
  await page.goto(chart.replace(/\/chart.*/, '/stand'));
  const up = page.getByRole('button', { name: 'Key up a half step' });
  await up.click();
  await expect(page.getByRole('status')).toContainText('E♭');
  await expect(page.getByRole('status')).toContainText('tonight’s key');
  await expect(page.getByRole('status')).toHaveText('', { timeout: 4000 });
  await page.mouse.move(5, 5);
  await expect
    .poll(() => up.evaluate((button) => getComputedStyle(button.closest('.transition-opacity') as Element).opacity), { timeout: 6000 })
    .toBe('0');
  await page.goto('/band');
  const entry = page.getByRole('list', { name: 'Order of the set' }).getByRole('listitem').filter({ hasText: 'Harbor Wall' });
  await expect(entry).toContainText('E♭');
  await expect(entry).toContainText('home D');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.goto(chart.replace(/\/chart.*/, '/stand'));
  await page.getByRole('button', { name: 'Key down a half step' }).click();
  await page.keyboard.press('Escape');
});
