// @ts-check
// Writes the notices that go with the application: every package and font that ships, with its licence.
// With --check nothing is written; it ends with a fault where the notices are not those of what ships.
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { Halt, ROOT, run } from './lib/workplace.mjs';

const FILE = `${ROOT}/web/public/notices.txt`;
/** Addresses of people beside their names. */
const MAIL = / ?[(<][^()<>\s]+@[^()<>\s]+[)>]/g;
const WINGS = ['core', 'wire', 'server', 'web'];

/** Fonts the project made or cut itself, and under which licence of its own they go. */
const OWN_FONTS = [
  { name: 'Aurora Staff, cut from a music font', license: 'OFL-1.1', file: 'web/src/fonts/LICENSE-staff.txt' },
  {
    name: 'Aurora Music, symbols for chords',
    license: 'Bitstream Vera and public domain',
    file: 'web/src/fonts/LICENSE-music-symbols.txt',
  },
];

/** @typedef {{ name: string, version: string, license: string, text: string }} Notice */

await run(async () => {
  const notices = shipped();
  const text = printed(notices);
  if (!process.argv.includes('--check')) {
    writeFileSync(FILE, text);
    console.log(`${notices.length} packages and fonts in the notices.`);
  } else if (!existsSync(FILE) || readFileSync(FILE, 'utf8') !== text) {
    throw new Halt('The notices are not those of what ships: run node scripts/notices.mjs and commit what it writes.');
  }
});

/** Everything a wing needs to run, and what that needs in turn. @returns {readonly Notice[]} */
function shipped() {
  /** @type {Map<string, Notice>} */
  const found = new Map();
  const open = WINGS.map((wing) => `${ROOT}/${wing}/package.json`);
  for (const file of open) {
    const { dependencies = {} } = JSON.parse(readFileSync(file, 'utf8'));
    for (const name of Object.keys(dependencies).filter((one) => !one.startsWith('@aurora/'))) {
      const manifest = manifestOf(name, file);
      if (manifest === null || found.has(manifest)) continue;
      found.set(manifest, noticeOf(manifest));
      open.push(manifest);
    }
  }
  const fonts = OWN_FONTS.map(({ name, license, file }) => ({
    name,
    version: '',
    license,
    text: readFileSync(`${ROOT}/${file}`, 'utf8').trim(),
  }));
  return [...[...found.values()].sort((a, b) => `${a.name} ${a.version}`.localeCompare(`${b.name} ${b.version}`, 'en')), ...fonts];
}

/** Where a package lies that another one needs; null for one that is not there on this kind of machine. @param {string} name @param {string} from */
function manifestOf(name, from) {
  for (const folder of createRequire(from).resolve.paths(name) ?? []) {
    const manifest = join(folder, name, 'package.json');
    if (existsSync(manifest)) return manifest;
  }
  return null;
}

/** @param {string} manifest @returns {Notice} */
function noticeOf(manifest) {
  const { name, version, license, licenses } = JSON.parse(readFileSync(manifest, 'utf8'));
  const folder = dirname(manifest);
  const file = readdirSync(folder).find((one) => /^(licen[cs]e|copying)(\.|-|$)/i.test(one));
  const named = typeof license === 'string' ? license : (license?.type ?? licenses?.[0]?.type ?? 'see its text');
  return {
    name,
    version,
    license: named,
    text: file === undefined ? '' : readFileSync(join(folder, file), 'utf8').replace(/\r\n?/g, '\n').replace(MAIL, '').trim(),
  };
}

/** One list, then each text once with everything that goes under it. @param {readonly Notice[]} notices */
function printed(notices) {
  /** @type {Map<string, string[]>} */
  const texts = new Map();
  const called = (/** @type {Notice} */ { name, version }) => `${name}${version === '' ? '' : ` ${version}`}`;
  for (const notice of notices) if (notice.text !== '') texts.set(notice.text, [...(texts.get(notice.text) ?? []), called(notice)]);
  const list = notices.map((notice) => `${called(notice)}: ${notice.license}`);
  const parts = [...texts].map(([text, names]) => `${'-'.repeat(72)}\n${names.join(', ')}\n\n${text}`);
  return `Aurora Ridge is made with the packages and fonts below, each under its own licence.\n\n${list.join('\n')}\n\n${parts.join('\n\n')}\n`;
}
