import type { Request, Response } from 'express';
import type { z } from 'zod';
import type { Access, Context, ContextOf } from '../context/context.ts';
import { HttpFault } from '../http-fault.ts';
import { bodyOf, queryOf, refuseUnfit } from '../validate.ts';

type Method = 'get' | 'post' | 'put' | 'patch' | 'delete';

/** What the calls are grouped by in the description. */
export const CALL_TAGS = {
  theory: 'Keys, chords and progressions',
  charts: 'Charts: reading, writing, converting',
  neck: 'Shapes on the neck, and capos',
  people: 'People, their devices, and how they get in',
  bands: 'Bands and what they agree on',
  songs: 'The shelf of songs and their versions',
  members: 'Who plays, and how they read',
  sets: 'What is played tonight',
  practice: 'Questions, plans, and what a player practised',
  pieces: 'Written-out pieces and their harmony',
  files: 'Files brought in and taken out',
  work: 'What the server does meanwhile',
} as const;

/** What one call of the API is: where it is, who may ask it, what it takes and what it answers. */
export interface CallShape<Body extends z.ZodType, Query extends z.ZodObject, Answer extends z.ZodType, Who extends Access = Access> {
  /** Its name in the description, one word. */
  readonly id: string;
  readonly method: Method;
  /** Below `/api/v1`, with ids in braces: `/bands/{bandId}/songs`. */
  readonly path: string;
  readonly access: Who;
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
  /** Whether it tells what happens as it happens, for who accepts events. */
  readonly streams?: true;
  /** The name of the file it answers with, when it always has the same. */
  readonly attachment?: string;
  /** Problems beside those that follow from what it takes. */
  readonly problems?: readonly number[];
  /** How large a body may be; as much as a chart when left out. */
  readonly bodyLimit?: '256kb' | '4mb' | '8mb' | '32mb';
  /** Whether it counts for the limit of calls a minute, or for the much smaller one of tries to get in. */
  readonly isLimited?: true | 'tries';
  /** How long an answer may be shown again without asking; asked anew each time when left out. */
  readonly cache?: string;
}

/** A call with what answers it: the one value that both its route and its description are made of. */
export interface Call extends CallShape<z.ZodType, z.ZodObject, z.ZodType> {
  /** Works the answer out of what was sent alone, in any thread; left out where more is needed. */
  readonly work?: Work;
  /** How long that may take, in milliseconds; as long as most work when left out. */
  readonly deadlineMs?: number;
  /** Whether little that is sent can mean much to work out. */
  readonly isHeavy?: true;
  readonly serve: (request: Request, response: Response, context: Context) => Promise<void>;
}

/** What was sent, unchecked, to what is answered. */
export type Work = (body: unknown, query: unknown) => unknown;

/** What a call was asked with, checked, by whom, and what it may touch. */
interface Asked<Body extends z.ZodType, Query extends z.ZodObject, Who extends Access> extends ContextOf<Who> {
  readonly body: z.output<Body>;
  readonly query: z.output<Query>;
  readonly request: Request;
  readonly response: Response;
  /** Ends when nobody waits for the answer any more. */
  readonly gone: AbortSignal;
}

/** An answer as its schema has it; lists and records may be read-only. */
type Told<T> = T extends readonly (infer One)[]
  ? readonly Told<One>[]
  : T extends object
    ? { readonly [Name in keyof T]: Told<T[Name]> }
    : T;

/** Says what a call is, and how it is answered. The answer is sent as JSON. */
export function call<
  Answer extends z.ZodType,
  Who extends Access,
  Body extends z.ZodType = z.ZodUndefined,
  Query extends z.ZodObject = z.ZodObject,
>(
  shape: CallShape<Body, Query, Answer, Who>,
  answer: (asked: Asked<Body, Query, Who>) => Told<z.output<Answer>> | Promise<Told<z.output<Answer>>>,
): Call {
  return {
    ...shape,
    serve: async (request, response, context) => {
      const told = await answer(askedOf(shape, request, response, context));
      response.status(shape.status ?? 200).json(told);
    },
  };
}

/** As `call`, for an answer that is a file: its handler sends it. */
export function fileCall<Who extends Access, Body extends z.ZodType = z.ZodUndefined, Query extends z.ZodObject = z.ZodObject>(
  shape: CallShape<Body, Query, z.ZodType, Who>,
  send: (asked: Asked<Body, Query, Who>) => void | Promise<void>,
): Call {
  return { ...shape, serve: async (request, response, context) => send(askedOf(shape, request, response, context)) };
}

type OpenShape<Body extends z.ZodType, Query extends z.ZodObject, Answer extends z.ZodType> = Omit<
  CallShape<Body, Query, Answer>,
  'access' | 'takesFile'
> &
  Pick<Call, 'deadlineMs' | 'isHeavy'>;

/** A call that anybody may ask, answered from what is sent alone: it may be worked out in any thread. */
export function openCall<Answer extends z.ZodType, Body extends z.ZodType = z.ZodUndefined, Query extends z.ZodObject = z.ZodObject>(
  shape: OpenShape<Body, Query, Answer>,
  answer: (sent: {
    readonly body: z.output<Body>;
    readonly query: z.output<Query>;
  }) => Told<z.output<Answer>> | Promise<Told<z.output<Answer>>>,
): Call {
  const open = { ...shape, access: 'open' } as const;
  const work: Work = (body, query) => answer(sentOf(open, body, query));
  return {
    ...open,
    work,
    serve: async (request, response) => {
      sendAnswer(open, response, await work(request.body, request.query));
    },
  };
}

/** Sends what was worked out: bytes as the file they are, the rest as JSON. */
export function sendAnswer(
  { status = 200, content, attachment }: Pick<Call, 'status' | 'content' | 'attachment'>,
  response: Response,
  told: unknown,
): void {
  if (attachment !== undefined) response.attachment(attachment);
  if (told instanceof Uint8Array)
    response
      .status(status)
      .type(content ?? 'application/octet-stream')
      .send(Buffer.from(told));
  else response.status(status).json(told);
}

/** Server-sent events. */
export const STREAM = 'text/event-stream';

/** Refuses to answer in a form the request does not take. */
export function checkAccepts({ content = 'application/json', streams }: Pick<Call, 'content' | 'streams'>, request: Request): void {
  if (request.accepts([content, 'application/problem+json', ...(streams ? [STREAM] : [])]) === false)
    throw new HttpFault('not-acceptable', `This is answered as ${content}, which the request does not accept.`);
}

function sentOf<Body extends z.ZodType, Query extends z.ZodObject>(
  { body, query }: Pick<CallShape<Body, Query, z.ZodType>, 'body' | 'query'>,
  givenBody: unknown,
  givenQuery: unknown,
) {
  return {
    body: (body === undefined ? undefined : bodyOf(givenBody, body)) as z.output<Body>,
    query: (query === undefined ? {} : queryOf(givenQuery, query)) as z.output<Query>,
  };
}

function askedOf<Body extends z.ZodType, Query extends z.ZodObject, Who extends Access>(
  shape: CallShape<Body, Query, z.ZodType, Who>,
  request: Request,
  response: Response,
  context: Context,
): Asked<Body, Query, Who> {
  refuseUnfit(request);
  const gone = new AbortController();
  response.once('close', () => gone.abort());
  // the entrance has refused whoever is not what the call asks for
  return { ...(context as ContextOf<Who>), ...sentOf(shape, request.body, request.query), request, response, gone: gone.signal };
}
