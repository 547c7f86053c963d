import type { APIRequestContext, Page } from '@playwright/test';
import { startServer } from '../scripts/lib/supervision.mjs';
import { expect, expectAccessible, settled, test, visit } from './pages.ts';

const PARTS = ['plan', 'studies', 'programme', 'worksheet', 'log'] as const;

interface Player {
  readonly bandId: string;
  readonly memberId: string;
}

/** A player of one's own, who has never practised, sitting at this device. */
async function sitDownAsNew(page: Page, request: APIRequestContext, name: string, base = ''): Promise<Player> {
  const bandId = (await (await request.get(`${base}/api/v1/bands`)).json()).bands[0].id as string;
  const answer = await request.post(`${base}/api/v1/bands/${bandId}/members`, { data: { name, plays: 'guitar' } });
  const memberId = (await answer.json()).id as string;
  await page.addInitScript((id) => localStorage.setItem('aurora-player', id), memberId);
  return { bandId, memberId };
}

const passesOf = async (request: APIRequestContext, { bandId, memberId }: Player, base = '') =>
  (await (await request.get(`${base}/api/v1/bands/${bandId}/members/${memberId}/passes?limit=1000`)).json()).passes as {
    readonly id: string;
    readonly item: string;
    readonly outcome: string;
    readonly tempo: number | null;
  }[];

/** Opens a study of a group. */
async function openStudy(page: Page, group: string, name: string | RegExp, base = ''): Promise<void> {
  await page.goto(`${base}/practice/studies`);
  await page.getByRole('radio', { name: group, exact: true }).click();
  await page.getByRole('button', { name }).first().click();
  await expect(page.getByRole('button', { name: 'Finish' })).toBeVisible();
}

/** The number of the chord that is asked for in C. */
async function askedNumber(page: Page): Promise<string> {
  const text = (await page.getByRole('heading', { level: 2 }).textContent()) ?? '';
  return String('CDEFGAB'.indexOf(text.charAt(0)) + 1);
}

test('by keyboard alone: a plan, three passes, one more taken back, and the log', async ({ page, request }) => {
  test.setTimeout(120_000);
  const me = await sitDownAsNew(page, request, 'Keyboard');
  await page.goto('/practice');
  await page.getByRole('button', { name: 'Start', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('five slow notes on one string');
  const mark = page.getByRole('button', { name: /^Take back/ });
  for (const [key, said] of [
    ['h', 'it held'],
    ['w', 'it wavered'],
    ['h', 'it held'],
  ] as const) {
    await page.keyboard.press('Space');
    await expect(page.getByRole('button', { name: 'Stop', exact: true })).toBeVisible();
    await page.keyboard.press(key);
    // sooner than the music lasts
    await page.keyboard.press('Enter');
    await expect(mark).toContainText(said);
  }
  // a mark given by mistake is taken back
  await page.keyboard.press('b');
  await expect(mark).toContainText('it broke');
  await page.keyboard.press('z');
  await expect(mark).toContainText('it held');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByLabel('Your answer')).toBeFocused();
  // Escape leaves, and the session waits where it was
  await page.getByRole('button', { name: 'Finish' }).focus();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Go on' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Your answer')).toBeVisible();
  await page.getByRole('button', { name: 'Finish' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('3 tries, 2 of them good')).toBeVisible();
  await page.getByLabel('How was it? In your words').focus();
  await page.keyboard.type('Loose wrist');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/practice/);
  await expect.poll(async () => (await passesOf(request, me)).map(({ outcome }) => outcome)).toEqual(['clean', 'shaky', 'clean']);

  await page.goto('/practice/log');
  await expect(page.getByText('Loose wrist')).toBeVisible();
  await page.getByRole('button', { name: /^Change the note/ }).click();
  await page.getByLabel(/^Note of/).fill('Loose wrist, slow start');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Remove .* from the log/ }).click();
  await expect(page.getByText('Loose wrist, slow start')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Loose wrist, slow start')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Loose wrist, slow start')).toBeVisible();
});

for (const viewport of [
  { width: 390, height: 844 },
  { width: 820, height: 1180 },
]) {
  test.describe(`by touch at ${viewport.width}`, () => {
    test.use({ viewport, hasTouch: true });

    test('questions on the pad, a shape marked, a fret tapped', async ({ page, request }) => {
      test.setTimeout(90_000);
      const me = await sitDownAsNew(page, request, `Touch ${viewport.width}`);
      await openStudy(page, 'Recall', /^Chord to number/);
      const pad = page.getByRole('group', { name: 'Answer pad' });
      for (let place = 0; place < 3; place += 1) {
        const number = await askedNumber(page);
        await pad.getByRole('button', { name: number, exact: true }).tap();
        await expect(page.getByRole('status')).toContainText('Right.');
        await expect(page.getByRole('status')).toHaveCount(0);
      }
      const wrong = String((Number(await askedNumber(page)) % 7) + 1);
      await pad.getByRole('button', { name: wrong, exact: true }).tap();
      await expect(page.getByRole('status')).toContainText('The key of C has C D E F G A B');
      await page.getByRole('button', { name: 'Go on' }).tap();
      await expect(pad).toBeVisible();

      await openStudy(page, 'Shapes', /^Triads 2-3-4/);
      for (const mark of ['It held', 'It wavered']) {
        await page.getByRole('button', { name: mark, exact: true }).tap();
        await page.getByRole('button', { name: 'Played it' }).tap();
      }
      await page.getByRole('button', { name: /^It broke at 2:/ }).tap();
      await openStudy(page, 'Recall', /^Relative key/);
      await page.getByRole('group', { name: 'The circle of keys' }).getByRole('button', { name: 'A minor' }).tap();
      await expect(page.getByRole('status')).toContainText('Right.');
      await page.getByRole('button', { name: 'Finish' }).tap();
      expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0);
      const wanted = ['right', 'stopped', 'shaky', 'clean', 'wrong', 'right', 'right', 'right'];
      await expect.poll(async () => (await passesOf(request, me)).map(({ outcome }) => outcome)).toEqual(wanted);
    });
  });
}

