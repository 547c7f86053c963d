import { mkdir, readdir, rename, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { QueryArrayConfig } from 'pg';
import type { Logger } from 'pino';
import { backupText } from '../backup/backup-text.ts';
import type { House } from '../context/enter.ts';
import { bandIds } from '../db/whole-house.ts';
import { OUTLINE_RULES } from '../song/song-outline.ts';
import { refreshOutline } from '../song/song-store.ts';

export interface RoundsDeps {
  readonly house: Pick<House, 'as'>;
  readonly log: Logger;
  /** Where a backup of every band is put each night; null for none. */
  readonly backupFolder: string | null;
}

const MINUTE_MS = 60_000;
/** Every so many minutes the house is swept; each night it is tidied. */
const SWEEP_MINUTES = 10;
const NIGHT_HOUR = 4;
const OUTLINES_AT_ONCE = 50;
const KEPT_NIGHTS = 14;

/** What the house does by itself: refreshes what older rules made, sweeps, thins saves, and puts backups down. */
export class Rounds {
  readonly #deps: RoundsDeps;
  #timer: NodeJS.Timeout | null = null;
  #running: Promise<void> = Promise.resolve();
  #minutes = 0;
  #night = '';
  #isStopping = false;

  constructor(deps: RoundsDeps) {
    this.#deps = deps;
  }

  start(): void {
    this.#timer = setInterval(() => this.#round(), MINUTE_MS);
    this.#round();
  }

  async stop(): Promise<void> {
    this.#isStopping = true;
    if (this.#timer !== null) clearInterval(this.#timer);
    await this.#running;
  }

  #round(): void {
    const { log } = this.#deps;
    this.#running = this.#running
      .then(() => this.#work(new Date()))
      .catch((error: unknown) => log.warn({ err: error }, 'a round was not ended'));
  }

  async #work(now: Date): Promise<void> {
    if (this.#minutes % SWEEP_MINUTES === 0)
      for (const sweep of ['aurora_sweep', 'aurora_forget_changes', 'aurora_forget_begun_songs'])
        await atLength(this.#deps.house, `select ${sweep}()`);
    this.#minutes += 1;
    await refreshOutlines(this.#deps, () => this.#isStopping);
    const night = now.toISOString().slice(0, 10);
    if (now.getHours() !== NIGHT_HOUR || this.#night === night) return;
    this.#night = night;
    await tidy(this.#deps);
    if (this.#deps.backupFolder !== null) await putBackupsDown(this.#deps.house, this.#deps.backupFolder, night, now);
  }
}

const LONG_MS = 600_000;

/** What takes as long as it takes: no player waits for it. Answers the one value that comes back. */
async function atLength(house: Pick<House, 'as'>, text: string): Promise<unknown> {
  return house.as({}).transaction(async (client) => {
    await client.query(`set local statement_timeout = ${LONG_MS}`);
    const { rows } = await client.query<unknown[]>({ text, rowMode: 'array', query_timeout: LONG_MS } as QueryArrayConfig);
    return rows[0]?.[0];
  });
}

/**
 * Works out anew what the shelf shows of songs where older rules made it, a few at a time. Says how many.
 * A song that cannot be is told of and left; where all of a few are left, so is the rest until the next round.
 */
export async function refreshOutlines({ house, log }: Pick<RoundsDeps, 'house' | 'log'>, isStopping: () => boolean): Promise<number> {
  for (let refreshed = 0; ; ) {
    const before = refreshed;
    const { rows } = await house
      .as({})
      .query<{ band_id: string; id: string }>('select * from aurora_outdated_songs($1, $2)', [OUTLINE_RULES, OUTLINES_AT_ONCE]);
    for (const { band_id, id } of rows) {
      if (isStopping()) return refreshed;
      if (await isRefreshed({ house, log }, band_id, id)) refreshed += 1;
    }
    if (rows.length < OUTLINES_AT_ONCE || refreshed === before) return refreshed;
  }
}

async function isRefreshed({ house, log }: Pick<RoundsDeps, 'house' | 'log'>, bandId: string, songId: string): Promise<boolean> {
  try {
    return await refreshOutline(house.as({ band: bandId }), bandId, songId);
  } catch (error) {
    log.error({ err: error, song: songId }, 'the outline of a song was not made anew');
    return false;
  }
}

/** Thins saves by the rule, and counts what each band keeps. */
export async function tidy({ house, log }: Pick<RoundsDeps, 'house' | 'log'>): Promise<void> {
  const gone = await atLength(house, 'select aurora_thin_versions()');
  log.info({ saves: Number(gone) }, 'saves were thinned');
  await atLength(house, 'select aurora_weigh()');
}

/** Whoever was at it and has written nothing for so long is not at it any more. */
const GIVEN_UP_MS = 3_600_000;

/** Takes a night's backups on: its folder, empty; false while another worker is at them. */
async function takesOn(unfinished: string): Promise<boolean> {
  const isMade = await mkdir(unfinished, { mode: 0o700 }).then(
    () => true,
    () => false,
  );
  if (isMade) return true;
  // one that is gone has just been ended
  const since = (await stat(unfinished).catch(() => null))?.mtimeMs ?? Date.now();
  if (Date.now() - since < GIVEN_UP_MS) return false;
  await rm(unfinished, { recursive: true, force: true });
  return takesOn(unfinished);
}

/**
 * A backup of every band into a folder of the night; older nights go after a fortnight. Says how many bands;
 * null where another worker is at it.
 */
export async function putBackupsDown(house: Pick<House, 'as'>, folder: string, night: string, now: Date): Promise<number | null> {
  const unfinished = join(folder, `${night}.unfinished`);
  await mkdir(folder, { recursive: true, mode: 0o700 });
  if (!(await takesOn(unfinished))) return null;
  const bands = await bandIds(house.as({}));
  for (const bandId of bands)
    await writeFile(join(unfinished, `${bandId}.json`), backupText(house.as({ band: bandId }), bandId, now), { mode: 0o600 });
  await rm(join(folder, night), { recursive: true, force: true });
  await rename(unfinished, join(folder, night));
  const nights = (await readdir(folder)).filter((name) => /^\d{4}-\d\d-\d\d$/.test(name)).sort();
  for (const old of nights.slice(0, -KEPT_NIGHTS)) await rm(join(folder, old), { recursive: true, force: true });
  return bands.length;
}
