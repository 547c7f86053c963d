// @ts-check
import { chmodSync, existsSync, mkdirSync } from 'node:fs';

/** A log that failed is opened again after so long. */
const AGAIN_MS = 2000;

/** @typedef {{ write: (part: string | Uint8Array) => void }} Log */
/** @typedef {{ write: (part: string | Uint8Array) => unknown, destroy: () => unknown, on: (event: 'error' | 'warning', then: () => void) => unknown }} Stream */

/**
 * A log that begins anew when it has grown long, and keeps a few of its past; only its owner reads it.
 * A disk without room costs lines of it, and nothing else: they are counted, and told once there is room again.
 * @param {string} folder
 * @param {string} name
 * @returns {Promise<Log>}
 */
export async function openLog(folder, name) {
  // fetched here: whoever imports this may only be about to install packages
  const { createStream } = await import('rotating-file-stream');
  return keepOpen(() => {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    const stream = createStream(name, { path: folder, size: '10M', maxFiles: 5, mode: 0o600 });
    if (existsSync(`${folder}/${name}`)) chmodSync(`${folder}/${name}`, 0o600);
    return stream;
  });
}

/**
 * Writes to a stream that is opened anew whenever it has failed.
 * @param {() => Stream} open
 * @param {() => number} [now]
 * @returns {Log}
 */
export function keepOpen(open, now = Date.now) {
  /** @type {Stream | null} */
  let stream = null;
  let failedAt = Number.NEGATIVE_INFINITY;
  let lost = 0;
  const fail = (/** @type {Stream} */ one) => {
    if (one !== stream) return;
    stream = null;
    failedAt = now();
    one.destroy();
  };
  const opened = () => {
    if (stream !== null || now() - failedAt < AGAIN_MS) return stream;
    try {
      const fresh = open();
      stream = fresh;
      fresh.on('error', () => fail(fresh));
      fresh.on('warning', () => undefined);
    } catch {
      failedAt = now();
    }
    return stream;
  };
  opened();
  return {
    write: (part) => {
      const to = opened();
      if (to === null) {
        lost += 1;
        return;
      }
      if (lost > 0) {
        to.write(`${JSON.stringify({ level: 40, time: now(), msg: `the log could not be written: ${lost} pieces are lost` })}\n`);
        lost = 0;
      }
      to.write(part);
    },
  };
}
