import type { Db } from '../db/pool.ts';

/** Bands and work, by name. */
export async function readCounts(db: Db): Promise<Readonly<Record<string, number>>> {
  const { rows } = await db.query<{ bands: string; waiting: string; working: string; failed: string }>('select * from aurora_counts()');
  const { bands = 0, waiting = 0, working = 0, failed = 0 } = rows[0] ?? {};
  return { bands: Number(bands), jobs_waiting: Number(waiting), jobs_working: Number(working), jobs_failed: Number(failed) };
}
