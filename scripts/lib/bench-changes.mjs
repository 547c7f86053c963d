// @ts-check
// How soon two browsers on one song see each other's changes, through two servers; what silence and many browsers cost.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { chromium } from '@playwright/test';
import { runHouse } from './run-house.mjs';

const ROUNDS = 20;
const BROWSERS = 200;
const SILENCE_MS = 60_000;
const PAGE_BYTES = 4096;
/** The second server has the next one; whoever is killed comes back where it was. */
const PORT = '43817';
/** A server that is not back by then does not come. */
const LONGEST_MS = 60_000;

/**
 * @param {import('./build.mjs').Build} build
 * @param {string} ownerUrl
 */
export async function changeFigures(build, ownerUrl) {
  const folder = mkdtempSync(`${tmpdir()}/aurora-changes-`);
  const settings = {
    PORT,
    HOST: '127.0.0.1',
    LOG_LEVEL: 'warn',
    DEMO: '1',
    MAILBOX: '1',
    DEVICE_LIMIT: '1000000',
    BAND_LIMIT: '1000000',
  };
  const house = await runHouse({ build, folder, ownerUrl, settings, ownsDatabase: false, servers: 2, workers: 1 });
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });
  try {
    const [one = '', two = ''] = house.urls;
    const song = await songOn(one);
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
    await page.goto(`${two}/songs/${song.id}/chart`);
    await page.locator('[data-bar="0"]').waitFor();
    await page.waitForTimeout(1000);
    /** @type {number[]} */
    const times = [];
    for (let round = 0; round < ROUNDS; round += 1) times.push(await seenAfter(page, song, round));
    const back = await seenAfterReturn(house, page, song);
    return { seenMs: times.sort((a, b) => a - b)[ROUNDS / 2] ?? 0, backMs: back, ...(await manyFigures(house, song)) };
  } finally {
    await browser.close();
    await house.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** @typedef {{ url: string, band: string, id: string, revision: number }} BenchSong */

/** @param {string} url @returns {Promise<BenchSong>} */
async function songOn(url) {
  const { bands } = /** @type {any} */ (await (await fetch(`${url}/api/v1/bands`)).json());
  const at = `${url}/api/v1/bands/${bands[0].id}`;
  const made = await sent(`${at}/songs`, 'POST', { source: chart(0) });
  return { url: at, band: bands[0].id, id: made.id, revision: made.revision };
}

/** @param {number} round */
const chart = (round) => `title: Bench ${round} here\nkey: C\n\n1 4 5 1\n`;

/** @param {string} url @param {string} method @param {object} body @returns {Promise<any>} */
async function sent(url, method, body) {
  return (await fetch(url, { method, headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) })).json();
}

/** @param {BenchSong} song @param {number} round */
async function save(song, round) {
  const saved = await sent(`${song.url}/songs/${song.id}`, 'PUT', { source: chart(round + 1), baseRevision: song.revision });
  song.revision = saved.revision;
}

/** When a page shows the chart of that name. @param {import('@playwright/test').Page} page @param {number} number */
async function shownAt(page, number) {
  await page.locator('h1', { hasText: `Bench ${number} here` }).waitFor();
  return Date.now();
}

/** Milliseconds from sending a save to one server until a browser at the other shows it. @param {import('@playwright/test').Page} page @param {BenchSong} song @param {number} round */
async function seenAfter(page, song, round) {
  const shown = shownAt(page, round + 1);
  const since = Date.now();
  await save(song, round);
  return (await shown) - since;
}

/** The server of a browser is killed and something changes meanwhile. @param {Awaited<ReturnType<typeof runHouse>>} house @param {import('@playwright/test').Page} page @param {BenchSong} song */
async function seenAfterReturn(house, page, song) {
  const pid = house.kept[1]?.pid();
  if (pid !== undefined) process.kill(pid, 'SIGKILL');
  const shown = shownAt(page, ROUNDS + 1);
  await save(song, ROUNDS);
  let backAt = 0;
  const since = Date.now();
  while (backAt === 0 && Date.now() - since < LONGEST_MS)
    await fetch(`${house.urls[1]}/readyz`).then(
      ({ ok }) => {
        if (ok) backAt = Date.now();
      },
      () => new Promise((resolve) => setTimeout(resolve, 20)),
    );
  return (await shown) - backAt;
}

/** What many browsers cost the server that holds them, how soon they all hear, and what a minute of silence is. @param {Awaited<ReturnType<typeof runHouse>>} house @param {BenchSong} song */
async function manyFigures(house, song) {
  const url = `${house.urls[1]}/api/v1/bands/${song.band}/changes`;
  const memory = () => Number(readFileSync(`/proc/${house.kept[1]?.pid()}/statm`, 'utf8').split(' ')[1]) * PAGE_BYTES;
  const before = memory();
  const streams = await Promise.all(Array.from({ length: BROWSERS }, () => streamOf(url)));
  const since = Date.now();
  await save(song, ROUNDS + 1);
  const heardAt = await Promise.all(streams.map(({ next }) => next));
  const perBrowser = (memory() - before) / BROWSERS / 1024;
  const bytes = streams[0]?.bytes ?? (() => 0);
  const quiet = bytes();
  await new Promise((resolve) => setTimeout(resolve, SILENCE_MS));
  const figures = { allHeardMs: Math.max(...heardAt) - since, perBrowserKb: perBrowser, silentBytes: bytes() - quiet };
  for (const { close } of streams) close();
  return figures;
}

/** A stream, the time its next change comes, and how many bytes came. @param {string} url */
async function streamOf(url) {
  const gone = new AbortController();
  const response = await fetch(url, { headers: { Accept: 'text/event-stream' }, signal: gone.signal });
  let bytes = 0;
  /** @type {Promise<number>} */
  const next = new Promise((resolve) => {
    const read = async () => {
      for await (const part of response.body ?? []) {
        bytes += part.length;
        if (new TextDecoder().decode(part).includes('event:change')) resolve(Date.now());
      }
    };
    void read().catch(() => undefined);
  });
  return { next, bytes: () => bytes, close: () => gone.abort() };
}
