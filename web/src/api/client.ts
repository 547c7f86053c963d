import { type Problem, problem } from '@aurora/wire';
import type { z } from 'zod';
import { ANSWER_WORDS } from '../wording/answers.ts';
import { inTurn } from './in-turn.ts';
import { keepAnswer } from './kept.ts';
import { KEPT_AT } from './kept-names.ts';
import { tellAnswered, tellAway } from './reach.ts';

/** A call the server refused, or did not answer (`status` 0). */
export class ApiFault extends Error {
  readonly status: number;
  readonly problem: Problem | null;
  /** After how many milliseconds it may be asked again, where the server said so. */
  readonly againMs: number | null;

  constructor(status: number, message: string, given: Problem | null = null, againMs: number | null = null) {
    super(message);
    this.status = status;
    this.problem = given;
    this.againMs = againMs;
  }
}

type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';

/** What a call carries, and what ends it. */
export interface CallOptions {
  readonly body?: unknown;
  /** Ends the call when nobody waits for its answer any more. */
  readonly signal?: AbortSignal;
  /** How long an answer is waited for, in milliseconds; for as long as it takes when unsaid. */
  readonly limitMs?: number;
}

/**
 * Calls the server and checks its answer.
 * @throws ApiFault when there is no answer or it is an error.
 */
export async function call<Schema extends z.ZodType>(
  method: Method,
  path: string,
  schema: Schema,
  { body, signal, limitMs }: CallOptions = {},
): Promise<z.output<Schema>> {
  const signals = [...(signal === undefined ? [] : [signal]), ...(limitMs === undefined ? [] : [AbortSignal.timeout(limitMs)])];
  const ask = () => send(method, path, body, AbortSignal.any(signals));
  const response = await (SETS.includes(method) ? inTurn(path, ask) : ask());
  const answer: unknown = await response.json().catch(() => null);
  tellReach(response);
  if (response.ok) {
    const checked = schema.parse(answer);
    // what was saved is what a reload without the server shows
    if (method !== 'GET' && WHOLE.test(path)) void keepAnswer(path, answer);
    return checked;
  }
  const given = problem.safeParse(answer);
  const seconds = Number(response.headers.get('Retry-After') ?? Number.NaN);
  const againMs = Number.isFinite(seconds) ? 1000 * seconds : null;
  const words = given.success ? given.data.detail.replace(FIELD, '') : ANSWER_WORDS.away;
  throw new ApiFault(response.status, words, given.success ? given.data : null, againMs);
}

/** What says how a place is from now on: of two, the one that was pressed last stands. */
const SETS: readonly Method[] = ['PUT', 'PATCH'];

/** The name of the field that is at fault: who calls the API is told it, who plays sees the field. */
const FIELD = /^[a-z]\w*(?:\.\w+)*: /;

/** Songs, sets and pieces: a save answers with all of them, as if they had been asked for. */
const WHOLE = /^\/bands\/[^/]+\/(songs|sets|pieces)\/[^/]+$/;

function tellReach({ headers, status }: Response): void {
  const keptAt = headers.get(KEPT_AT);
  if (keptAt !== null) tellAway(Date.parse(keptAt));
  else if (status >= 502) tellAway(null);
  else tellAnswered();
}

/** Browsers carry as many bytes on to their end when the page is left. */
const MOST_CARRIED = 50_000;

async function send(method: Method, path: string, body: unknown, signal: AbortSignal): Promise<Response> {
  const text = body === undefined ? undefined : JSON.stringify(body);
  // what was changed just before the page is left is still sent
  const keepalive = method !== 'GET' && (text?.length ?? 0) < MOST_CARRIED;
  const content =
    text === undefined ? { keepalive, signal } : { keepalive, signal, body: text, headers: { 'Content-Type': 'application/json' } };
  try {
    return await fetch(`/api/v1${path}`, { method, ...content });
  } catch (error) {
    // nobody waits for the answer any more
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    tellAway(null);
    throw new ApiFault(0, ANSWER_WORDS.away);
  }
}
