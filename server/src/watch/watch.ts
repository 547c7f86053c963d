import { isIPv4 } from 'node:net';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { type RequestHandler, Router } from 'express';
import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client';
import { STREAM } from '../call/call.ts';

/** What whoever watches the house is told. */
export interface WatchDeps {
  /** Whether the house may be sent requests: the database answers and is at this program's schema. */
  readonly isReady: () => Promise<boolean>;
  readonly connections: () => { readonly all: number; readonly idle: number; readonly waiting: number };
  /** Bands and work, as the database counts them. */
  readonly counts: () => Promise<Readonly<Record<string, number>>>;
  readonly threadsWaiting: () => number;
  /** How many hear of changes. */
  readonly streams: () => number;
  /** Who does not ask from this machine shows this; null lets nobody else ask. */
  readonly metricsToken: string | null;
}

/** Health, readiness and figures, and what measures each request. */
export interface Watch extends WatchDeps {
  readonly registry: Registry;
  readonly measure: RequestHandler;
}

const SECONDS = [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10];

/** Begins to count. */
export function createWatch(deps: WatchDeps): Watch {
  const registry = new Registry();
  collectDefaultMetrics({ register: registry, prefix: 'aurora_' });
  const requests = new Histogram({
    name: 'aurora_request_seconds',
    help: 'How long requests took, by method, route and status',
    labelNames: ['method', 'route', 'status'],
    buckets: SECONDS,
    registers: [registry],
  });
  const live = new Gauge({ name: 'aurora_requests_under_way', help: 'Requests under way', registers: [registry] });
  gauge(registry, 'aurora_streams', 'Browsers that hear of changes as they happen', deps.streams);
  gauge(registry, 'aurora_threads_waiting', 'Work that waits for a thread', deps.threadsWaiting);
  for (const part of ['all', 'idle', 'waiting'] as const)
    gauge(registry, `aurora_database_connections_${part}`, `Connections to the database: ${part}`, () => deps.connections()[part]);
  const delay = monitorEventLoopDelay({ resolution: 10 });
  delay.enable();
  gauge(registry, 'aurora_loop_delay_most_seconds', 'The longest the loop was held since it was asked last', () => {
    const most = delay.max / 1e9;
    delay.reset();
    return most;
  });
  return { ...deps, registry, measure: measuring(requests, live) };
}

function gauge(registry: Registry, name: string, help: string, read: () => number): void {
  new Gauge({
    name,
    help,
    registers: [registry],
    collect() {
      this.set(read());
    },
  });
}

function measuring(requests: Histogram, live: Gauge): RequestHandler {
  return (request, response, next) => {
    const end = requests.startTimer();
    live.inc();
    response.once('close', () => {
      live.dec();
      // a stream takes as long as somebody listens
      if (response.get('Content-Type') === STREAM) return;
      const route: unknown = request.route?.path;
      end({
        method: request.method,
        route: typeof route === 'string' ? `${request.baseUrl}${route}` : 'other',
        status: response.statusCode,
      });
    });
    next();
  };
}

/** `/healthz`, `/readyz` and `/metrics`. */
export function watchRoutes(watch: Watch): Router {
  const routes = Router();
  routes.get('/healthz', (_request, response) => void response.set('Cache-Control', 'no-store').json({ alive: true }));
  routes.get('/readyz', async (_request, response) => {
    const ready = await watch.isReady();
    response
      .set('Cache-Control', 'no-store')
      .status(ready ? 200 : 503)
      .json({ ready });
  });
  routes.get('/metrics', async (request, response) => {
    if (!mayAsk(request.socket.remoteAddress ?? '', request.headers, watch.metricsToken)) return void response.status(404).end();
    const counted = Object.entries(await watch.counts().catch(() => ({})));
    const lines = counted.map(([name, value]) => `# TYPE aurora_${name} gauge\naurora_${name} ${value}\n`);
    response
      .set('Cache-Control', 'no-store')
      .type('text/plain; version=0.0.4')
      .send(`${await watch.registry.metrics()}${lines.join('')}`);
  });
  return routes;
}

/** This machine itself, asking directly; anybody else with the token. */
function mayAsk(address: string, headers: { readonly [name: string]: unknown }, token: string | null): boolean {
  if (token !== null && headers.authorization === `Bearer ${token}`) return true;
  const plain = address.replace(/^::ffff:/, '');
  const isHere = plain === '::1' || (isIPv4(plain) && plain.startsWith('127.'));
  return isHere && headers['x-forwarded-for'] === undefined;
}
