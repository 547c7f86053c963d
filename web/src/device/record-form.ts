import type { z } from 'zod';

/** One kind of thing a browser keeps: what it is now, and how every older form of it becomes the next. */
export interface RecordForm<T> {
  /** What it is kept under, with what distinguishes one from another of its kind after it. */
  readonly name: string;
  readonly schema: z.ZodType<T>;
  /**
   * Each makes the next form of the one before. The first is given the text as it was kept before forms were counted;
   * whatever one of them throws means that there is nothing.
   */
  readonly upgrades: readonly [(text: string) => unknown, ...((older: unknown) => unknown)[]];
}

/** What a stored text comes to. */
type Reading<T> =
  | { readonly kind: 'value'; readonly value: T }
  /** It is none, or was written by a newer application than this page: it is left as it is. */
  | { readonly kind: 'unreadable' };

/** The name of the number of a form in what is kept. */
const FORM = 'aurora';

export function printRecord<T>({ upgrades }: RecordForm<T>, value: T): string {
  return JSON.stringify({ [FORM]: upgrades.length, value });
}

/** Reads what any page of this or an older application has kept. */
export function readRecord<T>({ schema, upgrades }: RecordForm<T>, text: string): Reading<T> {
  const { form, value } = opened(text);
  if (form > upgrades.length) return { kind: 'unreadable' };
  try {
    const upgraded = upgrades.slice(form).reduce((older: unknown, upgrade) => (upgrade as (older: unknown) => unknown)(older), value);
    const checked = schema.safeParse(upgraded);
    return checked.success ? { kind: 'value', value: checked.data } : { kind: 'unreadable' };
  } catch {
    return { kind: 'unreadable' };
  }
}

function opened(text: string): { readonly form: number; readonly value: unknown } {
  const stored = parsed(text);
  const form = typeof stored === 'object' && stored !== null ? (stored as Record<string, unknown>)[FORM] : undefined;
  return typeof form === 'number' ? { form, value: (stored as { readonly value?: unknown }).value } : { form: 0, value: text };
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** What a store of the interface kept before forms were counted. */
export function stateIn(text: string): unknown {
  return (JSON.parse(text) as { readonly state?: unknown }).state;
}
