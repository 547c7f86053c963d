// @ts-check
import { chromium } from '@playwright/test';

const SLOWER = 4;
const SETTLED_MS = 5000;

/** A room as a phone opens it cold. @typedef {{ room: string, lcp: number, cls: number, blocked: number, requests: number, kilobytes: number }} Vitals */

/** Runs in the page before anything else: what was painted last and largest, what moved, what held the page up. */
const WATCH = `(() => {
  const seen = (window.__vitals = { lcp: 0, cls: 0, blocked: 0 });
  const watch = (type, take) => new PerformanceObserver((list) => list.getEntries().forEach(take)).observe({ type, buffered: true });
  watch('largest-contentful-paint', (entry) => (seen.lcp = entry.startTime));
  watch('layout-shift', (entry) => entry.hadRecentInput || (seen.cls += entry.value));
  watch('longtask', (entry) => (seen.blocked += Math.max(0, entry.duration - 50)));
})()`;

/** @param {string} url @returns {Promise<any>} */
const answer = async (url) => (await fetch(url)).json();

/**
 * Every room, opened cold on a phone whose processor is four times slower than this one.
 * @param {string} url
 * @returns {Promise<readonly Vitals[]>}
 */
export async function roomVitals(url) {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
  try {
    const { bands } = await answer(`${url}/api/v1/bands`);
    const { songs } = await answer(`${url}/api/v1/bands/${bands[0].id}/songs`);
    const song = `/songs/${songs.find((/** @type {{ title: string }} */ { title }) => title === 'Harbor Wall')?.id}`;
    const rooms = ['/', '/harmonize', `${song}/analyze`, `${song}/chart`, '/neck', '/band/tonight', '/settings', `${song}/stand`];
    /** @type {Vitals[]} */
    const vitals = [];
    for (const room of rooms) vitals.push(await vitalsOf(browser, url, room));
    return vitals;
  } finally {
    await browser.close();
  }
}

/**
 * @param {import('@playwright/test').Browser} browser
 * @param {string} url
 * @param {string} room
 * @returns {Promise<Vitals>}
 */
async function vitalsOf(browser, url, room) {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    isMobile: true,
    hasTouch: true,
    serviceWorkers: 'block',
  });
  try {
    const page = await context.newPage();
    const devtools = await context.newCDPSession(page);
    let [requests, bytes] = [0, 0];
    devtools.on('Network.requestWillBeSent', ({ request }) => {
      if (!request.url.startsWith('data:')) requests += 1;
    });
    devtools.on('Network.loadingFinished', ({ encodedDataLength }) => {
      bytes += encodedDataLength;
    });
    await devtools.send('Network.enable');
    await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
    await page.addInitScript(WATCH);
    await page.goto(`${url}${room}`);
    await page.waitForTimeout(SETTLED_MS);
    const { lcp, cls, blocked } = /** @type {{ lcp: number, cls: number, blocked: number }} */ (await page.evaluate('window.__vitals'));
    return { room: room.replace(/^\/songs\/[^/]+/, ''), lcp, cls, blocked, requests, kilobytes: bytes / 1024 };
  } finally {
    await context.close();
  }
}
