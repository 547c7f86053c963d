import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import { unzipSync } from 'fflate';
import { expect, expectAccessible, expectSaved, letters, newSong, numbers, settled, test, writeChart } from './pages.ts';

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
  // whoever is signed in puts it no higher than the seventh
  await expect(frets.locator(':scope > li')).toHaveCount(8);

  // without a capo B♭ and its neighbours are barres: for a player who holds none, the song goes to the end of the list
  await sheet.getByRole('radio', { name: 'No barres' }).click();
  await expect(frets.locator(':scope > li').last()).not.toContainText('every chord is open');
  await first.getByRole('button', { name: 'Use capo 3' }).click();
  await expect(sheet).toBeHidden();
  await expect(page.getByTestId('reader-note')).toHaveText('G shapes = sounding B♭');
  await expect.poll(() => letters(page)).toEqual(['G', 'C', 'D', 'E minor']);

  // it follows the key lens
  await page.getByRole('button', { name: 'Key up a half step' }).click();
  await page.getByRole('button', { name: 'More' }).click();
  await page.getByRole('menuitem', { name: 'Where to put a capo' }).click();
  await expect(frets.locator(':scope > li', { hasText: 'Capo 4: G shapes sound B;' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'In use' })).toBeVisible();
});

/** Opens a part of the Band room. */
async function openBand(page: Page, part = 'tonight'): Promise<void> {
  await page.goto(`/band/${part}`);
  await expect(page.getByRole('tablist', { name: 'The band' })).toBeVisible();
}

/** Makes a set of its own with demo songs, so that tests do not meet in one. */
async function newSet(page: Page, name: string, titles: readonly string[]): Promise<void> {
  await openBand(page);
  await page.getByLabel('Which set').selectOption('New set…');
  // a new set asks for its name at once
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('New set');
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Name', { exact: true }).press('Enter');
  await page.keyboard.press('Escape');
  await expect(page.getByLabel('Which set').getByRole('option', { name })).toHaveCount(1);
  await page.getByRole('button', { name: 'Songs', exact: true }).click();
  for (const title of titles) {
    await page.getByLabel('Find a song').fill(title);
    await page.getByRole('button', { name: `Add ${title}` }).click();
    await expect(page.getByRole('button', { name: `Add ${title}` })).toHaveText('Once more');
  }
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('set-state')).toHaveAttribute('data-status', 'saved');
}

const entries = (page: Page) => page.locator('[data-entry]');

