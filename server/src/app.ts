import compression from 'compression';
import express, { type ErrorRequestHandler, type Express, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { apiCalls } from './api-calls.ts';
import { callRouter } from './call/call-router.ts';
import type { Pool } from './db/pool.ts';
import { asHttpFault, HttpFault, problemOf } from './http-fault.ts';
import { Jobs } from './job/jobs.ts';
import { openApiDocument } from './openapi/openapi.ts';
import { createReducer } from './reduce/reducer.ts';
import { webRoutes } from './web-routes.ts';

export interface AppDeps {
  readonly pool: Pool;
  readonly log: Logger;
  /** Folder of the built web application, null to serve the API alone. */
  readonly webRoot: string | null;
  /** Compute calls a minute and address. */
  readonly rateLimit: number;
  /** The built script that large pieces are reduced in; null to reduce them where they are asked for. */
  readonly reduceThread: URL | null;
}

const MINUTE_MS = 60_000;

/** The whole HTTP application. It holds nothing of its own but work that is under way: what it needs is passed in. */
export function createApp(deps: AppDeps): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(pinoHttp({ logger: deps.log, quietReqLogger: true }));
  app.use(securityHeaders());
  app.use(compression());
  app.use('/api/v1', apiRoutes(deps));
  if (deps.webRoot !== null) app.use(webRoutes(deps.webRoot));
  app.use(() => {
    throw new HttpFault('not-found', 'There is nothing at this address.');
  });
  app.use(answerFault(deps.log));
  return app;
}

function apiRoutes({ pool, log, rateLimit: limit, reduceThread }: AppDeps): express.Router {
  const routes = express.Router();
  const jobs = new Jobs((fault) => log.error({ err: fault }, 'work failed'));
  const limited = rateLimit({
    windowMs: MINUTE_MS,
    limit,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: () => {
      throw new HttpFault('too-many', 'That is more than the server answers in a minute. Wait a little and go on.');
    },
  });
  const calls = apiCalls(pool, jobs, createReducer(reduceThread));
  const document = openApiDocument(calls);
  routes.get('/openapi.json', (_request, response) => {
    response.set('Cache-Control', 'public, max-age=300').json(document);
  });
  routes.use(callRouter(calls, limited));
  return routes;
}

/** Strict for scripts; styles may be set inline, because dialogs and notices place themselves so. */
function securityHeaders() {
  return helmet({
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
    strictTransportSecurity: false,
  });
}

function answerFault(log: Logger): ErrorRequestHandler {
  return (thrown, request, response, next) => {
    const fault = asHttpFault(thrown);
    if (fault.code === 'unexpected') log.error({ err: thrown, url: request.url }, 'unexpected fault');
    if (fault.code === 'database-away') log.warn({ err: fault.cause, url: request.url }, 'database away');
    if (response.headersSent) next(thrown);
    else sendProblem(response, fault);
  };
}

function sendProblem(response: Response, fault: HttpFault): void {
  const problem = problemOf(fault);
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}
