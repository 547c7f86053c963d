import express, { type RequestHandler, Router } from 'express';
import { HttpFault } from '../http-fault.ts';
import type { Call } from './call.ts';

/** Routes for calls: each address answers its own methods, and says which those are to any other. */
export function callRouter(calls: readonly Call[], limited: RequestHandler): Router {
  const routes = Router();
  for (const [path, here] of byPath(calls)) {
    const allow = allowed(here);
    const route = routes.route(path.replaceAll(/\{(\w+)\}/g, ':$1'));
    for (const call of here) route[call.method](...handlersOf(call, limited));
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

function handlersOf(
  { isLimited, takesFile, body, bodyLimit = '256kb', cache = 'private, no-cache', serve }: Call,
  limited: RequestHandler,
) {
  const handlers: RequestHandler[] = [];
  if (isLimited) handlers.push(limited);
  if (takesFile) handlers.push(express.raw({ type: () => true, limit: bodyLimit }));
  else if (body !== undefined) handlers.push(express.json({ limit: bodyLimit }));
  handlers.push((request, response) => {
    if (request.method === 'GET' || request.method === 'HEAD') response.set('Cache-Control', cache);
    return serve(request, response);
  });
  return handlers;
}
