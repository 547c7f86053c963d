// @ts-check
import { spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { isAlive, processMark, withLock } from './lock.mjs';
import { findPostgres } from './packages.mjs';
import { keepWatch } from './supervision.mjs';
import { Halt } from './workplace.mjs';

const OWNER = 'app';
const START_TRIES = 5;
const AGAIN_MS = 400;
const FAST = ['fsync=off', 'synchronous_commit=off', 'full_page_writes=off'];
/** Lets the server pass folders it may not enter, where a parent of the data folder is root's alone. */
const SEARCH_RIGHTS = ['--inh-caps=+dac_read_search', '--ambient-caps=+dac_read_search'];

/**
 * Starts the project's own PostgreSQL in `folder` on 127.0.0.1, or joins it when another process
 * of ours runs it already. `fast` gives up durability, for tests.
 * @param {string} folder
 * @param {{ fast?: boolean }} [options]
 * @returns {Promise<string>} the address of its database `aurora`
 */
export async function startCluster(folder, { fast = false } = {}) {
  mkdirSync(`${folder}/users`, { recursive: true });
  return withLock(folder, 'cluster', async () => {
    const cluster = openCluster(folder);
    if (!isReady(cluster)) await launch(cluster, fast);
    writeFileSync(`${folder}/users/${process.pid}`, processMark(process.pid) ?? '');
    createDatabase(cluster, 'aurora');
    return databaseUrl(cluster, 'aurora');
  });
}

const WATCH_MS = 1000;

/**
 * Watches over the cluster: one that is gone is started again, as often as it takes.
 * @param {string} folder
 * @param {(words: string) => void} tell
 * @returns {() => Promise<void>} ends the watch
 */
export function keepCluster(folder, tell) {
  const look = async () => {
    if (isRunning(openCluster(folder))) return;
    tell('the database is gone and is started again');
    await withLock(folder, 'cluster', async () => {
      const cluster = openCluster(folder);
      if (isRunning(cluster)) return;
      await launch(cluster, false, true);
      tell('the database is back');
    });
  };
  return keepWatch(look, (words) => tell(`the database did not start: ${words}`), { everyMs: WATCH_MS, mostMs: 8 * WATCH_MS });
}

/**
 * Leaves the cluster; the last process to leave stops it.
 * @param {string} folder
 */
export async function leaveCluster(folder) {
  await withLock(folder, 'cluster', async () => {
    rmSync(`${folder}/users/${process.pid}`, { force: true });
    if (otherUsers(folder) === 0) stop(openCluster(folder));
  });
}

/**
 * How many other processes of ours use the cluster.
 * @param {string} folder
 */
export function otherUsers(folder) {
  const users = readdirSync(`${folder}/users`).filter((pid) => pid !== String(process.pid));
  return users.filter((pid) => isAlive(readFileSync(`${folder}/users/${pid}`, 'utf8'))).length;
}

/**
 * Removes the cluster with all its data. It must be stopped.
 * @param {string} folder
 */
export function removeCluster(folder) {
  rmSync(openCluster(folder).home, { recursive: true, force: true });
  rmSync(folder, { recursive: true, force: true });
}

/**
 * Drops the database and makes it anew, empty.
 * @param {string} folder
 */
export function emptyDatabase(folder) {
  const cluster = openCluster(folder);
  client(cluster, 'dropdb', ['--if-exists', '--force', 'aurora']);
  createDatabase(cluster, 'aurora');
}

/**
 * @typedef {object} Cluster
 * @property {string} bin folder of the PostgreSQL programs
 * @property {string} folder where we keep port and password
 * @property {string} home folder owned by the server's user
 * @property {readonly string[]} as the words that make a command run as the server's user
 */

/**
 * @param {string} folder
 * @returns {Cluster}
 */
function openCluster(folder) {
  const bin = findPostgres();
  if (bin === undefined) throw new Halt('PostgreSQL is not installed.');
  const home = `${folder}/postgres`;
  mkdirSync(home, { recursive: true, mode: 0o700 });
  if (process.getuid?.() !== 0) return { bin, folder, home, as: [] };
  // PostgreSQL refuses to run as root
  const as = ['setpriv', '--reuid=postgres', '--regid=postgres', '--init-groups'];
  own(home);
  if (canWrite(as, home)) return { bin, folder, home, as };
  if (canWrite([...as, ...SEARCH_RIGHTS], home)) return { bin, folder, home, as: [...as, ...SEARCH_RIGHTS] };
  const elsewhere = `/var/lib/postgresql/aurora-ridge-${createHash('sha256').update(folder).digest('hex').slice(0, 12)}`;
  mkdirSync(elsewhere, { recursive: true, mode: 0o700 });
  own(elsewhere);
  return { bin, folder, home: elsewhere, as };
}

/** @param {string} path */
function own(path) {
  if (spawnSync('chown', ['postgres:postgres', path], { stdio: 'ignore' }).status !== 0)
    throw new Halt(`The user “postgres” cannot be given ${path}.`);
  chmodSync(path, 0o700);
}

/**
 * Asked by writing: permission bits do not tell what a user without a way in can do.
 * @param {readonly string[]} as
 * @param {string} home
 */
function canWrite(as, home) {
  // in plain words, whatever language the machine speaks
  const { status, stderr } = execute([...as, 'touch', `${home}/.writable`], { env: { ...process.env, LC_ALL: 'C' } });
  // a full disk is no closed door: looked for elsewhere the data would not be found
  return status === 0 || /No space left|quota exceeded/i.test(stderr);
}

/**
 * @param {Cluster} cluster
 * @param {boolean} fast
 * @param {boolean} [samePort] whether others know it by its port of before
 */
async function launch(cluster, fast, samePort = false) {
  const data = `${cluster.home}/data`;
  if (!existsSync(`${data}/PG_VERSION`)) initialize(cluster, data);
  let said = '';
  for (let tries = 0; tries < START_TRIES; tries += 1) {
    // connections of one that was killed may hold on for a moment
    if (samePort && tries > 0) await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
    const port = samePort ? Number(readNote(cluster.folder, 'port')) : await choosePort(cluster.folder, tries > 0);
    const sockets = mkdtempSync('/tmp/aurora-pg-');
    if (cluster.as.length > 0) own(sockets);
    const settings = [`listen_addresses=127.0.0.1`, `port=${port}`, `unix_socket_directories=${sockets}`, ...(fast ? FAST : [])];
    const options = settings.map((setting) => `-c ${setting}`).join(' ');
    const started = execute([
      ...cluster.as,
      `${cluster.bin}/pg_ctl`,
      '-D',
      data,
      '-w',
      '-t',
      '60',
      '-l',
      `${cluster.home}/log`,
      '-o',
      options,
      'start',
    ]);
    if (started.status === 0) {
      keepNote(cluster.folder, 'port', String(port));
      keepNote(cluster.folder, 'sockets', sockets);
      return;
    }
    rmSync(sockets, { recursive: true, force: true });
    said = `${started.stdout}${started.stderr}`;
  }
  throw new Halt(`The database did not start.\n${said}`);
}

/**
 * @param {Cluster} cluster
 * @param {string} data
 */
function initialize(cluster, data) {
  execute([...cluster.as, 'rm', '-rf', data]);
  const password = randomBytes(24).toString('base64url');
  writeFileSync(`${cluster.folder}/password`, password, { mode: 0o600 });
  // written by the server's own user: initdb may not read a file or a pipe of root's
  const file = `${cluster.home}/password`;
  execute([...cluster.as, 'tee', file], { input: password });
  const words = ['-U', OWNER, '-E', 'UTF8', '--locale=C.UTF-8', '-A', 'scram-sha-256', `--pwfile=${file}`, '--no-sync'];
  const made = execute([...cluster.as, `${cluster.bin}/initdb`, '-D', data, ...words]);
  execute([...cluster.as, 'rm', '-f', file]);
  if (made.status !== 0) throw new Halt(`The database could not be made.\n${made.stdout}${made.stderr}`);
}

/** @param {Cluster} cluster */
function stop(cluster) {
  execute([...cluster.as, `${cluster.bin}/pg_ctl`, '-D', `${cluster.home}/data`, '-m', 'fast', '-w', 'stop']);
  const sockets = readNote(cluster.folder, 'sockets');
  if (sockets.startsWith('/tmp/aurora-pg-')) rmSync(sockets, { recursive: true, force: true });
}

/**
 * Whether its first process is there. One that hangs, or still recovers, is.
 * @param {Cluster} cluster
 */
function isRunning(cluster) {
  const pid = Number(readNote(`${cluster.home}/data`, 'postmaster.pid').split('\n')[0]);
  return pid > 0 && processMark(pid) !== undefined;
}

/** @param {Cluster} cluster */
function isReady(cluster) {
  const port = readNote(cluster.folder, 'port');
  // pg_isready rather than the pid file: a killed server may stay listed as a process for seconds
  return (
    port !== '' &&
    existsSync(`${cluster.home}/data/postmaster.pid`) &&
    execute([`${cluster.bin}/pg_isready`, '-q', '-h', '127.0.0.1', '-p', port]).status === 0
  );
}

/**
 * @param {Cluster} cluster
 * @param {string} name
 */
function createDatabase(cluster, name) {
  const exists = client(cluster, 'psql', ['-d', 'postgres', '-Atc', `select 1 from pg_database where datname = '${name}'`]);
  if (exists.stdout.trim() === '1') return;
  const made = client(cluster, 'createdb', [name]);
  if (made.status !== 0) throw new Halt(`The database could not be made.\n${made.stderr}`);
}

/**
 * Runs a client program against the cluster.
 * @param {Cluster} cluster
 * @param {string} program
 * @param {readonly string[]} words
 */
function client(cluster, program, words) {
  const connection = ['-h', '127.0.0.1', '-p', readNote(cluster.folder, 'port'), '-U', OWNER];
  return execute([`${cluster.bin}/${program}`, ...connection, ...words], {
    env: { ...process.env, PGPASSWORD: readNote(cluster.folder, 'password') },
  });
}

/**
 * @param {Cluster} cluster
 * @param {string} name
 */
function databaseUrl(cluster, name) {
  return `postgres://${OWNER}:${readNote(cluster.folder, 'password')}@127.0.0.1:${readNote(cluster.folder, 'port')}/${name}`;
}

/**
 * The port of last time if it is free, so that a server that outlives its database finds it again.
 * @param {string} folder
 * @param {boolean} another
 * @returns {Promise<number>}
 */
async function choosePort(folder, another) {
  const last = Number(readNote(folder, 'port'));
  if (!another && last > 0 && (await freePort(last)) === last) return last;
  return freePort(0);
}

/**
 * @param {number} wanted 0 for any
 * @returns {Promise<number>} the port, 0 when the wanted one is taken
 */
export function freePort(wanted) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(0));
    probe.listen(wanted, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address !== null ? address.port : 0));
    });
  });
}

/**
 * @param {string} folder
 * @param {string} name
 */
function readNote(folder, name) {
  return existsSync(`${folder}/${name}`) ? readFileSync(`${folder}/${name}`, 'utf8').trim() : '';
}

/**
 * Writes a note whole or not at all: on a full disk the one before stays, and one that says the same is not written.
 * @param {string} folder
 * @param {string} name
 * @param {string} text
 */
export function keepNote(folder, name, text) {
  if (readNote(folder, name) === text) return;
  const fresh = `${folder}/.${name}.new`;
  writeFileSync(fresh, text);
  renameSync(fresh, `${folder}/${name}`);
}

/**
 * @param {readonly string[]} command
 * @param {import('node:child_process').SpawnSyncOptions} [options]
 */
function execute(command, options = {}) {
  const [program = '', ...words] = command;
  // the working folder must be one the server's user may enter
  const done = spawnSync(program, words, { cwd: '/', ...options, encoding: 'utf8', stdio: ['pipe', 'pipe', 'pipe'] });
  return { status: done.status, stdout: String(done.stdout ?? ''), stderr: String(done.stderr ?? '') };
}
