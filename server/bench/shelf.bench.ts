// Prints how fast a shelf of twenty thousand songs is searched: medians, nothing judged.
import { changesOf, readProgression } from '@aurora/core';
import { songsQuery } from '@aurora/wire';
import { listSongs } from '../src/song/shelf-store.ts';
import { medianMs, withDatabase } from './bench-database.ts';

const SONGS = 20_000;

/** A seeded row of numbers from 0 to below 1, the same at every run. */
function* numbers(): Generator<number, never> {
  let state = 20_261_126;
  for (;;) {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    yield state / 2_147_483_648;
  }
}

const random = numbers();
const pick = <T>(items: readonly T[]): T => items[Math.floor(random.next().value * items.length)] as T;
const ROUND = [
  '1 5 6- 4',
  '1 6- 4 5',
  '2-7 57 1maj7 1maj7',
  '1 4 1 5',
  '6- 4 1 5',
  '1- b7 b6 5',
  '1 b7 4 1',
  '17 47 17 57',
  '4 4- 1 67',
  '3-7 67 2-7 57',
];
const KEYS = ['C', 'G', 'D', 'A', 'E', 'F', 'Bb', 'Eb', 'Ab', 'Em', 'Am', 'Dm'];
const song = () => `key: ${pick(KEYS)}\n\n${Array.from({ length: 4 }, () => pick(ROUND)).join('\n')}`;

const QUERIES = [
  ['a pattern many songs have', { pattern: '1 5 6- 4' }],
  ['a pattern few songs have', { pattern: '4 4- 1 67 2-7 57' }],
  ['a pattern and a word', { pattern: '1 5 6- 4', find: '17' }],
  ['a word', { find: 'song 1999' }],
  ['nothing: the first page', {}],
] as const;

await withDatabase(async (pool, bandId) => {
  const rows = Array.from({ length: SONGS }, (_, index) => [`Song ${index}`, changesOf(readProgression(song()))] as const);
  await pool.query(
    `insert into song (band_id, title, by_line, key_name, bars, opening, ridge, rounds, changes, revision)
     select $1, title, 'Somebody', 'C', 16, '{}', '{}', '{}', changes, 1 from unnest($2::text[], $3::text[]) as made (title, changes)`,
    [bandId, rows.map(([title]) => title), rows.map(([, changes]) => changes)],
  );
  await pool.query('analyze song');
  for (const [what, query] of QUERIES) {
    const asked = songsQuery.parse(query);
    const median = await medianMs(() => listSongs(pool, bandId, asked));
    console.log(`${SONGS.toLocaleString('en')} songs, ${what}: ${median.toFixed(1)} ms (goal: under 50 ms)`);
  }
});
