import { randomUUID } from 'node:crypto';
import { DEFAULT_READS } from '@aurora/wire';
import type { House } from '../context/enter.ts';
import { stored } from '../db/stored-json.ts';
import { note } from './audit-store.ts';

/** A band to be begun, and who begins it. */
export interface NewBand {
  readonly band: string;
  readonly name: string;
  readonly plays: string;
}

/** Begins a band with its first player, who leads it. Answers its id. */
export async function foundBand(house: Pick<House, 'as'>, account: string, { band, name, plays }: NewBand): Promise<string> {
  const id = randomUUID();
  await house.as({ band: id, account }).transaction(async (client) => {
    await client.query('insert into band (id, name) values ($1, $2)', [id, band]);
    await client.query("insert into member (band_id, name, instrument, reader, account_id, role) values ($1, $2, $3, $4, $5, 'leader')", [
      id,
      name,
      plays,
      stored(DEFAULT_READS),
      account,
    ]);
    await note(client, id, name, 'began the band', band);
  });
  return id;
}
