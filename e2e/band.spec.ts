import { expect, letters, newSong, test, writeChart } from './pages.ts';

test('where to put a capo: every fret with its shapes, why, and read at the one that is chosen', async ({ page }) => {
  await newSong(page);
  await writeChart(page, 'title: Slack Tide\nkey: Bb\n\n1 4 5 6-\n');
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Where to put a capo' }).click();
  const sheet = page.getByRole('dialog', { name: 'Where to put a capo' });
  const frets = sheet.getByRole('list', { name: 'Frets' });
  const first = frets.locator(':scope > li').first();
  await expect(first.getByRole('list')).toHaveAccessibleName('Shapes with the capo at 3');
  await expect(first).toContainText('Capo 3: G shapes sound B♭; every chord is open.');
  await expect(first).toContainText('sounds E♭');
  await expect(frets.locator(':scope > li')).toHaveCount(10);

  // without a capo B♭ and its neighbours are barres: for a player who holds none, the song goes to the end of the list
  await sheet.getByRole('radio', { name: 'No barres' }).click();
  await expect(frets.locator(':scope > li').last()).not.toContainText('every chord is open');
  await first.getByRole('button', { name: 'Read at 3' }).click();
  await expect(sheet).toBeHidden();
  await expect(page.getByTestId('reader-note')).toHaveText('G shapes = sounding B♭');
  await expect.poll(() => letters(page)).toEqual(['G', 'C', 'D', 'E minor']);

  // it follows the key lens
  await page.getByRole('button', { name: 'Key up a half step' }).click();
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Where to put a capo' }).click();
  await expect(frets.locator(':scope > li', { hasText: 'Capo 4: G shapes sound B;' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Read so now' })).toBeVisible();
});
