import { type Key, makeKey, parseNote, parseScale, type Result } from '@aurora/core';
import type { Request } from 'express';
import type { z } from 'zod';
import { fieldFault, HttpFault } from './http-fault.ts';
import { issueWords } from './issue-words.ts';

/** The request's JSON body, checked; what does not fit is answered with its path and in plain words. */
export function bodyOf<Schema extends z.ZodType>(request: Request, schema: Schema): z.output<Schema> {
  if (request.body === undefined) throw new HttpFault('not-json', 'Send a JSON body, with Content-Type: application/json.');
  return checked(request.body, schema);
}

/** What stands behind the question mark of the address, checked. */
export function queryOf<Schema extends z.ZodType>(request: Request, schema: Schema): z.output<Schema> {
  return checked(request.query, schema);
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

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;

/** A path parameter that names a row; anything that cannot be an id is simply not there. */
export function idOf(request: Request, name: string, what: string): string {
  const value = request.params[name];
  if (typeof value === 'string' && UUID.test(value)) return value;
  throw notFound(what);
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
