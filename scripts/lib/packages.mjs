// @ts-check
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { Halt } from './workplace.mjs';

const POSTGRES_ROOT = '/usr/lib/postgresql';
const CHROMIUM = '/usr/bin/chromium';
/** The same browser without anything to be seen: flows take two thirds of the time in it. */
const HEADLESS = '/usr/bin/chromium-headless-shell';

/** Keeps the package from starting a database of its own beside ours while it installs. */
const NO_MAIN_CLUSTER = '/etc/postgresql-common/createcluster.d/aurora-ridge.conf';

/** Folder of the newest PostgreSQL programs installed, undefined without any. */
export function findPostgres() {
  if (!existsSync(POSTGRES_ROOT)) return undefined;
  const versions = readdirSync(POSTGRES_ROOT).sort((a, b) => Number(b) - Number(a));
  return versions.map((version) => `${POSTGRES_ROOT}/${version}/bin`).find((bin) => existsSync(`${bin}/initdb`));
}

/** Programs that tests read files with, and what they need, by the package they are in: readers that are not ours. */
const READERS = [
  ['/usr/bin/pdftotext', 'poppler-utils'],
  ['/usr/bin/abc2midi', 'abcmidi'],
  ['/usr/bin/fluidsynth', 'fluidsynth'],
  ['/usr/share/sounds/sf2/TimGM6mb.sf2', 'timgm6mb-soundfont'],
];

/** Makes sure PostgreSQL, and what else is asked for, are installed; installs them from Debian's packages. */
export function ensurePackages({ chromium = false, headless = false, readers = false } = {}) {
  const missing = [
    ...(findPostgres() === undefined ? ['postgresql'] : []),
    ...(chromium && !existsSync(CHROMIUM) ? ['chromium'] : []),
    ...(headless && !existsSync(HEADLESS) ? ['chromium-headless-shell'] : []),
    ...(readers ? READERS.flatMap(([program = '', name = '']) => (existsSync(program) ? [] : [name])) : []),
  ];
  if (missing.length === 0) return;
  const sudo = privileges(missing);
  console.log(`Installing from Debian: ${missing.join(', ')} …`);
  const apt = [...sudo, 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get', '-qq', '-o', 'Dpkg::Use-Pty=0'];
  sh([...apt, 'update'], missing);
  if (missing.includes('postgresql'))
    sh([...sudo, 'sh', '-c', `mkdir -p $(dirname ${NO_MAIN_CLUSTER}) && echo create_main_cluster=false > ${NO_MAIN_CLUSTER}`], missing);
  try {
    sh([...apt, 'install', '-y', '--no-install-recommends', ...missing], missing);
  } finally {
    if (missing.includes('postgresql')) spawnSync('env', [...sudo, 'rm', '-f', NO_MAIN_CLUSTER]);
  }
}

/**
 * The words that make a command run as root: none for root, `sudo -n` where that works.
 * @param {readonly string[]} missing
 */
function privileges(missing) {
  if (process.getuid?.() === 0) return [];
  if (spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0) return ['sudo', '-n'];
  throw new Halt(byHand(missing));
}

/**
 * @param {readonly string[]} command
 * @param {readonly string[]} missing
 */
function sh(command, missing) {
  const [program = '', ...rest] = command;
  const done = spawnSync(program, rest, { stdio: ['ignore', 'ignore', 'inherit'] });
  if (done.status !== 0) throw new Halt(`That did not work. ${byHand(missing)}`);
}

/** @param {readonly string[]} missing */
function byHand(missing) {
  return `Aurora Ridge needs these Debian packages: ${missing.join(', ')}.\nInstall them as root and start again:\n\n  apt-get install ${missing.join(' ')}\n`;
}
