import type { Request, RequestHandler, Response } from 'express';
import { ipKeyGenerator, rateLimit } from 'express-rate-limit';
import type { Context } from '../context/context.ts';
import { HttpFault } from '../http-fault.ts';
import type { Call } from './call.ts';
import { passed } from './passed.ts';

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
  /** Who asks, for as long as the request is counted. */
  readonly #asking = new WeakMap<Request, Context>();
  readonly #open: RequestHandler;
  readonly #tries: RequestHandler;
  readonly #person: RequestHandler;
  readonly #band: RequestHandler;

  constructor({ open, tries, person, band }: LimitSettings) {
    const address = (request: Request) => ipKeyGenerator(request.ip ?? '');
    this.#open = limiter(open, address);
    this.#tries = limiter(tries, address);
    this.#person = limiter(person, (request) => this.#asking.get(request)?.person?.deviceId ?? address(request));
    this.#band = limiter(band, (request) => this.#asking.get(request)?.seat?.bandId ?? address(request));
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
    this.#asking.set(request, context);
    if (isLimited === 'tries') await passed(this.#tries, request, response);
    else if (isLimited) await passed(this.#open, request, response);
    if (context.person !== null) await passed(this.#person, request, response);
    if (context.seat !== null) await passed(this.#band, request, response);
  };
}

function limiter(limit: number, keyGenerator: (request: Request) => string): RequestHandler {
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
