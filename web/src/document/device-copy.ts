import { z } from 'zod';
import type { RecordForm } from '../device/record-form.ts';
import type { Records } from '../device/records.ts';
import type { DraftKind } from './draft-kind.ts';
import type { KeptHistory } from './history.ts';

/** What the server has of a document. */
export interface Saved<T> {
  readonly value: T;
  readonly revision: number;
  /** ISO time, for people; what is newer is told by the revision alone. */
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
  readonly putHistory: (history: KeptHistory) => void;
  readonly history: () => KeptHistory | null;
}

const COPY = 'aurora-copy';
const TAB: RecordForm<string> = { name: 'aurora-tab', schema: z.string().min(1), upgrades: [(text) => text] };
/** Where tabs cannot tell that they live, a copy nobody has touched for so long was left behind. */
const ABANDONED_MS = 10 * 60_000;

const savedForm = z.object({ value: z.unknown(), revision: z.number(), savedAt: z.string() });
const copyForm = z.object({ at: z.number(), band: z.string().nullable(), value: z.unknown(), base: savedForm, sent: z.array(z.unknown()) });
type KeptCopy = z.output<typeof copyForm>;

/** A copy of a document; values in it are as their kind writes them. */
export const COPY_FORM: RecordForm<KeptCopy> = {
  name: COPY,
  schema: copyForm,
  upgrades: [ofVersionOne, (older) => ({ band: null, ...(older as object) })],
};
/** What can be taken back in a document. */
const HISTORY_FORM: RecordForm<KeptHistory> = {
  name: 'aurora-undo',
  schema: z.object({ of: z.unknown(), revision: z.number(), done: z.array(z.unknown()), undone: z.array(z.unknown()) }),
  // a history that does not say what it belongs to cannot be trusted to fit
  upgrades: [ofVersionOne, () => undefined],
};

/** Copies and histories said themselves that they were of version 1 before forms were counted. */
function ofVersionOne(text: string): unknown {
  const stored = JSON.parse(text) as { readonly version?: unknown };
  return stored.version === 1 ? stored : undefined;
}

/** What the copies need of the browser. */
export interface Device {
  readonly local: Records;
  readonly session: Records;
  readonly locks: LockManager | undefined;
  readonly now: () => number;
  readonly newId: () => string;
}

/** The name of this tab: kept over a reload, and held as long as the tab lives, so that others know. */
export function tabName({ session, locks, newId }: Device): string {
  const name = session.get(TAB) ?? newId();
  session.put(TAB, name);
  void locks?.request(`${TAB.name} ${name}`, { ifAvailable: true }, (lock) => {
    // a tab made from another one has its name too: it takes one of its own from its next loading on
    if (lock === null) session.put(TAB, newId());
    return lock === null ? undefined : new Promise<never>(() => undefined);
  });
  return name;
}

/** Which document of which band; what belongs to none is on this device alone. */
export interface CopyAddress {
  readonly bandId: string | null;
  readonly id: string;
}

/** Keeps copies of a document on the device, apart for every tab. */
export function deviceCopies<T, Step, Clash>(
  device: Device,
  tab: string,
  kind: DraftKind<T, Step, Clash>,
  { bandId, id }: CopyAddress,
): DeviceCopies<T> {
  const { local, session } = device;
  const prefix = `${COPY} ${kind.name} ${id} `;
  const place = prefix + tab;
  const undo = `${HISTORY_FORM.name} ${kind.name} ${id}`;
  const read = (name: string) => copyOf(local.get(COPY_FORM, name), kind);
  return {
    put: (copy) => local.put(COPY_FORM, { ...keptCopy(copy, kind), at: device.now(), band: bandId }, place),
    drop: () => local.drop(place),
    own: () => read(place),
    leftBehind: async () => {
      const others = local.names(prefix).filter((name) => name !== place);
      const alive = await livingTabs(device.locks);
      const gone = others.filter((name) =>
        alive === null ? isAbandoned(local.get(COPY_FORM, name), device.now()) : !alive.has(name.slice(prefix.length)),
      );
      // what cannot be read stays: a newer application may know it
      return gone.flatMap((name) => {
        const copy = read(name);
        if (copy !== null) local.drop(name);
        return copy ?? [];
      });
    },
    // without room nothing can be taken back after the next loading; what is written is safe
    putHistory: (history) => void session.put(HISTORY_FORM, history, undo),
    history: () => session.get(HISTORY_FORM, undo),
  };
}

async function livingTabs(locks: LockManager | undefined): Promise<ReadonlySet<string> | null> {
  if (locks === undefined) return null;
  const { held = [] } = await locks.query();
  const start = `${TAB.name} `;
  return new Set(held.flatMap(({ name }) => (name?.startsWith(start) ? [name.slice(start.length)] : [])));
}

function isAbandoned(copy: KeptCopy | null, now: number): boolean {
  return copy !== null && now - copy.at > ABANDONED_MS;
}

function keptCopy<T, Step, Clash>({ value, base, sent }: DeviceCopy<T>, kind: DraftKind<T, Step, Clash>): Omit<KeptCopy, 'at' | 'band'> {
  return { value: kind.write(value), base: { ...base, value: kind.write(base.value) }, sent: sent.map(kind.write) };
}

/** A kept copy with its values read; null where one of them is none of this kind. */
function copyOf<T, Step, Clash>(kept: KeptCopy | null, kind: DraftKind<T, Step, Clash>): DeviceCopy<T> | null {
  if (kept === null) return null;
  const [value, base] = [kind.read(kept.value), kind.read(kept.base.value)];
  if (value === undefined || base === undefined) return null;
  const { revision, savedAt } = kept.base;
  return { value, base: { value: base, revision, savedAt }, sent: kept.sent.flatMap((one) => kind.read(one) ?? []) };
}

/** A document that was changed on this device and is not on the server. */
export interface WaitingCopy {
  readonly kind: string;
  readonly id: string;
  /** Null where it was kept before that was told. */
  readonly bandId: string | null;
  /** When it was last changed, in milliseconds. */
  readonly at: number;
  readonly value: unknown;
}

/** Everything of the given kinds that waits on a device, each document once, the last change first. */
export function waitingCopies(local: Records, kinds: readonly string[]): readonly WaitingCopy[] {
  const byDocument = new Map<string, WaitingCopy>();
  for (const name of local.names(`${COPY} `)) {
    const [, kind = '', id = ''] = name.split(' ');
    const kept = kinds.includes(kind) ? local.get(COPY_FORM, name) : null;
    const known = byDocument.get(`${kind} ${id}`);
    if (kept !== null && (known === undefined || known.at < kept.at))
      byDocument.set(`${kind} ${id}`, { kind, id, bandId: kept.band, at: kept.at, value: kept.value });
  }
  return [...byDocument.values()].sort((a, b) => b.at - a.at);
}
