import type { Page } from '@playwright/test';
import { expect, expectAccessible, openSong, settled, test, visit } from './pages.ts';

const PANELS = ['Why', 'Voice leading', 'Compare', 'All keys', 'Modes', 'Found in keys', 'One string', 'Build up'];
const NECK_PARTS = ['Shapes', 'Key', 'Path', 'Runs', 'Name it', 'Instrument'];
const SIZES = [
  { width: 1280, height: 800 },
  { width: 820, height: 1180 },
] as const;

type Opens = (page: Page) => Promise<unknown>;

const panel =
  (name: string): Opens =>
  async (page) => {
    await visit(page, '/harmonize?key=Bb');
    await page.getByRole('tablist', { name: 'What to look at' }).getByRole('tab', { name }).click();
  };

const neckPart =
  (name: string): Opens =>
  async (page) => {
    await visit(page, '/neck?key=Eb&reader=capo-1');
    await page.getByRole('tab', { name }).click();
    if (name === 'Path') await page.getByRole('button', { name: /^Try/ }).click();
  };

/** Screens that are looked at in both themes at both sizes, in groups that one page walks through. */
const EVERYWHERE: Readonly<Record<string, readonly Opens[]>> = {
  'shelf, keys and what is not there': [
    (page) => visit(page, '/'),
    async (page) => {
      await visit(page, '/harmonize?key=F%23+harmonic+minor&reader=capo-2');
      await expect(page.locator('[data-chord]').first()).toBeVisible();
      await page.keyboard.press('t');
    },
    (page) => visit(page, '/chart'),
    (page) => visit(page, '/nowhere'),
  ],
  'a chart and an analysis': [
    async (page) => {
      await openSong(page, 'Harbor Wall');
      await page.locator('[data-place="8.0"]').click();
      await page.getByRole('button', { name: 'More' }).click();
      await page.getByRole('menuitem', { name: /heck/ }).click();
    },
    async (page) => {
      await openSong(page, 'Low Tide Waltz');
      await page.locator('[data-place="3.0"]').click();
      await page.keyboard.press('Enter');
    },
    async (page) => {
      await visit(page, '/analyze');
      await page.getByRole('textbox', { name: 'Chords' }).fill('C A7 Dm7 Fm6 G7sus4 G7 | C C#dim7 Dm7 G7');
      await page.getByRole('tab', { name: 'Function' }).click();
    },
    async (page) => void (await page.getByRole('tab', { name: 'Patterns' }).click()),
  ],
};

/** Panels look alike in both themes and sizes: each is looked at in one pairing of them. */
const ONCE = {
  paper: {
    'panels of a key, one half': PANELS.slice(0, 4).map(panel),
    'panels of a key, the other half': PANELS.slice(4).map(panel),
    'parts of the neck, one half': NECK_PARTS.slice(0, 3).map(neckPart),
    'parts of the neck, the other half': NECK_PARTS.slice(3).map(neckPart),
  },
  night: {
    'panels of a key, one half': PANELS.slice(0, 4).map(panel),
    'panels of a key, the other half': PANELS.slice(4).map(panel),
    'parts of the neck that differ most': ['Key', 'Runs'].map(neckPart),
  },
} as const;

for (const viewport of SIZES) {
  for (const theme of ['paper', 'night'] as const) {
    test.describe(`${viewport.width} wide, ${theme}`, () => {
      test.use({ viewport, device: { theme, folds: { chart: { side: 'text', neck: true } } } });
      const groups: Readonly<Record<string, readonly Opens[]>> = {
        ...EVERYWHERE,
        ...((viewport.width === 1280) === (theme === 'paper') ? ONCE[theme] : {}),
      };

      for (const [name, screens] of Object.entries(groups))
        test(`${name}: accessible, and none wider than its window`, async ({ page }) => {
          for (const open of screens) {
            await open(page);
            await expect(page.locator('html')).toHaveAttribute('data-theme', theme);
            await settled(page);
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

test('what is laid over a chart is accessible', async ({ page }) => {
  await openSong(page, 'Harbor Wall');
  await page.locator('[data-place="0.0"]').click();
  await page.getByRole('button', { name: 'Paste chords from anywhere' }).click();
  await page.getByRole('dialog').getByRole('textbox').fill('Verse 1\nG        Em\nSalt on the window\n| C D | G |');
  await expect(page.getByRole('list', { name: 'What it becomes' })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: 'Versions' }).click();
  await expect(page.getByRole('dialog', { name: 'Versions' }).getByRole('list', { name: 'Saves' })).toBeVisible();
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

/** Every room and part that stands by itself. */
const ROOMS = [
  ...['/', '/begin', '/harmonize', '/analyze', '/neck', '/practice', '/settings', '/you'],
  ...['tonight', 'players', 'singer', 'guitars', 'files'].map((part) => `/band/${part}`),
];
const CHART_ROOMS = ['chart', 'analyze', 'neck', 'stand'];

for (const viewport of [SIZES[0], { width: 390, height: 844 }])
  test.describe(`${viewport.width} wide`, () => {
    test.use({ viewport });

    test('every view has one solid action at most, and what is chosen is never solid', async ({ page }) => {
      const wrong: string[] = [];
      const look = async (path: string) => {
        await page.goto(path);
        await expect(page.locator('main')).not.toContainText(/^Opening|Fetching/);
        await settled(page);
        const { actions, chosen } = await solid(page);
        if (actions.length > 1) wrong.push(`${path} has ${actions.join(', ')}`);
        if (chosen.length > 0) wrong.push(`${path} draws as actions ${chosen.join(', ')}`);
      };
      for (const path of ROOMS) await look(path);
      await page.goto('/');
      await page.getByRole('link', { name: 'Harbor Wall' }).click();
      await expect(page).toHaveURL(/\/chart$/);
      const song = new URL(page.url()).pathname.replace(/\/chart$/, '');
      for (const room of CHART_ROOMS) await look(`${song}/${room}`);
      expect(wrong).toEqual([]);
    });
  });

/** What is drawn in the full colour of an action just now, by its words: things to press, and things that say what is chosen. */
function solid(page: Page): Promise<{ readonly actions: readonly string[]; readonly chosen: readonly string[] }> {
  return page.evaluate(() => {
    const probe = document.createElement('span');
    probe.style.backgroundColor = 'var(--accent)';
    document.body.append(probe);
    const accent = getComputedStyle(probe).backgroundColor;
    probe.remove();
    const pressed = [...document.querySelectorAll<HTMLElement>('button:not([role="checkbox"]), a, [role="tab"], [role="radio"], label')];
    // the way past the other rooms is drawn only where a keyboard comes to it
    const isSeen = (one: HTMLElement) => one.checkVisibility() && getComputedStyle(one).clipPath === 'none';
    const filled = pressed.filter((one) => getComputedStyle(one).backgroundColor === accent && isSeen(one));
    const says = (one: HTMLElement) => one.textContent?.trim() || one.getAttribute('aria-label') || '';
    const isChosen = (one: HTMLElement) =>
      ['aria-pressed', 'aria-checked', 'aria-selected', 'aria-current'].some((name) => one.hasAttribute(name));
    return { actions: filled.filter((one) => !isChosen(one)).map(says), chosen: filled.filter(isChosen).map(says) };
  });
}
