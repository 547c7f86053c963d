import type { Page } from '@playwright/test';
import {
  ALL_IN_SIGHT,
  expect,
  expectAccessible,
  expectSaved,
  letters,
  newSong,
  numbers,
  openSong,
  paste,
  remember,
  test,
  writeChart,
} from './pages.ts';

const place = (page: Page, name: string) => page.locator(`[data-place="${name}"]`);
const text = (page: Page) => page.getByLabel('Chart text');
const share = async (page: Page, item: string) => {
  await page.getByRole('button', { name: 'Share' }).click();
  await page.getByRole('menuitem', { name: item }).click();
};
const ORCHARD = '1 4 6- 5';

/** Opens a song of this test's own with its chart. */
async function song(page: Page, chart: string): Promise<void> {
  await newSong(page);
  await writeChart(page, chart);
  await page.keyboard.press('Escape');
  await expectSaved(page);
}

test('a song is written on the sheet by keyboard alone, and read in another key', async ({ page }) => {
  await song(page, 'title: Quay Street\nkey: G\ntempo: 96\n\n[Verse]\n');
  await page.getByRole('button', { name: 'Write the first bar' }).click();
  // thirty-two bars: degrees, qualities by single keys, a shared bar, a push, a repeat of a bar
  const line = ['1', '6-', '4', '57', '1j', '2-7 57', '>4', '%'];
  for (let round = 0; round < 4; round += 1) {
    for (const [index, bar] of line.entries()) {
      await page.keyboard.type(bar);
      await page.keyboard.press(round === 3 && index === line.length - 1 ? 'Enter' : 'Tab');
    }
  }
  await expect(page.locator('[data-bar]')).toHaveCount(32);
  await expect(text(page)).toContainText('1maj7 (2-7 57) >4 %');
  await expect(place(page, '31.0')).toBeFocused();
  await expectSaved(page);
  expect((await letters(page)).slice(0, 4)).toEqual(['G', 'E minor', 'C', 'D 7']);
  await page.keyboard.press('[');
  await expect(place(page, '0.0')).toHaveAccessibleName(/F sharp|G flat/);
  expect((await numbers(page)).slice(0, 4)).toEqual(['1', '6 minor', '4', '5 7']);
  await page.keyboard.press('\\');
});

test('what cannot be read stands in its bar, marked, and is a press away in the check', { tag: '@quick' }, async ({ page }) => {
  await song(page, `title: Slip\nkey: G\n\n${ORCHARD}`);
  await place(page, '1.0').click();
  await page.keyboard.type('8');
  // 8 and 9 mark endings, so a bar is opened first
  await page.keyboard.press('Control+z');
  await place(page, '1.0').click();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('wat');
  await page.keyboard.press('Tab');
  // nothing is held up by it: the next bar is open
  await expect(page.getByLabel('Bar 3', { exact: true })).toBeFocused();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Bar 2: not read: wat' })).toBeVisible();
  await expect(page.getByRole('status', { name: 'Bar 2' })).toContainText('wat');
  await page.getByRole('button', { name: '1 to check' }).click();
  await page.getByRole('button', { name: 'One bar is not read: go to it' }).click();
  await expect(place(page, '1.0')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Bar 2', { exact: true })).toHaveValue('wat');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('4');
  await page.keyboard.press('Enter');
  expect(await numbers(page)).toEqual(['1', '4', '6 minor', '5']);
});

test('bars and sections are dragged', async ({ page }) => {
  await song(page, 'title: Drag\nkey: G\n\n[A]\n1 4 6- 5\n[B]\n2-');
  await place(page, '0.0').click();
  const grip = page.getByTitle('Drag the chosen bars');
  const target = await page.locator('[data-bar="2"]').boundingBox();
  if (target === null) throw new Error('no bar to drag to');
  await grip.hover();
  await page.mouse.down();
  await page.mouse.move(target.x + target.width / 2, target.y + 30, { steps: 6 });
  await page.mouse.move(target.x + target.width - 12, target.y + 30, { steps: 4 });
  await page.mouse.up();
  await expect(text(page)).toContainText('4 6- 1 5');
  const section = await page.locator('[data-section="0"]').boundingBox();
  if (section === null) throw new Error('no section to drag to');
  await page.getByTitle('Drag B').hover();
  await page.mouse.down();
  await page.mouse.move(section.x + 80, section.y + 40, { steps: 6 });
  await page.mouse.move(section.x + 80, section.y + 8, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => (await page.locator('[data-section] h2').allTextContents()).join(' ')).toBe('B A');
});

test('repeats, endings and jumps are drawn, counted and played', async ({ page }) => {
  await song(
    page,
    'title: Two Lights\nkey: Bb\ntime: 3/4\ntempo: 240\n\n[A]\n{segno} |: 1 4 1.[ 5 5 ] 2.[ 1 1 ] :|\n\n[B]\n6- 2- {to coda} 5 5 {ds al coda}\n\n[Tag]\n{coda} 4 1',
  );
  const chart = page.getByRole('article', { name: 'Chart' });
  await expect(chart).toContainText('20 bars played');
  await expect(chart.getByRole('img', { name: 'segno' })).toBeVisible();
  await expect(chart.getByRole('img', { name: 'coda' })).toBeVisible();
  await expect(chart).toContainText('D.S. al Coda');
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  await expect(page.getByRole('group', { name: 'Play' })).toContainText(/bar \d+ of 20/);
  await page.getByRole('button', { name: /^Tempo/ }).click();
  await page.getByLabel('Loop').selectOption({ index: 1 });
  await page.getByRole('button', { name: 'Faster' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /goes round/ })).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('button', { name: 'Play', exact: true })).toBeVisible();
});

