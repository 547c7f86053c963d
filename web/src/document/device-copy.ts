import type { DraftKind } from './draft-kind.ts';

/** What the server has of a document. */
export interface Saved<T> {
  readonly value: T;
  readonly revision: number;
  /** ISO time: what was brought back from a backup begins again at its first revision. */
  readonly savedAt: string;
}

/** A document as it is kept on the device while the server does not have it. */
export interface DeviceCopy<T> {
  readonly value: T;
  /** What it was made from. */
  readonly base: Saved<T>;
  /** What was sent and never answered: if the server has one of these, it is ours. */
  readonly sent: readonly T[];
}

/** Copies of one document on this device. */
export interface DeviceCopies<T> {
  /** Keeps the copy; false where the device has no room. */
  readonly put: (copy: DeviceCopy<T>) => boolean;
  readonly drop: () => void;
  /** What this tab kept before it was loaded again. */
  readonly own: () => DeviceCopy<T> | null;
  /** What tabs that are gone have left behind; it is no longer on the device then. */
  readonly leftBehind: () => Promise<readonly DeviceCopy<T>[]>;
  /** What can be taken back, for as long as the tab lives. */
  readonly putHistory: (text: string) => void;
  readonly history: () => string;
}

const COPY = 'aurora-copy';
const TAB = 'aurora-tab';
/** Where tabs cannot tell that they live, a copy nobody has touched for so long was left behind. */
const ABANDONED_MS = 10 * 60_000;

/** What the copies need of the browser. */
export interface Device {
  readonly local: Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;
  readonly session: Pick<Storage, 'getItem' | 'setItem'>;
  readonly locks: LockManager | undefined;
  readonly now: () => number;
  readonly newId: () => string;
}

/** The name of this tab: kept over a reload, and held as long as the tab lives, so that others know. */
export function tabName({ session, locks, newId }: Device): string {
  const name = session.getItem(TAB) ?? newId();
  session.setItem(TAB, name);
  void locks?.request(`${TAB} ${name}`, { ifAvailable: true }, (lock) => {
    // a tab made from another one has its name too: it takes one of its own from its next loading on
    if (lock === null) session.setItem(TAB, newId());
    return lock === null ? undefined : new Promise<never>(() => undefined);
  });
  return name;
}

/** Keeps copies of a document on the device, apart for every tab. */
export function deviceCopies<T, Step, Clash>(device: Device, tab: string, kind: DraftKind<T, Step, Clash>, id: string): DeviceCopies<T> {
  const { local, session } = device;
  const prefix = `${COPY} ${kind.name} ${id} `;
  const place = prefix + tab;
  const read = (name: string) => readCopy(local.getItem(name), kind);
  return {
    put: (copy) => {
      try {
        local.setItem(place, writeCopy(copy, kind, device.now()));
        return true;
      } catch {
        return false;
      }
    },
    drop: () => local.removeItem(place),
    own: () => read(place),
    leftBehind: async () => {
      const names = Array.from({ length: local.length }, (_, index) => local.key(index) ?? '').filter(
        (name) => name.startsWith(prefix) && name !== place,
      );
      const alive = await livingTabs(device.locks);
      const gone = names.filter((name) =>
        alive === null ? isAbandoned(local.getItem(name), device.now()) : !alive.has(name.slice(prefix.length)),
      );
      const copies = gone.flatMap((name) => read(name) ?? []);
      for (const name of gone) local.removeItem(name);
      return copies;
    },
    putHistory: (text) => {
      try {
        session.setItem(`aurora-undo ${kind.name} ${id}`, text);
      } catch {
        // without room nothing can be taken back after the next loading; what is written is safe
      }
    },
    history: () => session.getItem(`aurora-undo ${kind.name} ${id}`) ?? '',
  };
}

/** Whether any tab of this device keeps something of a document that the server does not have. */
export function isUnsaved(local: Device['local'], kind: string, id: string): boolean {
  const prefix = `${COPY} ${kind} ${id} `;
  return Array.from({ length: local.length }, (_, index) => local.key(index) ?? '').some((name) => name.startsWith(prefix));
}

async function livingTabs(locks: LockManager | undefined): Promise<ReadonlySet<string> | null> {
  if (locks === undefined) return null;
  const { held = [] } = await locks.query();
  return new Set(held.flatMap(({ name }) => (name?.startsWith(`${TAB} `) ? [name.slice(TAB.length + 1)] : [])));
}

function isAbandoned(text: string | null, now: number): boolean {
  const { at = 0 } = parsed(text) ?? {};
  return typeof at === 'number' && now - at > ABANDONED_MS;
}

function writeCopy<T, Step, Clash>(copy: DeviceCopy<T>, kind: DraftKind<T, Step, Clash>, at: number): string {
  const { base, sent } = copy;
  const kept = { value: kind.write(copy.value), base: { ...base, value: kind.write(base.value) }, sent: sent.map(kind.write) };
  return JSON.stringify({ version: 1, at, ...kept });
}

type Stored = Readonly<Record<string, unknown>>;

function parsed(text: string | null): Stored | null {
  try {
    const value: unknown = JSON.parse(text ?? 'null');
    return typeof value === 'object' && value !== null ? (value as Stored) : null;
  } catch {
    return null;
  }
}

/** A stored copy; null for anything that is none. */
function readCopy<T, Step, Clash>(text: string | null, kind: DraftKind<T, Step, Clash>): DeviceCopy<T> | null {
  const stored = parsed(text);
  if (stored === null || stored.version !== 1) return null;
  const [value, base] = [kind.read(stored.value), readSaved(stored.base, kind)];
  if (value === undefined || base === null) return null;
  return { value, base, sent: Array.isArray(stored.sent) ? stored.sent.flatMap((one) => kind.read(one) ?? []) : [] };
}

function readSaved<T, Step, Clash>(stored: unknown, kind: DraftKind<T, Step, Clash>): Saved<T> | null {
  if (typeof stored !== 'object' || stored === null) return null;
  const { value: written, revision, savedAt } = stored as Stored;
  const value = kind.read(written);
  if (value === undefined || typeof revision !== 'number' || typeof savedAt !== 'string') return null;
  return { value, revision, savedAt };
}
