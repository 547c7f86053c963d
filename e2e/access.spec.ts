import { expect, expectAccessible, openSong, test } from './pages.ts';

const PANELS = ['Why', 'Voice leading', 'Compare', 'All keys', 'Modes', 'Found in keys', 'One string', 'Build up'];
const NECK_PARTS = ['Shapes', 'Key', 'Path', 'Runs', 'Name it', 'Instrument'];
const SIZES = [
  { width: 1280, height: 800 },
  { width: 820, height: 1180 },
] as const;

/** All parts of the neck's room once, and the two that differ most on a tablet at night. */
function neckPartsOf(width: number, theme: 'paper' | 'night'): readonly string[] {
  if (themeOfPanels(width) !== theme) return [];
  return width === 1280 ? NECK_PARTS : ['Key', 'Runs'];
}

function themeOfPanels(width: number): 'paper' | 'night' {
  return width === 1280 ? 'paper' : 'night';
}

for (const viewport of SIZES) {
  for (const theme of ['paper', 'night'] as const) {
    test.describe(`${viewport.width} wide, ${theme}`, () => {
      test.use({ viewport, device: { theme, folds: { chart: { side: 'text', neck: true } } } });

      test('every screen is accessible, and none is wider than its window', async ({ page }) => {
        test.setTimeout(420_000);
        const screens = [
          async () => void (await page.goto('/')),
          async () => {
            await page.goto('/harmonize?key=F%23+harmonic+minor&reader=capo-2');
            await page.keyboard.press('t');
          },
          // panels look alike in both themes and sizes: each is checked in one pairing of each
          ...(themeOfPanels(viewport.width) === theme ? PANELS : []).map((name) => async () => {
            await page.goto('/harmonize?key=Bb');
            await page.getByRole('tablist', { name: 'What to look at' }).getByRole('tab', { name }).click();
          }),
          ...neckPartsOf(viewport.width, theme).map((name) => async () => {
            await page.goto('/neck?key=Eb&reader=capo-1');
            await page.getByRole('tab', { name }).click();
            if (name === 'Path') await page.getByRole('button', { name: /^Try/ }).click();
          }),
          async () => {
            await openSong(page, 'Harbor Wall');
            await page.locator('[data-place="8.0"]').click();
            await page.getByRole('button', { name: /^Check/ }).click();
          },
          async () => {
            await openSong(page, 'Low Tide Waltz');
            await page.locator('[data-place="3.0"]').click();
            await page.keyboard.press('Enter');
          },
          async () => {
            await page.goto('/analyze');
            await page.getByRole('textbox', { name: 'Chords' }).fill('C A7 Dm7 Fm6 G7sus4 G7 | C C#dim7 Dm7 G7');
            await page.getByRole('tab', { name: theme === 'paper' ? 'Function' : 'Patterns' }).click();
          },
          async () => void (await page.goto('/chart')),
          async () => void (await page.goto('/nowhere')),
        ];
        for (const open of screens) {
          await open();
          await expect(page.locator('html')).toHaveAttribute('data-theme', theme);
          await page.waitForTimeout(400);
          await expectAccessible(page);
          expect(await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth), page.url()).toBeLessThanOrEqual(0);
        }
      });
    });
  }
}

test('dialogs and menus are accessible and give the keyboard back', async ({ page }) => {
  await page.goto('/harmonize');
  await expect(page.getByRole('tab', { name: 'Progression' })).toBeVisible();
  for (const [key, name] of [
    ['?', 'Shortcuts'],
    ['g', 'Glossary'],
  ] as const) {
    await page.keyboard.press(key);
    await expect(page.getByRole('dialog', { name })).toBeVisible();
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
  }
  await page.keyboard.press('Control+k');
  await expect(page.getByPlaceholder('A song, a key, a reader, a room')).toBeFocused();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Reader/ }).press('Enter');
  await expect(page.getByRole('menu')).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /^Reader/ })).toBeFocused();
  await page.getByRole('button', { name: /^Key ?C/ }).press('Enter');
  await expect(page.getByRole('group', { name: 'Tonic' })).toBeVisible();
  await expectAccessible(page);
  await openSong(page, 'Harbor Wall');
  await page.getByRole('button', { name: 'More', exact: true }).press('Enter');
  await page.getByRole('menuitem', { name: 'Where to put a capo' }).press('Enter');
  await expect(page.getByRole('list', { name: 'Frets' })).toBeVisible();
  await expectAccessible(page);
});

test('buttons are big enough for a finger', async ({ page }) => {
  await page.goto('/harmonize');
  await page.waitForLoadState('networkidle');
  const sizes = await page
    .locator('main button, header button, nav a')
    .evaluateAll((all) => all.map((each) => each.getBoundingClientRect().height));
  expect(sizes.length).toBeGreaterThan(15);
  for (const height of sizes) expect(height).toBeGreaterThanOrEqual(40);
});

test('one heading says where one is, and a keyboard gets past the way to the other rooms', async ({ page }) => {
  for (const [path, name] of [
    ['/', 'Songs'],
    ['/harmonize', 'Harmonize'],
    ['/neck', 'Neck'],
    ['/band/tonight', 'Band'],
    ['/settings', 'Settings'],
  ] as const) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText(name);
  }
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'To what is in the room' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('main')).toBeFocused();
  await openSong(page, 'Harbor Wall');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Harbor Wall, Chart');
});

test('Escape gives the keyboard back to where it was', async ({ page }) => {
  await openSong(page, 'Harbor Wall');
  const bar = page.locator('[data-place="3.0"]');
  await bar.focus();
  for (const key of ['?', 'g', 'Control+k']) {
    await page.keyboard.press(key);
    await expect(page.getByRole('dialog')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toBeHidden();
    await expect(bar).toBeFocused();
  }
});

test("somebody's own few colours: what is chosen has an edge, and the neck is drawn", async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await page.goto('/harmonize?key=G');
  const chosen = page.getByRole('group', { name: 'The chords of the key' }).locator('[aria-pressed="true"]');
  await expect(chosen).toHaveCSS('outline-style', 'solid');
  const ink = await page.evaluate(() => {
    const probe = document.body.appendChild(document.createElement('i'));
    const colour = (value: string) => {
      probe.style.color = value;
      return getComputedStyle(probe).color;
    };
    const both = [colour('var(--ink)'), colour('CanvasText')];
    probe.remove();
    return both;
  });
  expect(ink[0]).toBe(ink[1]);
});
