import type { Page } from '@playwright/test';
import { DEFAULT_PREFERENCES } from '../wire/src/index.ts';
import { expect, test } from './pages.ts';

const stage = (page: Page) => page.getByRole('group', { name: 'The chords of the key' });
const chosen = (page: Page) => stage(page).getByRole('button', { pressed: true });
const panel = (page: Page) => page.getByRole('main').getByRole('tabpanel');

/** Opens Harmonize on a key with the selected degree and a panel, by keyboard alone. */
async function open(page: Page, key: string, steps: number, digit: string, depth = 1): Promise<void> {
  await page.goto(`/harmonize?key=${encodeURIComponent(key)}`);
  await expect(chosen(page)).toBeVisible();
  for (let press = 0; press < depth; press += 1) await page.keyboard.press('t');
  for (let press = 0; press < steps; press += 1) await page.keyboard.press('ArrowRight');
  await page.keyboard.press(`Alt+${digit}`);
}

test('modes, homes, one string, building up', async ({ page }) => {
  await open(page, 'Ab', 1, '6');
  await expect(panel(page).getByRole('row', { name: /B♭ dorian/ })).toContainText('minor with 6');
  await panel(page).getByRole('button', { name: 'Drone on B♭' }).click();
  await expect(panel(page).getByRole('button', { name: 'Drone on B♭' })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('Alt+7');
  await expect(panel(page)).toContainText('B♭m7');
  await panel(page).getByLabel('Notes to name, lowest first').fill('A C Eb Gb');
  await expect(panel(page).getByRole('listitem').first()).toContainText('Adim7');
  await expect(panel(page)).toContainText(/F7♭9\s*without F/);
  await panel(page).getByLabel('Notes to name, lowest first').fill('C Db D Eb E F');
  await expect(panel(page)).toContainText('No common chord fits');
  await page.keyboard.press('Tab');
  await page.getByRole('tab', { name: 'One string' }).click();
  await panel(page).getByRole('radio', { name: 'String 6' }).click();
  await expect(panel(page).getByRole('img', { name: /On string 6: A♭ at fret 4/ })).toBeVisible();
  await page.getByRole('tab', { name: 'Build up' }).click();
  await panel(page).getByRole('button', { name: 'Start' }).click();
  await expect(panel(page).getByRole('button', { name: 'Stop' })).toBeVisible();
  await panel(page).getByRole('button', { name: 'Stop' }).click();
});

test('names follow the band’s school everywhere, and are remembered', async ({ page }) => {
  // a band of its own would be seen by the other tests: only this page is told other names
  let kept: Record<string, unknown> = {};
  await page.route('**/preferences', async (route) => {
    const sent = route.request().method() === 'PATCH' ? (route.request().postDataJSON() as Record<string, unknown>) : {};
    kept = { ...DEFAULT_PREFERENCES, ...kept, ...sent };
    await route.fulfill({ json: kept });
  });
  await page.goto('/harmonize?key=Bb');
  await expect(chosen(page)).toBeVisible();
  await page.keyboard.press('t');
  await page.keyboard.press(',');
  const names = page.getByRole('region', { name: 'Notation' });
  await names.getByRole('radio', { name: '△7' }).click();
  await names.getByRole('radio', { name: 'ø7' }).click();
  await names.getByRole('radio', { name: 'B H' }).click();
  await names.getByRole('radio', { name: 'T – S' }).click();
  await names.getByRole('radio', { name: 'ii7' }).click();
  await page.goBack();
  await page.keyboard.press('t');
  await expect(page.getByTestId('key-in-force')).toHaveText('B');
  await expect(chosen(page)).toContainText('B△7');
  await expect(stage(page)).toContainText('Aø7');
  await expect(page.getByRole('figure')).toHaveAccessibleName(/steps T T S T T T S/);
  await page.reload();
  await expect(page.getByTestId('key-in-force')).toHaveText('B');
});

test('the glossary is reached from a label and from Ctrl-K, with an example in the key', async ({ page }) => {
  await page.goto('/harmonize?key=Eb');
  await page.getByRole('button', { name: 'subdominant' }).first().click();
  await expect(page.getByRole('dialog', { name: 'Glossary' })).toContainText('E♭ rests, A♭ leads away, B♭ pulls back.');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('A song, a key, a reader, a room').fill('modal interchange');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Glossary' })).toContainText('A♭m in E♭ major comes from E♭ minor.');
});

test('a key that cannot be is answered where it is typed', async ({ page }) => {
  await page.goto('/harmonize');
  await page.getByRole('button', { name: /^Key ?C/ }).click();
  const typed = page.getByLabel('Type a key');
  await typed.fill('E###');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('The same sound is written G');
  await typed.fill('D## major');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Write E');
  await typed.fill('C# lydian dominant');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('key-in-force')).toHaveText('C♯ lydian dominant');
});
