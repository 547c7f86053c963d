// @ts-check

const ROUNDS = 5;
const HEAVY_AT_ONCE = 6;

/** @param {string} url */
async function timed(url) {
  const start = performance.now();
  const response = await fetch(url);
  await response.arrayBuffer();
  return { ms: performance.now() - start, ok: response.ok };
}

/** @param {readonly number[]} times */
const middle = (times) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;

/**
 * So many readers at once, and readers beside one client with the heaviest calls there are.
 * @param {import('./torture-faults.mjs').Tortured} tortured
 * @param {number} readers
 */
export async function tortureReaders({ urls }, readers) {
  const { bands } = /** @type {any} */ (await (await fetch(`${urls[0]}/api/v1/me`)).json());
  const at = (/** @type {number} */ index) => `${urls[index % urls.length]}/api/v1/bands/${bands[0].id}`;
  const { songs } = /** @type {any} */ (await (await fetch(`${at(0)}/songs`)).json());
  let failed = 0;
  const crowd = async (/** @type {number} */ size) => {
    /** @type {number[]} */
    const times = [];
    for (let round = 0; round < ROUNDS; round += 1)
      for (const { ms, ok } of await Promise.all(
        Array.from({ length: size }, (_, index) =>
          timed(index % 3 === 0 ? `${at(index)}/songs` : `${at(index)}/songs/${songs[index % songs.length].id}`),
        ),
      )) {
        times.push(ms);
        if (!ok) failed += 1;
      }
    return middle(times);
  };
  const together = await crowd(readers);
  await crowd(8);
  const alone = await crowd(8);
  let over = false;
  const source = `key: C\n\n${'1 4 57 1 | 6-7 2-7 57 1\n'.repeat(6000)}`;
  const heavy = Array.from({ length: HEAVY_AT_ONCE }, async () => {
    while (!over)
      await fetch(`${urls[0]}/api/v1/convert`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ from: 'chart', to: 'musicxml', content: source }),
      })
        .then((response) => response.arrayBuffer())
        .catch(() => undefined);
  });
  await new Promise((resolve) => setTimeout(resolve, 1500));
  const beside = await crowd(8);
  over = true;
  await Promise.all(heavy);
  console.log(
    `${readers} readers at once: ${failed} failed, ${together.toFixed(0)} ms in the middle; eight readers ${alone.toFixed(1)} ms, beside one client with the heaviest calls ${beside.toFixed(1)} ms: ${(beside / alone).toFixed(1)} times (goal: under 3)`,
  );
  return failed === 0;
}
