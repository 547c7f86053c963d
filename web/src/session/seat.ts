import { z } from 'zod';
import { create } from 'zustand';
import type { RecordForm } from '../device/record-form.ts';
import { device } from '../device/records.ts';

const seat = z.object({
  memberId: z.uuid(),
  /** Who was signed in when it was chosen: of no use to anybody else. Null where nobody knows. */
  personId: z.string().nullable(),
});
type Seat = Readonly<z.output<typeof seat>>;

const SEAT: RecordForm<Seat> = { name: 'aurora-player', schema: seat, upgrades: [(text) => ({ memberId: text, personId: null })] };

/** Whose instrument is seen at this device; one's own while nobody chose another. */
export const useSeat = create<{ readonly seat: Seat | null }>()(() => ({ seat: device.get(SEAT) }));

/** Sees another player's instrument. Without room on the device it is asked again next time. */
export function sitDown(memberId: string, personId: string | null): void {
  useSeat.setState({ seat: { memberId, personId } });
  device.put(SEAT, { memberId, personId });
}

/** The player somebody has sat down as; null for a seat somebody else has left behind. */
export function seatOf({ seat: taken }: { readonly seat: Seat | null }, personId: string | null): string | null {
  return taken === null || (taken.personId !== null && taken.personId !== personId) ? null : taken.memberId;
}
