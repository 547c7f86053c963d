import { expect, expectSaved, letters, newSong, numbers, openSong, showWhy, test, writeChart, writeNewSong } from './pages.ts';

test('one song, from key to chart to the band', { tag: '@quick' }, async ({ page }) => {
  // the shelf opens at once, with the demo band's songs
  await page.goto('/');
  await expect(page.getByRole('list', { name: 'Songs' }).getByRole('listitem')).not.toHaveCount(0);
  await expect(page.getByText('The Weirlamp Seven').first()).toBeVisible();

  // harmonize a key
  await page.getByRole('link', { name: 'Harmonize' }).click();
  await page.getByRole('button', { name: /^Key ?C/ }).click();
  await page.getByRole('group', { name: 'Tonic' }).getByRole('button', { name: 'A', exact: true }).click();
  await page.getByRole('combobox', { name: 'Scale' }).selectOption('harmonic minor');
  await page.keyboard.press('Escape');
  const stage = page.getByRole('group', { name: 'The chords of the key' });
  await page.getByLabel('Chords built of').selectOption('Sevenths');
  await expect(stage.getByRole('button', { pressed: true })).toHaveAccessibleName('1 minor major 7, A minor major 7, minor-major seventh');
  await expect(stage.getByRole('button', { name: /^7 diminished 7, G sharp diminished 7/ })).toBeVisible();
  await expect(page.getByRole('figure', { name: /A B C D E F G♯ A; steps W H W W H W\+H H/ })).toBeVisible();

  // hear it
  await page.getByRole('button', { name: 'Hear the key' }).click();
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();

  // gather a progression: tapped, and typed as letters
  await page.getByRole('button', { name: 'Add 4 minor 7 to the progression' }).click();
  await page.getByLabel('Chords as numbers or letters').fill('Am F E7');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Bars' }).getByRole('listitem')).toHaveCount(4);
  await page.getByRole('button', { name: 'New song' }).click();

  // the song is a chart
  await expect(page.getByLabel('Chart text')).toContainText('key: A harmonic minor');
  expect(await numbers(page)).toEqual(['4 minor 7', '1 minor', 'flat 6', '5 7']);

  // write it on
  await writeChart(page, 'title: Evening Tram\nkey: A\n\n[Verse] x2\n1 5/7 (6-7 5) <4>\n| 1 4 | 5! |\n');
  await expect(page.getByRole('heading', { name: 'Evening Tram' })).toBeVisible();
  await expect.poll(() => letters(page)).toEqual(['A', 'E over G sharp', 'F sharp minor 7', 'E', 'D', 'A', 'D', 'E']);
  const written = await numbers(page);
  await expectSaved(page);

  // the singer wants it lower: one key press, letters change, numbers stay
  await page.keyboard.press('Escape');
  await page.keyboard.press('[');
  await expect(page.getByTestId('key-in-force')).toHaveText('A♭');
  expect((await letters(page)).slice(0, 2)).toEqual(['A flat', 'E flat over G']);
  expect(await numbers(page)).toEqual(written);

  // the guitar with a capo and the alto saxophone read the same song
  await page.getByRole('button', { name: /^Reader/ }).click();
  await page.getByRole('menuitemradio', { name: 'Guitar, capo 1' }).click();
  await expect(page.getByTestId('reader-note')).toHaveText('G shapes = sounding A♭');
  expect((await letters(page))[0]).toBe('G');
  await page.getByRole('button', { name: /^Reader/ }).click();
  await page.getByRole('menuitemradio', { name: 'E♭ instrument' }).click();
  expect((await letters(page))[0]).toBe('F');
  expect(await numbers(page)).toEqual(written);

  // everything is in the address and in the database
  expect(page.url()).toContain('key=Ab&reader=Eb');
  await page.reload();
  await expect.poll(async () => (await letters(page))[0]).toBe('F');
  await expect(page.getByTestId('key-in-force')).toHaveText('A♭');
});

