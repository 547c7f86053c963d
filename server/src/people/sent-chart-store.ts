import type { SendRequest, SentChart, SentHead, SentLink, SetList } from '@aurora/wire';
import { bandName } from '../band/band-store.ts';
import type { Seat } from '../context/context.ts';
import type { House } from '../context/enter.ts';
import { bandOfToken, bandToken, tokenHash } from '../context/token.ts';
import type { Db } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import { findSet } from '../set/set-store.ts';
import { findSong } from '../song/song-store.ts';
import { notFound } from '../validate.ts';
import { note } from './audit-store.ts';
import { nextNoon } from './invitation-store.ts';

/** As many links may be open in a band; whoever sends more takes one back first. */
const MOST_OPEN = 200;
const OPEN = '(expires_at is null or expires_at > now())';

/** Makes a link to a song or a set; its content is answered once, and only its hash kept. */
export async function send(db: Db, seat: Seat, wish: SendRequest, now: Date): Promise<SentLink> {
  const token = bandToken(seat.bandId);
  const expiresAt = wish.until === 'evening' ? nextNoon(now) : null;
  const sent =
    wish.what === 'song'
      ? { song: wish.songId, set: null, key: wish.key ?? '', name: (await findSong(db, seat.bandId, wish.songId))?.title }
      : { song: null, set: wish.setId, key: '', name: (await findSet(db, seat.bandId, wish.setId))?.name };
  const { name } = sent;
  if (name === undefined) throw notFound(wish.what);
  return db.transaction(async (client) => {
    // what nobody can open any more is not kept
    await client.query(`delete from sent_chart where band_id = $1 and not ${OPEN}`, [seat.bandId]);
    const { rows: open } = await client.query<{ count: string }>('select count(*) from sent_chart where band_id = $1', [seat.bandId]);
    if (Number(open[0]?.count) >= MOST_OPEN)
      throw new HttpFault('over-quota', `${MOST_OPEN} links are open in this band. Take one back in the band, under People, first.`);
    const { rows } = await client.query<{ id: string }>(
      `insert into sent_chart (band_id, token_hash, song_id, set_id, key_name, made_by, expires_at)
       values ($1, $2, $3, $4, $5, $6, $7) returning id`,
      [seat.bandId, tokenHash(token), sent.song, sent.set, sent.key, seat.name, expiresAt],
    );
    await note(client, seat.bandId, seat.name, 'sent a link to', name);
    return { id: rows[0]?.id as string, token, expiresAt: expiresAt?.toISOString() ?? null };
  });
}

interface SentRow {
  readonly id: string;
  readonly song_id: string | null;
  readonly set_id: string | null;
  readonly name: string;
  readonly key_name: string;
  readonly made_by: string;
  readonly made_at: Date;
  readonly expires_at: Date | null;
}

/** The links that open, the newest first. */
export async function listSent(db: Db, bandId: string): Promise<readonly SentHead[]> {
  const { rows } = await db.query<SentRow>(
    `select sent_chart.id, song_id, set_id, coalesce(song.title, set_list.name) as name, sent_chart.key_name, made_by, made_at, expires_at
       from sent_chart
       left join song on song.band_id = sent_chart.band_id and song.id = song_id
       left join set_list on set_list.band_id = sent_chart.band_id and set_list.id = set_id
      where sent_chart.band_id = $1 and ${OPEN} order by made_at desc, sent_chart.id`,
    [bandId],
  );
  return rows.map(({ id, song_id, name, key_name, made_by, made_at, expires_at }) => ({
    id,
    what: song_id === null ? 'set' : 'song',
    name,
    key: key_name === '' ? null : key_name,
    madeBy: made_by,
    madeAt: made_at.toISOString(),
    expiresAt: expires_at?.toISOString() ?? null,
  }));
}

/** Takes a link back. Answers whether it was open. */
export async function takeSentBack(db: Db, seat: Seat, id: string): Promise<boolean> {
  return db.transaction(async (client) => {
    const { rowCount } = await client.query(`delete from sent_chart where band_id = $1 and id = $2 and ${OPEN}`, [seat.bandId, id]);
    if (rowCount === 1) await note(client, seat.bandId, seat.name, 'took a link back');
    return rowCount === 1;
  });
}

const CLOSED = 'This link is taken back, or its evening is over. Ask the band for a new one.';

/** What a link shows, as it stands now. Who counts in, and whose capo sits where, is the band's own. */
export async function lookAtSent(house: Pick<House, 'as'>, token: string): Promise<SentChart> {
  const bandId = bandOfToken(token);
  if (bandId === null) throw new HttpFault('not-found', CLOSED);
  const hash = tokenHash(token);
  const { rows } = await house
    .as({ key: hash })
    .query<SentRow>(`select * from sent_chart where band_id = $1 and token_hash = $2 and ${OPEN}`, [bandId, hash]);
  const sent = rows[0];
  if (sent === undefined) throw new HttpFault('not-found', CLOSED);
  const db = house.as({ band: bandId });
  const song = sent.song_id === null ? null : await findSong(db, bandId, sent.song_id);
  const set = sent.set_id === null ? null : await findSet(db, bandId, sent.set_id);
  if (song === undefined || set === undefined) throw new HttpFault('not-found', CLOSED);
  return {
    band: (await bandName(db, bandId)) ?? '',
    bandId,
    madeBy: sent.made_by,
    expiresAt: sent.expires_at?.toISOString() ?? null,
    key: sent.key_name === '' ? null : sent.key_name,
    song,
    set: set === null ? null : forAnybody(set),
  };
}

function forAnybody(set: SetList): SetList {
  return { ...set, savedBy: null, entries: set.entries.map((one) => (one.kind === 'break' ? one : { ...one, capos: {}, starts: '' })) };
}
