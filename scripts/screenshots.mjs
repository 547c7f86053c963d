// @ts-check
// Takes the pictures in docs/screenshots from a fresh demo of its own.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { chromium } from '@playwright/test';
import { ensureBuilt } from './lib/build.mjs';
import { leaveCluster, removeCluster, startCluster } from './lib/cluster.mjs';
import { startDemo } from './lib/demo-server.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { untilStopped } from './lib/signals.mjs';
import { Halt, ROOT, run } from './lib/workplace.mjs';

/** @typedef {import('@playwright/test').Page} Page */
/** @typedef {{ name: string, path: string, size?: readonly [number, number], act?: (page: Page) => Promise<void> }} Picture */

const DESK = /** @type {const} */ ([1280, 800]);
const TABLET = /** @type {const} */ ([820, 1180]);
const PHONE = /** @type {const} */ ([390, 844]);

/** @param {Page} page @param {string} title @param {string} place */
async function openAt(page, title, place) {
  await page.getByRole('link', { name: title }).click();
  await page.locator(`[data-place="${place}"]`).click();
  await page.getByRole('img', { name: /ridge/ }).waitFor();
}

/** @param {Page} page @param {string} title */
async function analyzeSong(page, title) {
  await openAt(page, title, '0.0');
  await page.getByRole('link', { name: 'Analyze' }).click();
  await page.locator('[data-index="0"]').waitFor();
}

