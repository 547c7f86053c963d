// @ts-check
// Checks that the documents are true where that can be checked: every link leads somewhere, every path and script they
// name is there, every picture is shown, every option of ours exists.
import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { trackedFiles } from './lib/tracked-files.mjs';
import { ROOT, run } from './lib/workplace.mjs';

/** Where a path in a document may begin, beside its own folder. */
const BASES = ['', 'web/src/', 'core/src/', 'server/src/', 'web/', 'server/', 'core/', 'docs/'];

await run(async () => {
  const files = trackedFiles();
  const documents = files.filter((path) => path.endsWith('.md'));
  const scripts = Object.keys(JSON.parse(text('package.json')).scripts);
  const faults = documents.flatMap((path) => [...deadLinks(path), ...missingPaths(path, files), ...unknownScripts(path, scripts)]);
  const shown = documents.map(text).join('\n');
  const unseen = files.filter((path) => path.startsWith('docs/screenshots/') && !shown.includes(path.split('/').at(-1) ?? ''));
  faults.push(...unseen.map((path) => `${path}: no document shows this picture`));
  for (const fault of faults) console.log(fault);
  console.log(`${documents.length} documents`);
  if (faults.length > 0) process.exitCode = 1;
});

/** @param {string} path */
function text(path) {
  return readFileSync(`${ROOT}/${path}`, 'utf8');
}

/**
 * Links inside the project that lead nowhere: to no file, or to no heading of it.
 * @param {string} path
 */
function deadLinks(path) {
  return [...text(path).matchAll(/\]\(([^)\s]+)\)/g)].flatMap(([, link = '']) => {
    if (/^[a-z]+:/.test(link)) return [];
    const [to = '', heading] = link.split('#');
    const target = to === '' ? path : join(dirname(path), to);
    if (!existsSync(`${ROOT}/${target}`)) return [`${path}: (${link}) leads nowhere`];
    if (heading === undefined || headingsOf(target).includes(heading)) return [];
    return [`${path}: (${link}) names no heading of ${target}`];
  });
}

/** The headings of a document as links name them. @param {string} path */
function headingsOf(path) {
  return [...text(path).matchAll(/^#+ (.*)$/gm)].map(([, title = '']) =>
    title
      .toLowerCase()
      .replace(/[^\p{L}\p{N}\s-]/gu, '')
      .trim()
      .replace(/\s/g, '-'),
  );
}

/**
 * Paths in code style that are nowhere in the project.
 * @param {string} path
 * @param {readonly string[]} files
 */
function missingPaths(path, files) {
  // what changed tells of what was
  if (path === 'CHANGELOG.md') return [];
  return [...text(path).matchAll(/`([\w@.-][\w@./-]*\/[\w@.-]+\.(?:ts|tsx|mjs|cjs|sql|json|md|css|conf|service))`/g)].flatMap(
    ([, named = '']) => {
      const found = files.some((file) => BASES.some((base) => file === base + named) || file.endsWith(`/${named}`));
      return found || existsSync(`${ROOT}/${named}`) ? [] : [`${path}: there is no ${named}`];
    },
  );
}

/**
 * Commands of npm that package.json does not have.
 * @param {string} path
 * @param {readonly string[]} scripts
 */
function unknownScripts(path, scripts) {
  return [...text(path).matchAll(/npm run ([\w:-]+)/g)].flatMap(([, name = '']) =>
    scripts.includes(name) ? [] : [`${path}: there is no npm run ${name}`],
  );
}
