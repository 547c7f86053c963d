// @ts-check
import { chmodSync, existsSync, mkdirSync } from 'node:fs';

/**
 * A log that begins anew when it has grown long, and keeps a few of its past; only its owner reads it.
 * A disk without room costs lines of it, and nothing else.
 * @param {string} folder
 * @param {string} name
 */
export async function openLog(folder, name) {
  // fetched here: whoever imports this may only be about to install packages
  const { createStream } = await import('rotating-file-stream');
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const stream = createStream(name, { path: folder, size: '10M', maxFiles: 5, mode: 0o600 });
  if (existsSync(`${folder}/${name}`)) chmodSync(`${folder}/${name}`, 0o600);
  stream.on('error', () => undefined);
  stream.on('warning', () => undefined);
  return stream;
}
