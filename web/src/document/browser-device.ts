import { type Device, type DeviceCopies, deviceCopies, tabName } from './device-copy.ts';
import type { DraftKind } from './draft-kind.ts';

const device = (): Device => ({
  local: window.localStorage,
  session: window.sessionStorage,
  locks: navigator.locks,
  now: () => Date.now(),
  newId: () => crypto.randomUUID(),
});

let tab: string | null = null;

/** Copies of a document in this browser. */
export function copiesHere<T, Step, Clash>(kind: DraftKind<T, Step, Clash>, id: string): DeviceCopies<T> {
  const here = device();
  tab ??= tabName(here);
  return deviceCopies(here, tab, kind, id);
}

/** A draft as far as leaving the page is concerned. */
interface Leaving {
  readonly flush: () => Promise<void>;
  readonly get: () => { readonly status: { readonly kind: string }; readonly isKept: boolean };
}

const open = new Set<Leaving>();

/** What is open is saved when the page is left, and leaving is asked about where something would be lost. */
export function guard(draft: Leaving): void {
  if (open.size === 0) listen();
  open.add(draft);
}

function listen(): void {
  const flushAll = () => {
    for (const draft of open) void draft.flush();
  };
  window.addEventListener('pagehide', flushAll);
  window.addEventListener('online', flushAll);
  document.addEventListener('visibilitychange', () => document.visibilityState === 'hidden' && flushAll());
  window.addEventListener('beforeunload', (event) => {
    const wouldBeLost = [...open].some((draft) => draft.get().status.kind !== 'saved' && !draft.get().isKept);
    if (wouldBeLost) event.preventDefault();
  });
}

/** Clocks of the page, as a draft needs them. */
export const PAGE_CLOCK = {
  now: () => Date.now(),
  setTimer: (work: () => void, ms: number) => window.setTimeout(work, ms),
  clearTimer: (timer: number) => window.clearTimeout(timer),
} as const;
