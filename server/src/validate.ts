import { type Key, makeKey, parseNote, parseScale, parseTuning, type Result, type Tuning } from '@aurora/core';
import type { Request } from 'express';
import type { z } from 'zod';
import { fieldFault, HttpFault } from './http-fault.ts';
import { issueWords } from './issue-words.ts';

/** The request's JSON body, checked; what does not fit is answered with its path and in plain words. */
export function bodyOf<Schema extends z.ZodType>(body: unknown, schema: Schema): z.output<Schema> {
  if (body === undefined) throw new HttpFault('not-json', 'Send a JSON body, with Content-Type: application/json.');
  return checked(body, schema);
}

/** What stands behind the question mark of the address, checked. */
export function queryOf<Schema extends z.ZodType>(query: unknown, schema: Schema): z.output<Schema> {
  return checked(query, schema);
}

/** Refuses what no database keeps, wherever it stands in a request that is about what a band keeps. */
export function refuseUnfit({ params, query, body }: Request): void {
  for (const part of Buffer.isBuffer(body) ? [params, query] : [params, query, body]) {
    const unfit = unfitText(part, []);
    if (unfit !== null) throw unfitFault(unfit);
  }
}

const MOST_DEPTH = 60;

/** Refuses a body nested deeper than anything that is meant: whatever goes through one need not fear for its stack. */
export function refuseDeep(body: unknown): void {
  if (!Buffer.isBuffer(body) && isDeeper(body, MOST_DEPTH)) throw new HttpFault('invalid', `body: nested more than ${MOST_DEPTH} deep`);
}

function isDeeper(value: unknown, most: number): boolean {
  let level: readonly unknown[] = [value];
  for (let depth = 0; depth <= most; depth += 1) {
    level = level.flatMap((one) => (typeof one === 'object' && one !== null ? Object.values(one) : []));
    if (level.length === 0) return false;
  }
  return true;
}

function checked<Schema extends z.ZodType>(value: unknown, schema: Schema): z.output<Schema> {
  const read = schema.safeParse(value, { error: issueWords });
  if (read.success) return read.data;
  const errors = read.error.issues.slice(0, 20).map((issue) => ({ message: issue.message, path: issue.path.join('.') }));
  const first = errors[0];
  throw new HttpFault(
    'invalid',
    first === undefined ? 'The request does not fit.' : `${first.path === '' ? 'body' : first.path}: ${first.message}`,
    { errors },
  );
}

/** What no database keeps as text: a NUL, and half of a sign that is written in two halves. */
const UNFIT = /[\0\p{Surrogate}]/u;

type Path = readonly string[];

/** Where the first text stands that cannot be kept, in names as well as in values; null when all can. */
function unfitText(value: unknown, path: Path): Path | null {
  if (typeof value === 'string') return UNFIT.test(value) ? path : null;
  if (typeof value !== 'object' || value === null) return null;
  for (const [name, part] of Object.entries(value)) {
    const unfit = unfitText(name, path) ?? unfitText(part, [...path, name]);
    if (unfit !== null) return unfit;
  }
  return null;
}

function unfitFault(at: Path): HttpFault {
  const path = at.join('.');
  const message = 'the text holds a NUL character or half of a sign';
  return new HttpFault('invalid', `${path === '' ? 'body' : path}: ${message}`, { errors: [{ message, path }] });
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;

/** A path parameter that names a row; anything that cannot be an id is simply not there. */
export function idOf(request: Request, name: string, what: string): string {
  const value = request.params[name];
  if (typeof value === 'string' && UUID.test(value)) return value;
  throw notFound(what);
}

/** What a store found; throws what says that it is not there. */
export function orMissing<T>(found: T | undefined, what: string): T {
  if (found === undefined) throw notFound(what);
  return found;
}

export function notFound(what: string): HttpFault {
  return new HttpFault('not-found', `There is no such ${what} here.`);
}

/** What the core read, or its fault as an answer about the field it came from; `text` is what stood there, if it has lines. */
export function required<T>(result: Result<T>, path: string, text?: string): T {
  if (result.ok) return result.value;
  throw fieldFault(result.fault, path, result.span, text);
}

/** The key a request names by its tonic and scale; `path` is where it stands, empty for the body itself. */
export function requiredKey({ tonic, scale }: { readonly tonic: string; readonly scale: string }, path: string): Key {
  const at = (field: string) => (path === '' ? field : `${path}.${field}`);
  const read = { tonic: required(parseNote(tonic), at('tonic')), scale: required(parseScale(scale), at('scale')) };
  return required(makeKey(read.tonic, read.scale), path === '' ? 'tonic' : path);
}

/** Open strings as a request names them, all as notes or all as numbers; `path` is where they stand. */
export function requiredTuning(strings: readonly (number | string)[], path: string): Tuning {
  const names = strings.filter((string) => typeof string === 'string');
  if (names.length === 0) return strings as readonly number[];
  if (names.length < strings.length) throw new HttpFault('invalid', `${path}: write all strings as notes or all as numbers.`);
  return required(parseTuning(names.join(' ')), path);
}
