import type { ChordSwap, SwapRequest } from '@aurora/wire';
import type { Queryable } from '../db/pool.ts';

interface SwapRow {
  readonly song_id: string;
  readonly member_id: string;
  readonly chord: string;
  readonly stretch: number;
  readonly instead: string;
  readonly refused_by: string;
}

const COLUMNS = 'song_id, member_id, chord, stretch, instead, refused_by';

function swapOf({ member_id: memberId, chord, stretch, instead, refused_by: refusedBy }: SwapRow): ChordSwap {
  return { memberId, chord, stretch, instead, refusedBy };
}

/** Every chord that a player of the band plays otherwise, with its song. */
export async function allSwaps(db: Queryable, bandId: string): Promise<readonly (ChordSwap & { readonly songId: string })[]> {
  const { rows } = await db.query<SwapRow>(
    `select ${COLUMNS} from chord_swap where band_id = $1 order by song_id, member_id, stretch, chord`,
    [bandId],
  );
  return rows.map((row) => ({ songId: row.song_id, ...swapOf(row) }));
}

/** Chords that players play otherwise in these songs, by song. */
export async function listSwaps(
  db: Queryable,
  bandId: string,
  songIds: readonly string[],
): Promise<ReadonlyMap<string, readonly ChordSwap[]>> {
  const { rows } = await db.query<SwapRow>(
    `select ${COLUMNS} from chord_swap
      where band_id = $1 and song_id = any ($2::uuid[]) order by member_id, stretch, chord`,
    [bandId, songIds],
  );
  const swaps = new Map<string, ChordSwap[]>(songIds.map((id) => [id, []]));
  for (const row of rows) swaps.get(row.song_id)?.push(swapOf(row));
  return swaps;
}

/** Keeps what a player plays for a chord, or the chord as written. Answers whether the band has both player and song. */
export async function saveSwap(db: Queryable, bandId: string, songId: string, swap: SwapRequest): Promise<boolean> {
  const { memberId, chord, stretch, instead, refusedBy } = swap;
  const { rowCount } = await db.query(
    'select 1 from member join song on song.band_id = member.band_id where member.band_id = $1 and member.id = $2 and song.id = $3',
    [bandId, memberId, songId],
  );
  if (rowCount === 0) return false;
  if (instead === null) {
    await db.query('delete from chord_swap where band_id = $1 and song_id = $2 and member_id = $3 and stretch = $4 and chord = $5', [
      bandId,
      songId,
      memberId,
      stretch,
      chord,
    ]);
    return true;
  }
  await db.query(
    `insert into chord_swap (band_id, song_id, member_id, stretch, chord, instead, refused_by) values ($1, $2, $3, $4, $5, $6, $7)
     on conflict (band_id, song_id, member_id, stretch, chord) do update set instead = excluded.instead, refused_by = excluded.refused_by`,
    [bandId, songId, memberId, stretch, chord, instead, refusedBy],
  );
  return true;
}
