import compression from 'compression';
import express, { type ErrorRequestHandler, type Express, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { analysisRoutes } from './analysis/analysis-routes.ts';
import { bandRoutes } from './band/band-routes.ts';
import { bridgeRoutes } from './bridge/bridge-routes.ts';
import { capoRoutes } from './capo/capo-routes.ts';
import { chartRoutes } from './chart/chart-routes.ts';
import type { Pool } from './db/pool.ts';
import { convertRoutes } from './file/convert-routes.ts';
import { exportRoutes } from './file/export-routes.ts';
import { importRoutes } from './file/import-routes.ts';
import { asHttpFault, HttpFault, problemOf } from './http-fault.ts';
import { jobRoutes } from './job/job-routes.ts';
import { Jobs } from './job/jobs.ts';
import { memberRoutes } from './member/member-routes.ts';
import { openApiDocument } from './openapi/openapi.ts';
import { packRoutes } from './pack/pack-routes.ts';
import { setRoutes } from './set/set-routes.ts';
import { sheetRoutes } from './sheet/sheet-routes.ts';
import { songRoutes } from './song/song-routes.ts';
import { swapRoutes } from './swap/swap-routes.ts';
import { theoryRoutes } from './theory/theory-routes.ts';
import { voicingRoutes } from './voicing/voicing-routes.ts';
import { webRoutes } from './web-routes.ts';

export interface AppDeps {
  readonly pool: Pool;
  readonly log: Logger;
  /** Folder of the built web application, null to serve the API alone. */
  readonly webRoot: string | null;
  /** Compute calls a minute and address. */
  readonly rateLimit: number;
}

const BODY_LIMIT = '256kb';
/** Drawn pages are larger than anything somebody types. */
const SHEET_LIMIT = '4mb';
/** A file that is brought in. */
const FILE_LIMIT = '32mb';
const MINUTE_MS = 60_000;

const rawFile = express.raw({ type: () => true, limit: FILE_LIMIT });

/** The whole HTTP application. It holds nothing of its own but work that is under way: what it needs is passed in. */
export function createApp(deps: AppDeps): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(pinoHttp({ logger: deps.log, quietReqLogger: true }));
  app.use(securityHeaders());
  app.use(compression());
  app.use('/api/v1/sheets', express.json({ limit: SHEET_LIMIT }));
  app.use('/api/v1/bands/:bandId/imports', (request, response, next) => (request.path === '/' ? rawFile(request, response, next) : next()));
  app.use('/api', express.json({ limit: BODY_LIMIT }), apiRoutes(deps));
  if (deps.webRoot !== null) app.use(webRoutes(deps.webRoot));
  app.use(() => {
    throw new HttpFault('not-found', 'There is nothing at this address.');
  });
  app.use(answerFault(deps.log));
  return app;
}

function apiRoutes({ pool, log, rateLimit: limit }: AppDeps): express.Router {
  const routes = express.Router();
  const document = openApiDocument();
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
  routes.get('/v1/openapi.json', (_request, response) => {
    response.json(document);
  });
  routes.use('/v1/bands/:bandId/songs/:songId/swaps', swapRoutes(pool));
  routes.use('/v1/bands/:bandId/songs', songRoutes(pool));
  routes.use('/v1/bands/:bandId/members', memberRoutes(pool));
  routes.use('/v1/bands/:bandId/sets', setRoutes(pool));
  routes.use('/v1/bands/:bandId/packs', limited, packRoutes(pool, jobs));
  routes.use('/v1/bands/:bandId/jobs', jobRoutes(jobs));
  routes.use('/v1/bands/:bandId/imports', limited, importRoutes(pool, jobs));
  routes.use('/v1/bands/:bandId/exports', limited, exportRoutes(pool, jobs));
  routes.use('/v1/bands', bandRoutes(pool));
  routes.use('/v1/charts', limited, chartRoutes());
  routes.use('/v1/sheets', limited, sheetRoutes());
  routes.use('/v1', limited, theoryRoutes(), analysisRoutes(), voicingRoutes(), capoRoutes(), bridgeRoutes(), convertRoutes());
  return routes;
}

/** Strict for scripts; styles may be set inline, because dialogs and notices place themselves so. */
function securityHeaders() {
  return helmet({
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
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
