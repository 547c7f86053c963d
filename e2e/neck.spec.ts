import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, newSong, test } from './pages.ts';

const neck = (page: Page) => page.getByRole('region', { name: 'Neck', exact: true });
const shape = (page: Page) => page.getByTestId('shape');
const part = (page: Page, name: string) => page.getByRole('tab', { name });

/** Opens the neck's own room on a key and waits for the first shape. */
async function openNeck(page: Page, search = '?key=C'): Promise<void> {
  await page.goto(`/neck${search}`);
  await expect(shape(page)).toBeVisible();
}

test('the docked neck: all notes, then shapes by keyboard, families and inversions, and open in full', async ({ page }) => {
  await page.goto('/harmonize?key=C');
  await expect(neck(page).getByRole('button', { name: 'C, root, string 5, fret 3' })).toBeVisible();
  await neck(page).getByRole('radio', { name: 'Shape' }).click();
  await expect(neck(page)).toContainText('x32010 · easy');
  await neck(page).getByRole('button', { name: 'C, root, string 5, fret 3' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(neck(page).getByRole('status')).toContainText(/^2 of/);
  await page.keyboard.press('f');
  await expect(neck(page).getByLabel('Family')).toHaveValue('open');
  await page.keyboard.press('i');
  await page.keyboard.press('i');
  await expect(neck(page).getByRole('status')).toContainText('1st inversion');
  await neck(page).getByLabel('What the dots show').selectOption('formula');
  await neck(page).getByRole('link', { name: 'Open the neck' }).click();
  await expect(shape(page)).toBeVisible();
  await expect(page.getByRole('tab', { name: 'Shapes' })).toHaveAttribute('aria-selected', 'true');
});

test('dots are walked with the arrows, one stop for Tab', async ({ page }) => {
  await page.goto('/harmonize?key=C');
  const first = neck(page).getByRole('button', { name: 'E, 3, string 6, open' });
  await expect(first).toBeVisible();
  await first.focus();
  await page.keyboard.press('ArrowRight');
  await expect(neck(page).getByRole('button', { name: 'G, 5, string 6, fret 3' })).toBeFocused();
  await page.keyboard.press('ArrowUp');
  await expect(neck(page).getByRole('button', { name: 'C, root, string 5, fret 3' })).toBeFocused();
  expect(await neck(page).locator('[data-dot][tabindex="0"]').count()).toBe(1);
});

test('shapes: the barre of F has its fingers with reasons, an easier version, colours, and its name with a string ringing', async ({
  page,
}) => {
  await openNeck(page);
  await page.getByLabel('Any other chord').fill('F');
  await page.getByRole('button', { name: /^Barre/ }).click();
  await page.getByRole('button', { name: /^frets 1, 3, 3, 2, 1, 1,/ }).click();
  await expect(shape(page)).toHaveText('133211');
  const about = page.getByRole('complementary', { name: 'About this shape' });
  await expect(about).toContainText('1 3 4 2 1 1');
  await expect(about).toContainText('thumb over the lowest string');
  await about.getByRole('button', { name: /T 3 4 2 1 1/ }).click();
  await expect(neck(page).getByRole('button', { name: /string 6, fret 1, thumb/ })).toBeVisible();
  await expect(about).toContainText(/Fmaj7\s*xx3210/);
  await expect(about.getByRole('button', { name: 'xx3211' })).toBeVisible();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'SVG' }).click();
  const file = await saving;
  expect(file.suggestedFilename()).toBe('F-133211.svg');
  expect(readFileSync(await file.path(), 'utf8')).toContain('<svg xmlns');
});

test('with a capo shapes are counted from it, and the sounding frets stay in sight', async ({ page }) => {
  await openNeck(page, '?key=F&reader=capo-1');
  await page.getByRole('button', { name: /^F$/ }).first().click();
  await page
    .getByRole('button', { name: /^frets 1, 3, 3, 2, 1, 1,/ })
    .first()
    .click();
  await expect(shape(page)).toHaveText('022100');
  await expect(page.getByText('from the capo, 133211 from the nut')).toBeVisible();
});

