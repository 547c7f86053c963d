/** A kind of stored value: its version, and the way from each older one to the next. */
export interface StoredKind {
  /** `upgrades[n]` makes a value of version n + 1 of one of version n; their number is the version now. */
  readonly upgrades: readonly ((old: unknown) => unknown)[];
}

/** Version 0 was the bare value; since version 1 it says its version. */
const SAYS_ITS_VERSION: StoredKind = { upgrades: [(bare) => bare] };

/** A value as it is stored: with its version, so that it can be brought up to a later one. */
export function stored(value: unknown, { upgrades }: StoredKind = SAYS_ITS_VERSION): string {
  return JSON.stringify({ version: upgrades.length, value });
}

/** A stored value brought up to the version now. What it then is has still to be checked; one from a later version comes as it is. */
export function upgraded(found: unknown, { upgrades }: StoredKind = SAYS_ITS_VERSION): unknown {
  const { version, value } = isVersioned(found) ? found : { version: 0, value: found };
  return upgrades.slice(version).reduce((now, upgrade) => upgrade(now), value);
}

function isVersioned(found: unknown): found is { readonly version: number; readonly value: unknown } {
  if (typeof found !== 'object' || found === null || !('value' in found)) return false;
  const { version } = found as { readonly version?: unknown };
  return typeof version === 'number' && Number.isInteger(version) && version >= 1;
}