test('by the pedal: played and marked, shown and judged', async ({ page, request }) => {
  test.setTimeout(90_000);
  const me = await sitDownAsNew(page, request, 'Pedal');
  await openStudy(page, 'Along one string', /^Along one string, saying the names/);
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('button', { name: 'Stop', exact: true })).toBeVisible();
  await page.keyboard.press('PageDown');
  // it lasts longer: asked whether it was played, and pressed once more
  await expect(page.getByRole('button', { name: 'Played it' })).toBeVisible();
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('button', { name: 'Play', exact: true })).toBeVisible();
  await page.keyboard.press('PageUp');
  await openStudy(page, 'Recall', /^Number to chord/);
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('button', { name: 'I had it' })).toBeVisible();
  await page.keyboard.press('PageDown');
  await expect(page.getByRole('button', { name: 'I had it' })).toHaveCount(0);
  await expect(page.getByLabel('Your answer')).toBeVisible();
  await page.keyboard.press('PageDown');
  await page.keyboard.press('PageUp');
  await page.keyboard.press('Escape');
  await expect
    .poll(async () => (await passesOf(request, me)).map(({ outcome }) => outcome))
    .toEqual(['wrong', 'right', 'stopped', 'clean']);
});

test('a programme: begun, a night played in part, and gone on with after a reload', async ({ page, request }) => {
  await sitDownAsNew(page, request, 'Nights');
  await page.goto('/practice/programme');
  await page.getByLabel('Order').selectOption('fifths');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  const nights = page.getByRole('list', { name: 'Nights' }).getByRole('listitem');
  await expect(nights).toHaveCount(30);
  await expect(nights.nth(1)).toContainText('G major');
  await page.getByRole('button', { name: 'Play tonight’s key' }).click();
  await expect(page.getByRole('button', { name: 'It held' })).toBeVisible();
  await page.keyboard.press('h');
  await page.getByRole('button', { name: 'Played it' }).press('Enter');
  await page.keyboard.press('Escape');
  await page.goto('/practice/programme');
  // it is still tonight, with what is left of it
  await expect(page.getByRole('heading', { name: 'Night 1: C major' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Go on: 11 exercises left' })).toBeVisible();
  await page.reload();
  await expect(nights.nth(0)).toContainText('1 of 12');
  await page.getByRole('button', { name: 'Go on: 11 exercises left' }).click();
  await expect(page.getByRole('heading', { name: /saying the numbers/ })).toBeVisible();
});

/** Somebody saves a set as it is. */
async function saveSetAgain(request: APIRequestContext, name: string): Promise<void> {
  const { bands } = await (await request.get('/api/v1/bands')).json();
  const at = `/api/v1/bands/${bands[0].id}/sets`;
  const { sets } = await (await request.get(at)).json();
  const one = `${at}/${sets.find((set: { name: string }) => set.name === name).id}`;
  const { place, startsAt, gapSeconds, entries, revision } = await (await request.get(one)).json();
  const saved = await request.put(one, { data: { name, place, startsAt, gapSeconds, entries, baseRevision: revision } });
  expect(saved.ok()).toBe(true);
}

test('a song of the set in tonight’s key: its bars vanish after it held and come back after it broke', async ({ page, request }) => {
  test.setTimeout(90_000);
  await sitDownAsNew(page, request, 'Songs');
  await page.goto('/band/tonight');
  await page.getByLabel('Which set').selectOption('Friday at the Tidehouse');
  await page.goto('/practice');
  await expect(page.getByRole('heading', { name: 'A song of the set' })).toBeVisible();
  // a block that is left out stays out, though somebody changes the set and it is looked at again
  await page.getByRole('button', { name: 'Change Recall' }).click();
  await page.getByRole('button', { name: 'Leave it out' }).click();
  const lookedAt = page.waitForResponse((response) => response.request().method() === 'GET' && response.url().includes('/sets/'));
  await saveSetAgain(request, 'Friday at the Tidehouse');
  await lookedAt;
  await settled(page);
  await expect(page.getByRole('heading', { name: 'Recall', exact: true })).toHaveCount(0);
  await page.getByRole('group', { name: 'Minutes' }).getByRole('button', { name: '30 min' }).click();
  await expect(page.getByRole('heading', { name: 'A song of the set' })).toBeVisible();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  const block = page.locator('header').getByText('A song of the set');
  await expect(page.getByRole('button', { name: 'It held' })).toBeVisible();
  for (let step = 0; step < 40 && (await block.count()) === 0; step += 1) await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Every bar shown')).toBeVisible();
  const hidden = page.getByRole('img', { name: 'hidden' });
  await expect(hidden).toHaveCount(0);
  await page.getByRole('button', { name: 'It held' }).click();
  await page.getByRole('button', { name: 'Played it' }).click();
  await expect(page.getByText('Every second bar shown')).toBeVisible();
  expect(await hidden.count()).toBeGreaterThan(3);
  await page.getByTitle('It broke in bar 3').click();
  await expect(hidden).toHaveCount(0);
});

test('a worksheet is checked cell by cell, and prints as a blank and solved', async ({ page, request }) => {
  await sitDownAsNew(page, request, 'Sheets');
  await page.goto('/practice/worksheet');
  await page.getByLabel('Notes, 4').fill('C#');
  await page.getByLabel('Notes, 4').press('Enter');
  await expect(page.getByText(/the key of A♭ has it as D♭/)).toBeVisible();
  await page.getByRole('button', { name: 'Print', exact: true }).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet.getByRole('img', { name: 'Worksheet: A♭ major' })).toBeVisible();
  await sheet.getByRole('radio', { name: 'Solved' }).click();
  await expect(sheet.getByRole('img', { name: 'Solution: A♭ major' })).toBeVisible();
  await expect(sheet.getByText('D♭maj7').first().or(sheet.getByText('A♭ C E♭ G').first())).toBeVisible();
});

for (const theme of ['paper', 'night'] as const) {
  test.describe(theme, () => {
    test.use({ device: { theme } });

    test('every part and every kind of item is accessible', async ({ page, request }) => {
      test.setTimeout(180_000);
      for (const part of PARTS) {
        await visit(page, `/practice/${part}`);
        await settled(page);
        await expectAccessible(page);
      }
      await sitDownAsNew(page, request, `Axe ${theme}`);
      for (const [group, name] of [
        ['Recall', /^Relative key/],
        ['Recall', /^Find it on a string/],
        ['Say it aloud', /^Its chords, saying the number/],
        ['Shapes', /^Triads 1-2-3/],
        ['Runs', /^Scale over each chord/],
        ['ii–V–I chain', /^Start/],
        ['By ear', /^Hear the quality/],
      ] as const) {
        await openStudy(page, group, name);
        await settled(page);
        await expectAccessible(page);
      }
      await page.getByRole('button', { name: 'Finish' }).click();
      await expectAccessible(page);
    });
  });
}

test.describe('without the server', () => {
  test.use({ serviceWorkers: 'allow', baseURL: undefined });

  test('a session is complete afterwards, exactly once', async ({ page, request }) => {
    test.setTimeout(150_000);
    const own = JSON.parse(process.env.OWN_SERVER ?? 'null') as {
      readonly command: readonly string[];
      readonly settings: Record<string, string>;
      readonly logFolder: string;
    };
    let server = await startServer(own.command, { ...own.settings, PORT: '0' }, own.logFolder);
    const { url } = server;
    try {
      const me = await sitDownAsNew(page, request, 'Van', url);
      await page.goto(`${url}/practice`);
      await page.evaluate(async () => void (await navigator.serviceWorker.ready));
      await page.reload();
      await openStudy(page, 'Recall', /^Chord to number/, url);
      await server.stop();
      for (let place = 0; place < 4; place += 1) {
        await page.getByLabel('Your answer').pressSequentially(await askedNumber(page));
        await expect(page.getByRole('status')).toHaveCount(0);
      }
      // the page is loaded again without the server, and the session goes on
      await page.reload();
      await page.getByLabel('Your answer').pressSequentially(await askedNumber(page));
      await expect(page.getByRole('status')).toHaveCount(0);
      await page.getByRole('button', { name: 'Finish' }).click();
      await expect(page.getByText(/things? kept on this device/)).toBeVisible();
      await page.getByLabel('How was it? In your words').fill('In the van');
      await page.getByRole('button', { name: 'Keep it' }).click();

      server = await startServer(own.command, { ...own.settings, PORT: new URL(url).port }, own.logFolder);
      await page.goto(`${url}/practice/log`);
      await expect.poll(async () => (await passesOf(request, me, url)).length, { timeout: 40_000 }).toBe(5);
      await expect(page.getByText('In the van')).toBeVisible();
      const read = page.waitForResponse((response) => response.url().includes('/passes'));
      await page.reload();
      await read;
      await settled(page);
      const passes = await passesOf(request, me, url);
      expect(new Set(passes.map(({ id }) => id)).size).toBe(5);
      expect(passes.every(({ outcome }) => outcome === 'right')).toBe(true);
      expect(await page.evaluate(() => Object.keys(localStorage).filter((name) => name.startsWith('aurora-pass')))).toEqual([]);
    } finally {
      await server.stop();
    }
  });
});
