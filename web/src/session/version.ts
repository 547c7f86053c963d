import { create } from 'zustand';

/** The application as it is installed on this device. */
interface Version {
  /** Takes a newer version that waits; null while this is the newest one known. */
  readonly take: (() => void) | null;
  /** Puts the application among the device's own; null where that is not offered. */
  readonly install: (() => void) | null;
  /** Whether the device can answer in the server's place. */
  readonly isKept: boolean;
}

export const useVersion = create<Version>(() => ({ take: null, install: null, isKept: false }));
