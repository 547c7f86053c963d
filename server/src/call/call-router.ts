import express, { type Request, type RequestHandler, type Response, Router } from 'express';
import type { Threads } from '../compute/threads.ts';
import type { House } from '../context/enter.ts';
import { HttpFault } from '../http-fault.ts';
import { refuseDeep, refuseUnfit } from '../validate.ts';
import { type Call, checkAccepts, sendAnswer } from './call.ts';
import type { Limits } from './limits.ts';
import { passed } from './passed.ts';

/** What every call passes on its way. */
export interface RouterDeps {
  readonly house: Pick<House, 'enter'>;
  readonly limits: Limits;
  readonly threads: Threads;
}

/** Routes for calls: each address answers its own methods, and says which those are to any other. */
export function callRouter(calls: readonly Call[], deps: RouterDeps): Router {
  const routes = Router();
  for (const [path, here] of byPath(calls)) {
    const allow = allowed(here);
    const route = routes.route(path.replaceAll(/\{(\w+)\}/g, ':$1'));
    for (const call of here) route[call.method](handlerOf(call, deps));
    route.options((_request, response) => void response.set('Allow', allow).status(204).end());
    route.all((request, response) => {
      response.set('Allow', allow);
      throw new HttpFault('not-allowed', `${request.method} is not answered here, but ${allow}.`);
    });
  }
  return routes;
}

/** A word in an address comes before an id that could be read in its place. */
function byPath(calls: readonly Call[]): readonly (readonly [string, readonly Call[]])[] {
  const paths = new Map<string, Call[]>();
  for (const call of calls) paths.set(call.path, [...(paths.get(call.path) ?? []), call]);
  const ids = (path: string) => path.split('/').map((part) => (part.startsWith('{') ? '~' : part));
  return [...paths].sort(([a], [b]) => (ids(a).join('/') < ids(b).join('/') ? -1 : 1));
}

function allowed(calls: readonly Call[]): string {
  const methods = calls.flatMap(({ method }) => (method === 'get' ? ['GET', 'HEAD'] : [method.toUpperCase()]));
  return [...methods, 'OPTIONS'].join(', ');
}

/** Who may not ask is told so before anything of the body is read. */
function handlerOf(call: Call, deps: RouterDeps): RequestHandler {
  const { access, cache = 'private, no-cache' } = call;
  const parser = parserOf(call);
  return async (request, response) => {
    checkAccepts(call, request);
    refuseUnfit(request);
    const context = await deps.house.enter(request, response, access);
    await deps.limits.count(call, context, request, response);
    if (parser !== null) await passed(parser, request, response);
    refuseDeep(request.body);
    if (request.method === 'GET' || request.method === 'HEAD') response.set('Cache-Control', cache);
    if (call.work !== undefined && (isMuch(request) || call.isHeavy)) await serveInThread(call, request, response, deps.threads);
    else await call.serve(request, response, context);
  };
}

/** What reads the body of a call; null where it has none. */
function parserOf({ takesFile, body, bodyLimit = '256kb' }: Call): RequestHandler | null {
  if (takesFile) return express.raw({ type: () => true, limit: bodyLimit });
  return body === undefined ? null : express.json({ limit: bodyLimit });
}

/** Fewer bytes are worked on where they are asked for: that takes less than handing them on. */
const LITTLE = 600;

function isMuch(request: Request): boolean {
  return Number(request.headers['content-length'] ?? LITTLE + 1) > LITTLE;
}

async function serveInThread(call: Call, request: Request, response: Response, threads: Threads): Promise<void> {
  const gone = new AbortController();
  response.once('close', () => gone.abort());
  const size = Number(request.headers['content-length'] ?? Number.MAX_SAFE_INTEGER);
  const order = { kind: 'call', id: call.id, body: request.body, query: { ...request.query } } as const;
  const done = await threads.run(order, { client: request.ip ?? '', gone: gone.signal, deadlineMs: call.deadlineMs, size });
  if (done.kind !== 'bytes') throw new Error(`${call.id} worked out no answer`);
  if (done.isFile) sendAnswer(call, response, done.bytes);
  else
    response
      .status(call.status ?? 200)
      .type('application/json')
      .send(Buffer.from(done.bytes));
}
