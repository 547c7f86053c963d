import type { Page } from '@playwright/test';
import { expect, expectAccessible, settled, test, visit } from './pages.ts';

/** Where the work is done: a desk, a large one, a tablet, a phone upright and lying, and a desk magnified four times. */
const SIZES = {
  desk: { width: 1280, height: 800 },
  'large desk': { width: 1920, height: 1080 },
  tablet: { width: 820, height: 1180 },
  phone: { width: 390, height: 844 },
  'lying phone': { width: 844, height: 390 },
  'small phone': { width: 360, height: 640 },
  'four times': { width: 320, height: 200 },
} as const;
type SizeName = keyof typeof SIZES;
const isNarrow = (name: SizeName) => name !== 'desk' && name !== 'large desk' && name !== 'tablet';

/** A device that was never used: nothing folded by hand, every hint unread. */
test.use({ device: null });

/** How many of these are whole inside the window and covered by nothing. */
async function wholeInSight(page: Page, selector: string): Promise<number> {
  return page.locator(selector).evaluateAll(
    (all) =>
      all.filter((element) => {
        const box = element.getBoundingClientRect();
        if (box.width === 0 || box.top < 0 || box.left < -1 || box.bottom > window.innerHeight + 1 || box.right > window.innerWidth + 1)
          return false;
        const corners = [
          [box.left + 3, box.top + 3],
          [box.right - 3, box.bottom - 3],
        ] as const;
        return corners.every(([x, y]) => {
          const top = document.elementFromPoint(x, y);
          return top !== null && (element.contains(top) || top.contains(element));
        });
      }).length,
  );
}

/** Symbols that do not fit: cut by themselves, or reaching out of the bar or card they stand in. */
async function clippedSymbols(page: Page): Promise<readonly string[]> {
  return page.locator('[data-symbol]').evaluateAll((all) =>
    all.flatMap((symbol) => {
      const box = symbol.getBoundingClientRect();
      if (box.width === 0) return [];
      const around = symbol.closest('[data-bar], [data-stand-bar], button, td, li')?.getBoundingClientRect();
      const isOut = around !== undefined && (box.right > around.right + 1.5 || box.left < around.left - 1.5);
      return symbol.scrollWidth > symbol.clientWidth + 1 && symbol.clientWidth > 0 && getComputedStyle(symbol).display !== 'inline'
        ? [`cut: ${symbol.textContent}`]
        : isOut
          ? [`out: ${symbol.textContent}`]
          : [];
    }),
  );
}

/** What scrolls up and down and has something to scroll, with its height. */
async function scrollers(page: Page): Promise<readonly { readonly name: string; readonly height: number }[]> {
  return page.evaluate(() => {
    const found = [...document.querySelectorAll<HTMLElement>('body *')].filter((element) => {
      const { overflowY, visibility } = getComputedStyle(element);
      return (
        /auto|scroll/.test(overflowY) &&
        visibility !== 'hidden' &&
        element.clientHeight > 0 &&
        element.scrollHeight > element.clientHeight + 1
      );
    });
    const page = document.scrollingElement as HTMLElement;
    const own = page.scrollHeight > page.clientHeight + 1 ? [{ name: 'page', height: page.clientHeight }] : [];
    return [...own, ...found.map((element) => ({ name: element.tagName.toLowerCase(), height: element.clientHeight }))];
  });
}

async function openChart(page: Page, title: string): Promise<void> {
  await visit(page, '/');
  await page.getByRole('link', { name: title }).click();
  await expect(page.locator('[data-place="0.0"]')).toBeVisible();
  await expect(page.getByRole('img', { name: /ridge/ })).toBeVisible();
  await settled(page);
}

/** In what room, with what in sight. */
const ROOMS: readonly (readonly [name: string, open: (page: Page) => Promise<void>])[] = [
  ['the shelf', async (page) => void (await visit(page, '/'))],
  ['harmonize', async (page) => void (await visit(page, '/harmonize?key=Gb'))],
  ['chart', (page) => openChart(page, 'Half a Moon over Corriewick')],
  [
    'analyze',
    async (page) => {
      await openChart(page, 'Glasswater Orchard');
      await page.getByRole('link', { name: 'Analyze' }).click();
      await expect(page.locator('[data-index="0"]')).toBeVisible();
    },
  ],
  [
    'neck',
    async (page) => {
      await visit(page, '/neck?key=Eb');
      await expect(page.getByTestId('shape')).toBeVisible();
    },
  ],
  [
    'band',
    async (page) => {
      await visit(page, '/band');
      await expect(page.getByRole('list', { name: 'Order of the set' })).toBeVisible();
    },
  ],
  [
    'practice',
    async (page) => {
      await visit(page, '/practice');
      await expect(page.getByRole('list', { name: 'The plan' })).toBeVisible();
    },
  ],
  ['settings', async (page) => void (await visit(page, '/settings'))],
  ['the first song', async (page) => void (await visit(page, '/begin'))],
];