test('printed: every page, large, with the key that is read; and as a PDF with its fonts', async ({ page }) => {
  await openSong(page, 'Harbor Wall');
  await share(page, 'Print');
  const sheet = page.getByRole('dialog', { name: 'Print the chart' });
  await expect(sheet).toContainText('one page');
  await expect(sheet.getByRole('img', { name: /Harbor Wall, page 1/ })).toContainText('Verse');
  await expectAccessible(page);
  const download = page.waitForEvent('download');
  await sheet.getByRole('button', { name: 'PDF' }).click();
  const stream = await (await download).createReadStream();
  const parts: Buffer[] = [];
  for await (const part of stream) parts.push(part as Buffer);
  const pdf = Buffer.concat(parts).toString('latin1');
  expect(pdf.startsWith('%PDF')).toBe(true);
  expect(pdf).toContain('/FontFile2');
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('.print-pages svg').first()).toBeVisible();
});

test('on the stand: huge, dark, turned by a pedal, and it fits a phone', async ({ page }) => {
  await openSong(page, 'Harbor Wall');
  await share(page, 'On the stand');
  await expect(page.getByRole('heading', { name: 'Harbor Wall' })).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'night');
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
  await expectAccessible(page);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.keyboard.press('Escape');
  await expect(text(page)).toBeVisible();
});

test('the text completes, and shares its history with the sheet', async ({ page }) => {
  await song(page, `title: Shared\nkey: G\n\n${ORCHARD}\n`);
  await text(page).click();
  await page.keyboard.press('Control+End');
  await page.keyboard.type('{ds');
  await expect(page.locator('.cm-tooltip-autocomplete')).toContainText('ds al coda');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+z');
  await expect(text(page)).not.toContainText('{ds');
  await place(page, '0.0').click();
  await page.keyboard.press('u');
  await expect(page.locator('[data-bar]')).toHaveCount(5);
  await text(page).click();
  await page.keyboard.press('Control+z');
  await expect(page.locator('[data-bar]')).toHaveCount(4);
});

test('four hundred bars stay smooth, and a chart of five thousand is read', async ({ page }) => {
  await newSong(page);
  await paste(page, `title: Long\nkey: C\n\n${'1 4 6- 5\n'.repeat(100)}`);
  await expect(page.locator('[data-bar]')).toHaveCount(400, { timeout: 20_000 });
  await place(page, '200.0').click();
  await page.keyboard.press('u');
  await expect(page.locator('[data-bar]')).toHaveCount(401);
  await paste(page, `title: Longer\nkey: C\n\n${'1 4 6- 5\n'.repeat(1250)}`);
  await expect(page.getByRole('article', { name: 'Chart' })).toContainText('5000 bars played', { timeout: 20_000 });
  await expect(page.getByText('more bars are in the text and not drawn here')).toBeVisible();
});

