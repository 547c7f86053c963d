import { expect, test } from '@playwright/test';
import { expectAccessible } from './pages.ts';

const HYMN = `X:1
T:Net Loft Hymn
M:4/4
L:1/8
K:C
V:1
e2ed e2g2|a2ag f2c2|d2dc B2d2|c8|e2ed c2A2|d2de f2d2|f2fe d2B2|c8|]
V:2
[C,E,G,]8|[F,A,C]8|[G,B,D]8|[C,E,G,]8|[A,,E,C]8|[F,A,D]8|[G,,F,B,]8|[C,,E,G,]8|]
`;
const FILE = { name: 'net-loft-hymn.abc', mimeType: 'text/vnd.abc', buffer: Buffer.from(HYMN) };

test('a piece is brought in, read, corrected by keyboard, and taken away as a chart', async ({ page }) => {
  await page.goto('/analyze');
  await page.getByRole('navigation', { name: 'Desks' }).getByRole('link', { name: 'Score' }).click();
  await page.getByLabel('Piece to read').setInputFiles(FILE);
  const preview = page.getByRole('region', { name: 'What was read' });
  await expect(preview).toContainText('8 bars');
  await preview.getByRole('button', { name: 'Keep this piece' }).click();
  await expect(page).toHaveURL(/\/analyze\/score\/[0-9a-f-]{36}$/);

  // engraved, with its reduction under it
  await expect(page.locator('.engraved svg g.note').first()).toBeAttached({ timeout: 60_000 });
  await expect(page.locator('.engraved svg [id^="c1."]').first()).toBeAttached();
  await expect(page.locator('.engraved svg .tone-marks text').first()).toBeAttached();

  // the second bar is F; its border goes half a beat later by keyboard, and back by undo
  const harmonies = page.getByRole('region', { name: 'Harmonies' });
  const second = harmonies.getByRole('button', { name: /^F.*bar 2, beat 1/ });
  await second.focus();
  await page.keyboard.press('Enter');
  await expect(second).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('>');
  await expect(harmonies.getByRole('button', { name: /bar 2, beat 1\.5/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(second).toBeVisible();

  // what is a chord is said otherwise, and the rules' word stays in sight
  await second.click();
  await page.getByRole('tab', { name: 'Harmony' }).click();
  await page.getByLabel('Chord', { exact: true }).fill('Dm7/F');
  await page.keyboard.press('Enter');
  await expect(harmonies.getByRole('button', { name: /^D.*bar 2, beat 1.*yours/ })).toBeVisible();
  await expect(page.getByText('The rules say')).toBeVisible();
  await page.getByRole('button', { name: 'As the rules have it' }).click();
  await expect(second).toBeVisible();

  // the neighbour of the first bar is called a passing note
  await harmonies.getByRole('button', { name: /bar 1, beat 1/ }).click();
  await page.getByRole('tab', { name: 'Non-chord tones' }).click();
  const note = page.getByLabel(/What is D, 1:2.5/);
  await expect(note).toHaveValue('neighbour');
  await note.selectOption('passing');
  await expect(note).toHaveValue('passing');
  await expect(page.getByText('The rules say neighbour note')).toBeVisible();
  await expect(page.getByRole('button', { name: 'As the rules have it' })).toBeVisible();

  // kept over a reload
  await expect(async () => {
    await page.reload();
    await expect(page.getByLabel(/What is D, 1:2.5/).or(page.getByRole('tab', { name: 'Non-chord tones' }))).toBeVisible();
    await page.getByRole('tab', { name: 'Non-chord tones' }).click();
    await expect(page.getByLabel(/What is D, 1:2.5/)).toHaveValue('passing', { timeout: 5000 });
  }).toPass({ timeout: 60_000 });

  // a chart of it on the shelf, linked
  await page.getByRole('tab', { name: 'Save as chart' }).click();
  await page.getByRole('button', { name: 'Make a number chart' }).click();
  await page.getByRole('link', { name: 'Open its chart' }).click();
  await expect(page).toHaveURL(/\/songs\/[0-9a-f-]{36}\/chart/);
  await expect(page.getByText('Net Loft Hymn').first()).toBeVisible();
});

test('from the files of the band a piece goes to the Score desk; what holds no notes is told', async ({ page }) => {
  await page.goto('/band/files');
  await page.getByLabel('File to import').setInputFiles(FILE);
  await page.getByRole('link', { name: 'Read every note of it on the Score desk' }).click();
  await expect(page.getByRole('region', { name: 'What was read' })).toContainText('Net Loft Hymn');
  await page.getByLabel('Piece to read').setInputFiles({ name: 'words.txt', mimeType: 'text/plain', buffer: Buffer.from('only words') });
  await expect(page.getByText('words.txt is no file with notes in it')).toBeVisible();
  await page
    .getByLabel('Piece to read')
    .setInputFiles({ name: 'broken.musicxml', mimeType: 'text/xml', buffer: Buffer.from('<score-partwise><part>') });
  await expect(page.getByText(/damaged/)).toBeVisible();
});

for (const [width, height] of [
  [1280, 800],
  [390, 844],
] as const)
  test(`the demo's study at ${width} by ${height}: nothing is wrong for who cannot see it, and nothing sticks out`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    await page.goto('/analyze/score');
    await page.getByRole('link', { name: /Study at the Lantern Window/ }).click();
    await expect(page.locator('.engraved svg g.note').first()).toBeAttached({ timeout: 60_000 });
    for (const part of ['Harmony', 'Non-chord tones', 'Keys and cadences', 'Save as chart']) {
      await page.getByRole('tab', { name: part }).click();
      await expectAccessible(page);
    }
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
  });

test('three hundred bars are reduced by the built server in a thread of their own, while others are answered', async ({ request }) => {
  const pitch = (step: string, octave: number) =>
    `<note><pitch><step>${step}</step><octave>${octave}</octave></pitch><duration>1</duration><voice>1</voice><type>quarter</type></note>`;
  const bar = (number: number) =>
    `<measure number="${number}">${number === 1 ? '<attributes><divisions>1</divisions><time><beats>4</beats><beat-type>4</beat-type></time></attributes>' : ''}${['C', 'E', 'G', 'E'].map((step) => pitch(step, 4)).join('')}</measure>`;
  const bars = Array.from({ length: 300 }, (_, index) => bar(index + 1)).join('');
  const data = `<score-partwise><part-list><score-part id="P1"><part-name>Guitar</part-name></score-part></part-list><part id="P1">${bars}</part></score-partwise>`;
  const reduced = request.post('/api/v1/reduce', { data: { format: 'musicxml', data } });
  expect((await request.get('/api/v1/bands')).ok()).toBe(true);
  const answer = await (await reduced).json();
  expect(answer.columns).toHaveLength(1);
  expect(answer.columns[0]).toMatchObject({ chord: 'C', beats: 1200 });
});
