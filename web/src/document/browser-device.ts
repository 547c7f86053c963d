import { device as local, tab as session } from '../device/records.ts';
import { type CopyAddress, type Device, type DeviceCopies, deviceCopies, tabName } from './device-copy.ts';
import type { DraftKind } from './draft-kind.ts';
import type { Page } from './open-documents.ts';

const device = (): Device => ({
  local,
  session,
  locks: navigator.locks,
  now: () => Date.now(),
  newId: () => crypto.randomUUID(),
});

let tab: string | null = null;

/** Copies of a document in this browser. */
export function copiesHere<T, Step, Clash>(kind: DraftKind<T, Step, Clash>, address: CopyAddress): DeviceCopies<T> {
  const here = device();
  tab ??= tabName(here);
  return deviceCopies(here, tab, kind, address);
}

/** The page as it is left and closed. */
export const PAGE: Page = {
  onLeaving: (saveAll) => {
    const whenHidden = () => document.visibilityState === 'hidden' && saveAll();
    window.addEventListener('pagehide', saveAll);
    window.addEventListener('online', saveAll);
    document.addEventListener('visibilitychange', whenHidden);
    return () => {
      window.removeEventListener('pagehide', saveAll);
      window.removeEventListener('online', saveAll);
      document.removeEventListener('visibilitychange', whenHidden);
    };
  },
  onClosing: (wouldBeLost) => {
    const ask = (event: BeforeUnloadEvent) => {
      if (wouldBeLost()) event.preventDefault();
    };
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  },
};

/** Clocks of the page, as a draft needs them. */
export const PAGE_CLOCK = {
  now: () => Date.now(),
  setTimer: (work: () => void, ms: number) => window.setTimeout(work, ms),
  clearTimer: (timer: number) => window.clearTimeout(timer),
} as const;