test('by keyboard alone: a key, its chords, a song', { tag: '@quick' }, async ({ page }) => {
  await page.goto('/harmonize');
  const chosen = page.getByRole('group', { name: 'The chords of the key' }).getByRole('button', { pressed: true });
  await expect(chosen).toHaveAccessibleName(/^1, C/);
  await page.keyboard.press('ArrowUp');
  await expect(chosen).toHaveAccessibleName(/^1, D flat/);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('t');
  await page.keyboard.press('ArrowRight');
  await expect(chosen).toHaveAccessibleName(/^2 minor 7, D minor 7/);
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('2–4–6–1');
  await expect(page.getByRole('region', { name: 'Neck' }).getByRole('button', { name: 'D, root, string 4, open' })).toBeVisible();
  await page.keyboard.press('Enter');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Bars' }).getByRole('listitem')).toHaveCount(2);
  await page.keyboard.press('n');
  await expect(page.getByRole('region', { name: 'Neck' })).toBeHidden();
  await page.keyboard.press('n');
  await expect(page.getByRole('region', { name: 'Neck' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Shortcuts' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Control+k');
  await expect(page.getByPlaceholder('A song, a key, a reader, a room')).toBeFocused();
  await page.keyboard.type('kelp');
  await expect(page.getByRole('option', { name: /Kelp Ladder/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Kelp Ladder' })).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('w');
  await expect(page.getByRole('complementary', { name: 'Why' })).toContainText('Em');
  // with a bar chosen, a letter that is a note is written; without one it goes to the text
  await page.keyboard.press('e');
  await expect(page.getByLabel(/^Bar \d+$/)).toHaveValue('E');
  await page.keyboard.press('Escape');
  await page.locator('article').click({ position: { x: 4, y: 4 } });
  await page.keyboard.press('Escape');
  await page.keyboard.press('e');
  await expect(page.getByLabel('Chart text')).toBeFocused();
});

test('problems stand where they are, and a press leads there', async ({ page }) => {
  await newSong(page);
  await writeChart(page, 'key: G\n\n[A]\n1 4 8 5\n(1 4 5) em\n');
  const problems = page.getByRole('region', { name: 'Problems' });
  await expect(problems.getByRole('listitem')).toHaveText([
    /line 4.*8 is the 1 again/,
    /line 5.*do not share 4 beats/,
    /line 5.*capitals for letters/,
  ]);
  expect(await numbers(page)).toEqual(['1', '4', '5', '1', '4', '5']);
  await problems.getByRole('button', { name: /8 is the 1 again/ }).click();
  await page.keyboard.press('Delete');
  await page.keyboard.insertText('6-');
  await expect(problems.getByRole('listitem')).toHaveCount(2);
  expect((await numbers(page))[2]).toBe('6 minor');
});

test('a chord outside the key is told from one inside', async ({ page }) => {
  await openSong(page, 'Harbor Wall');
  const why = page.getByRole('complementary', { name: 'Why' });
  await page.locator('[data-place="8.0"]').click();
  await showWhy(page);
  await expect(why).toContainText('C stands where the key has C♯');
  await page.locator('[data-place="4.0"]').click();
  await expect(why).toContainText('C♯ rises to D');
});

test('letters on a raised degree are written as the lowered one, said in place, and taken back by one press', async ({ page }) => {
  await newSong(page);
  await writeChart(page, 'title: Letters\nkey: Ab\n\n1 4\n');
  await page.locator('[data-place="0.0"]').click();
  await page.keyboard.press('E');
  await expect(page.getByText('in this key that is ♭6')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Chart text')).toContainText('b6 4');
  await page.getByRole('button', { name: 'Keep ♯5' }).click();
  await expect(page.getByLabel('Chart text')).toContainText('#5 4');
  await expect(page.getByRole('button', { name: 'Keep ♯5' })).toHaveCount(0);
});

test('undo in the text takes a change back, and that is saved too', async ({ page }) => {
  await newSong(page);
  await writeChart(page, 'title: First\n1\n');
  await expectSaved(page);
  await writeChart(page, 'title: Second\n4\n');
  await expect(page.getByRole('heading', { name: 'Second' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Chart text')).toContainText('title: First');
  await expect(page.getByRole('heading', { name: 'First' })).toBeVisible();
  await expectSaved(page);
});

test('what is pressed before the band has answered is done all the same', async ({ page }) => {
  let answer: () => void = () => {};
  const held = new Promise<void>((resolve) => {
    answer = resolve;
  });
  await page.route('**/api/v1/bands', async (route) => {
    await held;
    await route.continue();
  });
  await page.goto('/');
  await writeNewSong(page);
  answer();
  await expect(page.getByLabel('Chart text')).toBeVisible();
});

test('a key meant for the text waits for the editor, however late it comes', async ({ page }) => {
  await page.goto('/');
  let arrive: () => void = () => {};
  const held = new Promise<void>((resolve) => {
    arrive = resolve;
  });
  await page.route('**/ChartEditor-*.js', async (route) => {
    await held;
    await route.continue();
  });
  await page.getByRole('link', { name: 'Kelp Ladder' }).click();
  await expect(page.getByText('Opening the text…')).toBeVisible();
  await page.keyboard.press('e');
  arrive();
  await expect(page.getByLabel('Chart text')).toBeFocused();
});
