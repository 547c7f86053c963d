// @ts-check
import { parseSync } from '@swc/core';

/**
 * The syntax tree of a module, and a function that turns its places into bytes from the start of the text.
 * @param {string} text
 * @param {string} path its ending says whether it may hold markup
 */
export function syntaxOf(text, path) {
  const module = parseSync(text, { syntax: 'typescript', tsx: path.endsWith('.tsx'), target: 'es2022' });
  // places are counted in bytes of all that was read before in this process; the last one is the end of the text
  const shift = module.span.end - Buffer.byteLength(text.trimEnd());
  return { module, byteOf: (/** @type {number} */ place) => Math.max(0, place - shift) };
}

/**
 * The line, from 1, that a byte of the text stands in.
 * @param {string} text
 * @param {number} byte
 */
export function lineOf(text, byte) {
  return Buffer.from(text).subarray(0, byte).toString('utf8').split('\n').length;
}