/** @type {readonly Picture[]} */
const PICTURES = [
  { name: 'songs', path: '/' },
  {
    name: 'harmonize',
    path: '/harmonize?key=Eb',
    act: async (page) => {
      await page.keyboard.press('t');
      for (let step = 0; step < 4; step += 1) await page.keyboard.press('ArrowRight');
    },
  },
  {
    name: 'band-invite',
    path: '/band/players',
    act: async (page) => {
      await page.getByRole('button', { name: /^Juno/ }).click();
      await page.getByRole('button', { name: 'New link for Juno' }).click();
      await page.getByRole('alertdialog').getByRole('button', { name: 'New link' }).click();
      await page.getByRole('region', { name: 'The link for Juno' }).waitFor();
    },
  },
  {
    name: 'first-song',
    path: '/begin',
    act: async (page) => {
      await page.getByLabel('Title').fill('Lantern on the Pier');
      await page.getByLabel('Tonic').selectOption({ label: 'E' });
      await page.getByRole('radio', { name: 'minor' }).click();
      await page.getByRole('button', { name: 'More chords' }).click();
      for (const name of ['1 minor', 'flat 7', 'flat 6', '5 7']) await page.getByRole('button', { name: `${name}, play it` }).click();
    },
  },
  {
    name: 'neck-shapes',
    path: '/neck?key=C',
    act: async (page) => {
      await page.getByLabel('Any other chord').fill('F');
      await page.getByRole('button', { name: /^Barre/ }).click();
      await page.getByRole('radio', { name: 'Fingers' }).click();
      await page.getByRole('button', { name: /^frets 1, 3, 3, 2, 1, 1,/ }).click();
      await page.getByText('leaves out').first().or(page.getByText('adds').first()).waitFor();
    },
  },
  {
    name: 'neck-key',
    path: '/neck?key=G',
    act: async (page) => {
      await page.getByRole('tab', { name: 'Key' }).click();
      await page.getByRole('radio', { name: 'Fingers' }).click();
      await page.getByRole('radio', { name: 'Sevenths' }).click();
      await page.getByRole('button', { name: /^Em7/ }).click();
    },
  },
  {
    name: 'analyze',
    path: '/',
    act: async (page) => {
      await analyzeSong(page, 'Glasswater Orchard');
      await page.locator('[data-index="9"]').click();
    },
  },
  {
    name: 'analyze-scales',
    path: '/',
    size: TABLET,
    act: async (page) => {
      await analyzeSong(page, 'The Tin Roof Turnaround');
      await page.locator('[data-index="5"]').click();
      await page.keyboard.press('Alt+2');
      await page.getByRole('list', { name: 'Scales' }).getByRole('button').first().click();
    },
  },
  {
    name: 'score',
    path: '/analyze/score',
    act: async (page) => {
      await page.getByRole('link', { name: /Study at the Lantern Window/ }).click();
      await page.locator('.engraved svg g.note').first().waitFor();
      await page.locator('[data-column="2"]').first().click();
      await page.getByRole('main').evaluate((main) => main.scrollTo(0, 0));
    },
  },
  { name: 'chart', path: '/', act: (page) => openAt(page, 'Harbor Wall', '8.0') },
  { name: 'phone', path: '/', size: PHONE, act: (page) => openAt(page, 'Emberwick Street', '2.0') },
  {
    name: 'stand',
    path: '/band/stand',
    act: async (page) => {
      // a hand near brings the controls back
      await page.mouse.move(300, 300);
      await page.getByRole('button', { name: 'The next song' }).click();
      await page.waitForTimeout(3800);
    },
  },
  {
    name: 'band-tonight',
    path: '/band',
    act: (page) => page.locator('[data-entry]').nth(2).click(),
  },
  {
    name: 'band-singer',
    path: '/band/singer',
    act: (page) => page.getByText('on the guitars').first().waitFor(),
  },
  {
    name: 'band-players',
    path: '/band/players',
    act: (page) => page.getByRole('button', { name: /^Juno/ }).click(),
  },
  {
    name: 'practice-plan',
    path: '/practice',
    act: (page) => page.getByRole('list', { name: 'The plan' }).waitFor(),
  },
  {
    name: 'practice-session',
    path: '/practice/studies',
    act: async (page) => {
      await page.getByRole('radio', { name: 'Runs', exact: true }).click();
      await page.getByLabel('Tonic').selectOption({ label: 'E♭' });
      await page.getByRole('button', { name: /^Scale over each chord/ }).click();
      await page.getByRole('button', { name: 'Finish' }).waitFor();
    },
  },
  {
    name: 'practice-log',
    path: '/practice/log',
    act: (page) => page.getByRole('heading', { name: 'Minutes a week' }).waitFor(),
  },
  {
    name: 'chart-night-capo',
    path: '/?reader=capo-3',
    act: async (page) => {
      // before a bar is chosen, on which the letter would be written
      await page.keyboard.press('d');
      await openAt(page, 'Half a Moon over Corriewick', '5.0');
      await page.keyboard.press('n');
    },
  },
];

const stopped = untilStopped();

await run(async () => {
  ensurePackages({ chromium: true });
  const build = await ensureBuilt();
  const folder = mkdtempSync(`${tmpdir()}/aurora-pictures-`);
  const url = await startCluster(folder, { fast: true });
  const { server } = await startDemo(build, url, folder);
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  try {
    const asked = process.argv.slice(2);
    for (const picture of PICTURES.filter(({ name }) => asked.length === 0 || asked.includes(name))) {
      const first = await Promise.race([take(browser, server.url, picture), stopped]);
      if (first !== undefined) throw new Halt('Stopped.');
    }
  } finally {
    await browser.close();
    await server.stop();
    await leaveCluster(folder);
    removeCluster(folder);
    rmSync(folder, { recursive: true, force: true });
  }
});

/**
 * @param {import('@playwright/test').Browser} browser
 * @param {string} url
 * @param {Picture} picture
 */
async function take(browser, url, { name, path, size = DESK, act }) {
  const page = await browser.newPage({ viewport: { width: size[0], height: size[1] }, reducedMotion: 'reduce' });
  await page.goto(url + path);
  await page.waitForLoadState('networkidle');
  await act?.(page);
  await page.waitForTimeout(300);
  await page.screenshot({ path: `${ROOT}/docs/screenshots/${name}.png` });
  await page.close();
  console.log(`docs/screenshots/${name}.png`);
}