test('a new player reads the chart as theirs, on the screen and on paper', async ({ page }) => {
  await openBand(page, 'players');
  await page.getByLabel('Name of the new player').fill('Sol');
  await page.getByLabel('What the new player plays').fill('tenor saxophone');
  await page.getByRole('button', { name: 'Add a player' }).click();
  const form = page.getByRole('region', { name: 'How Sol reads' });
  await expect(form.getByLabel('Reads')).toHaveValue('2');
  await form.getByRole('radio', { name: 'Numbers + letters' }).click();
  await form.getByRole('button', { name: 'Read as Sol' }).click();
  await expect(page.getByTestId('reader-note')).toHaveText('reads D = sounding C');
  await expectAccessible(page);

  // the lens lists the band, and goes along to every song
  await page.goto('/');
  await page.getByRole('link', { name: 'Two Lanterns' }).click();
  await page.getByRole('button', { name: /^Reader/ }).click();
  await page.getByRole('menuitemradio', { name: /^Sol/ }).click();
  await expect(page.getByTestId('reader-note')).toHaveText('reads A♭ = sounding G♭');
  await expect.poll(async () => (await letters(page))[0]).toBe('A flat');
  await page.getByRole('button', { name: 'Share' }).click();
  await page.getByRole('menuitem', { name: 'Print' }).click();
  const sheet = page.getByRole('dialog', { name: 'Print the chart' });
  await expect(sheet.getByText('G♭, written in A♭', { exact: false }).first()).toBeVisible();
  await expect(sheet.getByText('Aurora Ridge · Sol, tenor saxophone').first()).toBeVisible();
  const download = page.waitForEvent('download');
  await sheet.getByRole('button', { name: 'PDF' }).click();
  expect((await download).suggestedFilename()).toBe('Two-Lanterns-Sol.pdf');

  // a form part has no chords, and says how many bars
  await sheet.getByRole('radio', { name: 'Form' }).click();
  await expect(sheet.getByText('8 bars', { exact: false }).first()).toBeVisible();
  await page.keyboard.press('Escape');

  await openBand(page, 'players');
  await page.getByRole('button', { name: /^Sol/ }).click();
  await page.getByRole('button', { name: 'Remove: Sol' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByRole('list', { name: 'Members' })).not.toContainText('Sol');
});

test('a voice upside down is answered in place', async ({ page }) => {
  await openBand(page, 'players');
  await page.getByRole('button', { name: /^Ines/ }).click();
  const ease = page.getByLabel('With ease');
  await ease.fill('D5 A3');
  await ease.press('Enter');
  await expect(page.getByRole('alert')).toHaveText('The lowest note comes first: D5 lies above A3. Write A3 D5?');
  await ease.fill('C3 D5');
  await ease.press('Enter');
  await expect(page.getByRole('alert')).toContainText('C3 feels comfortable, so it is possible too');
});

test('the singer asks for another key: it is tonight’s, and the song stays as it is', async ({ page }) => {
  await newSet(page, 'For the singer', ['Kelp Ladder', 'Two Lanterns']);
  await page.getByRole('tab', { name: /Singer/ }).click();
  await page.getByRole('combobox', { name: 'Song' }).selectOption('Kelp Ladder');
  const keys = page.getByRole('list', { name: 'Keys, best first' });
  // E3 to B4 lies low for somebody at ease from G3 to D5: a minor third higher it fits just so
  await expect(keys.locator(':scope > li').first()).toContainText('G3 to D5: with ease');
  await expectAccessible(page);
  const first = keys.locator(':scope > li').first();
  const name = (await first.locator('b').first().textContent()) ?? '';
  await first.getByRole('button', { name: 'Use tonight' }).click();
  await expect(first.getByRole('button', { name: 'Tonight’s key' })).toBeVisible();
  await page.getByRole('tab', { name: /Tonight/ }).click();
  await expect(entries(page).first()).toContainText(name);
  await expect(entries(page).first()).toContainText('home Em');

  // the chart opens in tonight's key; its own key is untouched
  await entries(page).first().click();
  await page.getByRole('link', { name: 'Open the chart in tonight’s key' }).click();
  await expect(page.getByTestId('key-in-force')).toHaveText(name);
  await expect(page.getByLabel('Chart text')).toContainText('key: Em');

  // a song that does not say how far it reaches is asked
  await openBand(page, 'singer');
  await page.getByRole('combobox', { name: 'Song' }).selectOption('Two Lanterns');
  await expect(page.getByText('This chart does not say how far its melody reaches.', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'C4', exact: true }).click();
  await page.getByRole('button', { name: 'A4', exact: true }).click();
  await expect(page.getByLabel('Melody, lowest and highest note')).toHaveValue('C4 A4');
  await expect(keys.locator(':scope > li')).toHaveCount(12);
});

test('a range that is tapped is kept with the song, in the words of its key', async ({ page }) => {
  await newSong(page);
  await writeChart(page, 'title: Slip Rope\nkey: D\n\n[A]\n1 4 5 1\n');
  await expectSaved(page);
  await page.getByRole('link', { name: 'Band' }).click();
  await page.getByRole('tab', { name: /Singer/ }).click();
  await expect(page.getByText('This chart does not say how far its melody reaches.', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'A3', exact: true }).click();
  await page.getByRole('button', { name: 'Db5', exact: true }).click();
  await expect(page.getByLabel('Melody, lowest and highest note')).toHaveValue('A3 C#5');
  await page.getByRole('button', { name: 'Save with the song' }).click();
  await expect(page.getByText('Slip Rope says now how far its melody reaches.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save with the song' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Chart' }).click();
  await expect(page.getByLabel('Chart text')).toContainText('range: A3 C#5');
});

test('a chart that is changed is another one in the set at once', async ({ page }) => {
  const title = `Skerry Light ${Date.now()}`;
  await newSong(page);
  await writeChart(page, `title: ${title}\nkey: G\ntempo: 90\n\n[A] x8\n1 4 5 1\n`);
  await expectSaved(page);
  await newSet(page, 'Changed charts', [title]);
  await expect(entries(page).first()).toContainText('90 bpm');
  await expect(page.getByTestId('set-length')).toContainText('1 minute');
  await entries(page).first().click();
  await page.getByRole('link', { name: 'Open the chart in tonight’s key' }).click();
  await expect(page.getByLabel('Chart text')).toContainText('tempo: 90');
  await writeChart(page, `title: ${title}\nkey: A\ntempo: 45\n\n[A] x8\n1 4 5 1\n`);
  // left before it is saved
  await page.getByRole('link', { name: 'Band' }).click();
  await expect(entries(page).first()).toContainText('45 bpm');
  await expect(entries(page).first()).toContainText('A');
  await expect(page.getByTestId('set-length')).toContainText('3 minutes');

  // tonight it is faster: on the stand the chart says so
  await entries(page).first().click();
  await page.getByLabel('Tempo').fill('120');
  await page.getByLabel('Tempo').press('Enter');
  await expect(page.getByTestId('set-length')).toContainText('1 minute');
  await page.getByRole('button', { name: 'Share' }).click();
  await page.getByRole('menuitem', { name: 'On the stand' }).click();
  await expect(page.getByText('120 bpm')).toBeVisible();
  await expect(page.getByText('45 bpm')).toHaveCount(0);
});

test('a set is put in order by keys and taken back; a medley gets its bridge, heard and written into the parts', async ({ page }) => {
  await newSet(page, 'Medley night', ['Harbor Wall', 'Kelp Ladder', 'Emberwick Street']);
  const titles = () => entries(page).evaluateAll((rows) => rows.map((row) => row.querySelector('span.block.truncate')?.textContent));
  await expect.poll(titles).toEqual(['Harbor Wall', 'Kelp Ladder', 'Emberwick Street']);
  await entries(page).nth(2).focus();
  await page.keyboard.press('Alt+ArrowUp');
  await expect.poll(titles).toEqual(['Harbor Wall', 'Emberwick Street', 'Kelp Ladder']);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(titles).toEqual(['Harbor Wall', 'Kelp Ladder', 'Emberwick Street']);
  await page.getByRole('button', { name: 'Redo' }).click();

  // dragged by its grip
  const grip = page.getByRole('button', { name: 'Move Kelp Ladder' });
  await grip.focus();
  // each key waits for what the one before has done, as whoever listens would
  const said = page.locator('[id^="DndLiveRegion"]');
  await page.keyboard.press('Space');
  await expect(said).toContainText('Kelp Ladder over place 3 of 3.');
  await page.keyboard.press('ArrowUp');
  await expect(said).toContainText('Kelp Ladder over place 2 of 3.');
  await page.keyboard.press('Space');
  await expect.poll(titles).toEqual(['Harbor Wall', 'Kelp Ladder', 'Emberwick Street']);

  // from D to E minor the dominant of what comes: B7
  await page.getByRole('button', { name: 'stop' }).first().press('Enter');
  const choices = page.getByRole('dialog', { name: 'How Harbor Wall goes over into what comes next' });
  await expect(choices).toContainText('B7 is the dominant of Em');
  await choices.getByRole('button', { name: 'Hear Dominant' }).click();
  await choices.getByRole('button', { name: /^B7 ?Dominant/ }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /segue via B7/ })).toBeVisible();
  await expectAccessible(page);

  // a capo that moves where nobody waits is told
  await entries(page).nth(1).click();
  await page.getByLabel(/^Juno’s capo/).fill('2');
  await page.getByLabel(/^Juno’s capo/).press('Enter');
  await expect(page.getByRole('list', { name: 'What to look out for' })).toContainText('Juno moves the capo from off to fret 2');
  await expect(page.getByTestId('set-state')).toHaveAttribute('data-status', 'saved');

  // the order outlives the page
  await page.reload();
  await expect.poll(titles).toEqual(['Harbor Wall', 'Kelp Ladder', 'Emberwick Street']);
  await page.getByRole('button', { name: 'Share' }).click();
  await page.getByRole('menuitem', { name: 'Print' }).click();
  const sheet = page.getByRole('dialog', { name: 'Print the set' });
  await expect(sheet.getByText('Juno capo 2', { exact: false }).first()).toBeVisible();
  await sheet.getByRole('radio', { name: 'For the floor' }).click();
  await expect(sheet.getByText('Harbor Wall').first()).toBeVisible();
  await page.keyboard.press('Escape');

  // the whole evening on the stand: the bridge is a bar of the chart, and the pedal leads to the next song
  await page.getByRole('button', { name: 'Share' }).click();
  await page.getByRole('menuitem', { name: 'On the stand' }).click();
  await expect(page.getByRole('heading', { name: 'Harbor Wall' })).toBeVisible();
  await expect(page.locator('main > [aria-hidden] [data-line]', { hasText: 'To Kelp Ladder' })).toContainText('B7');
  await page.getByRole('button', { name: 'The next song' }).click();
  await expect(page.getByRole('heading', { name: 'Kelp Ladder' })).toBeVisible();
  for (let turn = 0; turn < 12; turn += 1) {
    if (await page.getByRole('heading', { name: 'Emberwick Street' }).isVisible()) break;
    await page.keyboard.press('PageDown');
    await settled(page);
  }
  await expect(page.getByRole('heading', { name: 'Emberwick Street' })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'Parts for everyone' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Fetch the parts' }).click();
  const files = unzipSync(readFileSync(await (await download).path()));
  expect(Object.keys(files)).toContain('Tam, guitar.pdf');
  expect(Object.keys(files)).toContain('Rosa, drums.pdf');
});

test('the next evening begins as a copy of the last one, which stays as it is', async ({ page }) => {
  await newSet(page, 'Evening one', ['Emberwick Street', 'Glasswater Orchard']);
  await page.getByRole('button', { name: 'Edit name, place and time' }).click();
  await page.getByLabel('Where').fill('The Net Loft');
  await page.getByLabel('Where').press('Enter');
  await expect(page.getByTestId('set-state')).toHaveAttribute('data-status', 'saved');
  await page.getByRole('button', { name: 'Copy the set' }).click();
  const which = page.getByLabel('Which set');
  await expect(which.locator('option:checked')).toHaveText('Evening one, copy');
  await expect(page.getByTestId('set-length')).toContainText('The Net Loft');
  await expect(entries(page)).toHaveCount(2);
  await entries(page).first().click();
  await page.getByLabel('Tempo').fill('70');
  await page.getByLabel('Tempo').press('Enter');
  await expect(entries(page).first()).toContainText('70 bpm');
  await expect(page.getByTestId('set-state')).toHaveAttribute('data-status', 'saved');
  await which.selectOption('Evening one');
  await expect(entries(page).first()).toContainText('Emberwick Street');
  await expect(entries(page).first()).not.toContainText('70 bpm');

  // what is taken away is asked for once more, and the other set stays
  await which.selectOption('Evening one, copy');
  await expect(entries(page).first()).toContainText('70 bpm');
  await page.getByRole('button', { name: 'Edit name, place and time' }).click();
  await page.getByRole('button', { name: 'Delete the set' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(which.getByRole('option', { name: 'Evening one, copy' })).toHaveCount(0);
  await expect(which.getByRole('option', { name: 'Evening one', exact: true })).toHaveCount(1);
});

test('capos for the whole set move as little as can be', { tag: '@quick' }, async ({ page }) => {
  await newSet(page, 'Capo night', ['Glasswater Orchard', 'Low Tide Waltz', 'Emberwick Street']);
  await page.getByRole('button', { name: 'Plan Juno’s capo' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Juno:' })).toContainText(/stays where it is|moves? between songs/);
  await expect(entries(page).first()).toContainText(/Juno capo \d/);
});

test('two guitars that do not double, and an easier chord that somebody refuses', async ({ page }) => {
  await newSet(page, 'Two guitars', ['Harbor Wall']);
  await page.getByRole('tab', { name: /Two guitars/ }).click();
  const pairs = page.getByRole('list', { name: 'Pairs of frets, best first' });
  await expect(pairs.locator(':scope > li').first()).toContainText('so nothing is doubled');
  await pairs.locator(':scope > li').first().getByRole('button', { name: 'Use tonight' }).click();
  const easier = page.getByRole('region', { name: 'Easier chords' });
  const hard = easier
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: /^Hear/ }) })
    .first();
  await hard.locator('button[aria-pressed]').first().click();
  await expect(hard.locator('button[aria-pressed="true"]')).toHaveCount(1);
  await hard.getByRole('button', { name: /^Hear/ }).first().click();
  await hard.getByRole('button', { name: /[Rr]efuse/ }).click();
  await expect(hard).toContainText('would rather hear it as written, so it is.');
  await hard.getByRole('button', { name: 'Allow it' }).click();
  await expectAccessible(page);
  await hard.locator('button[aria-pressed="true"]').click();
  await expect(hard.locator('button[aria-pressed="true"]')).toHaveCount(0);
});

test('a file is seen before it is taken in; every song goes out; a torn file is refused in words', async ({ page }) => {
  await openBand(page, 'files');
  const input = page.getByLabel('File to import');
  const tune =
    'X:1\nT:Gannet Reel\nM:4/4\nL:1/4\nK:G\n"G"GABG | "D7"D4 | "Em"E4 | "C"C4 |]\n\nX:2\nT:Left Behind\nM:4/4\nL:1/4\nK:C\n"C"C4 |\n';
  await input.setInputFiles({ name: 'tunes.abc', mimeType: 'text/plain', buffer: Buffer.from(tune) });
  const preview = page.getByRole('region', { name: 'What the file would become' });
  await expect(preview).toContainText('Gannet Reel');
  await expect(preview).toContainText('The melody is not kept, only its range, C4 to B4');
  await expectAccessible(page);
  await preview.getByRole('checkbox', { name: /Left Behind/ }).uncheck();
  await preview.getByRole('button', { name: 'Import it' }).click();
  await page.getByRole('link', { name: 'Open it' }).click();
  await expect(page.getByLabel('Chart text')).toContainText('title: Gannet Reel');
  await expect(page.getByLabel('Chart text')).toContainText('range: C4 B4');
  await expect.poll(async () => (await numbers(page)).map((name) => name[0])).toEqual(['1', '5', '6', '4']);

  await openBand(page, 'files');
  await input.setInputFiles({ name: 'torn.mid', mimeType: 'audio/midi', buffer: Buffer.from('MThd torn') });
  await expect(page.getByText('This MIDI file cannot be read', { exact: false })).toBeVisible();

  await page.getByLabel('Every song as').selectOption('all of these');
  await page.getByRole('button', { name: 'Export all' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Fetch the songs' }).click();
  const files = Object.keys(unzipSync(readFileSync(await (await download).path())));
  expect(files).toContain('MusicXML/Harbor Wall.musicxml');
  expect(files).toContain('MIDI/Gannet Reel.mid');
  expect(files).toContain('What got lost.txt');

  const backup = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Back up the band' }).click();
  const kept = JSON.parse(readFileSync(await (await backup).path(), 'utf8'));
  expect(kept).toMatchObject({ format: 'aurora-ridge band', band: { name: 'The Weirlamp Seven' } });
});

test('a chart as MusicXML opens in another program and shows the right chords', async ({ page }) => {
  await newSong(page);
  await writeChart(page, 'title: Heard Elsewhere\nkey: Eb\n\n[Verse]\n1 (4 5/7) 6-7 57b9\n~ one two three four\n');
  await page.getByRole('button', { name: 'Share' }).click();
  await page.getByRole('menuitem', { name: 'Export for other programs' }).click();
  const sheet = page.getByRole('dialog', { name: 'Export the song' });
  await expect(sheet.getByText('Nothing gets lost.')).toBeVisible();
  const download = page.waitForEvent('download');
  await sheet.getByRole('button', { name: 'Save Heard Elsewhere.musicxml' }).click();
  const xml = readFileSync(await (await download).path(), 'utf8');
  await sheet.getByRole('radio', { name: 'MIDI' }).click();
  await expect(sheet.getByRole('list', { name: 'What gets lost' })).toContainText('Lyrics and cue lines are left out');

  // a renderer of music that is not ours
  const other = await page.context().newPage();
  await other.addScriptTag({ path: createRequire(import.meta.url).resolve('verovio') });
  const svg = await other.evaluate(async (text) => {
    type Toolkit = { setOptions(options: object): void; loadData(data: string): boolean; renderToSVG(page: number): string };
    const { verovio } = window as unknown as { verovio: { toolkit: new () => Toolkit } };
    // it works as soon as its engine has started, a moment after the script is there
    const begun = async (left: number): Promise<Toolkit> => {
      try {
        return new verovio.toolkit();
      } catch (fault) {
        if (left === 0) throw fault;
        await new Promise((resolve) => setTimeout(resolve, 200));
        return begun(left - 1);
      }
    };
    const toolkit = await begun(50);
    toolkit.setOptions({ breaks: 'encoded' });
    return toolkit.loadData(text) ? toolkit.renderToSVG(1) : '';
  }, xml);
  await other.setContent(svg);
  const shown = await other.locator('g.harm').evaluateAll((marks) => marks.map((mark) => (mark.textContent ?? '').replace(/\s+/g, '')));
  const above = shown.filter((name) => /^[A-G]/.test(name));
  // accidentals are glyphs of the renderer's own music font, so they are told apart from plain letters only
  expect(above.map((name) => name.replace(/[^\w/]/g, '-'))).toEqual(['E-', 'A-', 'B-/D', 'Cm7', 'B-7--9-']);
  expect(shown.filter((name) => /^\d/.test(name)).map((name) => name.slice(0, 1))).toEqual(['1', '4', '5', '6', '5']);
  expect(await other.locator('g.measure').count()).toBe(4);
  expect((await other.locator('g.verse').allTextContents()).map((words) => words.trim())).toEqual(['one', 'two', 'three', 'four']);
  await other.close();
});