for (const name of Object.keys(SIZES) as SizeName[]) {
  test.describe(name, () => {
    test.use({ viewport: SIZES[name] });

    test('no room is wider than its window, no chord symbol is cut, and one thing scrolls', async ({ page }) => {
      test.setTimeout(180_000);
      for (const [room, open] of ROOMS) {
        await open(page);
        await settled(page);
        expect(
          await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
          `${room} is as wide as the window`,
        ).toBeLessThanOrEqual(0);
        expect(await clippedSymbols(page), `${room} shows every symbol whole`).toEqual([]);
        const scrolling = await scrollers(page);
        if (isNarrow(name)) {
          expect(scrolling.length, `${room} has one scroller: ${JSON.stringify(scrolling)}`).toBeLessThanOrEqual(1);
          for (const { height } of scrolling) expect(height, `${room} has room to scroll in`).toBeGreaterThan(0.6 * SIZES[name].height);
        }
      }
    });

    test('the work comes first', async ({ page }) => {
      test.setTimeout(90_000);
      await openChart(page, 'Harbor Wall');
      if (name === 'desk' || name === 'large desk' || name === 'tablet') {
        expect(await wholeInSight(page, '[data-row]'), 'lines of bars on a desk').toBeGreaterThanOrEqual(6);
      } else if (name !== 'four times') {
        expect(await wholeInSight(page, '[data-bar]'), 'bars on a phone').toBeGreaterThanOrEqual(8);
      }
      await page.goto('/harmonize?key=Bb');
      await expect(page.getByRole('group', { name: 'The chords of the key' }).locator('[data-chord]')).toHaveCount(7);
      if (!isNarrow(name) || name === 'phone')
        expect(await wholeInSight(page, '[aria-label="The chords of the key"] [data-chord]'), 'chord cards').toBe(7);
    });
  });
}

test('on a desk six lines hold with a bar chosen, in every song that has as many', async ({ page }) => {
  test.setTimeout(120_000);
  await page.setViewportSize(SIZES.desk);
  for (const title of ['Glasswater Orchard', 'Harbor Wall', 'Copper Line Shuffle', 'Emberwick Street']) {
    await openChart(page, title);
    const lines = await page.locator('[data-row]').count();
    await page.locator('[data-place="0.0"]').click();
    await expect(page.getByRole('toolbar')).toBeVisible();
    expect(await wholeInSight(page, '[data-row]'), title).toBeGreaterThanOrEqual(Math.min(6, lines));
  }
});

test('on a desk Analyze keeps the ridge and three lines over an open drawer', async ({ page }) => {
  await page.setViewportSize(SIZES.desk);
  await openChart(page, 'Glasswater Orchard');
  await page.getByRole('link', { name: 'Analyze' }).click();
  await expect(page.locator('[data-index="0"]')).toBeVisible();
  for (const part of ['Function', 'Scales', 'What if', 'Patterns']) {
    await page.getByRole('tab', { name: part, exact: true }).click();
    await settled(page);
    expect(await wholeInSight(page, '[data-index]'), part).toBeGreaterThanOrEqual(12);
    expect(await wholeInSight(page, 'figure'), part).toBe(1);
  }
});

test('on a desk every part of Harmonize is seen without scrolling, the seven cards over it', async ({ page }) => {
  test.setTimeout(90_000);
  await page.setViewportSize(SIZES.desk);
  await page.goto('/harmonize?key=Bb');
  const parts = page.getByRole('tablist', { name: 'What to look at' }).getByRole('tab');
  for (const part of ['Progression', 'Voice leading', 'All keys', 'Found in keys', 'One string', 'Build up']) {
    await parts.filter({ hasText: part }).click();
    await settled(page);
    expect(await wholeInSight(page, '[aria-label="The chords of the key"] [data-chord]'), part).toBe(7);
    expect(await page.locator('main').evaluate((main) => main.scrollHeight - main.clientHeight), part).toBeLessThanOrEqual(0);
  }
});