test('the key up the neck and in one position, heard and on a study sheet with staff: PDF and SVG', async ({ page }) => {
  test.setTimeout(90_000);
  await openNeck(page, '?key=G');
  await page.keyboard.press('Alt+2');
  // a beginner sees the open chords first, and what there is none of
  const open = page.getByRole('list', { name: 'G: open' });
  await expect(open.getByRole('listitem')).toHaveCount(7);
  await expect(open.getByRole('button', { name: /easier 32000x/ })).toBeVisible();
  await expect(open).toContainText('no open chord: the usual grip');
  await page.getByLabel('Family').selectOption('drop-2');
  await page.getByRole('radio', { name: 'One root, tone by tone' }).click();
  await expect(page.getByRole('list', { name: 'G: drop-2' }).getByRole('listitem')).toHaveCount(5);
  await expect(page.getByText(/^to G7: Strings 6 5 3 stay, string 4 down 1 fret/)).toBeVisible();
  await page.getByRole('radio', { name: 'Up the neck' }).click();
  await page.getByLabel('Family').selectOption('barre-6');
  const chords = page.getByRole('list', { name: /^G: barre/ });
  // the octave chord closes the row, and a diminished triad has the grip that is taught
  await expect(chords.getByRole('listitem')).toHaveCount(8);
  await expect(chords).toContainText('no barre: the grip that is taught');
  await page.getByLabel('Family').selectOption('triad');
  await expect(page.getByText(/^to Am:/)).toBeVisible();
  await page.getByRole('button', { name: 'Hear them' }).click();
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await page.getByRole('radio', { name: 'In one position' }).click();
  await page.getByLabel('First fret').fill('7');
  await page.getByRole('button', { name: 'Study sheet' }).click();
  const sheet = page.getByRole('dialog', { name: 'Study sheet' });
  await expect(sheet.getByRole('img', { name: 'G: triads, page 1 of 1' })).toBeVisible();
  await expect(sheet.getByText('Fetching the staff…')).toBeHidden();
  // the clef and the heads are outlines, many of them
  expect(await sheet.locator('svg path').count()).toBeGreaterThan(20);
  const pdf = page.waitForEvent('download');
  await sheet.getByRole('button', { name: 'PDF' }).click();
  const file = await pdf;
  expect(file.suggestedFilename()).toBe('G-triads.pdf');
  expect(
    readFileSync(await file.path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  const svg = page.waitForEvent('download');
  await sheet.getByRole('button', { name: 'SVG' }).click();
  expect(readFileSync(await (await svg).path(), 'utf8')).toContain('G: triads');
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('.print-pages > svg')).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Rooms' })).toBeHidden();
});

test('runs: scale, arpeggios and sweep as tab, with a staff, played with a click', async ({ page }) => {
  await openNeck(page, '?key=G');
  await page.keyboard.press('Alt+4');
  await expect(page.getByRole('img', { name: 'G major, as tab' })).toBeVisible();
  await expect(neck(page).getByRole('button', { name: /string 6, fret 3/ })).toBeVisible();
  await page.getByRole('radio', { name: 'Three a string' }).click();
  await page.getByLabel('Staff').check();
  await expect(page.getByText('Fetching the staff…')).toBeHidden();
  await page.getByRole('radio', { name: 'Arpeggios' }).click();
  await expect(page.getByRole('img', { name: 'G: sevenths, note by note, as tab' })).toBeVisible();
  await page.getByRole('radio', { name: 'Sweep' }).click();
  await expect(page.getByRole('img', { name: 'G: two-shape sweep, as tab' })).toBeVisible();
  await page.getByLabel('Which chords').selectOption('triads');
  await page.getByLabel('Strings').selectOption({ label: '5 4 3 2 1' });
  await page.getByLabel('from the root').check();
  await expect(page.getByRole('img', { name: 'G: triads, five-string sweep, as tab' })).toBeVisible();
  await page.getByLabel('First fret').fill('5');
  await page.getByRole('button', { name: 'Play with a click' }).click();
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
});

test('tapped frets are named and added to a song; every tap can be taken back', async ({ page }) => {
  await newSong(page);
  await page.getByLabel('Chart text').click();
  await page.keyboard.press('Control+a');
  await page.keyboard.insertText('title: Tapped\nkey: C\n[A]\n1 4\n');
  await expect(page.getByTestId('save-state')).toHaveAttribute('data-status', 'saved');
  await page.getByRole('link', { name: 'Open the neck' }).click();
  await part(page, 'Name it').click();
  const tap = (place: string) => neck(page).locator(`[data-place="${place}"]`).click();
  for (const place of ['5-0', '4-2', '3-0', '2-1', '1-0']) await tap(place);
  await expect(page.getByRole('region', { name: 'Names' }).getByRole('listitem').first()).toContainText('Am7');
  await tap('3-0');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(neck(page)).toContainText('x02010');
  await page.getByRole('button', { name: 'Add Am7 to the song' }).click();
  await expect(page.getByText('Added as the last bar of Tapped.')).toBeVisible();
  await page.getByRole('link', { name: 'Chart' }).click();
  await expect(page.locator('[data-place="2.0"]')).toHaveAccessibleName(/6 minor 7, A minor 7/);
});

test('frets are tapped by touch and by keyboard', async ({ browser }) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 820, height: 1180 } });
  const page = await context.newPage();
  await page.goto('/neck?key=C');
  await expect(shape(page)).toBeVisible();
  await part(page, 'Name it').tap();
  await neck(page).locator('[data-place="6-3"]').tap();
  await expect(neck(page)).toContainText('3xxxxx');
  await neck(page)
    .getByRole('button', { name: /Arrows move, Enter taps/ })
    .focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Enter');
  await expect(neck(page)).toContainText('32xxxx');
  await context.close();
});

