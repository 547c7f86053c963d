import { NEWS_KINDS, type NewsItem } from '@aurora/wire';
import pg from 'pg';
import type { Logger } from 'pino';
import { z } from 'zod';

const CHANNEL = 'aurora_change';
const AGAIN_MS = 500;

const told = z.object({
  band: z.string(),
  seq: z.number(),
  kind: z.enum(NEWS_KINDS),
  id: z.string().nullable(),
  revision: z.number().nullable(),
});

/** Who hears what changes in a band. */
export interface Hearer {
  readonly onChange: (change: NewsItem) => void;
  /** The database was away: what was said meanwhile has not been heard. */
  readonly onGap: () => void;
  /** The house closes. */
  readonly onEnd: () => void;
}

/**
 * What the database says of changes, on one connection of its own: opened for the first who hears, kept until the house closes,
 * and opened again where it breaks.
 */
export class ChangeFeed {
  readonly #url: string;
  readonly #log: Logger;
  readonly #hearers = new Map<string, Set<Hearer>>();
  #client: pg.Client | null = null;
  #timer: NodeJS.Timeout | null = null;
  #isClosed = false;

  constructor(url: string, log: Logger) {
    this.#url = url;
    this.#log = log;
  }

  /** Hears a band from now on; gives back what ends it. */
  readonly hear = (bandId: string, hearer: Hearer): (() => void) => {
    const those = this.#hearers.get(bandId) ?? new Set();
    this.#hearers.set(bandId, those.add(hearer));
    if (this.#client === null && this.#timer === null) void this.#open();
    return () => {
      those.delete(hearer);
      if (those.size === 0 && this.#hearers.get(bandId) === those) this.#hearers.delete(bandId);
    };
  };

  /** How many hear. */
  get size(): number {
    return [...this.#hearers.values()].reduce((sum, { size }) => sum + size, 0);
  }

  readonly close = async (): Promise<void> => {
    this.#isClosed = true;
    if (this.#timer !== null) clearTimeout(this.#timer);
    for (const hearer of this.#all()) hearer.onEnd();
    await this.#client?.end().catch(() => undefined);
  };

  async #open(): Promise<void> {
    if (this.#isClosed) return;
    const client = new pg.Client({ connectionString: this.#url, application_name: 'aurora-ridge changes', keepAlive: true });
    this.#client = client;
    client.on('error', (error) => this.#log.warn({ error: error.message }, 'changes are not heard for a moment'));
    client.on('end', () => this.#broken(client));
    client.on('notification', ({ payload }) => this.#tell(payload ?? ''));
    try {
      await client.connect();
      await client.query(`listen ${CHANNEL}`);
      for (const hearer of this.#all()) hearer.onGap();
    } catch (error) {
      this.#log.warn({ error: (error as Error).message }, 'changes cannot be heard now');
      await client.end().catch(() => undefined);
      this.#broken(client);
    }
  }

  #broken(client: pg.Client): void {
    if (this.#client !== client || this.#isClosed) return;
    this.#client = null;
    this.#timer = setTimeout(() => {
      this.#timer = null;
      void this.#open();
    }, AGAIN_MS);
  }

  #tell(payload: string): void {
    const read = told.safeParse(JSON.parse(payload));
    if (!read.success) return;
    const { band, ...change } = read.data;
    for (const { onChange } of this.#hearers.get(band) ?? []) onChange(change);
  }

  #all(): readonly Hearer[] {
    return [...this.#hearers.values()].flatMap((those) => [...those]);
  }
}
