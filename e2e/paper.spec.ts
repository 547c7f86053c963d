import { execFileSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, openSong, test } from './pages.ts';

/** What the browser prints, as poppler reads it: how many pages, how large, and their words. */
async function printed(page: Page): Promise<{ readonly pages: number; readonly size: string; readonly words: string }> {
  const path = join(mkdtempSync(join(tmpdir(), 'aurora-print-')), 'room.pdf');
  await page.pdf({ path, preferCSSPageSize: true });
  const facts = execFileSync('pdfinfo', [path], { encoding: 'utf8' });
  return {
    pages: Number(/^Pages:\s+(\d+)/m.exec(facts)?.[1]),
    size: /^Page size:\s+(.*)$/m.exec(facts)?.[1] ?? '',
    words: execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' }),
  };
}

async function withPaper(page: Page, paper: 'A4' | 'Letter'): Promise<void> {
  await page.context().addInitScript((state) => localStorage.setItem('aurora-paper', JSON.stringify({ state, version: 0 })), { paper });
}

for (const [paper, width, height] of [
  ['A4', 595, 842],
  ['Letter', 612, 792],
] as const) {
  test(`a song of one page is one page of ${paper}, without the application around it`, async ({ page }) => {
    await withPaper(page, paper);
    await openSong(page, 'Harbor Wall');
    await expect(page.getByRole('heading', { name: 'Chorus' })).toBeVisible();
    const { pages, size, words } = await printed(page);
    expect(pages).toBe(1);
    const [wide, high] = /([\d.]+) x ([\d.]+)/.exec(size)?.slice(1).map(Number) ?? [];
    expect(Math.abs((wide ?? 0) - width)).toBeLessThan(2);
    expect(Math.abs((high ?? 0) - height)).toBeLessThan(2);
    expect(words).toContain('Harbor Wall');
    for (const around of ['Shelf', 'Band', 'Settings', 'Why']) expect(words).not.toContain(around);
  });
}

/** Prints until what prints a room has been loaded: it comes last. */
async function partPrinted(page: Page, words: RegExp): Promise<number> {
  let pages = 0;
  await expect(async () => {
    const paper = await printed(page);
    expect(paper.words).toMatch(words);
    pages = paper.pages;
  }).toPass({ timeout: 20_000 });
  return pages;
}

test('every room prints its part', async ({ page }) => {
  await openSong(page, 'Harbor Wall');
  await page.goto(page.url().replace('/chart', '/analyze'));
  await expect(page.getByRole('heading', { name: 'Harbor Wall' })).toBeVisible();
  await partPrinted(page, /In D major/);
  await page.goto('/band/tonight');
  await page.getByLabel('Which set').selectOption('Friday at the Tidehouse');
  await expect(page.getByText('Kelp Ladder').first()).toBeVisible();
  expect(await partPrinted(page, /1\s+Harbor Wall\s+20:30\s+D/)).toBe(1);
  await page.goto('/band/stand');
  await expect(page.getByRole('heading', { name: 'Harbor Wall' })).toBeVisible();
  expect(await partPrinted(page, /Harbor Wall/)).toBe(1);
});
