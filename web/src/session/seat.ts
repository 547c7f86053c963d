import { create } from 'zustand';

const LOCAL = 'aurora-player';

/** Who plays at this device; kept here, because a band shares everything else. */
export const useSeat = create<{ readonly memberId: string | null }>()(() => ({ memberId: readSeat() }));

/** The player who has sat down at this device; null while nobody said. */
export function whoSitsHere(): string | null {
  return useSeat.getState().memberId;
}

function readSeat(): string | null {
  try {
    return localStorage.getItem(LOCAL);
  } catch {
    return null;
  }
}

/** Sits down at this device to play. */
export function sitDown(memberId: string): void {
  useSeat.setState({ memberId });
  try {
    localStorage.setItem(LOCAL, memberId);
  } catch {
    // without room on the device it is asked again next time
  }
}