test('a draft that could not be saved is there again after the page was closed', async ({ page, context }) => {
  await song(page, `title: Draft\nkey: G\n\n${ORCHARD}`);
  const address = page.url();
  await page.route('**/songs/*', (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()));
  await place(page, '0.0').click();
  await page.keyboard.press('u');
  await expect(page.getByTestId('save-state')).toHaveAttribute('data-status', 'away');
  await page.close();
  const again = await context.newPage();
  await again.goto(address);
  await expect(again.locator('[data-bar]')).toHaveCount(5);
  await expectSaved(again);
});

test('two tabs save at once: different sections are put together, the same one is asked about', async ({ page, context }) => {
  const chart = (verse: string, chorus: string) => `title: Tabs\nkey: G\n\n[Verse]\n${verse}\n\n[Chorus]\n${chorus}\n`;
  await song(page, chart('1 4', '4 5'));
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(text(other)).toContainText('[Chorus]');
  // both tabs are kept from asking what the other has saved meanwhile
  await page.route('**/songs/*', (route) => (route.request().method() === 'GET' ? route.abort() : route.continue()));
  await writeChart(other, chart('1 4', '2- 57'));
  await expectSaved(other);
  await writeChart(page, chart('6- 4', '4 5'));
  await expectSaved(page);
  await expect(text(page)).toContainText('6- 4');
  await expect(text(page)).toContainText('2- 57');
  await expect(text(other)).toContainText('6- 4');

  await writeChart(other, chart('6- 4', '2- 5'));
  await expectSaved(other);
  await writeChart(page, chart('6- 4', '3- 57'));
  const conflict = page.getByRole('region', { name: 'Saved elsewhere' });
  await expect(conflict.getByRole('button', { name: 'Choose Chorus' })).toBeDisabled();
  await expect(conflict).toContainText('2- 5');
  await expectAccessible(page);
  await conflict.getByLabel('Which Chorus').getByText('theirs').click();
  await conflict.getByRole('button', { name: 'Save my choice' }).click();
  await expect(conflict).toBeHidden();
  await expectSaved(page);
  await expect(text(page)).toContainText('2- 5');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(text(page)).toContainText('3- 57');
  await expectSaved(page);
  await expect(text(other)).toContainText('3- 57');
});

test('by touch: a bar is chosen, written with the pad, and bars are chosen together', async ({ browser }) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 820, height: 1180 } });
  await remember(context, ALL_IN_SIGHT);
  const page = await context.newPage();
  await song(page, `title: Touch\nkey: G\n\n${ORCHARD}`);
  await place(page, '1.0').tap();
  await page.getByRole('button', { name: 'Write the bar' }).tap();
  const pad = page.getByRole('group', { name: 'Write with one press' });
  await page.getByLabel('Bar 2', { exact: true }).fill('');
  for (const name of ['degree 2', 'minor', 'next bar']) await pad.getByRole('button', { name, exact: true }).tap();
  await pad.getByRole('button', { name: 'Cancel' }).tap();
  await expect(text(page)).toContainText('1 2- 6- 5');
  await place(page, '0.0').tap();
  await page.getByRole('button', { name: 'Choose up to another bar' }).tap();
  await place(page, '1.0').tap();
  await page.getByRole('button', { name: 'Bars', exact: true }).tap();
  await page.getByRole('menuitem', { name: /^Join/ }).tap();
  await expect(text(page)).toContainText('(1 2-) 6- 5');
  await context.close();
});

test('the key moves by half steps and by fourths', async ({ page }) => {
  await song(page, `title: Fourths\nkey: G\n\n${ORCHARD}`);
  await page.locator('article').click({ position: { x: 4, y: 4 } });
  await page.keyboard.press('}');
  await expect(page.getByTestId('key-in-force')).toHaveText('C');
  await page.keyboard.press('{');
  await page.keyboard.press(']');
  await expect(page.getByTestId('key-in-force')).toHaveText('A♭');
});