test('the instrument is kept with its player: tuning, frets, left hand; what cannot be is refused', async ({ page }) => {
  await openNeck(page);
  await page.keyboard.press('Alt+6');
  await page.getByLabel('Who plays here').selectOption({ label: 'Bram, bass' });
  await page.getByRole('combobox', { name: 'Instrument' }).selectOption('Bass');
  await expect(neck(page).getByRole('group', { name: 'Bass neck' })).toBeVisible();
  const tuning = page.getByLabel('Open strings, lowest first');
  await expect(tuning).toHaveValue('E1 A1 D2 G2');
  await tuning.fill('E1');
  await expect(page.getByRole('alert')).toContainText('one string');
  await tuning.fill('E1 A1 H2 G2');
  await expect(page.getByRole('alert')).toContainText('write B');
  await tuning.fill('D1 A1 D2 G2');
  await expect(page.getByRole('alert')).toBeHidden();
  await page.getByRole('spinbutton', { name: 'Frets', exact: true }).fill('40');
  await expect(page.getByRole('alert')).toContainText('12 to 24');
  await page.getByRole('spinbutton', { name: 'Frets', exact: true }).fill('24');
  await page.getByRole('radio', { name: 'Left-handed' }).click();
  await page.reload();
  await expect(shape(page)).toBeVisible();
  await page.keyboard.press('Alt+6');
  await expect(tuning).toHaveValue('D1 A1 D2 G2');
  await expect(page.getByRole('radio', { name: 'Left-handed' })).toHaveAttribute('aria-checked', 'true');
  await page.getByLabel('Who plays here').selectOption({ label: 'Tam, guitar' });
  await expect(neck(page).getByRole('group', { name: 'Guitar neck' })).toBeVisible();
});
