// @ts-check
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import pg from 'pg';
import { findPostgres } from './packages.mjs';
import { randomFrom } from './random.mjs';

/** @typedef {{ house: Awaited<ReturnType<typeof import('./run-house.mjs').runHouse>>, folder: string, urls: readonly string[], ownerUrl: string, hasOwnDisk: boolean }} Tortured */
/** @typedef {{ songId: string, revision: number, source: string }} Acknowledged */

const WRITERS = 4;
const FROZEN_MS = 20_000;
const FULL_MS = 5000;
const BEFORE_MS = 400;
/** However long a fault lasts, nobody waits longer for an answer. */
const MOST_ANSWER_MS = 15_000;
const BACK_MS = 60_000;
/** Back by itself so soon after the database has returned. */
const GOAL_MS = 10_000;

/** @param {Tortured} tortured */
function postmasterPid({ folder }) {
  const elsewhere = `${folder}/postgres/data/postmaster.pid`;
  if (existsSync(elsewhere)) return Number(readFileSync(elsewhere, 'utf8').split('\n')[0]);
  throw new Error('the database is somewhere else: run this where its folder may be entered');
}

/** @param {number} parent */
function childrenOf(parent) {
  return readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .map(Number)
    .filter((pid) => {
      try {
        return Number(readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ')[1]) === parent;
      } catch {
        return false;
      }
    });
}

/** @param {number | undefined} pid @param {NodeJS.Signals} signal */
function send(pid, signal) {
  if (pid === undefined || !(pid > 1)) return;
  try {
    process.kill(pid, signal);
  } catch {
    // it is gone already
  }
}

/** @param {Tortured} tortured @param {'fast' | 'immediate'} mode */
function stopDatabase({ folder }, mode) {
  const as = process.getuid?.() === 0 ? ['setpriv', '--reuid=postgres', '--regid=postgres', '--init-groups'] : [];
  const [program = '', ...words] = [
    ...as,
    `${findPostgres()}/pg_ctl`,
    '-D',
    `${folder}/postgres/data`,
    '-m',
    mode,
    '-w',
    '-t',
    '30',
    'stop',
  ];
  spawnSync(program, words, { cwd: '/', stdio: 'ignore' });
}

/** What is done to the house, by name. Comes back when it is done, or over. @type {Readonly<Record<string, (tortured: Tortured) => Promise<void>>>} */
const FAULTS = {
  'kill -9 of a server': async ({ house }) => send(house.kept[0]?.pid(), 'SIGKILL'),
  'kill -9 of the other server': async ({ house }) => send(house.kept[1]?.pid(), 'SIGKILL'),
  'kill -9 of the worker': async ({ house }) => send(house.kept[2]?.pid(), 'SIGKILL'),
  'kill -9 of the postmaster': async (tortured) => send(postmasterPid(tortured), 'SIGKILL'),
  'kill -9 of a connection': async (tortured) => {
    const backends = childrenOf(postmasterPid(tortured));
    send(backends.at(-1), 'SIGKILL');
  },
  'a server asked to end': async ({ house }) => send(house.kept[0]?.pid(), 'SIGTERM'),
  'an immediate stop of the database': async (tortured) => stopDatabase(tortured, 'immediate'),
  'a clean stop of the database': async (tortured) => stopDatabase(tortured, 'fast'),
  'the database frozen for 20 s': async (tortured) => {
    const postmaster = postmasterPid(tortured);
    const all = [postmaster, ...childrenOf(postmaster)];
    for (const pid of all) send(pid, 'SIGSTOP');
    await sleep(FROZEN_MS);
    for (const pid of all) send(pid, 'SIGCONT');
  },
};

/** @param {Tortured} tortured */
async function fillDisk({ folder }) {
  const ballast = `${folder}/postgres/ballast`;
  // as much as there is room for
  spawnSync('dd', ['if=/dev/zero', `of=${ballast}`, 'bs=1M'], { stdio: 'ignore' });
  await sleep(FULL_MS);
  rmSync(ballast, { force: true });
}

/** Writes without end, and remembers what was acknowledged. */
class Writer {
  /** @type {Acknowledged[]} */
  acknowledged = [];
  /** @type {number[]} */
  strange = [];
  refused = { away: 0, full: 0 };
  longestMs = 0;
  #isOver = false;
  #revision = 0;
  #source = '';
  #songId = '';

  /** @param {readonly string[]} urls @param {string} bandId @param {number} index */
  constructor(urls, bandId, index) {
    this.urls = urls;
    this.bandId = bandId;
    this.index = index;
  }

  end() {
    this.#isOver = true;
  }

  async run() {
    for (let turn = 0; !this.#isOver; turn += 1) {
      const url = this.urls[turn % this.urls.length];
      const songs = `${url}/api/v1/bands/${this.bandId}/songs`;
      const source = `title: Writer ${this.index}\nkey: G\n\n1 4 5 1\n# ${this.index} ${turn} ${'x'.repeat(turn % 700)}\n`;
      if (this.#songId === '') await this.#begin(songs, source);
      else await this.#save(`${songs}/${this.#songId}`, source);
    }
  }

  /** @param {string} songs @param {string} source */
  async #begin(songs, source) {
    const answer = await this.#ask(songs, 'POST', { source });
    if (answer?.status !== 201) return void (await sleep(50));
    this.#songId = answer.body.id;
    this.#took(answer.body);
  }

  /** @param {string} path @param {string} source */
  async #save(path, source) {
    const answer = await this.#ask(path, 'PUT', { source, baseRevision: this.#revision });
    if (answer?.status === 200) return this.#took(answer.body);
    // an answer that was lost may stand behind a save that was not
    if (answer?.status === 409) this.#revision = answer.body.current.revision;
    else await sleep(50);
  }

  /** @param {{ id: string, revision: number, source: string }} song */
  #took({ id, revision, source }) {
    this.#revision = revision;
    this.#source = source;
    this.acknowledged.push({ songId: id, revision, source: this.#source });
  }

  /** @param {string} url @param {string} method @param {object} body @returns {Promise<{ status: number, body: any } | undefined>} */
  async #ask(url, method, body) {
    const start = performance.now();
    try {
      const response = await fetch(url, {
        method,
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
        signal: AbortSignal.timeout(2 * MOST_ANSWER_MS),
      });
      const answer = await response.json();
      if (response.status === 503) this.refused.away += 1;
      if (response.status === 507) this.refused.full += 1;
      if (![200, 201, 409, 503, 507].includes(response.status)) this.strange.push(response.status);
      return { status: response.status, body: answer };
    } catch {
      return undefined;
    } finally {
      this.longestMs = Math.max(this.longestMs, performance.now() - start);
    }
  }
}

