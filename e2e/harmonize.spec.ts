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

test('why this chord: four ways, and what one types is answered', async ({ page }) => {
  await open(page, 'Bb', 3, '2');
  await expect(panel(page)).toContainText('needs D♭, the key has D');
  await expect(panel(page)).toContainText('Its seventh lies a half step below the octave');
  await expect(panel(page)).toContainText('Its one dominant seventh is F7, on the 5');
  const typed = panel(page).getByLabel('The chord’s notes, or its name');
  await typed.fill('Eb G Bb D');
  await expect(panel(page)).toContainText('Right, every letter.');
  await typed.fill('D# G Bb D');
  await expect(panel(page)).toContainText('the letter is wrong: the 1 of E♭maj7 is written E♭');
  await typed.fill('Ebm7');
  await expect(panel(page)).toContainText('Not quite: its 3 is G, where Ebm7 has G♭');
});

test('tones picked by hand are named', async ({ page }) => {
  await open(page, 'C', 3, '2');
  const tones = panel(page).getByRole('group', { name: 'Tones' });
  await expect(tones.getByRole('button', { pressed: true })).toHaveCount(5);
  await expect(panel(page)).toContainText('Fmaj13no5');
  await tones.getByRole('button', { name: '♯11' }).click();
  await tones.getByRole('button', { name: '13' }).click();
  await expect(panel(page)).toContainText('Fmaj9♯11no5');
});

test('every depth and fourths, by one key; one degree deeper by another', async ({ page }) => {
  await page.goto('/harmonize');
  const build = page.getByLabel('Chords built of');
  await expect(build).toBeVisible();
  for (const name of ['Sevenths', 'Ninths', 'Elevenths', 'Thirteenths', 'As bands play them', 'Fourths', 'Fourths and a third', 'Triads']) {
    await page.keyboard.press('t');
    await expect(build.locator('option:checked')).toHaveText(name);
  }
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+T');
  await expect(chosen(page)).toHaveAccessibleName(/^2 minor 7, D minor 7/);
  await expect(stage(page).getByRole('button', { name: /^1, C,/ })).toBeVisible();
});

test('how it moves, and what two scales share', async ({ page }) => {
  await open(page, 'C', 0, '3');
  await expect(panel(page)).toContainText('3 and 7 down a half step: that is Dm7');
  await page.keyboard.press('Alt+4');
  await panel(page).getByLabel('The other scale').selectOption('melodic minor');
  await expect(panel(page)).toContainText('One note changed: E becomes E♭.');
  await panel(page).getByLabel('Or any other key').fill('H minor');
  await page.keyboard.press('Enter');
  await expect(panel(page).getByRole('alert')).toContainText('write B');
  await panel(page).getByLabel('Or any other key').fill('Am');
  await page.keyboard.press('Enter');
  await expect(panel(page)).toContainText('The same seven notes.');
});

test('all keys, either way round the circle, and fourth against fifth', async ({ page }) => {
  await open(page, 'Bb', 0, '5');
  await expect(panel(page)).toContainText('B♭ is the 5 of E♭');
  await panel(page).getByRole('radio', { name: 'In fourths' }).click();
  await expect(panel(page).getByRole('img', { name: /clockwise in fourths: C, F, B♭/ })).toBeVisible();
  await panel(page).getByRole('button', { name: 'A♭' }).click();
  await expect(page.getByTestId('key-in-force')).toHaveText('A♭');
});

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
