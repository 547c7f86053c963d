import { type Piece, type PieceHead, type PieceWork, pieceWork } from '@aurora/wire';
import type { Db, Queryable } from '../db/pool.ts';
import { stored, upgraded } from '../db/stored-json.ts';

/** A piece as it is kept: its file in bytes. */
export interface StoredPiece extends PieceHead, PieceWork {
  readonly source: Uint8Array;
}

/** What came of a save. */
export type PieceOutcome =
  | { readonly kind: 'saved' | 'stale'; readonly piece: StoredPiece }
  | { readonly kind: 'missing' }
  /** The chart it names is none of the band's. */
  | { readonly kind: 'strange-song' };

interface HeadRow {
  readonly id: string;
  readonly title: string;
  readonly by_line: string;
  readonly format: Piece['format'];
  readonly song_id: string | null;
  readonly revision: number;
  readonly saved_at: Date;
}

interface PieceRow extends HeadRow {
  readonly source: Buffer;
  readonly rhythm: Piece['rhythm'];
  readonly said: unknown;
}

const HEAD = 'id, title, by_line, format, song_id, revision, saved_at';

/** The band's written-out pieces, the last one worked on first. */
export async function listPieces(db: Queryable, bandId: string): Promise<readonly PieceHead[]> {
  const { rows } = await db.query<HeadRow>(`select ${HEAD} from piece where band_id = $1 order by saved_at desc, id`, [bandId]);
  return rows.map(headOf);
}

function headOf({ id, title, by_line: by, format, song_id: songId, revision, saved_at }: HeadRow): PieceHead {
  return { id, title, by, format, songId, revision, savedAt: saved_at.toISOString() };
}

/** A piece with its file; undefined when the band has none by that id. */
export async function findPiece(db: Queryable, bandId: string, pieceId: string): Promise<StoredPiece | undefined> {
  const { rows } = await db.query<PieceRow>(`select ${HEAD}, source, rhythm, said from piece where band_id = $1 and id = $2`, [
    bandId,
    pieceId,
  ]);
  return rows[0] === undefined ? undefined : pieceOf(rows[0]);
}

/** Every piece of a band with its file, the oldest first. */
export async function allPieces(db: Queryable, bandId: string): Promise<readonly StoredPiece[]> {
  const { rows } = await db.query<PieceRow>(`select ${HEAD}, source, rhythm, said from piece where band_id = $1 order by saved_at, id`, [
    bandId,
  ]);
  return rows.map(pieceOf);
}

function pieceOf(row: PieceRow): StoredPiece {
  const said = pieceWork.shape.said.safeParse(upgraded(row.said));
  return { ...headOf(row), source: row.source, rhythm: row.rhythm, said: said.success ? said.data : [] };
}

/** A piece to be added. */
export interface NewPiece extends Pick<StoredPiece, 'title' | 'by' | 'format' | 'source' | 'rhythm'> {
  /** Where it comes out of a backup: what it was then. */
  readonly kept?: Pick<StoredPiece, 'id' | 'said' | 'songId' | 'revision'>;
}

/** Adds a piece; undefined when there is no such band. */
export async function addPiece(db: Queryable, bandId: string, piece: NewPiece): Promise<StoredPiece | undefined> {
  const { title, by, format, source, rhythm, kept } = piece;
  const { rows } = await db.query<PieceRow>(
    `insert into piece (band_id, id, title, by_line, format, source, rhythm, said, song_id, revision, saved_at)
     select band.id, coalesce($2::uuid, gen_random_uuid()), $3, $4, $5, $6, $7, $8, $9, $10, clock_timestamp() from band where band.id = $1
     returning ${HEAD}, source, rhythm, said`,
    [
      bandId,
      kept?.id ?? null,
      title,
      by,
      format,
      Buffer.from(source),
      rhythm,
      stored(kept?.said ?? []),
      kept?.songId ?? null,
      kept?.revision ?? 1,
    ],
  );
  return rows[0] === undefined ? undefined : pieceOf(rows[0]);
}

/** What of a piece is saved: its work, and its file where that comes anew. */
export interface PieceSave extends PieceWork {
  readonly baseRevision: number;
  readonly source: Uint8Array | null;
}

/** Saves a piece on top of a revision; a newer one in the store makes the save stale, and nothing is written. */
export async function savePiece(db: Db, bandId: string, pieceId: string, save: PieceSave): Promise<PieceOutcome> {
  return db.transaction(async (client) => {
    await client.query('select 1 from piece where band_id = $1 and id = $2 for update', [bandId, pieceId]);
    const now = await findPiece(client, bandId, pieceId);
    if (now === undefined) return { kind: 'missing' };
    if (now.revision !== save.baseRevision) return { kind: 'stale', piece: now };
    const { title, rhythm, said, songId, source } = save;
    if (songId !== null) {
      const { rowCount } = await client.query('select 1 from song where band_id = $1 and id = $2', [bandId, songId]);
      if (rowCount === 0) return { kind: 'strange-song' };
    }
    await client.query(
      `update piece set title = $3, rhythm = $4, said = $5, song_id = $6, source = coalesce($7, source), revision = revision + 1, saved_at = now()
        where band_id = $1 and id = $2`,
      [bandId, pieceId, title, rhythm, stored(said), songId, source === null ? null : Buffer.from(source)],
    );
    return { kind: 'saved', piece: (await findPiece(client, bandId, pieceId)) as StoredPiece };
  });
}

/** Takes a piece away. Answers whether there was one. */
export async function deletePiece(db: Queryable, bandId: string, pieceId: string): Promise<boolean> {
  const { rowCount } = await db.query('delete from piece where band_id = $1 and id = $2', [bandId, pieceId]);
  return rowCount === 1;
}
