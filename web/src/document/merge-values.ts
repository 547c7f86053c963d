import { mergeOrder } from '@aurora/core';

/** A field that two people gave different values. */
export interface FieldClash {
  /** Names from the outside in; entries of a list by their id. */
  readonly path: readonly string[];
  readonly mine: unknown;
  readonly theirs: unknown;
}

/** Plain data made of objects, lists and values. */
type Plain = Readonly<Record<string, unknown>>;

/**
 * Puts together what two people made of one plain value: objects field by field, lists of things
 * with an `id` thing by thing, everything else whole. What both changed stays as it is here and is
 * told. A thing one took out and the other changed stays in.
 */
export function mergeValues<T>(base: T, mine: T, theirs: T): { readonly value: T; readonly clashes: readonly FieldClash[] } {
  const clashes: FieldClash[] = [];
  return { value: merged(base, mine, theirs, [], clashes) as T, clashes };
}

/** The value with their field in the place of mine, for each clash. */
export function takeTheirs<T>(value: T, clashes: readonly FieldClash[]): T {
  return clashes.reduce((now, { path, theirs }) => withField(now, path, theirs) as T, value);
}

/** Whether two plain values are alike all through; a field that is undefined counts as none. */
export function equalValues(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((one, place) => equalValues(one, b[place]));
  if (!isPlain(a) || !isPlain(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((name) => equalValues(a[name], b[name]));
}

function merged(base: unknown, mine: unknown, theirs: unknown, path: readonly string[], clashes: FieldClash[]): unknown {
  if (equalValues(mine, theirs) || equalValues(theirs, base)) return mine;
  if (equalValues(mine, base)) return theirs;
  if (isList(base) && isList(mine) && isList(theirs)) return mergedList(base, mine, theirs, path, clashes);
  if (isPlain(base) && isPlain(mine) && isPlain(theirs)) {
    const names = [...new Set([...Object.keys(base), ...Object.keys(mine), ...Object.keys(theirs)])];
    const fields = names.map((name) => [name, merged(base[name], mine[name], theirs[name], [...path, name], clashes)] as const);
    return Object.fromEntries(fields.filter(([, value]) => value !== undefined));
  }
  clashes.push({ path, mine, theirs });
  return mine;
}

interface Named extends Plain {
  readonly id: string;
}

function mergedList(
  base: readonly Named[],
  mine: readonly Named[],
  theirs: readonly Named[],
  path: readonly string[],
  clashes: FieldClash[],
) {
  const find = (list: readonly Named[], id: string) => list.find((one) => one.id === id);
  const changed = (list: readonly Named[], id: string) => !equalValues(find(list, id), find(base, id));
  // what one took out and the other changed is put back where it was
  const kept = (list: readonly Named[], other: readonly Named[]) =>
    withMissing(
      list.map(({ id }) => id),
      base.map(({ id }) => id),
      (id) => find(list, id) === undefined && find(other, id) !== undefined && changed(other, id),
    );
  const order = mergeOrder(
    base.map(({ id }) => id),
    kept(mine, theirs),
    kept(theirs, mine),
  );
  return order.map((id) => {
    const [was, left, right] = [find(base, id), find(mine, id), find(theirs, id)];
    return left === undefined || right === undefined ? (left ?? right) : merged(was ?? {}, left, right, [...path, id], clashes);
  });
}

function withMissing(ids: readonly string[], base: readonly string[], isWanted: (id: string) => boolean): readonly string[] {
  const missing = base.filter(isWanted);
  return missing.length === 0
    ? ids
    : mergeOrder(
        ids,
        ids,
        base.filter((id) => ids.includes(id) || missing.includes(id)),
      );
}

function isPlain(value: unknown): value is Plain {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function isList(value: unknown): value is readonly Named[] {
  return Array.isArray(value) && value.every((one) => isPlain(one) && typeof one.id === 'string');
}

function withField(value: unknown, path: readonly string[], field: unknown): unknown {
  const [name, ...rest] = path;
  if (name === undefined) return field;
  if (isList(value)) return value.map((one) => (one.id === name ? withField(one, rest, field) : one));
  return isPlain(value) ? { ...value, [name]: withField(value[name], rest, field) } : value;
}
