import { randomUUID } from 'node:crypto';
import compression from 'compression';
import express, { type ErrorRequestHandler, type Express, type Response } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { type GenReqId, pinoHttp } from 'pino-http';
import { apiCalls } from './api-calls.ts';
import { STREAM } from './call/call.ts';
import { callRouter } from './call/call-router.ts';
import { type LimitSettings, Limits } from './call/limits.ts';
import type { ChangeFeed } from './change/change-feed.ts';
import type { Threads } from './compute/threads.ts';
import type { House } from './context/enter.ts';
import { type GuardSettings, guard } from './context/guard.ts';
import { asHttpFault, HttpFault, problemOf } from './http-fault.ts';
import { openApiDocument } from './openapi/openapi.ts';
import type { PeopleDeps } from './people/people-deps.ts';
import { type Watch, watchRoutes } from './watch/watch.ts';
import { webRoutes } from './web-routes.ts';

export interface AppDeps {
  readonly house: House;
  readonly log: Logger;
  readonly threads: Threads;
  readonly changes: ChangeFeed;
  /** Folder of the built web application, null to serve the API alone. */
  readonly webRoot: string | null;
  readonly limits: LimitSettings;
  readonly guard: GuardSettings;
  /** How many proxies stand before this, and are believed about who asks. */
  readonly trustProxy: number;
  readonly people: Omit<PeopleDeps, 'house' | 'publicUrl'>;
  readonly watch: Watch;
}

/** The whole HTTP application. It holds nothing of its own: what it needs is passed in. */
export function createApp(deps: AppDeps): Express {
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', deps.trustProxy);
  app.use(
    pinoHttp({ logger: deps.log, quietReqLogger: true, genReqId: requestId, redact: ['req.headers.cookie', 'res.headers["set-cookie"]'] }),
  );
  app.use(deps.watch.measure);
  // whoever watches the house asks by its number, not its name
  app.use(watchRoutes(deps.watch));
  app.use(guard(deps.guard));
  app.use(securityHeaders());
  // what is told as it happens cannot wait until there is enough to compress
  app.use(compression({ filter: (request, response) => response.get('Content-Type') !== STREAM && compression.filter(request, response) }));
  app.use('/api/v1', apiRoutes(deps));
  if (deps.webRoot !== null) app.use(webRoutes(deps.webRoot));
  app.use(() => {
    throw new HttpFault('not-found', 'There is nothing at this address.');
  });
  app.use(answerFault(deps.log));
  return app;
}

/** A request's name in the log and in what it is answered: the proxy's where it gave one. */
const requestId: GenReqId = (request, response) => {
  const given = request.headers['x-request-id'];
  const id = typeof given === 'string' && /^[\w-]{8,64}$/.test(given) ? given : randomUUID();
  response.setHeader('X-Request-Id', id);
  return id;
};

function apiRoutes({ house, threads, changes, limits, people, guard: { publicUrl } }: AppDeps): express.Router {
  const routes = express.Router();
  const calls = apiCalls({ people: { ...people, house, publicUrl }, threads, changes });
  const document = openApiDocument(calls);
  routes.get('/openapi.json', (_request, response) => {
    response.set('Cache-Control', 'public, max-age=300').json(document);
  });
  routes.use(callRouter(calls, { house, threads, limits: new Limits(limits) }));
  return routes;
}

/** Strict for scripts; styles may be set inline, because dialogs and notices place themselves so. */
function securityHeaders() {
  const headers = (strictTransportSecurity: boolean) =>
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          // the engraver of scores is compiled code; nothing else may be made from text
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          workerSrc: ["'self'", 'blob:'],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
          frameAncestors: ["'none'"],
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity,
    });
  const [secure, plain] = [headers(true), headers(false)];
  const handler: express.RequestHandler = (request, response, next) => (request.secure ? secure : plain)(request, response, next);
  return handler;
}

function answerFault(log: Logger): ErrorRequestHandler {
  return (thrown, request, response, next) => {
    const fault = asHttpFault(thrown);
    const about = { url: request.url, request: request.id };
    if (fault.code === 'unexpected') log.error({ err: thrown, ...about }, 'unexpected fault');
    if (fault.code === 'database-away' || fault.code === 'disk-full') log.warn({ err: fault.cause, ...about }, fault.code);
    if (response.headersSent) next(thrown);
    else sendProblem(response, fault, String(request.id));
  };
}

function sendProblem(response: Response, fault: HttpFault, requestId: string): void {
  const problem = { ...problemOf(fault), request: requestId };
  // what was meant for the file that could not be sent is not said of a refusal
  response.removeHeader('ETag');
  response.removeHeader('Last-Modified');
  response.status(problem.status).set('Cache-Control', 'no-store').type('application/problem+json').send(JSON.stringify(problem));
}
