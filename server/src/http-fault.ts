import type { Fault, TextSpan } from '@aurora/core';
import { faultWords } from '@aurora/core';
import type { Problem, ProblemError, SetList, Song } from '@aurora/wire';

/** Everything a request can fail with. */
export type HttpFaultCode =
  | 'unreadable-json'
  | 'not-json'
  | 'invalid'
  | 'not-found'
  | 'not-allowed'
  | 'sign-in'
  | 'forbidden'
  | 'foreign'
  | 'misdirected'
  | 'taken'
  | 'no-such-range'
  | 'not-acceptable'
  | 'stale-save'
  | 'too-large'
  | 'too-many'
  | 'over-quota'
  | 'busy'
  | 'database-away'
  | 'disk-full'
  | 'unexpected';

interface Meaning {
  readonly status: number;
  readonly title: string;
}

const MEANINGS: Readonly<Record<HttpFaultCode, Meaning>> = {
  'unreadable-json': { status: 400, title: 'The request cannot be read' },
  'not-json': { status: 415, title: 'The request is not JSON' },
  invalid: { status: 422, title: 'Something in the request cannot be used' },
  'sign-in': { status: 401, title: 'Nobody is signed in here' },
  forbidden: { status: 403, title: 'Not for this player' },
  foreign: { status: 403, title: 'Sent by another site' },
  'not-found': { status: 404, title: 'Not here' },
  'not-allowed': { status: 405, title: 'Not in this way' },
  'not-acceptable': { status: 406, title: 'Not in this form' },
  'stale-save': { status: 409, title: 'It was saved elsewhere meanwhile' },
  taken: { status: 409, title: 'Somebody else has that already' },
  'no-such-range': { status: 416, title: 'No such part of it' },
  'too-large': { status: 413, title: 'Too much at once' },
  misdirected: { status: 421, title: 'Not the name of this server' },
  'over-quota': { status: 403, title: 'The band has all it may have' },
  'too-many': { status: 429, title: 'Too many requests' },
  busy: { status: 503, title: 'The server is busy' },
  'database-away': { status: 503, title: 'The song shelf cannot be reached' },
  'disk-full': { status: 507, title: 'The disk of the server is full' },
  unexpected: { status: 500, title: 'Something went wrong here' },
};

/** A failed request: what to answer, thrown by routes and turned into problem+json in one place. */
export class HttpFault extends Error {
  readonly code: HttpFaultCode;
  readonly errors: readonly ProblemError[];
  readonly current: Song | undefined;
  readonly currentSet: SetList | undefined;

  constructor(
    code: HttpFaultCode,
    detail: string,
    more: { errors?: readonly ProblemError[]; current?: Song; currentSet?: SetList; cause?: unknown } = {},
  ) {
    super(detail, { cause: more.cause });
    this.code = code;
    this.errors = more.errors ?? [];
    this.current = more.current;
    this.currentSet = more.currentSet;
  }
}

/** A fault of the core in one field of the request, with its place in that field's text, where it has more than a line. */
export function fieldFault(fault: Fault, path: string, { start, length }: TextSpan, text = ''): HttpFault {
  const message = faultWords(fault);
  const before = text.slice(0, start).split('\n');
  const column = before.length === 1 ? start : (before.at(-1) as string).length;
  const error = { message, path, line: before.length, column: column + 1, length };
  return new HttpFault('invalid', message, { errors: [error] });
}

/** The answer's body for a fault. */
export function problemOf(fault: HttpFault): Problem {
  const { status, title } = MEANINGS[fault.code];
  return {
    type: `/problems/${fault.code}`,
    title,
    status,
    detail: fault.message,
    ...(fault.errors.length > 0 ? { errors: [...fault.errors] } : {}),
    ...(fault.current === undefined ? {} : { current: fault.current }),
    ...(fault.currentSet === undefined ? {} : { currentSet: fault.currentSet }),
  };
}

/**
 * The database away or hanging, as PostgreSQL and the network report it: class 08 and 57P, too many connections, one of its
 * time limits (57014, 55P03, 25P03), read-only while it recovers (25006), and socket errors.
 */
const AWAY = /^(ECONNREFUSED|ECONNRESET|EPIPE|ENOTFOUND|ETIMEDOUT|08...|57P0.|53300|57014|55P03|25P03|25006)$/;
const AWAY_WORDS =
  /timeout exceeded when trying to connect|Connection terminated|Client has encountered a connection error|Query read timeout|Client was closed/;
/** PostgreSQL's and the system's word for a disk without room. */
const FULL = /^(53100|ENOSPC|EDQUOT)$/;

/** Wraps whatever was thrown: a known fault as it is, body and database trouble by kind, the rest as unexpected. */
export function asHttpFault(thrown: unknown): HttpFault {
  if (thrown instanceof HttpFault) return thrown;
  const { type, code, message, status } = (thrown ?? {}) as { type?: unknown; code?: unknown; message?: unknown; status?: unknown };
  if (status === RANGE) return new HttpFault('no-such-range', 'It is shorter than the part that was asked for.', { cause: thrown });
  if (type === 'entity.too.large') return new HttpFault('too-large', tooLargeWords(thrown), { cause: thrown });
  if (type === 'entity.parse.failed') return new HttpFault('unreadable-json', 'The body is not well-formed JSON.', { cause: thrown });
  if (thrown instanceof URIError || status === 404)
    return new HttpFault('not-found', 'There is nothing at this address.', { cause: thrown });
  if ((typeof type === 'string' && /^(charset|encoding|entity|request|stream)\./.test(type)) || status === 400) {
    return new HttpFault('unreadable-json', 'The body could not be read.', { cause: thrown });
  }
  if (FULL.test(String(code)))
    return new HttpFault('disk-full', 'The disk of the server is full. What you wrote is kept here and saved when there is room again.', {
      cause: thrown,
    });
  if (AWAY.test(String(code)) || AWAY_WORDS.test(String(message)) || isAwayAggregate(thrown)) {
    return new HttpFault('database-away', 'The database does not answer. What you wrote is kept here and saved when it is back.', {
      cause: thrown,
    });
  }
  return new HttpFault('unexpected', 'This is a fault of ours, not of what you typed.', { cause: thrown });
}

/** What Express says of a range that lies outside a file. */
const RANGE = 416;

const MEGABYTE = 1024 * 1024;

function tooLargeWords(thrown: unknown): string {
  const { limit } = thrown as { readonly limit?: unknown };
  return typeof limit === 'number' && limit > MEGABYTE
    ? `A file can be ${Math.floor(limit / MEGABYTE)} MB at most.`
    : 'A chart can be 240 KB at most.';
}

/** Connecting to a name with several addresses fails with all the reasons at once. */
function isAwayAggregate(thrown: unknown): boolean {
  return thrown instanceof AggregateError && thrown.errors.some((error) => AWAY.test(String((error as { code?: unknown }).code)));
}