/** @param {string} url */
async function demoBand(url) {
  const { bands } = /** @type {any} */ (await (await fetch(`${url}/api/v1/me`)).json());
  return /** @type {string} */ (bands[0].id);
}

/**
 * Until every server saves again; answers how long that took.
 * @param {readonly Writer[]} writers @param {readonly string[]} urls
 */
async function untilBack(writers, urls) {
  const start = performance.now();
  const before = writers.map(({ acknowledged }) => acknowledged.length);
  while (performance.now() - start < BACK_MS) {
    const isSaving = writers.every(({ acknowledged }, index) => acknowledged.length > (before[index] ?? 0) + 1);
    const alive = await Promise.all(
      urls.map((url) =>
        fetch(`${url}/readyz`, { signal: AbortSignal.timeout(3000) }).then(
          ({ ok }) => ok,
          () => false,
        ),
      ),
    );
    if (isSaving && alive.every(Boolean)) return performance.now() - start;
    await sleep(50);
  }
  return BACK_MS;
}

/**
 * Rounds of faults with writes in flight. Prints figures; true when nothing acknowledged was lost.
 * @param {Tortured} tortured
 * @param {number} rounds
 * @param {number} seed
 */
export async function tortureFaults(tortured, rounds, seed) {
  const { urls } = tortured;
  const bandId = await demoBand(urls[0] ?? '');
  const random = randomFrom(seed);
  const faults = tortured.hasOwnDisk ? { ...FAULTS, 'the disk full for 5 s': fillDisk } : FAULTS;
  const names = Object.keys(faults);
  const writers = Array.from({ length: WRITERS }, (_, index) => new Writer(urls, bandId, index));
  const running = Promise.all(writers.map((writer) => writer.run()));
  /** @type {Map<string, number[]>} */
  const back = new Map();
  for (let round = 0; round < rounds; round += 1) {
    await sleep(BEFORE_MS + random() * BEFORE_MS);
    // every fault once, then as chance has it
    const name = /** @type {string} */ (names[round < names.length ? round : Math.floor(random() * names.length)]);
    await faults[name]?.(tortured);
    const ms = await untilBack(writers, urls);
    back.set(name, [...(back.get(name) ?? []), ms]);
    console.log(`${String(round + 1).padStart(3)} ${name}: saving again after ${(ms / 1000).toFixed(1)} s`);
  }
  for (const writer of writers) writer.end();
  await running;
  return report(tortured, writers, back);
}

/** @param {Tortured} tortured @param {readonly Writer[]} writers @param {ReadonlyMap<string, readonly number[]>} back */
async function report({ ownerUrl }, writers, back) {
  const acknowledged = writers.flatMap((writer) => writer.acknowledged);
  const client = new pg.Client(ownerUrl);
  await client.connect();
  const kept = new Map(
    (await client.query("select song_id || ' ' || revision as name, source from chart_version")).rows.map(({ name, source }) => [
      name,
      source,
    ]),
  );
  const lost = acknowledged.filter(({ songId, revision, source }) => kept.get(`${songId} ${revision}`) !== source);
  const { rows: half } = await client.query(
    `select song.id from song left join chart_version version
        on version.band_id = song.band_id and version.song_id = song.id and version.revision = song.revision where version.source is null`,
  );
  await client.end();
  const [away, full] = [
    writers.reduce((sum, { refused }) => sum + refused.away, 0),
    writers.reduce((sum, { refused }) => sum + refused.full, 0),
  ];
  const strange = writers.flatMap((writer) => writer.strange);
  const longest = Math.max(...writers.map(({ longestMs }) => longestMs));
  const slowest = Math.max(...[...back.values()].flat());
  console.log('\nfault | times | longest until every server saves again');
  for (const [name, times] of back) console.log(`${name} | ${times.length} | ${(Math.max(...times) / 1000).toFixed(1)} s`);
  console.log(
    `\nacknowledged saves ${acknowledged.length}, lost ${lost.length}, half-written ${half.length}; answered 503 ${away} times, 507 ${full} times, otherwise than 200, 201, 409: ${strange.length}; the longest answer ${(longest / 1000).toFixed(1)} s (goal: under ${MOST_ANSWER_MS / 1000} s); back after ${(slowest / 1000).toFixed(1)} s at most (goal: ${GOAL_MS / 1000} s)`,
  );
  return lost.length === 0 && half.length === 0 && strange.length === 0;
}
