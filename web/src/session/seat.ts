import { z } from 'zod';
import { create } from 'zustand';
import type { RecordForm } from '../device/record-form.ts';
import { device } from '../device/records.ts';

const SEAT: RecordForm<string> = { name: 'aurora-player', schema: z.uuid(), upgrades: [(text) => text] };

/** Whose instrument is seen at this device; one's own while nobody chose another. */
export const useSeat = create<{ readonly memberId: string | null }>()(() => ({ memberId: device.get(SEAT) }));

/** Sees another player's instrument. Without room on the device it is asked again next time. */
export function sitDown(memberId: string): void {
  useSeat.setState({ memberId });
  device.put(SEAT, memberId);
}
