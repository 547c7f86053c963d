import { create } from 'zustand';

const LOCAL = 'aurora-player';

/** Whose instrument is seen at this device; one's own while nobody chose another. */
export const useSeat = create<{ readonly memberId: string | null }>()(() => ({ memberId: readSeat() }));

function readSeat(): string | null {
  try {
    return localStorage.getItem(LOCAL);
  } catch {
    return null;
  }
}

/** Sees another player's instrument. */
export function sitDown(memberId: string): void {
  useSeat.setState({ memberId });
  try {
    localStorage.setItem(LOCAL, memberId);
  } catch {
    // without room on the device it is asked again next time
  }
}
