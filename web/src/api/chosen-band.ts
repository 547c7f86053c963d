import { z } from 'zod';
import type { RecordForm } from '../device/record-form.ts';
import { device } from '../device/records.ts';

const CHOSEN: RecordForm<string> = { name: 'aurora-band', schema: z.uuid(), upgrades: [(text) => text] };

/** The band this device was left in; null where none was chosen. */
export function chosenBand(): string | null {
  return device.get(CHOSEN);
}

/** Has this device open a band from now on. Without room on the device the first band opens next time. */
export function chooseBand(bandId: string | null): void {
  if (bandId === null) device.drop(CHOSEN.name);
  else device.put(CHOSEN, bandId);
}

const A_YEAR_S = 365 * 86_400;

/** Lets the server know which band is open here, so that its data is asked for with the page next time; it opens nothing by itself. */
export function tellOpenBand(bandId: string): void {
  const secure = window.location.protocol === 'https:' ? '; Secure' : '';
  // biome-ignore lint/suspicious/noDocumentCookie: the store for cookies is not in every browser, and one is all there is
  document.cookie = `aurora-band=${bandId}; Path=/; Max-Age=${A_YEAR_S}; SameSite=Strict${secure}`;
}
