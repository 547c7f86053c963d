import type { Request, RequestHandler, Response } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import type { Context } from '../context/context.ts';
import { HttpFault } from '../http-fault.ts';
import type { Call } from './call.ts';

/** How much is answered in a minute. */
export interface LimitSettings {
  /** What is computed, by address. */
  readonly open: number;
  /** Tries to get in, by address. */
  readonly tries: number;
  /** Everything of one person, and of one band. */
  readonly person: number;
  readonly band: number;
}

const MINUTE_MS = 60_000;

/** Holds calls to the limits of their address, their person and their band. */
export class Limits {
  readonly #open: RequestHandler;
  readonly #tries: RequestHandler;
  readonly #person: RequestHandler;
  readonly #band: RequestHandler;

  constructor({ open, tries, person, band }: LimitSettings) {
    const address = (request: Request) => ipKeyGenerator(request.ip ?? '');
    this.#open = limiter(open, address);
    this.#tries = limiter(tries, address);
    this.#person = limiter(person, (request, response) => contextOf(response)?.person?.deviceId ?? address(request));
    this.#band = limiter(band, (request, response) => contextOf(response)?.seat?.bandId ?? address(request));
  }

  /**
   * Counts a call.
   * @throws HttpFault where it is one too many.
   */
  readonly count = async (
    { isLimited }: Pick<Call, 'isLimited'>,
    context: Context,
    request: Request,
    response: Response,
  ): Promise<void> => {
    response.locals.context = context;
    if (isLimited === 'tries') await passed(this.#tries, request, response);
    else if (isLimited) await passed(this.#open, request, response);
    if (context.person !== null) await passed(this.#person, request, response);
    if (context.seat !== null) await passed(this.#band, request, response);
  };
}

function contextOf(response: Response): Context | undefined {
  return response.locals.context as Context | undefined;
}

function limiter(limit: number, keyGenerator: (request: Request, response: Response) => string): RequestHandler {
  return rateLimit({
    windowMs: MINUTE_MS,
    limit,
    keyGenerator,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    validate: { keyGeneratorIpFallback: false },
    handler: () => {
      throw new HttpFault('too-many', 'That is more than the server answers in a minute. Wait a little and go on.');
    },
  });
}

function passed(handler: RequestHandler, request: Request, response: Response): Promise<void> {
  return new Promise((resolve, reject) => {
    // a handler that throws within its promise says so there
    Promise.resolve(handler(request, response, (error?: unknown) => (error === undefined ? resolve() : reject(error)))).catch(reject);
  });
}
