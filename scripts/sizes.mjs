// @ts-check
// Prints how large things are: the share of tests, the longest files and functions, the fullest folders. With
// `--check` it fails where a limit is passed; with `--all` it names everything above half a limit.
import { readFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { ensureInstalled } from './lib/install.mjs';
import { lineOf, syntaxOf } from './lib/testing/syntax.mjs';
import { trackedFiles } from './lib/tracked-files.mjs';
import { ROOT, run } from './lib/workplace.mjs';

/** Lines, blank ones too, from the first of a function to its last. */
const MOST_FUNCTION_LINES = 60;
const MOST_FILE_LINES = 400;
const MOST_TABLE_LINES = 600;
/** Entries of a folder: files and folders, without tests. */
const MOST_ENTRIES = 30;
/** One folder for each noun: these lists are as long as there are nouns. */
const NOUNS = ['core/src', 'server/src'];
const TEST_SHARE = { least: 0.25, aim: 0.25, most: 0.34 };
/** Lines of tests for a line of code, in every room of the interface: what none may fall under, and what is aimed at. */
const ROOM_SHARE = { least: 0.15, aim: 0.25 };

const isTest = (/** @type {string} */ path) => /\.(test|spec)\.|(^|\/)test\/|^e2e\//.test(path);
const isCode = (/** @type {string} */ path) => /\.(ts|tsx|mjs|cjs|css|sql)$/.test(path);

/** @typedef {{ what: string, size: number, most: number }} Size */

await run(async () => {
  await ensureInstalled();
  const code = trackedFiles().filter(isCode);
  const files = code.filter((path) => !isTest(path));
  /** @type {Size[]} */
  const sizes = [
    ...files.map((path) => ({
      what: path,
      size: text(path).split('\n').length - 1,
      most: /-table\./.test(path) ? MOST_TABLE_LINES : MOST_FILE_LINES,
    })),
    ...files.filter((path) => /\.(ts|tsx|mjs)$/.test(path)).flatMap(functionsOf),
    ...foldersOf(files),
  ];
  const over = sizes.filter(({ size, most }) => size > most);
  const shares = testShares(code);
  const thin = shares.filter(({ share, least, most }) => share < least || share > most);
  for (const { what, share } of shares) if (what === 'all') console.log(`tests: ${(100 * share).toFixed(0)}% of all lines`);
  for (const [name, most] of /** @type {const} */ ([
    ['functions', MOST_FUNCTION_LINES],
    ['files', MOST_FILE_LINES],
  ])) {
    const longest = sizes
      .filter((one) => one.most === most)
      .sort((a, b) => b.size - a.size)
      .slice(0, 5);
    console.log(`longest ${name}: ${longest.map(({ what, size }) => `${what} ${size}`).join(', ')}`);
  }
  if (process.argv.includes('--all')) for (const { what, share } of shares) console.log(`  ${what}: ${share.toFixed(2)}`);
  for (const { what, size, most } of over) console.log(`too large: ${what} is ${size}, the limit is ${most}`);
  for (const { what, share, aim } of shares) if (share < aim) console.log(`tests of ${what}: ${share.toFixed(2)}, aimed at ${aim}`);
  if (process.argv.includes('--check') && over.length + thin.length > 0) process.exitCode = 1;
});

/** @param {string} path */
function text(path) {
  return readFileSync(`${ROOT}/${path}`, 'utf8');
}

/** @param {string} path */
function lines(path) {
  return text(path)
    .split('\n')
    .filter((line) => line.trim() !== '').length;
}

/**
 * Every function of a file with its lines; one within another counts for both.
 * @param {string} path
 * @returns {readonly Size[]}
 */
function functionsOf(path) {
  const source = text(path);
  const { module, byteOf } = syntaxOf(source, path);
  const lineAt = (/** @type {number} */ place) => lineOf(source, byteOf(place));
  /** @type {Size[]} */
  const found = [];
  /** @param {any} node @param {string} name */
  const look = (node, name) => {
    if (typeof node !== 'object' || node === null) return;
    const own = Array.isArray(node) ? name : (nameOf(node) ?? name);
    if (node.body?.type === 'FunctionBody' || node.type === 'ArrowFunctionExpression')
      found.push({ what: `${path} ${own}`, size: lineAt(node.span.end) - lineAt(node.span.start) + 1, most: MOST_FUNCTION_LINES });
    for (const child of Object.values(node)) look(child, own);
  };
  look(module.body, 'function');
  return found;
}

/** @param {any} node */
function nameOf(node) {
  return node.identifier?.value ?? (node.type === 'VariableDeclarator' ? node.id?.value : node.key?.value);
}

/**
 * @param {readonly string[]} files
 * @returns {readonly Size[]}
 */
function foldersOf(files) {
  /** @type {Map<string, Set<string>>} */
  const entries = new Map();
  for (const path of files) {
    const parts = path.split('/');
    for (let depth = 1; depth < parts.length; depth += 1) {
      const folder = parts.slice(0, depth).join('/');
      entries.set(folder, (entries.get(folder) ?? new Set()).add(parts[depth] ?? ''));
    }
  }
  return [...entries]
    .filter(([folder]) => !NOUNS.includes(folder))
    .map(([folder, { size }]) => ({ what: `the folder ${folder}`, size, most: MOST_ENTRIES }));
}

/**
 * How many lines of tests there are: of all, as a share; of a room, for each line of it.
 * @param {readonly string[]} code
 */
function testShares(code) {
  const count = (/** @type {readonly string[]} */ paths) => paths.reduce((sum, path) => sum + lines(path), 0);
  const tests = count(code.filter(isTest));
  const rooms = [...new Set(code.filter((path) => path.startsWith('web/src/rooms/')).map((path) => path.split('/').slice(0, 4).join('/')))];
  return [
    { what: 'all', share: tests / count(code), ...TEST_SHARE },
    ...rooms.map((room) => {
      const own = code.filter((path) => path.startsWith(`${room}/`) && dirname(path) !== 'web/src/rooms');
      return {
        what: room,
        share: count(own.filter(isTest)) / count(own.filter((path) => !isTest(path))),
        ...ROOM_SHARE,
        most: Number.POSITIVE_INFINITY,
      };
    }),
  ];
}
