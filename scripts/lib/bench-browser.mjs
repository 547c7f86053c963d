// @ts-check
import { chromium } from '@playwright/test';

const BARS = 200;
const ROUNDS = 12;

/** Runs in the page. The frame is drawn first; what is waiting behind it runs once it is painted. */
const MEASURE = `(async () => {
  const measured = [];
  for (let round = 0; round < ${ROUNDS}; round += 1) {
    await new Promise((resolve) => setTimeout(resolve, 250));
    const start = performance.now();
    window.dispatchEvent(new KeyboardEvent('keydown', { key: round % 2 === 0 ? ']' : '[', bubbles: true }));
    await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
    measured.push(performance.now() - start);
  }
  return measured;
})()`;

/**
 * @param {string} url
 * @param {object} [body]
 * @returns {Promise<any>}
 */
async function sent(url, body) {
  const request = body === undefined ? {} : { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) };
  return (await fetch(url, request)).json();
}

/**
 * How long after a key press a long sheet is painted in the next key, in a real browser: the median
 * of several presses, in milliseconds.
 * @param {string} url
 * @returns {Promise<number>}
 */
export async function keyChangeMs(url) {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
  try {
    const { bands } = await sent(`${url}/api/v1/bands`);
    const source = `title: Bench\nkey: C\n\n${'1 4 6-7 57\n'.repeat(BARS / 4)}`;
    const song = await sent(`${url}/api/v1/bands/${bands[0].id}/songs`, { source });
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' });
    await page.goto(`${url}/songs/${song.id}/chart`);
    await page.locator(`[data-bar="${BARS - 1}"]`).waitFor();
    await page.waitForTimeout(1500);
    const times = /** @type {number[]} */ (await page.evaluate(MEASURE));
    return times.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)] ?? 0;
  } finally {
    await browser.close();
  }
}
