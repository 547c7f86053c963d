import AxeBuilder from '@axe-core/playwright';
import { type BrowserContext, test as base, expect, type Page } from '@playwright/test';

/** What a device remembers before a test begins; null for a device that was never used. */
export interface Device {
  readonly theme?: 'paper' | 'night';
  readonly folds?: Readonly<Record<string, { readonly side: 'why' | 'text' | null; readonly neck: boolean }>>;
}

const DESK = { width: 1280, height: 800 };
const { BASE_URL } = process.env;

/** Everything in sight: the neck up, and beside a chart its text. */
export const ALL_IN_SIGHT: Device = {
  folds: { chart: { side: 'text', neck: true }, harmonize: { side: 'why', neck: true }, analyze: { side: 'why', neck: true } },
};

interface Fixtures {
  quiet: undefined;
  device: Device | null;
}

interface WorkerFixtures {
  /** One browser profile for many tests: what the application is made of is fetched and compiled once. */
  profile: BrowserContext;
}

/** A page that fails its test when the browser reports an error nobody expected, on a device that has everything in sight. */
export const test = base.extend<Fixtures, WorkerFixtures>({
  device: [ALL_IN_SIGHT, { option: true }],
  profile: [
    async ({ browser }, use) => {
      const profile = await browser.newContext({
        viewport: DESK,
        serviceWorkers: 'block',
        ...(BASE_URL === undefined ? {} : { baseURL: BASE_URL }),
      });
      await use(profile);
      await profile.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ context, hasTouch, serviceWorkers, profile }, use) => {
    if (hasTouch === true || serviceWorkers === 'allow') return use(context);
    await forget(profile);
    return use(profile);
  },
  page: async ({ context, viewport, device }, use) => {
    const page = await context.newPage();
    if (viewport !== null) await page.setViewportSize(viewport);
    if (device !== null) await remember(page, device);
    await use(page);
    await page.close();
  },
  quiet: [
    async ({ page }, use) => {
      const errors: string[] = [];
      page.on('pageerror', (error) => errors.push(error.message));
      page.on('console', (message) => {
        // an error answer of the server is a console line of the browser's own
        if (message.type() === 'error' && !message.text().startsWith('Failed to load resource')) errors.push(message.text());
      });
      await use(undefined);
      expect(errors).toEqual([]);
    },
    { auto: true },
  ],
});

/** Makes a profile as good as new, but for the files of the application. */
async function forget(profile: BrowserContext): Promise<void> {
  await Promise.all(profile.pages().map((page) => page.close()));
  await profile.unrouteAll({ behavior: 'ignoreErrors' });
  await profile.clearPermissions();
  await profile.setOffline(false);
  await profile.clearCookies();
  if (BASE_URL === undefined) return;
  const page = await profile.newPage();
  const devtools = await profile.newCDPSession(page);
  await devtools.send('Storage.clearDataForOrigin', {
    origin: BASE_URL,
    storageTypes: 'local_storage,indexeddb,cache_storage,service_workers',
  });
  await page.close();
}

export { expect };

/** Gives a browser, or one page of it, something to remember, unless it remembers already. */
export async function remember(browser: BrowserContext | Page, device: Device): Promise<void> {
  await browser.addInitScript((state) => {
    if (localStorage.getItem('aurora-device') === null) localStorage.setItem('aurora-device', JSON.stringify({ state, version: 0 }));
  }, device);
}

/** Goes where a link would lead: once the application is there, without loading it anew. */
export async function visit(page: Page, path: string): Promise<void> {
  if (page.url() === 'about:blank') await page.goto(path);
  else
    await page.evaluate((to) => {
      history.pushState(null, '', to);
      dispatchEvent(new PopStateEvent('popstate'));
    }, path);
}

/** Waits until the page is as it will be: faces there, nothing moving, and drawn the same for a while. */
export async function settled(page: Page): Promise<void> {
  await page.waitForFunction(async () => {
    await document.fonts.ready;
    const isMoving = () =>
      document
        .getAnimations()
        .some((one) => one.playState === 'running' && one.effect?.getComputedTiming().iterations !== Number.POSITIVE_INFINITY);
    if (isMoving()) return false;
    const before = document.body.innerHTML;
    await new Promise((resolve) => setTimeout(resolve, 120));
    return !isMoving() && document.body.innerHTML === before;
  });
}

/** Starts to write a new song from the shelf that is open. */
export async function writeNewSong(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'New song' }).click();
  await page.getByRole('menuitem', { name: /^Write it/ }).click();
}

/** Starts a new song from the shelf and waits for its text. */
export async function newSong(page: Page): Promise<void> {
  await page.goto('/');
  await writeNewSong(page);
  await expect(page.getByLabel('Chart text')).toBeVisible();
}

/** Opens a demo song by its title. */
export async function openSong(page: Page, title: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('link', { name: title }).click();
  await expect(page.getByLabel('Chart text')).toBeVisible();
}

/** Turns from a chart's text to why its chosen chord works. */
export async function showWhy(page: Page): Promise<void> {
  await page.getByRole('tab', { name: 'Why' }).click();
}

/** Puts a text in place of everything in the editor. */
export async function writeChart(page: Page, text: string): Promise<void> {
  await page.getByLabel('Chart text').click();
  await page.keyboard.press('Control+a');
  await page.keyboard.insertText(text);
}

/** Pastes a text into the editor at once, as from the clipboard. */
export async function paste(page: Page, text: string): Promise<void> {
  await page.getByLabel('Chart text').click();
  await page.keyboard.press('Control+a');
  await page.getByLabel('Chart text').evaluate((editor, pasted) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', pasted);
    editor.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
  }, text);
}

/** The letters under the numbers, in order. */
export function letters(page: Page): Promise<string[]> {
  return labels(page, (label) => label.split(', ')[1] ?? '');
}

/** The numbers of the sheet, in order. */
export function numbers(page: Page): Promise<string[]> {
  return labels(page, (label) => label.split(', ')[0]?.replace(/^Bar \d+: /, '') ?? '');
}

async function labels(page: Page, part: (label: string) => string): Promise<string[]> {
  const chords = await page.locator('[data-place]').all();
  return Promise.all(
    chords.map(async (chord) =>
      part(await chord.evaluate((element) => element.getAttribute('aria-label') ?? element.querySelector('.sr-only')?.textContent ?? '')),
    ),
  );
}

export async function expectSaved(page: Page): Promise<void> {
  await expect(page.getByTestId('save-state')).toHaveAttribute('data-status', 'saved');
}

/** No violation of WCAG A and AA or of best practice that axe can find. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    // there are no frames; looked at in the page itself, and only what is wrong is told, it takes a quarter of the time
    .setLegacyMode(true)
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    // what is seen on a button is what it is called by
    .options({ resultTypes: ['violations'], rules: { 'label-content-name-mismatch': { enabled: true } } })
    .analyze();
  const found = violations.flatMap(({ id, nodes }) =>
    nodes
      // an open menu belongs to its button, wherever it is drawn
      .filter(({ html }) => id !== 'region' || !html.includes('data-radix-popper'))
      .map(({ html }) => `${id}: ${html.slice(0, 300)}`),
  );
  expect(found).toEqual([]);
}
