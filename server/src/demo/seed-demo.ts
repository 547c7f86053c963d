import { addBand, addMember, listBands, type NewMember } from '../band/band-store.ts';
import type { Pool } from '../db/pool.ts';
import { addSong } from '../song/song-store.ts';
import { DEMO_SONGS, DEMO_TAGS } from './demo-song-table.ts';

const DEMO_BAND = 'The Lantern Yard';

const MEMBERS: readonly NewMember[] = [
  { name: 'Ines', instrument: 'voice', reader: { transpose: 0, capo: 0, tuning: 0 } },
  { name: 'Tam', instrument: 'guitar', reader: { transpose: 0, capo: 0, tuning: 0 } },
  { name: 'Juno', instrument: 'second guitar', reader: { transpose: 0, capo: 3, tuning: 0 } },
  { name: 'Bram', instrument: 'bass', reader: { transpose: 0, capo: 0, tuning: 0 } },
  { name: 'Odile', instrument: 'alto saxophone', reader: { transpose: 9, capo: 0, tuning: 0 } },
  { name: 'Pim', instrument: 'trumpet', reader: { transpose: 2, capo: 0, tuning: 0 } },
  { name: 'Rosa', instrument: 'drums', reader: { transpose: 0, capo: 0, tuning: 0 } },
];

/** Fills an empty database with the demo band; one that holds a band already is left alone. */
export async function seedDemo(pool: Pool): Promise<void> {
  if ((await listBands(pool)).length > 0) return;
  const bandId = await addBand(pool, DEMO_BAND);
  for (const member of MEMBERS) await addMember(pool, bandId, member);
  for (const source of DEMO_SONGS) {
    const title = /^title: (.*)$/m.exec(source)?.[1] ?? '';
    await addSong(pool, bandId, source, DEMO_TAGS[title] ?? []);
  }
}
