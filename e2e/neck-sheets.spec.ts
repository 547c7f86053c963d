import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, expectAccessible, openSong, test } from './pages.ts';

const neck = (page: Page) => page.getByRole('region', { name: 'Neck', exact: true });
const shape = (page: Page) => page.getByTestId('shape');
const studySheet = (page: Page) => page.getByRole('dialog', { name: 'Study sheet' });

test('shapes without the root or the fifth when asked, and a sheet of them that follows the key', async ({ page }) => {
  await page.goto('/neck?key=C');
  await expect(shape(page)).toBeVisible();
  await page.getByLabel('Any other chord').fill('G9');
  await page.getByRole('button', { name: 'More', exact: true }).click();
  const families = page.getByRole('group', { name: 'Family' });
  await expect(families.getByRole('button', { name: /Quartal|Others/ }).first()).toBeVisible();
  const all = families.getByRole('button', { name: /^All/ });
  const before = Number((await all.textContent())?.replace(/\D/g, ''));
  await page.getByLabel('rootless').check();
  await expect.poll(async () => Number((await all.textContent())?.replace(/\D/g, ''))).toBeGreaterThan(before);
  await families.getByRole('button', { name: /^Drop-2/ }).click();
  await expect(page.getByText('without 1', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Study sheet' }).click();
  await expect(studySheet(page).getByRole('img', { name: /^G9: drop-2, page 1 of/ })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(studySheet(page)).toBeHidden();
});

test('a study sheet without a server: no PDF and why, but SVG; on Letter as on A4', async ({ page }) => {
  await page.goto('/neck?key=E');
  await expect(shape(page)).toBeVisible();
  await page.keyboard.press('Alt+4');
  await page.getByRole('button', { name: 'Study sheet' }).click();
  await page.route('**/sheets/pdf', (route) => route.abort());
  await studySheet(page).getByRole('button', { name: 'PDF' }).click();
  await expect(page.getByText(/there is no PDF now/)).toBeVisible();
  await studySheet(page).getByRole('radio', { name: 'Letter' }).click();
  await expect(studySheet(page).getByRole('img', { name: 'E major, page 1 of 1' })).toHaveAttribute('viewBox', '0 0 612 792');
  const saving = page.waitForEvent('download');
  await studySheet(page).getByRole('button', { name: 'SVG' }).click();
  const svg = readFileSync(await (await saving).path(), 'utf8');
  expect(svg).toContain('viewBox="0 0 612 792"');
  // black on white, whatever the theme, and the caution at the foot
  expect(svg).not.toContain('var(--');
  expect(svg).toContain('ask a teacher or a doctor');
});

test('a sheet printed at night is black on white', async ({ page }) => {
  await page.goto('/neck?key=A');
  await expect(shape(page)).toBeVisible();
  await page.keyboard.press('d');
  await page.keyboard.press('Alt+2');
  await page.getByRole('button', { name: 'Study sheet' }).click();
  await expect(studySheet(page).getByText('Fetching the staff…')).toBeHidden();
  await page.emulateMedia({ media: 'print' });
  const printed = page.locator('.print-pages > svg').first();
  await expect(printed).toBeVisible();
  const inks = await printed.locator('text').evaluateAll((texts) => [...new Set(texts.map((text) => text.getAttribute('fill')))]);
  expect(inks.every((ink) => ['#111', '#555', '#fff'].includes(ink ?? ''))).toBe(true);
});

test('a long song through every shape there is: it can be stopped and looked for again', async ({ page }) => {
  await openSong(page, 'Harbor Wall');
  await page.getByRole('link', { name: 'Open the neck' }).click();
  await expect(shape(page)).toBeVisible();
  await page.keyboard.press('Alt+3');
  const path = page.getByRole('list', { name: 'The path' });
  await expect(path.getByRole('listitem').first()).toBeVisible();
  await page.getByLabel('Chords for the path').fill('1maj7 47 b7maj13 3-11 6-9 2-11 513 57 '.repeat(20));
  await page.getByRole('combobox', { name: 'Shapes' }).selectOption({ label: 'Everything' });
  await page.getByRole('checkbox', { name: 'root lowest' }).uncheck();
  const stopping = page.getByRole('button', { name: 'Stop looking' });
  const again = page.getByRole('button', { name: 'Look again' });
  // a quick machine may be through before anybody can stop it
  await expect(stopping.or(path.getByRole('listitem').nth(150)).first()).toBeVisible();
  await stopping.click({ timeout: 1500 }).catch(() => undefined);
  const count = async () => {
    if (await again.isVisible()) await again.click({ timeout: 1500 }).catch(() => undefined);
    return path.getByRole('listitem').count();
  };
  await expect.poll(count, { timeout: 30_000 }).toBe(160);
  await expect(page.getByText(/^movement in all:/)).toBeVisible();
});

test('for the left hand the nut is at the right, and arrows go the way one sees', async ({ page }) => {
  await page.goto('/neck?key=C');
  await expect(shape(page)).toBeVisible();
  await page.keyboard.press('Alt+6');
  await page.getByLabel('Who plays here').selectOption({ label: 'Juno, second guitar' });
  await page.getByRole('radio', { name: 'Left-handed' }).click();
  await page.getByRole('radio', { name: 'At the 10th' }).click();
  await page.goto('/harmonize?key=C');
  const open = neck(page).getByRole('button', { name: 'E, 3, string 6, open' });
  await expect(open).toBeVisible();
  const [nut, octave] = await Promise.all([
    open.boundingBox(),
    neck(page).getByRole('button', { name: 'E, 3, string 6, fret 12' }).boundingBox(),
  ]);
  expect(nut?.x).toBeGreaterThan(octave?.x ?? Number.POSITIVE_INFINITY);
  await open.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(neck(page).getByRole('button', { name: 'G, 5, string 6, fret 3' })).toBeFocused();
});

test('Ctrl-K goes to the neck, ? lists its keys, and the words of the neck are explained', async ({ page }) => {
  await page.goto('/harmonize?key=Eb');
  await expect(page.getByRole('tab', { name: 'Progression' })).toBeVisible();
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('A song, a key, a reader, a room').fill('voicings');
  await page.keyboard.press('Enter');
  await expect(shape(page)).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Shortcuts' })).toContainText('The next family of shapes');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('A song, a key, a reader, a room').fill('drop-2');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Glossary' })).toContainText('E♭ G B♭ D becomes B♭ E♭ G D.');
});