test('pressing twice where the key goes up moves it two half steps, and twice down brings it home', async ({ page }) => {
  await page.setViewportSize(SIZES.desk);
  await openChart(page, 'Harbor Wall');
  const inForce = page.getByTestId('key-in-force');
  await expect(inForce).toHaveText('D');
  for (const [button, after] of [
    ['Key up a half step', ['E♭', 'E']],
    ['Key down a half step', ['E♭', 'D', 'D♭']],
  ] as const) {
    const box = await page.getByRole('button', { name: button }).boundingBox();
    if (box === null) throw new Error('no such button');
    for (const key of after) {
      // at the very same place, whatever has changed under it
      await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
      await expect(inForce).toHaveText(key);
    }
  }
});

test('on a phone a bar is written with the thumb: the half sheet rises, the pad writes, a swipe lets it go', { tag: '@quick' }, async ({
  page,
}) => {
  await page.setViewportSize(SIZES.phone);
  await openChart(page, 'Emberwick Street');
  await page.locator('[data-place="0.0"]').click();
  const hand = page.getByRole('region', { name: 'The chosen chord' });
  await expect(hand).toBeVisible();
  const pad = page.getByRole('group', { name: 'Write with one press' });
  await expect(pad).toBeVisible();
  await pad.getByRole('button', { name: 'degree 6' }).click();
  await pad.getByRole('button', { name: 'minor', exact: true }).click();
  await pad.getByRole('button', { name: 'done' }).click();
  await expect(page.locator('[data-place="0.0"]')).toHaveAccessibleName(/^Bar 1: 6 minor/);
  await hand.getByRole('toolbar').getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-place="0.0"]')).toHaveAccessibleName(/^Bar 1: 1,/);
  await hand.getByRole('tab', { name: 'Neck' }).click();
  await expect(hand.getByRole('group', { name: /neck$/ })).toBeVisible();
  await expectAccessible(page);
  const edge = await hand.boundingBox();
  if (edge === null) throw new Error('no half sheet');
  await page.mouse.move(edge.x + 300, edge.y + 10);
  await page.mouse.down();
  await page.mouse.move(edge.x + 300, edge.y + 140, { steps: 6 });
  await page.mouse.up();
  await expect(hand).toBeHidden();
});

for (const size of ['desk', 'phone'] as const)
  test(`the first song, on a ${size}: in minor, with a borrowed chord, named, heard, saved`, { tag: '@quick' }, async ({ page }) => {
    await page.setViewportSize(SIZES[size]);
    await page.goto('/begin');
    await expect(page.getByRole('heading', { name: 'What did you just play?' })).toBeVisible();
    // nothing moves what is pressed here: its key is its own
    await expect(page.getByRole('button', { name: 'Key up a half step' })).toHaveCount(0);
    await page.getByLabel('Title').fill('Rope Walk');
    await page.getByLabel('Tonic').selectOption({ label: 'E' });
    await page.getByRole('radio', { name: 'minor' }).click();
    for (const name of ['1 minor', 'flat 7', 'flat 6']) await page.getByRole('button', { name: `${name}, play it` }).click();
    await page.getByRole('button', { name: 'More chords' }).click();
    await page.getByRole('button', { name: '5 7, play it' }).click();
    await expect(page.getByRole('region', { name: 'What you played' })).toContainText('B7');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Save' }).click();
    await page.getByRole('link', { name: 'Keep writing' }).click();
    await expect(page.locator('[data-place="3.0"]')).toBeVisible();
    await expect(page.getByTestId('key-in-force')).toHaveText('Em');
    await expect(page.getByRole('heading', { name: 'Rope Walk' })).toBeVisible();
  });

test('parts of a room open with Alt and their digit, and the digits show while Alt is held', async ({ page }) => {
  await page.setViewportSize(SIZES.desk);
  await page.goto('/harmonize?key=C');
  const tabs = page.getByRole('tablist', { name: 'What to look at' });
  await expect(tabs.getByRole('tab').first()).toBeVisible();
  await expect(tabs.locator('kbd')).toHaveCount(0);
  await page.keyboard.down('Alt');
  await expect(tabs.locator('kbd').first()).toHaveText('1');
  await page.keyboard.press('4');
  await page.keyboard.up('Alt');
  await expect(tabs.locator('kbd')).toHaveCount(0);
  await expect(tabs.getByRole('tab', { name: 'Compare' })).toHaveAttribute('aria-selected', 'true');
  // alone they are degrees
  await page.keyboard.press('5');
  await expect(page.getByRole('group', { name: 'The chords of the key' }).locator('[aria-pressed="true"]')).toHaveAccessibleName(/^5,/);
});
