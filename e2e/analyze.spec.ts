import type { Page } from '@playwright/test';
import { expect, expectAccessible, expectSaved, newSong, openSong, test, writeChart } from './pages.ts';

const chord = (page: Page, index: number) => page.locator(`[data-index="${index}"]`);
const why = (page: Page) => page.getByRole('complementary', { name: 'Why' });

async function typeChords(page: Page, text: string): Promise<void> {
  await page.goto('/analyze');
  await page.getByRole('textbox', { name: 'Chords' }).fill(text);
}

test('chords are typed, and read at once: key, numbers, readings and why', { tag: '@quick' }, async ({ page }) => {
  await typeChords(page, 'A C#7 D Dm6 A E');
  await expect(page.getByRole('heading', { name: /^In A major/ })).toBeVisible();
  await expect(chord(page, 1)).toHaveAccessibleName(/^3 7, C sharp 7, secondary dominant, deceptive/);
  await chord(page, 1).click();
  await expect(why(page)).toContainText('is the dominant of F♯m');
  await expect(why(page)).toContainText('The ear expects F♯m');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(chord(page, 3)).toBeFocused();
  await expect(why(page)).toContainText('is borrowed');
  await expect(page.getByRole('figure')).toContainText('Furthest from home');
  await expectAccessible(page);
});

test('two thousand chords are read in the worker while the page answers', async ({ page }) => {
  await typeChords(page, Array.from({ length: 250 }, () => 'C E7 Am C7 F Fm C G7').join(' '));
  await page.keyboard.press('Escape');
  await page.getByRole('textbox', { name: 'Chords' }).press('End');
  await expect(page.getByRole('heading', { name: 'In C major' })).toBeVisible({ timeout: 20_000 });
  await expect(page.getByText('All chords are analyzed; the first 400 bars are drawn here.')).toBeVisible();
});

test('scales over the neck: the chosen one is shown, a melody note rules others out', async ({ page }) => {
  await typeChords(page, 'Dm7 G7 Cmaj7');
  await chord(page, 1).click();
  await page.keyboard.press('Alt+2');
  const scales = page.getByRole('list', { name: 'Scales' });
  await expect(scales.getByRole('button').first()).toContainText('G mixolydian');
  await page.getByLabel('Melody note over this chord').fill('Eb');
  await expect(scales.getByRole('button').first()).toContainText('G altered');
  await scales.getByRole('button').first().click();
  await expect(page.getByRole('region', { name: 'Neck', exact: true }).getByRole('button', { name: /^A♭, / }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Fold away' }).click();
  await expect(scales).toBeHidden();
});

test('patterns are pointed out, and songs with the same round are found', async ({ page }) => {
  await newSong(page);
  await writeChart(page, 'title: Eel Weir\nkey: A\n\n2-7 57 1maj7 67\n2-7 57 1maj7 1maj7');
  await expectSaved(page);
  await page.getByRole('link', { name: 'Analyze' }).click();
  await page.getByRole('tab', { name: 'Patterns' }).click();
  await page
    .getByRole('button', { name: /^ii–V–I into A major/ })
    .first()
    .click();
  await expect(chord(page, 0)).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('region', { name: 'Songs like this one' }).getByRole('link', { name: 'Glasswater Orchard' })).toBeVisible();
});

test('the analysis lies over the chart, and prints', async ({ page }) => {
  await openSong(page, 'Glasswater Orchard');
  await page.getByRole('button', { name: 'Show' }).click();
  await page.getByLabel('Roman numerals').check();
  await page.keyboard.press('Escape');
  await expect(page.getByText('V7/ii').first()).toBeVisible();
  await page.getByRole('link', { name: 'Analyze' }).click();
  await page.getByRole('button', { name: 'Print' }).click();
  const sheet = page.getByRole('dialog', { name: 'Analysis sheet' });
  await expect(sheet).toBeVisible();
  await expectAccessible(page);
});

test('the ridge leads to its chord', async ({ page }) => {
  await typeChords(page, 'C F G7 C Am Dm G7 C');
  const ridge = page.getByRole('figure');
  await expect(ridge).toContainText('Furthest from home');
  // the drawing listens once it has been laid out
  await expect(async () => {
    const box = await ridge.boundingBox();
    if (box === null) throw new Error('the ridge is not drawn');
    await page.mouse.move(box.x + box.width - 30, box.y + 50);
    await page.mouse.click(box.x + box.width - 24, box.y + 60);
    await expect(chord(page, 7)).toHaveAttribute('aria-pressed', 'true', { timeout: 1000 });
  }).toPass();
});
