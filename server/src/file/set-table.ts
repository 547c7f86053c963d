import { BRIDGE_KINDS, clockAfter, eveningOf, GAP_SECONDS, parseKey, parseLength, printKey, printLength, setTimes } from '@aurora/core';
import { SET_COLUMNS, type Table } from '@aurora/core/format';
import type { SetList, SetListBody } from '@aurora/wire';
import type { Queryable } from '../db/pool.ts';

/** A set as a table: one row for each song and break. */
export function tableOfSet(set: SetList): Table {
  const evening = eveningOf(set, set.songs);
  const times = setTimes(
    evening.entries.map(({ entry }) => entry),
    set.gapSeconds,
  );
  const rows = evening.entries.map((one, index): Record<string, string> => {
    const time = times[index] as (typeof times)[number];
    const shared = {
      place: String(index + 1),
      title: one.name,
      length: time.seconds === 0 ? '' : printLength(time.seconds),
      begins: clockAfter(set.startsAt, time.at) ?? '',
    };
    if (one.entry.kind === 'break') return { ...shared, kind: 'break' };
    const { join, key } = one.entry;
    return {
      ...shared,
      kind: 'song',
      key: printKey(key),
      tempo: one.tempo === null ? '' : String(one.tempo),
      starts: one.starts,
      notes: one.notes,
      'goes on': join.kind === 'gap' ? '' : join.bridge,
    };
  });
  return { columns: SET_COLUMNS, rows };
}

/** A table as a set of the band's songs, found by their titles; titles nobody has are left out and told. */
export async function setOfTable(
  db: Queryable,
  bandId: string,
  name: string,
  { rows }: Table,
): Promise<{ readonly body: SetListBody; readonly missing: readonly string[] }> {
  const titles = rows.map(({ title = '' }) => title.toLowerCase());
  const found = await db.query<{ id: string; title: string; key_name: string }>(
    'select id, lower(title) as title, key_name from song where band_id = $1 and lower(title) = any ($2::text[]) order by created_at desc',
    [bandId, titles],
  );
  const songs = new Map(found.rows.map((song) => [song.title, song]));
  const missing: string[] = [];
  const entries = rows.flatMap((row, index): SetListBody['entries'] => {
    const { kind = 'song', title = '' } = row;
    const id = `row-${index + 1}`;
    if (kind.toLowerCase() === 'break') return [{ kind: 'break', id, name: title, seconds: parseLength(row.length ?? '') ?? USUAL_BREAK }];
    const song = songs.get(title.toLowerCase());
    if (song === undefined) {
      if (title !== '') missing.push(title);
      return [];
    }
    return [songEntry(id, song, row)];
  });
  return { body: { name: name.slice(0, 80), place: '', startsAt: '', date: '', gapSeconds: GAP_SECONDS, entries }, missing };
}

const USUAL_BREAK = 900;

function songEntry(
  id: string,
  song: { readonly id: string; readonly key_name: string },
  row: Readonly<Record<string, string>>,
): SetListBody['entries'][number] {
  const key = parseKey(row.key ?? '');
  const tempo = Number(row.tempo);
  const bridge = BRIDGE_KINDS.find((one) => one === row['goes on']);
  return {
    kind: 'song',
    id,
    songId: song.id,
    key: key.ok && printKey(key.value) !== song.key_name ? printKey(key.value) : null,
    tempo: tempo >= 20 && tempo <= 400 ? tempo : null,
    capos: {},
    starts: (row.starts ?? '').slice(0, 80),
    notes: (row.notes ?? '').slice(0, 600),
    seconds: parseLength(row.length ?? '') ?? null,
    join: bridge === undefined ? { kind: 'gap' } : { kind: 'bridge', bridge },
  };
}
