import type { Request, Response } from 'express';
import type { z } from 'zod';
import { HttpFault } from '../http-fault.ts';
import { bodyOf, queryOf, refuseUnfit } from '../validate.ts';

type Method = 'get' | 'post' | 'put' | 'patch' | 'delete';

/** What the calls are grouped by in the description. */
export const CALL_TAGS = {
  theory: 'Keys, chords and progressions',
  charts: 'Charts: reading, writing, converting',
  neck: 'Shapes on the neck, and capos',
  bands: 'Bands and what they agree on',
  songs: 'The shelf of songs and their versions',
  members: 'Who plays, and how they read',
  sets: 'What is played tonight',
  practice: 'Questions, plans, and what a player practised',
  pieces: 'Written-out pieces and their harmony',
  files: 'Files brought in and taken out',
  work: 'What the server does meanwhile',
} as const;

/** What one call of the API is: where it is, what it takes and what it answers. */
export interface CallShape<Body extends z.ZodType, Query extends z.ZodObject, Answer extends z.ZodType> {
  /** Its name in the description, one word. */
  readonly id: string;
  readonly method: Method;
  /** Below `/api/v1`, with ids in braces: `/bands/{bandId}/songs`. */
  readonly path: string;
  readonly tag: keyof typeof CALL_TAGS;
  readonly summary: string;
  readonly body?: Body;
  /** Takes the bytes of a file instead of JSON. */
  readonly takesFile?: true;
  readonly query?: Query;
  readonly answer: Answer;
  readonly status?: 200 | 201 | 202;
  /** What it answers with, when that is not JSON. */
  readonly content?: string;
  /** Problems beside those that follow from what it takes. */
  readonly problems?: readonly number[];
  /** How large a body may be; as much as a chart when left out. */
  readonly bodyLimit?: '256kb' | '4mb' | '8mb' | '32mb';
  /** Whether it counts for the limit of calls a minute. */
  readonly isLimited?: true;
  /** How long an answer may be shown again without asking; asked anew each time when left out. */
  readonly cache?: string;
}

/** A call with what answers it: the one value that both its route and its description are made of. */
export interface Call extends CallShape<z.ZodType, z.ZodObject, z.ZodType> {
  readonly serve: (request: Request, response: Response) => Promise<void>;
}

/** What a call was asked with, checked. */
export interface Asked<Body extends z.ZodType, Query extends z.ZodObject> {
  readonly body: z.output<Body>;
  readonly query: z.output<Query>;
  readonly request: Request;
  readonly response: Response;
}

/** An answer as its schema has it; lists and records may be read-only. */
type Told<T> = T extends readonly (infer One)[]
  ? readonly Told<One>[]
  : T extends object
    ? { readonly [Name in keyof T]: Told<T[Name]> }
    : T;

/** Says what a call is, and how it is answered. The answer is sent as JSON. */
export function call<Answer extends z.ZodType, Body extends z.ZodType = z.ZodUndefined, Query extends z.ZodObject = z.ZodObject>(
  shape: CallShape<Body, Query, Answer>,
  answer: (asked: Asked<Body, Query>) => Told<z.output<Answer>> | Promise<Told<z.output<Answer>>>,
): Call {
  return {
    ...shape,
    serve: async (request, response) => {
      const told = await answer(askedOf(shape, request, response));
      response.status(shape.status ?? 200).json(told);
    },
  };
}

/** As `call`, for an answer that is a file: its handler sends it. */
export function fileCall<Body extends z.ZodType = z.ZodUndefined, Query extends z.ZodObject = z.ZodObject>(
  shape: CallShape<Body, Query, z.ZodType>,
  send: (asked: Asked<Body, Query>) => void | Promise<void>,
): Call {
  return { ...shape, serve: async (request, response) => send(askedOf(shape, request, response)) };
}

function askedOf<Body extends z.ZodType, Query extends z.ZodObject>(
  { path, body, query, content = 'application/json' }: CallShape<Body, Query, z.ZodType>,
  request: Request,
  response: Response,
): Asked<Body, Query> {
  if (request.accepts([content, 'application/problem+json']) === false)
    throw new HttpFault('not-acceptable', `This is answered as ${content}, which the request does not accept.`);
  if (path.startsWith('/bands')) refuseUnfit(request);
  return {
    body: (body === undefined ? undefined : bodyOf(request, body)) as z.output<Body>,
    query: (query === undefined ? {} : queryOf(request, query)) as z.output<Query>,
    request,
    response,
  };
}
