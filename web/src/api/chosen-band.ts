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
