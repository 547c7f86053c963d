import type { BandNews, NewsItem } from '@aurora/wire';
import type { Db } from '../db/pool.ts';

/** More than so many are not told one by one. */
const MOST = 500;
/**
 * Changes are numbered when they are made and told when they are kept, so that one may come after a later one. Whoever
 * was away is told a few again that they may have heard.
 */
export const OVERLAP = 20;

interface Row {
  readonly seq: string;
  readonly kind: NewsItem['kind'];
  readonly id: string | null;
  readonly revision: number | null;
}

/** What changed after a number, and a few before it that may have been told or not; with none, only where one is now. */
export async function changesAfter(db: Db, bandId: string, after: number | null, overlap = OVERLAP): Promise<BandNews> {
  const { rows: ends } = await db.query<{ first: string | null; last: string | null }>(
    'select min(seq) as first, max(seq) as last from change where band_id = $1',
    [bandId],
  );
  const [first, last] = [Number(ends[0]?.first ?? 0), Number(ends[0]?.last ?? 0)];
  if (after === null) return { changes: [], last, all: false };
  const { rows } = await db.query<Row>(
    'select seq, kind, id, revision from change where band_id = $1 and seq > $2 order by seq desc limit $3',
    [bandId, after - overlap, MOST + 1],
  );
  // before the first that is kept some may be forgotten; after the last there is what a restored database never had
  const all = rows.length > MOST || after + 1 < first || after > last;
  const changes = rows
    .slice(0, MOST)
    .reverse()
    .map((row): NewsItem => ({ ...row, seq: Number(row.seq) }));
  return { changes: all ? [] : changes, last, all };
}

/** One change, if whoever asks may hear of it. */
export async function findChange(db: Db, bandId: string, seq: number): Promise<NewsItem | undefined> {
  const { rows } = await db.query<Row>('select seq, kind, id, revision from change where band_id = $1 and seq = $2', [bandId, seq]);
  return rows[0] === undefined ? undefined : { ...rows[0], seq: Number(rows[0].seq) };
}
