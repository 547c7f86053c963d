import { expect, test } from '@jest/globals';
import { keepOpen } from './log-file.mjs';

/**
 * A stream that can be made to fail.
 * @param {string[]} lines what is written goes here
 */
function streamOf(lines) {
  /** @type {Record<string, () => void>} */
  const listeners = {};
  return {
    write: (/** @type {string | Uint8Array} */ part) => lines.push(String(part)),
    destroy: () => undefined,
    on: (/** @type {string} */ event, /** @type {() => void} */ then) => {
      listeners[event] = then;
    },
    fail: () => listeners.error?.(),
  };
}

test('a log that failed is opened again, and says what it lost', () => {
  /** @type {string[]} */
  const lines = [];
  /** @type {ReturnType<typeof streamOf>[]} */
  const streams = [];
  let clock = 0;
  const log = keepOpen(
    () => {
      const stream = streamOf(lines);
      streams.push(stream);
      return stream;
    },
    () => clock,
  );
  log.write('one');
  streams[0]?.fail();
  log.write('two');
  log.write('three');
  clock = 5000;
  log.write('four');
  expect(streams).toHaveLength(2);
  expect(lines[0]).toBe('one');
  expect(JSON.parse(lines[1] ?? '')).toMatchObject({ level: 40, msg: 'the log could not be written: 2 pieces are lost' });
  expect(lines[2]).toBe('four');
});

test('one that cannot even be opened does not end whoever writes', () => {
  let isFull = true;
  let clock = 0;
  /** @type {string[]} */
  const lines = [];
  const log = keepOpen(
    () => {
      if (isFull) throw new Error('no space left on device');
      return streamOf(lines);
    },
    () => clock,
  );
  log.write('lost');
  isFull = false;
  clock = 3000;
  log.write('kept');
  expect(lines).toHaveLength(2);
  expect(lines[1]).toBe('kept');
});
